using Merganser.Core.Paper;

namespace Merganser.Core.Tuning;

/// <summary>
/// A control changes one thing and leaves the bow alone: does it tear alike? The isotropic two-sample test of
/// <see cref="OneWay"/>.
/// </summary>
public static class ControlReading
{
    /// <summary>Two sets with one common spread.</summary>
    /// <exception cref="ArgumentException">Fewer than three shots in all: no spread to go by.</exception>
    public static OneWay Test(IReadOnlyList<Tear> one, IReadOnlyList<Tear> two) =>
        OneWay.Of([one, two], Tear.Mean([.. one, .. two]));

    /// <summary>The reading, or null while there is too little.</summary>
    /// <param name="purpose">What was changed.</param>
    /// <param name="session">The session's tears at the same setting and stage.</param>
    /// <param name="control">The control's tears.</param>
    public static Reading? Of(SetPurpose purpose, IReadOnlyList<Tear> session, IReadOnlyList<Tear> control)
    {
        if (session.Count < 2 || control.Count < 2)
        {
            return null;
        }

        var test = Test(session, control);
        var cause = purpose == SetPurpose.ControlArrow ? Cause.Arrow : Cause.Form;
        var differs = test.P < SessionReadings.Significant;
        var evidence = new Evidence(
            new ControlTears(purpose, differs, cause == Cause.Arrow),
            new ControlBecause(new MeanTear(control).Reading, test.Line),
            differs ? TuningSays.SameAgainAlike : TuningSays.MoreShotsOfBoth
        );
        return new Reading(cause, differs, evidence, TuningSays.TestControl);
    }

    /// <summary>The rung of the ladder that a control set is.</summary>
    public static RungKind? RungOf(SetPurpose purpose) =>
        purpose switch
        {
            SetPurpose.ControlArrow => RungKind.ControlArrow,
            SetPurpose.ChangedGrip => RungKind.Grip,
            SetPurpose.OtherArcher or SetPurpose.Machine => RungKind.Archer,
            _ => null,
        };
}
