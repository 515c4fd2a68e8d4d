using Merganser.Core.Paper;

namespace Merganser.Core.Tuning;

/// <summary>
/// A control changes one thing and leaves the bow alone: does it tear alike? The isotropic two-sample test of <see cref="OneWay"/>.
/// </summary>
public static class ControlReading
{
    /// <summary>Two sets with one common spread.</summary>
    /// <exception cref="ArgumentException">Fewer than three shots in all: no spread to go by.</exception>
    public static OneWay Test(IReadOnlyList<Tear> one, IReadOnlyList<Tear> two) => OneWay.Of([one, two], OneWay.Mean([.. one, .. two]));

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
        var (what, cause) = Name(purpose);
        var differs = test.P < SessionReadings.Significant;
        var mean = new MeanTear(control);
        var because = $"{mean.Words} {test.Words}.";
        return differs
            ? new Reading(cause, true, new Evidence($"{what} tears otherwise: {(cause == Cause.Arrow ? "look at the arrow" : "look at the archer")} before the bow.", because, "The same again, alike"), "control against session, F test")
            : new Reading(cause, false, new Evidence($"{what} tears alike: not {(cause == Cause.Arrow ? "this arrow alone" : "this alone")}.", because, "More shots of both"), "control against session, F test");
    }

    /// <summary>The rung of the ladder that a control set is.</summary>
    public static string? RungOf(SetPurpose purpose) => purpose switch
    {
        SetPurpose.ControlArrow => "controlArrow",
        SetPurpose.ChangedGrip => "grip",
        SetPurpose.OtherArcher or SetPurpose.Machine => "archer",
        _ => null,
    };

    private static (string, Cause) Name(SetPurpose purpose) => purpose switch
    {
        SetPurpose.ControlArrow => ("The control arrow", Cause.Arrow),
        SetPurpose.ChangedGrip => ("A changed grip", Cause.Form),
        SetPurpose.OtherArcher => ("Another archer", Cause.Form),
        _ => ("The machine", Cause.Form),
    };
}
