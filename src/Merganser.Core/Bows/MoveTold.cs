using Merganser.Core.Figures;

namespace Merganser.Core.Bows;

/// <summary>Sizes by which the cams were shifted, + to the left.</summary>
/// <param name="Top">The top cam.</param>
/// <param name="Bottom">The bottom cam.</param>
/// <param name="Before">The pieces that stood in the seats, where nobody had said it yet.</param>
public sealed record SpacerShift(int Top, int Bottom, SpacerSeats? Before = null);

/// <summary>
/// A move as a technician tells it: one adjuster to a step, both legs of a yoke, or the spacers of both cams; and what
/// was moved on the other axis in the same visit.
/// </summary>
/// <param name="Adjuster">The one adjuster, or null.</param>
/// <param name="To">The step it stands at now.</param>
/// <param name="Yoke">Half twists of both legs, or null.</param>
/// <param name="Spacers">Sizes of both cams, or null.</param>
/// <param name="From">Where the one adjuster was seen to stand.</param>
/// <param name="Also">What was moved with it, or null.</param>
public sealed record MoveTold(
    AdjusterKind? Adjuster,
    double? To,
    YokeTwists? Yoke = null,
    SpacerShift? Spacers = null,
    double? From = null,
    MoveTold? Also = null
)
{
    /// <summary>No adjuster has more steps than these.</summary>
    private static readonly AllowedRange Steps = new(-400, 400, "", Why.Nothing);

    /// <summary>The moves to log; two legs of a yoke may be two of them.</summary>
    /// <param name="standing">The bow's adjusters as they stand.</param>
    /// <exception cref="RefusedException">
    /// Nothing was moved, the bow has no such adjuster, or the spacers' seats are not known.
    /// </exception>
    public IReadOnlyList<MoveWanted> Read(IReadOnlyList<Adjuster> standing)
    {
        var fields = new FieldReader();
        var told = Yoke is not null || Spacers is not null || (Adjuster is not null && To is not null);
        fields.Check(told, "adjuster", "missing", BowSays.WhichAdjuster);
        fields.Check(
            Yoke is null or { Left: not 0 } or { Right: not 0 },
            "yoke",
            "nothing-moved",
            BowSays.NothingTwisted
        );
        fields.Check(
            Spacers is null or { Top: not 0 } or { Bottom: not 0 },
            "spacers",
            "nothing-moved",
            BowSays.NothingMoved
        );
        foreach (var steps in new[] { Yoke?.Left, Yoke?.Right, Spacers?.Top, Spacers?.Bottom })
        {
            fields.Inside(Yoke is null ? "spacers" : "yoke", steps ?? 0, Steps);
        }

        fields.ThrowIfAny();
        return [.. Moves(standing), .. Also?.Read(standing) ?? []];
    }

    private IEnumerable<MoveWanted> Moves(IReadOnlyList<Adjuster> standing)
    {
        if (Yoke is { } yoke)
        {
            return yoke.Moves.Select(m => Twisted(Standing(standing, m.Kind), m.Steps));
        }

        return Spacers is { } shift
            ? [Shifted(Standing(standing, AdjusterKind.CamSpacer), shift)]
            : [new MoveWanted(Adjuster!.Value, To!.Value, From: From)];
    }

    private static MoveWanted Twisted(Adjuster leg, int steps) =>
        new(leg.Kind, leg.Position + steps, From: leg.Position);

    private static MoveWanted Shifted(Adjuster spacers, SpacerShift shift)
    {
        var before =
            spacers.Seats
            ?? shift.Before?.Checked()
            ?? throw RefusedException.At("seats", "missing", BowSays.SayTheSeats);
        var after = before.Shifted(shift.Top, shift.Bottom);
        return new MoveWanted(
            spacers.Kind,
            spacers.Position + after.Step - before.Step,
            Seats: after,
            SeatsBefore: before,
            From: spacers.Position
        );
    }

    private static Adjuster Standing(IReadOnlyList<Adjuster> standing, AdjusterKind kind) =>
        standing.FirstOrDefault(a => a.Kind == kind)
        ?? throw RefusedException.At("adjuster", "no-adjuster", new NoSuchAdjuster(kind));
}
