using Merganser.Core.Bows;
using Merganser.Core.Figures;
using Merganser.Core.Units;
using Merganser.Data;
using Merganser.Web.Guard;

namespace Merganser.Web.Bows;

/// <summary>Takes a bow off the rack, or hangs it up again.</summary>
public sealed record ArchiveInput(bool Archived);

/// <summary>How a move is taken back: the entry was wrong, or it was turned back on the bow.</summary>
public sealed record UndoInput(string? Id, bool LoggedWrongly);

/// <summary>Half twists put into each yoke leg; negative takes them out.</summary>
public sealed record YokeInput(int Left, int Right);

/// <summary>Sizes by which each cam was shifted, + to the left.</summary>
public sealed record SpacerInput(int Top, int Bottom);

/// <summary>
/// A move as the technician made it, away from any paper: one adjuster to a step, both yoke legs, or the spacers of
/// both cams.
/// </summary>
/// <param name="From">Where the one adjuster was seen to stand; when it stands elsewhere by now, it is refused.</param>
public sealed record BowMoveInput(
    string? Id,
    AdjusterKind? Adjuster = null,
    int? To = null,
    YokeInput? Yoke = null,
    SpacerInput? Spacers = null,
    string? Note = null,
    DateTimeOffset? HappenedAt = null,
    int? From = null
)
{
    private const int LongestNote = 500;

    /// <summary>No adjuster has more steps than these.</summary>
    private static readonly AllowedRange Steps = new(-400, 400, "", Why.Nothing);

    /// <summary>The moves to log; two legs of a yoke may be two of them.</summary>
    /// <exception cref="RefusedException">Nothing was moved, or the note is too long.</exception>
    public IReadOnlyList<NewMove> Moves(string bowId, BowRow bow)
    {
        var id = ClientId.Checked(Id);
        var fields = new FieldReader();
        fields.Check((Note?.Length ?? 0) <= LongestNote, "note", "too-long", new TooLong(LongestNote));
        fields.Check(
            Yoke is not null || Spacers is not null || (Adjuster is not null && To is not null),
            "adjuster",
            "missing",
            BowSays.WhichAdjuster
        );
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
        if (Yoke is { } yoke)
        {
            var twists = new YokeTwists(yoke.Left, yoke.Right).Moves;
            return [.. twists.Select((m, i) => Twist(Derived(id, i), Standing(m.Kind), m.Steps))];
        }

        if (Spacers is { } spacers)
        {
            var cam = Standing(AdjusterKind.CamSpacer);
            var seats = (cam.Seats ?? SpacerSeats.Middle).Shifted(spacers.Top, spacers.Bottom);
            return [New(id, cam.Kind, seats.Step, seats, cam.Position)];
        }

        return [New(id, Adjuster!.Value, To!.Value, null, From)];

        NewMove New(string moveId, AdjusterKind kind, int to, SpacerSeats? seats, int? from = null) =>
            new(moveId, bowId, null, new MoveWanted(kind, to, null, Note?.Trim() ?? "", HappenedAt, seats, From: from));

        NewMove Twist(string moveId, Adjuster leg, int steps) =>
            New(moveId, leg.Kind, leg.Position + steps, null, leg.Position);

        Adjuster Standing(AdjusterKind kind) =>
            bow.Adjusters.FirstOrDefault(a => a.Kind == kind)
            ?? throw RefusedException.At("adjuster", "no-adjuster", new NoSuchAdjuster(kind));
    }

    /// <summary>Ids of the parts of one act follow from the act's own, so that a retry is safe.</summary>
    private static string Derived(string id, int part) => part == 0 ? id : $"{id}-{part}";
}
