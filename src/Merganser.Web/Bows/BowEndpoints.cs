using Merganser.Core.Bows;
using Merganser.Core.Figures;
using Merganser.Core.Messages;
using Merganser.Core.Setup;
using Merganser.Core.Units;
using Merganser.Data;
using Merganser.Web.Archers;
using Merganser.Web.Guard;

namespace Merganser.Web.Bows;

/// <summary>One adjuster that the bow has, with its travel in steps.</summary>
public sealed record AdjusterInput(
    AdjusterKind Kind,
    int Lower,
    int Upper,
    bool NeedsPress,
    string? InchesPerStep = null
);

/// <summary>A bow as sent.</summary>
/// <param name="Id">Made by the client for this one submission.</param>
/// <param name="ArcherId">Whose it is: an archer who is on the rack already.</param>
/// <param name="Entry">What was typed of the bow.</param>
/// <param name="Adjusters">What it has to adjust.</param>
/// <param name="Archer">With a new bow: a new archer, in place of <paramref name="ArcherId"/>. With a known bow: its
/// archer as edited.</param>
/// <param name="ArcherVersion">The version that an edit of the archer was made on.</param>
public sealed record BowInput(
    string? Id,
    string? ArcherId,
    BowEntry Entry,
    IReadOnlyList<AdjusterInput> Adjusters,
    ArcherInput? Archer = null,
    int? ArcherVersion = null
)
{
    private const int MostSteps = 200;

    /// <summary>
    /// Whose a new bow is. A new archer draws with the hand of the bow; fields of bow and archer are refused together.
    /// </summary>
    /// <exception cref="RefusedException">Some field cannot be read; each is named.</exception>
    public NewOwner NewOwner()
    {
        if (Archer is null)
        {
            return new NewOwner(ArcherId ?? throw new MissingException("archer"), null);
        }

        var archer = Both(Archer with { Hand = Entry.Hand });
        return new NewOwner(ClientId.Checked(Archer.Id), archer);
    }

    /// <summary>The archer as edited with the bow, or null.</summary>
    public EditedArcher? EditedArcher() =>
        Archer is null
            ? null
            : new EditedArcher(ArcherVersion ?? throw new PreconditionMissingException(), Both(Archer));

    private Archer Both(ArcherInput archer)
    {
        List<FieldProblem> problems = [];
        Archer? read = null;
        Try(
            () => read = archer.Read(),
            problem => problem.Field == "name" ? problem with { Field = "archerName" } : problem
        );
        Try(() => _ = Entry.Read(), problem => problem);
        return problems.Count == 0 ? read! : throw RefusedException.Of(problems);

        void Try(Action act, Func<FieldProblem, FieldProblem> named)
        {
            try
            {
                act();
            }
            catch (RefusedException refused)
            {
                problems.AddRange(refused.Problems.Select(named));
            }
        }
    }

    private static readonly AllowedRange StepSize = new(0.0005, 1, Unit.Inch, Why.StepAtThePart);

    /// <summary>The adjusters at their marks, checked.</summary>
    public IReadOnlyList<Adjuster> ReadAdjusters(IReadOnlyList<Adjuster> standing)
    {
        var fields = new FieldReader();
        Dictionary<AdjusterKind, double?> sizes = [];
        foreach (var adjuster in Adjusters)
        {
            var at = standing.FirstOrDefault(a => a.Kind == adjuster.Kind)?.Position ?? 0;
            sizes[adjuster.Kind] = fields
                .Optional(
                    $"adjusters.{FactsJson.Word(adjuster.Kind)}.inchesPerStep",
                    adjuster.InchesPerStep,
                    Quantity.Length,
                    StepSize
                )
                ?.Value;
            fields.Check(
                adjuster.Lower >= -MostSteps
                    && adjuster.Upper <= MostSteps
                    && adjuster.Lower <= at
                    && adjuster.Upper >= at,
                $"adjusters.{FactsJson.Word(adjuster.Kind)}",
                "range",
                new TravelHoldsStep(at, MostSteps)
            );
        }

        fields.Check(
            Adjusters.Select(a => a.Kind).Distinct().Count() == Adjusters.Count,
            "adjusters",
            "twice",
            BowSays.ListedTwice
        );
        fields.ThrowIfAny();
        return
        [
            .. Adjusters.Select(a =>
                AdjusterTable.Fresh(a.Kind) with
                {
                    Lower = a.Lower,
                    Upper = a.Upper,
                    NeedsPress = a.NeedsPress,
                    InchesPerStep = sizes[a.Kind],
                }
            ),
        ];
    }
}

/// <summary>An adjuster with its words for the bench.</summary>
/// <param name="Plus">One + step as an order.</param>
/// <param name="Minus">One − step as an order.</param>
/// <param name="Standing">Where it stands, in the hand's own words.</param>
/// <param name="Room">What is left of its travel each way.</param>
/// <param name="Places">The same words for every step from <paramref name="Lower"/> to
/// <paramref name="Upper"/>.</param>
public sealed record AdjusterView(
    AdjusterKind Kind,
    Message Name,
    TearAxis Axis,
    Message StepUnit,
    int Position,
    int Lower,
    int Upper,
    bool NeedsPress,
    Message Plus,
    Message Minus,
    double? InchesPerStep,
    SpacerSeats? Seats,
    Message Standing,
    Message Room,
    IReadOnlyList<Message> Places
)
{
    public static AdjusterView Of(Adjuster adjuster)
    {
        var (kind, position) = (adjuster.Kind, adjuster.Position);
        var (down, up) = adjuster.Left;
        var places = Enumerable
            .Range(adjuster.Lower, adjuster.Upper - adjuster.Lower + 1)
            .Select(p => new Standing(kind, p));
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
            adjuster.Seats,
            new Standing(kind, position),
            new Room(kind, down, up),
            [.. places]
        );
    }
}

