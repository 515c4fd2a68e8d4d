namespace Merganser.Core.Groups;

/// <summary>
/// Where a true offset may lie about what was seen: the bivariate t, P(R &gt; r) = (1 + r²/(ν s²))^(−ν/2), every way
/// alike, taken in rings of one chance each.
/// </summary>
public static class TrueOffset
{
    private const int Rings = 200;
    private const int Parts = 120;

    /// <summary>Chance of each of the places.</summary>
    public const double Share = 1.0 / (Rings * Parts);

    /// <summary>Places of one chance each.</summary>
    /// <param name="seen">What was seen, inches.</param>
    /// <param name="scale">Its standard error on one axis, inches.</param>
    /// <param name="freedom">ν of that.</param>
    public static IEnumerable<Impact> Places(Impact seen, double scale, double freedom)
    {
        for (var ring = 0; ring < Rings; ring++)
        {
            var beyond = 1 - ((ring + 0.5) / Rings);
            var radius = scale * Math.Sqrt(freedom * (Math.Pow(beyond, -2 / freedom) - 1));
            for (var part = 0; part < Parts; part++)
            {
                var (sine, cosine) = Math.SinCos(2 * Math.PI * (part + 0.5) / Parts);
                yield return new Impact(seen.X + (radius * cosine), seen.Y + (radius * sine));
            }
        }
    }

    /// <summary>Chance that it is no longer than this.</summary>
    public static double Within(double length, Impact seen, double scale, double freedom) =>
        Share * Places(seen, scale, freedom).Count(place => place.Length <= length);
}
