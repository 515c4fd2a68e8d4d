namespace Merganser.Core.Tuning;

/// <summary>
/// Cholesky factor, inverse and log determinant of a small symmetric positive matrix, in buffers that are used again:
/// the engine solves some thousand systems of a dozen unknowns per advice, and a general library would allocate for
/// each. Checked against MathNet in the tests. Source: Golub and Van Loan, Matrix Computations, 4.2 (from memory).
/// </summary>
public sealed class SymmetricSolver(int size)
{
    private readonly double[] lower = new double[size * size];
    private readonly double[] inverse = new double[size * size];

    /// <summary>ln |A| of the last matrix.</summary>
    public double LogDeterminant { get; private set; }

    /// <summary>Writes A⁻¹ into <paramref name="result"/>.</summary>
    /// <param name="matrix">A, row by row; only its lower half is read.</param>
    /// <param name="result">Where the whole inverse goes.</param>
    /// <exception cref="ArithmeticException">A is not positive definite.</exception>
    public void Invert(ReadOnlySpan<double> matrix, Span<double> result)
    {
        Factor(matrix);
        InvertLower();
        for (var i = 0; i < size; i++)
        {
            var column = inverse.AsSpan(i * size, size);
            for (var j = 0; j <= i; j++)
            {
                var sum = Dot(column[i..], inverse.AsSpan((j * size) + i, size - i));
                result[(i * size) + j] = sum;
                result[(j * size) + i] = sum;
            }
        }
    }

    private void Factor(ReadOnlySpan<double> matrix)
    {
        LogDeterminant = 0;
        for (var i = 0; i < size; i++)
        {
            for (var j = 0; j <= i; j++)
            {
                var sum = matrix[(i * size) + j] - Dot(lower.AsSpan(i * size, j), lower.AsSpan(j * size, j));

                if (i != j)
                {
                    lower[(i * size) + j] = sum / lower[(j * size) + j];
                    continue;
                }

                if (sum <= 0)
                {
                    throw new ArithmeticException("The matrix is not positive definite.");
                }

                lower[(i * size) + i] = Math.Sqrt(sum);
                LogDeterminant += Math.Log(sum);
            }
        }
    }

    /// <summary>L⁻¹, kept column by column.</summary>
    private void InvertLower()
    {
        for (var j = 0; j < size; j++)
        {
            var column = inverse.AsSpan(j * size, size);
            column[j] = 1 / lower[(j * size) + j];
            for (var i = j + 1; i < size; i++)
            {
                column[i] = -Dot(lower.AsSpan((i * size) + j, i - j), column[j..i]) / lower[(i * size) + i];
            }
        }
    }

    private static double Dot(ReadOnlySpan<double> a, ReadOnlySpan<double> b)
    {
        var sum = 0.0;
        for (var k = 0; k < a.Length; k++)
        {
            sum += a[k] * b[k];
        }

        return sum;
    }
}
