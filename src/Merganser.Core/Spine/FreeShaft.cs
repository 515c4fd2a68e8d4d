using MathNet.Numerics.LinearAlgebra;

namespace Merganser.Core.Spine;

/// <summary>
/// First bending vibration of a shaft that nothing holds, with its point masses: Euler–Bernoulli beam, Hermite
/// elements. To be shown only: never a spine rule (it would say that heavier points need weaker shafts). Check: a bare
/// beam has βL = 4.730041 (Blevins, Formulas for Natural Frequency and Mode Shape).
/// </summary>
public static class FreeShaft
{
    private const int Elements = 40;
    private const int RigidModes = 2;

    /// <summary>First free-free frequency in Hz.</summary>
    /// <param name="stiffness">EI, N·m².</param>
    /// <param name="kilogramsPerMetre">Mass of the bare shaft.</param>
    /// <param name="length">Length, m.</param>
    /// <param name="masses">Extra masses (kg) at positions (m) within the length.</param>
    public static double FirstFrequency(
        double stiffness,
        double kilogramsPerMetre,
        double length,
        params IReadOnlyList<(double Kilograms, double Position)> masses
    )
    {
        var size = 2 * (Elements + 1);
        var step = length / Elements;
        var mass = Matrix<double>.Build.Dense(size, size);
        var spring = Matrix<double>.Build.Dense(size, size);
        for (var element = 0; element < Elements; element++)
        {
            Add(mass, 2 * element, ElementMass(kilogramsPerMetre, step));
            Add(spring, 2 * element, ElementStiffness(stiffness, step));
        }

        foreach (var (kilograms, position) in masses)
        {
            Attach(mass, kilograms, position / step, step);
        }

        var lower = mass.Cholesky().Factor;
        var reduced = lower.Solve(lower.Solve(spring).Transpose());
        var values = reduced.Evd(Symmetricity.Symmetric).EigenValues.Real().OrderBy(v => v).ToArray();
        return Math.Sqrt(values[RigidModes]) / (2 * Math.PI);
    }

    private static void Attach(Matrix<double> mass, double kilograms, double place, double step)
    {
        var element = Math.Clamp((int)place, 0, Elements - 1);
        var s = place - element;
        double[] shape =
        [
            1 - (3 * s * s) + (2 * s * s * s),
            step * s * (1 - s) * (1 - s),
            s * s * (3 - (2 * s)),
            step * s * s * (s - 1),
        ];
        for (var i = 0; i < 4; i++)
        {
            for (var j = 0; j < 4; j++)
            {
                mass[(2 * element) + i, (2 * element) + j] += kilograms * shape[i] * shape[j];
            }
        }
    }

    private static void Add(Matrix<double> whole, int at, double[,] part)
    {
        for (var i = 0; i < 4; i++)
        {
            for (var j = 0; j < 4; j++)
            {
                whole[at + i, at + j] += part[i, j];
            }
        }
    }

    private static double[,] ElementStiffness(double stiffness, double h)
    {
        var k = stiffness / (h * h * h);
        return new[,]
        {
            { 12 * k, 6 * h * k, -12 * k, 6 * h * k },
            { 6 * h * k, 4 * h * h * k, -6 * h * k, 2 * h * h * k },
            { -12 * k, -6 * h * k, 12 * k, -6 * h * k },
            { 6 * h * k, 2 * h * h * k, -6 * h * k, 4 * h * h * k },
        };
    }

    private static double[,] ElementMass(double perMetre, double h)
    {
        var m = perMetre * h / 420;
        return new[,]
        {
            { 156 * m, 22 * h * m, 54 * m, -13 * h * m },
            { 22 * h * m, 4 * h * h * m, 13 * h * m, -3 * h * h * m },
            { 54 * m, 13 * h * m, 156 * m, -22 * h * m },
            { -13 * h * m, -3 * h * h * m, -22 * h * m, 4 * h * h * m },
        };
    }
}
