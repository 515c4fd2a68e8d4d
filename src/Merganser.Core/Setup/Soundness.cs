using Merganser.Core.Figures;
using Merganser.Core.Messages;

namespace Merganser.Core.Setup;

/// <summary>
/// A bow with a cracked limb, a frayed string or a damaged cam: nothing on it is drawn or shot until somebody has
/// repaired it.
/// </summary>
/// <param name="FoundAt">When the damage was found.</param>
public sealed record Unsound(DateTimeOffset FoundAt)
{
    /// <summary>The inspection's answer that stops everything.</summary>
    public const string Damaged = "damaged";

    /// <summary>The one answer that lets it go on; it names who did it.</summary>
    public const string Repaired = "repaired";

    /// <summary>What stands on every stop of this bow.</summary>
    public Message Words => new FoundDamaged(FoundAt);

    /// <summary>How the bow stands after its inspections: the last of damaged and repaired decides.</summary>
    /// <param name="findings">Findings in the order they were entered, withdrawn ones left out.</param>
    public static Unsound? Of(IEnumerable<DatedFinding> findings) =>
        findings.LastOrDefault(f => f.Finding is { Kind: CheckKind.Inspection, Choice: Damaged or Repaired })
            is { Finding.Choice: Damaged } found
            ? new Unsound(found.At)
            : null;

    /// <summary>
    /// Refuses a finding that an unsound bow cannot have: one that draws it, or one that calls it sound without a
    /// repair.
    /// </summary>
    /// <exception cref="RefusedException">It is refused.</exception>
    public void Check(CheckFinding finding)
    {
        if (finding.SkipReason is null && CheckTable.Draws(finding.Kind))
        {
            throw Refusal();
        }

        if (finding is { Kind: CheckKind.Inspection, Choice: not Damaged and not Repaired })
        {
            throw RefusedException.At("choice", "repaired", SetupSays.SayThatItIsRepaired);
        }
    }

    /// <summary>The refusal of whatever would draw or shoot the bow.</summary>
    public RefusedException Refusal() => new("unsound", new NotWhileUnsound(new FoundDamaged(FoundAt)));

    /// <summary>The next step of every stop: never to shoot.</summary>
    /// <param name="unsound">How the bow stands; null when it is sound.</param>
    /// <param name="next">What would be next on a sound bow.</param>
    /// <param name="mayGoOn">True where the next step neither draws nor shoots it, so that it stays on offer.</param>
    public static Next Guard(Unsound? unsound, Next next, bool mayGoOn = false) =>
        unsound is null
            ? next
            : new Next(
                SetupSays.DoNotShootUnsound,
                unsound.Words,
                "check:inspection",
                Sessions.SessionSays.ToTheInspection,
                mayGoOn ? next.Button : null,
                mayGoOn ? next.Action : null
            );
}
