using Merganser.Core.Paper;
using static Merganser.Core.Units.Show;

namespace Merganser.Core.Tuning;

/// <summary>
/// A control changes one thing and leaves the bow alone: does it tear alike? Isotropic two-sample test, F = nm/(n+m)·|d|²/2/s² on (2, 2(n+m−2)),
/// p = (1 + 2F/ν)^(−ν/2) (closed form for two numerator degrees; NIST/SEMATECH e-Handbook 1.3.6.6.5).
/// </summary>
public static class ControlReading
{
    /// <summary>p of two sets with one common spread.</summary>
    /// <exception cref="ArgumentException">Fewer than three shots in all: no spread to go by.</exception>
    public static (double F, double P) Test(IReadOnlyList<Tear> one, IReadOnlyList<Tear> two)
    {
        var freedom = 2.0 * (one.Count + two.Count - 2);
        if (freedom <= 0)
        {
            throw new ArgumentException("Two sets want three shots in all.", nameof(two));
        }

        var (a, b) = (new MeanTear(one).Mean, new MeanTear(two).Mean);
        var squares = one.Sum(t => Math.Pow(t.X - a.X, 2) + Math.Pow(t.Y - a.Y, 2)) + two.Sum(t => Math.Pow(t.X - b.X, 2) + Math.Pow(t.Y - b.Y, 2));
        var apart = Math.Pow(a.X - b.X, 2) + Math.Pow(a.Y - b.Y, 2);
        var f = one.Count * (double)two.Count / (one.Count + two.Count) * apart / 2 / Math.Max(squares / freedom, MeanTear.ReadingError * MeanTear.ReadingError);
        return (f, Math.Pow(1 + (2 * f / freedom), -freedom / 2));
    }

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

        var (f, p) = Test(session, control);
        var (what, cause) = Name(purpose);
        var differs = p < SessionReadings.Significant;
        var mean = new MeanTear(control);
        var because = $"{mean.Words} F(2, {Number(2.0 * (session.Count + control.Count - 2), 0)}) = {Number(f, 2)}, {Probability(p)}.";
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
