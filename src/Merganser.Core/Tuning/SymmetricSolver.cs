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
        for (var i = 0; i < size; i++)
        {
            var column = inverse.Row(i);
            for (var j = 0; j <= i; j++)
            {
                var sum = SymmetricMatrix.Dot(column[i..], inverse.Row(j)[i..]);
                result[i, j] = sum;
                result[j, i] = sum;
            }
        }
    }

    private void Factor(SymmetricMatrix matrix)
    {
        LogDeterminant = 0;
        for (var i = 0; i < size; i++)
        {
            for (var j = 0; j <= i; j++)
            {
                var sum = matrix[i, j] - SymmetricMatrix.Dot(lower.Row(i)[..j], lower.Row(j)[..j]);
                if (i != j)
                {
                    lower[i, j] = sum / lower[j, j];
                    continue;
                }

                if (sum <= 0)
                {
                    throw new ArithmeticException("The matrix is not positive definite.");
                }

                lower[i, i] = Math.Sqrt(sum);
                LogDeterminant += Math.Log(sum);
            }
        }
    }

    private void InvertLower()
    {
        for (var j = 0; j < size; j++)
        {
            var column = inverse.Row(j);
            column[j] = 1 / lower[j, j];
            for (var i = j + 1; i < size; i++)
            {
                column[i] = -SymmetricMatrix.Dot(lower.Row(i)[j..i], column[j..i]) / lower[i, i];
            }
        }
    }
}
