using Merganser.Core.Arrows;
using Merganser.Core.Figures;

namespace Merganser.Core.Catalogues;

/// <summary>
/// A shaft that the catalogue does not have, by what is printed on it. What is not printed is taken from like shafts of
/// the catalogue, with a band that says so.
/// </summary>
/// <param name="Id">Client-made id.</param>
/// <param name="Name">What is printed; none takes the spine.</param>
/// <param name="Spine">As printed: .340 or 340, a tube code of aluminium as 2315, pounds of a wooden shaft as 45 to
/// 50 lb, or a range of any of the first.</param>
/// <param name="GrainsPerInch">As typed, or none.</param>
/// <param name="OuterDiameter">As typed, or none.</param>
/// <param name="Material">Carbon, aluminium, wood …; none takes carbon.</param>
public sealed record OwnShaft(
    string? Id,
    string? Name,
    string? Spine,
    string? GrainsPerInch,
    string? OuterDiameter,
    string? Material
)
{
    /// <summary>Shafts whose spine differs by less than this share are like it (a guess, no source).</summary>
    private const double LikeSpine = 0.2;

    /// <summary>And whose diameter differs by less than this, inches (a guess, no source).</summary>
    private const double LikeDiameter = 0.02;

    /// <summary>The least band of a mass that is not known, grains an inch (a guess, no source).</summary>
    private const double LeastBand = 0.8;

    /// <summary>So many like shafts tell a band.</summary>
    private const int Enough = 3;

    /// <summary>A shaft is sold this long where it is not known, inches (common practice, no source).</summary>
    internal const double UsualLength = 33;

    /// <summary>The maker of a part that somebody has without knowing whose it is.</summary>
    public const string Unknown = "not known";

    private const string Usual = "Carbon";

    /// <summary>The part, its unknowns filled from the catalogue's shafts.</summary>
    /// <exception cref="RefusedException">A field cannot be read or is out of range; each is named.</exception>
    public Shaft Read(IReadOnlyList<Shaft> catalogue)
    {
        var printed = Printed.Read(Spine);
        var material = string.IsNullOrWhiteSpace(Material) ? printed.Material ?? Usual : Material.Trim();
        var typed = new Dictionary<string, string?>
        {
            ["maker"] = Unknown,
            ["name"] = string.IsNullOrWhiteSpace(Name) ? $"Own {Spine?.Trim()}" : Name,
            ["tubeCode"] = printed.TubeCode,
            ["spine"] = printed.Spine,
            ["grainsPerInch"] = Else(GrainsPerInch, printed, "9"),
            ["outerDiameter"] = Else(OuterDiameter, printed, "0.246"),
            ["maxLength"] = UsualLength.ToString(System.Globalization.CultureInfo.InvariantCulture),
            ["material"] = material,
        };
        var shaft = (Shaft)ComponentTable.Read(ComponentClass.Shaft, typed) with { SpineBand = printed.Band };
        if (printed.TubeCode is not null)
        {
            return shaft;
        }

        var wide = string.IsNullOrWhiteSpace(OuterDiameter) ? (double?)null : shaft.OuterDiameter;
        var like = Like(catalogue, shaft.Spine, wide, material);
        if (wide is null && like.Count > 0)
        {
            double[] widths = [.. like.Select(s => s.OuterDiameter).Order()];
            shaft = shaft with { OuterDiameter = widths[widths.Length / 2] };
        }

        if (!string.IsNullOrWhiteSpace(GrainsPerInch))
        {
            return shaft;
        }

        double[] masses = like.Count == 0 ? [6, 12] : [.. like.Select(s => s.GrainsPerInchInUse)];
        return shaft with
        {
            GrainsPerInch = (masses.Min() + masses.Max()) / 2,
            GrainsPerInchBand = Math.Max(LeastBand, (masses.Max() - masses.Min()) / 2),
        };
    }

    /// <summary>A tube code says mass and width itself.</summary>
    private static string? Else(string? typed, Printed printed, string usual) =>
        !string.IsNullOrWhiteSpace(typed) ? typed
        : printed.TubeCode is null ? usual
        : null;

    /// <summary>Like shafts: of the material and spine, of the diameter too where that leaves enough.</summary>
    private static List<Shaft> Like(IReadOnlyList<Shaft> catalogue, double spine, double? wide, string material)
    {
        var same = catalogue
            .Where(s => s.Material.Equals(material, StringComparison.OrdinalIgnoreCase))
            .Where(s => Math.Abs(Math.Log(s.SpineInUse / spine)) < LikeSpine)
            .ToList();
        var near = same.Where(s => wide is null || Math.Abs(s.OuterDiameter - wide.Value) < LikeDiameter).ToList();
        return near.Count >= Enough ? near : same;
    }
}
