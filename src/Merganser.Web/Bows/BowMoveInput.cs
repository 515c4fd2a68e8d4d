using Merganser.Core.Bows;
using Merganser.Core.Figures;
using Merganser.Core.Sessions;
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
/// <param name="Seats">The pieces that stood there before, where nobody had said it yet.</param>
public sealed record SpacerInput(int Top, int Bottom, SeatsInput? Seats = null);

/// <summary>The size of the piece in each seat.</summary>
public sealed record SeatsInput(int TopLeft, int TopRight, int BottomLeft, int BottomRight)
{
    /// <summary>As they were read off.</summary>
    public SpacerSeats Read() => new(TopLeft, TopRight, BottomLeft, BottomRight);
}

/// <summary>
/// A move as the technician made it, away from any paper: one adjuster to a step, both yoke legs, or the spacers of
/// both cams.
/// </summary>
/// <param name="From">Where the one adjuster was seen to stand; when it stands elsewhere by now, it is refused.</param>
public sealed record BowMoveInput(
    string? Id,
    AdjusterKind? Adjuster = null,
    double? To = null,
    YokeInput? Yoke = null,
    SpacerInput? Spacers = null,
    string? Note = null,
    DateTimeOffset? HappenedAt = null,
    double? From = null
)
{
    private const int LongestNote = 500;

    /// <summary>The moves to log; two legs of a yoke may be two of them.</summary>
    /// <exception cref="RefusedException">Nothing was moved, or the note is too long.</exception>
    public IReadOnlyList<NewMove> Moves(string bowId, BowRow bow)
    {
        var id = ClientId.Checked(Id);
        var fields = new FieldReader();
        fields.Check((Note?.Length ?? 0) <= LongestNote, "note", "too-long", new TooLong(LongestNote));
        fields.ThrowIfAny();
        var moves = Told(Adjuster, To, Yoke, Spacers, From).Read(bow.Adjusters);
        return
        [
            .. moves.Select(
                (m, i) =>
                    new NewMove(
                        SessionActs.NewMoveId(id, i),
                        bowId,
                        null,
                        m with
                        {
                            Note = Note?.Trim() ?? "",
                            HappenedAt = HappenedAt,
                        }
                    )
            ),
        ];
    }

    /// <summary>A move as it was told, here or at a paper.</summary>
    public static MoveTold Told(
        AdjusterKind? adjuster,
        double? to,
        YokeInput? yoke,
        SpacerInput? spacers,
        double? from
    ) =>
        new(
            adjuster,
            to,
            yoke is null ? null : new YokeTwists(yoke.Left, yoke.Right),
            spacers is null ? null : new SpacerShift(spacers.Top, spacers.Bottom, spacers.Seats?.Read()),
            from
        );
}