/// <summary>A logged move in words, with where the adjuster stood before and after it.</summary>
public sealed record MoveView(
    string Id,
    AdjusterKind Adjuster,
    Message Name,
    int From,
    int To,
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

/// <summary>A bow with everything its page shows.</summary>
public sealed record BowView(
    string Id,
    string ArcherId,
    Bow Bow,
    BowEntry Typed,
    IReadOnlyList<AdjusterView> Adjusters,
    IReadOnlyList<MoveView> Moves,
    Message Line,
    FactorView Factor,
    DisplayUnits Units,
    int Version,
    Next Next,
    DateTimeOffset? ArchivedAt,
    Message? Unsound,
    string FirstLength
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
    bool Usual
);

public static class BowEndpoints
{
    public static void MapBows(this IEndpointRouteBuilder api)
    {
        api.MapGet("/bows/{id}", (string id, BowStore bows, ArcherStore archers) => View(bows.Get(id), bows, archers));
        api.MapPost(
            "/bows",
            (BowInput input, BowStore bows, ArcherStore archers) =>
            {
                var id = ClientId.Checked(input.Id);
                var owner = input.NewOwner();
                return View(bows.Add(id, owner, input.Entry, input.ReadAdjusters([])), bows, archers);
            }
        );
        api.MapPut(
            "/bows/{id}",
            (string id, BowInput input, HttpRequest request, BowStore bows, ArcherStore archers) =>
                View(
                    bows.Change(
                        id,
                        request.IfMatch(),
                        input.Entry,
                        input.ReadAdjusters(bows.Get(id).Adjusters),
                        input.EditedArcher()
                    ),
                    bows,
                    archers
                )
        );
        api.MapPost(
            "/bows/{id}/archive",
            (string id, ArchiveInput input, BowStore bows, ArcherStore archers) =>
                View(bows.Archive(id, input.Archived), bows, archers)
        );
        api.MapPost(
            "/bows/{id}/moves",
            (string id, BowMoveInput input, BowStore bows, ArcherStore archers) =>
            {
                bows.LogTogether(input.Moves(id, bows.Get(id)));
                return View(bows.Get(id), bows, archers);
            }
        );
        api.MapPost(
            "/bows/{id}/moves/{moveId}/undo",
            (string id, string moveId, UndoInput input, BowStore bows, ArcherStore archers) =>
            {
                bows.TakeBack(id, moveId, ClientId.Checked(input.Id), input.LoggedWrongly);
                return View(bows.Get(id), bows, archers);
            }
        );
        api.MapGet(
            "/adjusters",
            (string kind, string cams) =>
                Offers(KnownWord.Read<BowKind>("kind", kind), KnownWord.Read<CamSystem>("cams", cams))
        );
    }

    private static AdjusterOffer[] Offers(BowKind kind, CamSystem cams)
    {
        var usual = AdjusterTable.Usual(kind, cams);
        return
        [
            .. AdjusterTable
                .Possible(kind)
                .Select(AdjusterTable.Of)
                .Select(f => new AdjusterOffer(
                    f.Kind,
                    new AdjusterName(f.Kind),
                    new Steps(f.Kind, 1),
                    f.Lower,
                    f.Upper,
                    f.NeedsPress,
                    usual.Contains(f.Kind)
                )),
        ];
    }

    public static BowView View(BowRow row, BowStore bows, ArcherStore archers)
    {
        var factor = BowFactor.For(row.Bow);
        var moves = bows.Moves(row.Id).Select(MoveView.Of).ToArray();
        return new BowView(
            row.Id,
            row.ArcherId,
            row.Bow,
            row.Typed,
            [.. row.Adjusters.Select(AdjusterView.Of)],
            moves,
            Line(row.Bow),
            new FactorView(factor.Factor, factor.ModelSpread, factor.Why),
            archers.Get(row.ArcherId).Archer.Units ?? DisplayUnits.Trade,
            row.Version,
            Unsound.Guard(row.Unsound, NextFor(row.Bow)),
            row.ArchivedAt,
            row.Unsound?.Words,
            FormattableString.Invariant($"{row.Bow.FirstCut:0.#}")
        );
    }

    /// <summary>The bow in one line: kind, hand, weight.</summary>
    public static Message Line(Bow bow) =>
        new BowLine(bow.Kind, Measure.Pounds(bow.DrawWeight), bow.MeasuredWeight is null);

    private static Next NextFor(Bow bow) =>
        bow.MeasuredWeight is null
            ? new Next(
                BowSays.MeasureTheDrawWeight,
                BowSays.MarkedWeightCanBeOff,
                "measureWeight",
                BowSays.GoToTheDrawWeight,
                BowSays.ChooseTheArrow,
                "arrow"
            )
            : new Next(BowSays.BowIsMeasured, BowSays.ArrowFollows, "arrow", BowSays.ChooseTheArrow);
}
