using System.Globalization;
using System.Text.RegularExpressions;
using Merganser.Core.Spine;
using Merganser.Core.Units;

namespace Merganser.Core.Catalogues;

/// <summary>
/// The stiffness that is printed on a shaft, as its table reads it: a deflection for carbon, a tube code for aluminium,
/// pounds for wood (common practice, no source).
/// </summary>
/// <param name="Spine">The spine as its field takes it, or null where the tube code says it.</param>
/// <param name="TubeCode">A tube code of aluminium, or null.</param>
/// <param name="Band">Half of the range, inches; 0 for one number.</param>
/// <param name="Material">What only this material is marked by, or null.</param>
public sealed partial record Printed(string? Spine, string? TubeCode, double Band, string? Material)
{
    /// <summary>Numbers above this are thousandths of an inch, as 340 is .340.</summary>
    private const double Thousandths = 10;

    /// <summary>Reads what is printed; what cannot be read is left to its field to refuse.</summary>
    public static Printed Read(string? printed)
    {
        var text = printed?.Trim() ?? "";
        if (TubeCodes().IsMatch(text))
        {
            return new Printed(null, text, 0, "Aluminium");
        }

        try
        {
            if (Pounds().IsMatch(text))
            {
                var pounds = Span.Parse(text.Replace("#", " lb"), Quantity.DrawWeight);
                return Of(StaticSpine.FromAmoPounds(pounds.High), StaticSpine.FromAmoPounds(pounds.Low), "Wood");
            }

            var span = Span.Parse(text, Quantity.Length);
            return span.Band > 0 ? Of(Inches(span.Low), Inches(span.High), null) : new Printed(text, null, 0, null);
        }
        catch (EntryException)
        {
            return new Printed(text, null, 0, null);
        }
    }

    private static Printed Of(double low, double high, string? material) =>
        new(((low + high) / 2).ToString("0.######", CultureInfo.InvariantCulture), null, (high - low) / 2, material);

    private static double Inches(double number) => number > Thousandths ? number / 1000 : number;

    [GeneratedRegex(@"^(1[3-9]|2[0-9])\d\d$")]
    private static partial Regex TubeCodes();

    [GeneratedRegex(@"\d\s*(#|lbs?)$", RegexOptions.IgnoreCase)]
    private static partial Regex Pounds();
}
