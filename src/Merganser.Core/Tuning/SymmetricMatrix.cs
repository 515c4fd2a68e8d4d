namespace Merganser.Core.Tuning;

/// <summary>
/// A small symmetric matrix, kept whole and row by row; the engine's algebra by name. Nothing here allocates but the
/// constructor.
/// </summary>
/// <param name="size">Rows, at least 1.</param>
public sealed class SymmetricMatrix(int size)
{
    private readonly double[] values = new double[size * size];

    /// <summary>Rows.</summary>
    public int Size => size;

    /// <summary>An entry; writing it leaves its mirror as it is.</summary>
    public double this[int row, int column]
    {
        get => values[(row * size) + column];
        set => values[(row * size) + column] = value;
    }

    /// <summary>All entries, row by row: for loops in which a slice a row would cost as much as the sum.</summary>
    internal Span<double> Values => values;

    /// <summary>One row.</summary>
    public Span<double> Row(int row) => values.AsSpan(row * size, size);

    /// <summary>Takes over every entry of another of the same size.</summary>
    public void CopyFrom(SymmetricMatrix other) => other.values.CopyTo(values, 0);

    /// <summary>A copy.</summary>
    public SymmetricMatrix Copy()
    {
        var copy = new SymmetricMatrix(size);
        copy.CopyFrom(this);
        return copy;
    }

    /// <summary>Adds w (x xᵀ + y yᵀ) to the lower half.</summary>
    public void AddLower(double w, ReadOnlySpan<double> x, ReadOnlySpan<double> y)
    {
        for (var i = 0; i < size; i++)
        {
            if (x[i] == 0 && y[i] == 0)
            {
                continue;
            }

            var row = values.AsSpan(i * size, i + 1);
            var (xi, yi) = (x[i], y[i]);
            for (var j = 0; j < row.Length; j++)
            {
                row[j] += w * ((xi * x[j]) + (yi * y[j]));
            }
        }
    }

    /// <summary>One entry of the product A v.</summary>
    public double RowTimes(int row, ReadOnlySpan<double> v) => Dot(Row(row), v);

    /// <summary>vᵀ A v; what is zero in v is passed over.</summary>
    public double Quadratic(ReadOnlySpan<double> v)
    {
        var sum = 0.0;
        for (var i = 0; i < size; i++)
        {
            if (v[i] == 0)
            {
                continue;
            }

            var row = values.AsSpan(i * size, i + 1);
            var vi = v[i];
            sum += vi * vi * row[i];
            for (var j = 0; j < i; j++)
            {
                sum += 2 * vi * row[j] * v[j];
            }
        }

        return sum;
    }

    /// <summary>uᵀ A v; what is zero in u is passed over.</summary>
    public double Between(ReadOnlySpan<double> u, ReadOnlySpan<double> v)
    {
        var sum = 0.0;
        for (var i = 0; i < size; i++)
        {
            if (u[i] != 0)
            {
                sum += u[i] * RowTimes(i, v);
            }
        }

        return sum;
    }

    /// <summary>D A D with a diagonal D: the covariance of variables that are each scaled.</summary>
    public SymmetricMatrix Scaled(ReadOnlySpan<double> diagonal)
    {
        var scaled = new SymmetricMatrix(size);
        for (var i = 0; i < size; i++)
        {
            for (var j = 0; j < size; j++)
            {
                scaled[i, j] = diagonal[i] * this[i, j] * diagonal[j];
            }
        }

        return scaled;
    }

    /// <summary>The scalar product.</summary>
    public static double Dot(ReadOnlySpan<double> a, ReadOnlySpan<double> b)
    {
        var sum = 0.0;
        for (var i = 0; i < a.Length; i++)
        {
            sum += a[i] * b[i];
        }

        return sum;
    }
}
