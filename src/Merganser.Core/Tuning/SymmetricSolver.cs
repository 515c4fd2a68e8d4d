namespace Merganser.Core.Tuning;

/// <summary>
/// Cholesky factor, inverse and log determinant of a small symmetric positive matrix, in buffers that are used again:
/// the engine solves some thousand systems of a dozen unknowns per advice, and a general library would allocate for
/// each. Checked against MathNet in the tests. Source: Golub and Van Loan, Matrix Computations, 4.2 (from memory).
/// </summary>
public sealed class SymmetricSolver(int size)
{
    private readonly SymmetricMatrix lower = new(size);

    /// <summary>L⁻¹, each of its columns kept as a row.</summary>
    private readonly SymmetricMatrix inverse = new(size);

    /// <summary>ln |A| of the last matrix.</summary>
    public double LogDeterminant { get; private set; }

    /// <summary>Writes A⁻¹ into <paramref name="result"/>.</summary>
    /// <param name="matrix">A; only its lower half is read.</param>
    /// <param name="result">Where the whole inverse goes.</param>
    /// <exception cref="ArithmeticException">A is not positive definite.</exception>
    public void Invert(SymmetricMatrix matrix, SymmetricMatrix result)
    {
        Factor(matrix);
        InvertLower();
        var columns = inverse.Values;
        var whole = result.Values;
        for (var i = 0; i < size; i++)
        {
            for (var j = 0; j <= i; j++)
            {
                var sum = 0.0;
                for (var k = i; k < size; k++)
                {
                    sum += columns[(i * size) + k] * columns[(j * size) + k];
                }

                whole[(i * size) + j] = sum;
                whole[(j * size) + i] = sum;
            }
        }
    }

    private void Factor(SymmetricMatrix matrix)
    {
        LogDeterminant = 0;
        var of = matrix.Values;
        var rows = lower.Values;
        for (var i = 0; i < size; i++)
        {
            for (var j = 0; j <= i; j++)
            {
                var dot = 0.0;
                for (var k = 0; k < j; k++)
                {
                    dot += rows[(i * size) + k] * rows[(j * size) + k];
                }

                var sum = of[(i * size) + j] - dot;
                if (i != j)
                {
                    rows[(i * size) + j] = sum / rows[(j * size) + j];
                    continue;
                }

                if (sum <= 0)
                {
                    throw new ArithmeticException("The matrix is not positive definite.");
                }

                rows[(i * size) + i] = Math.Sqrt(sum);
                LogDeterminant += Math.Log(sum);
            }
        }
    }

    private void InvertLower()
    {
        var rows = lower.Values;
        var columns = inverse.Values;
        for (var j = 0; j < size; j++)
        {
            columns[(j * size) + j] = 1 / rows[(j * size) + j];
            for (var i = j + 1; i < size; i++)
            {
                var dot = 0.0;
                for (var k = j; k < i; k++)
                {
                    dot += rows[(i * size) + k] * columns[(j * size) + k];
                }

                columns[(j * size) + i] = -dot / rows[(i * size) + i];
            }
        }
    }
}
