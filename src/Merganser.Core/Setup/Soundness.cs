using Merganser.Core.Figures;

namespace Merganser.Core.Setup;

/// <summary>A bow with a cracked limb, a frayed string or a damaged cam: nothing on it is drawn or shot until somebody has repaired it.</summary>
/// <param name="FoundAt">When the damage was found.</param>
public sealed record Unsound(DateTimeOffset FoundAt)
{
    /// <summary>The inspection's answer that stops everything.</summary>
    public const string Damaged = "damaged";

    /// <summary>The one answer that lets it go on; it names who did it.</summary>
    public const string Repaired = "repaired";

    /// <summary>What stands on every stop of this bow.</summary>
    public string Words => $"Found cracked, frayed or worn on {FoundAt:d MMMM}. Do not draw it: a shop with the maker's manual.";

    /// <summary>How the bow stands after its inspections: the last of damaged and repaired decides.</summary>
    /// <param name="findings">Findings in the order they were entered, withdrawn ones left out.</param>
    public static Unsound? Of(IEnumerable<DatedFinding> findings) =>
        findings.LastOrDefault(f => f.Finding is { Kind: CheckKind.Inspection, Choice: Damaged or Repaired }) is { Finding.Choice: Damaged } found
            ? new Unsound(found.At)
            : null;

    /// <summary>The refusal of whatever would draw or shoot the bow.</summary>
    public RefusedException Refusal() => new("unsound", $"Not while this bow is unsound. {Words}");

    /// <summary>The next step of every stop: never to shoot.</summary>
    /// <param name="unsound">How the bow stands; null when it is sound.</param>
    /// <param name="next">What would be next on a sound bow.</param>
    /// <param name="mayGoOn">True where the next step neither draws nor shoots it, so that it stays on offer.</param>
    public static Next Guard(Unsound? unsound, Next next, bool mayGoOn = false) => unsound is null
        ? next
        : new Next("Do not shoot this bow until it is repaired.", unsound.Words, "check:inspection", "To the inspection",
            mayGoOn ? next.Button : null, mayGoOn ? next.Action : null);
}
