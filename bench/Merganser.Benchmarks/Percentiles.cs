namespace Merganser.Benchmarks;

/// <summary>Percentiles of measured times, printed on one line.</summary>
public static class Percentiles
{
    public static string Line(IEnumerable<double> milliseconds)
    {
        var sorted = milliseconds.Order().ToArray();
        return sorted.Length == 0
            ? "  nothing was measured"
            : $"  n {sorted.Length}, median {At(0.5):F2} ms, p95 {At(0.95):F2} ms, p99 {At(0.99):F2} ms, most {sorted[^1]:F2} ms";

        double At(double share) => sorted[Math.Min(sorted.Length - 1, (int)(share * sorted.Length))];
    }
}
