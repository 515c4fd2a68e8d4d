using Merganser.Core.Bows;
using Merganser.Core.Figures;
using Merganser.Core.Messages;
using Merganser.Core.Units;
using Merganser.Data;
using Merganser.Web.Ui;

namespace Merganser.Web.Bows;

/// <summary>An adjuster with its words for the bench.</summary>
/// <param name="Plus">One + step as an order.</param>
/// <param name="Minus">One − step as an order.</param>
/// <param name="Standing">Where it stands, in the hand's own words.</param>
/// <param name="Room">What is left of its travel each way.</param>
/// <param name="Halves">True where it stands between two steps as well.</param>
/// <param name="Places">The words of where it stands, from <paramref name="Lower"/> to <paramref name="Upper"/>: by
/// steps, or by half steps where it has halves.</param>
public sealed record AdjusterView(
    AdjusterKind Kind,
    Message Name,
    TearAxis Axis,
    Message StepUnit,
    double Position,
    int Lower,
    int Upper,
    bool NeedsPress,
    Message Plus,
    Message Minus,
    double? InchesPerStep,
    AdjusterWay Way,
    SpacerSeats? Seats,
    Message Standing,
    Message Room,
    bool Halves,
    IReadOnlyList<Message> Places
)
{
    public static AdjusterView Of(Adjuster adjuster)
    {
        var (kind, position) = (adjuster.Kind, adjuster.Position);
        var (down, up) = adjuster.Left;
        var halves = AdjusterTable.HasHalves(kind);
        var each = halves ? 2 : 1;
        var places = Enumerable
            .Range(0, (each * (adjuster.Upper - adjuster.Lower)) + 1)
            .Select(p => new Standing(kind, adjuster.Lower + (p / (double)each)));
        return new AdjusterView(
            kind,
            new AdjusterName(kind),
            AdjusterTable.Of(kind).Axis,
            new Steps(kind, 1),
            position,
            adjuster.Lower,
            adjuster.Upper,
            adjuster.NeedsPress,
            new Order(kind, 1),
            new Order(kind, -1),
            adjuster.InchesPerStep,
            adjuster.Way,
            adjuster.Seats,
            new Standing(kind, position),
            new Room(kind, down, up),
            halves,
            [.. places]
        );
    }
}

/// <summary>A logged move in words, with where the adjuster stood before and after it.</summary>
public sealed record MoveView(
    string Id,
    AdjusterKind Adjuster,
    Message Name,
    double From,
    double To,
    Message Words,
    bool Correction,
    string? Corrects,
    string Note,
    string? PaperId,
    string? AfterSetId,
    DateTimeOffset HappenedAt,
    DateTimeOffset RecordedAt,
    int Ordinal,
    Message Before,
    Message After
)
{
    public static MoveView Of(MoveRow move)
    {
        var kind = move.Adjuster;
        return new MoveView(
            move.Id,
            kind,
            new AdjusterName(kind),
            move.From,
            move.To,
            new Order(kind, move.To - move.From),
            move.Corrects is not null,
            move.Corrects,
            move.Note,
            move.PaperId,
            move.AfterSetId,
            move.HappenedAt,
            move.RecordedAt,
            move.Ordinal,
            new Standing(kind, move.From),
            new Standing(kind, move.To)
        );
    }
}

/// <summary>A page of a bow's moves, in order.</summary>
/// <param name="Moves">They.</param>
/// <param name="Earlier">Asked for with <c>before</c>, the page before this one; null when there is none.</param>
public sealed record MovePage(IReadOnlyList<MoveView> Moves, int? Earlier)
{
    /// <summary>The newest moves of a bow, or those before one.</summary>
    public static MovePage Of(BowStore bows, string bowId, int? before = null)
    {
        var found = bows.Moves(bowId, ListPage.Length, before);
        return new MovePage(
            [.. found.Select(MoveView.Of)],
            found.Count == ListPage.Length && found[0].Ordinal > 1 ? found[0].Ordinal : null
        );
    }
}

/// <summary>A bow with everything its page shows.</summary>
/// <param name="Moves">The newest moves.</param>
/// <param name="LastMoves">The last move of each adjuster.</param>
public sealed record BowView(
    string Id,
    string ArcherId,
    Bow Bow,
    BowEntry Typed,
    IReadOnlyList<AdjusterView> Adjusters,
    MovePage Moves,
    IReadOnlyList<MoveView> LastMoves,
    Message Line,
    FactorView Factor,
    DisplayUnits Units,
    int Version,
    Next Next,
    DateTimeOffset? ArchivedAt,
    Message? Unsound
);

/// <summary>The bow factor that is in use, and the stated default it stands for.</summary>
public sealed record FactorView(double Factor, double ModelSpread, Message Why);

/// <summary>What an adjuster is called and usually has, for a bow that is being entered.</summary>
public sealed record AdjusterOffer(
    AdjusterKind Kind,
    Message Name,
    Message StepUnit,
    int Lower,
    int Upper,
    bool NeedsPress,
    bool WayIsAFact,
    bool Usual
);
