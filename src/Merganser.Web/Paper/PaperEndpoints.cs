using System.Text;
using Merganser.Core.Bows;
using Merganser.Core.Figures;
using Merganser.Core.Groups;
using Merganser.Core.Messages;
using Merganser.Core.Paper;
using Merganser.Core.Sessions;
using Merganser.Core.Setup;
using Merganser.Core.Units;
using Merganser.Data;
using Merganser.Web.Guard;
using Merganser.Web.Ui;
using Merganser.Web.Words;

namespace Merganser.Web.Paper;

/// <summary>Usual stages to pick from.</summary>
public sealed record StageChoice(string Code, Message Words, IReadOnlyList<PlannedStage> Stages);

/// <summary>What a plan and a marking are picked from.</summary>
/// <param name="NoStrict">Why nothing finer than the usual tolerance is offered; null where it is.</param>
/// <param name="NoSight">Said of heads where the bow has no sight to move; null where it has.</param>
/// <param name="BareOnly">Said of bare stages before the paper begins.</param>
/// <param name="FletchedFar">Said of fletched stages farther out.</param>
/// <param name="BothAxes">True for a technician with a press: a move for each axis may be advised at once.</param>
public sealed record PaperChoices(
    IReadOnlyList<StageChoice> Stages,
    IReadOnlyList<SaidSize> Sizes,
    IReadOnlyList<Message> BeforeYouShoot,
    IReadOnlyList<Message> BeforeGroups,
    IReadOnlyList<Message> BeforeHeads,
    IReadOnlyList<Message> BeforeWalk,
    IReadOnlyList<Message> BeforeOnePin,
    IReadOnlyList<Message> BeforeSighting,
    IReadOnlyList<Message> BeforeWays,
    IReadOnlyList<Message> BeforeRangeError,
    IReadOnlyList<Message> BeforeNockEnd,
    Message EnoughOfNockEnd,
    Message UsualTolerance,
    Message StrictTolerance,
    Message EnoughAtTarget,
    Message EnoughOfWalk,
    Message EnoughOfZero,
    Message? NoSight,
    bool BothAxes,
    Message? NoStrict,
    Message BareOnly,
    Message FletchedFar
);

/// <summary>A page of a bow's papers in a line each, the newest first.</summary>
/// <param name="Papers">They.</param>
/// <param name="Earlier">Asked for with <c>before</c>, the page before this one; null when there is none.</param>
public sealed record PaperPage(IReadOnlyList<PaperLine> Papers, string? Earlier);

/// <summary>The paper that was begun last; null for a bow that has none.</summary>
public sealed record NewestPaper(PaperView? Paper);

public static class PaperEndpoints
{
    public static void MapPaper(this IEndpointRouteBuilder api)
    {
        api.MapGet(
            "/bows/{bowId}/paper-choices",
            (string bowId, BowStore bows, ArcherStore archers) =>
            {
                var bow = bows.Get(bowId);
                return Choices(bow.Bow, archers.Get(bow.ArcherId).Archer);
            }
        );
        api.MapGet(
            "/bows/{bowId}/papers",
            (string bowId, string? before, PaperStore papers) =>
            {
                var found = papers.Lines(bowId, ListPage.Length + 1, before);
                PaperLine[] shown = [.. found.Take(ListPage.Length)];
                return new PaperPage(shown, found.Count > shown.Length ? shown[^1].Id : null);
            }
        );
        api.MapGet(
            "/bows/{bowId}/papers/newest",
            (string bowId, PaperStore papers, PaperDesk desk) =>
                new NewestPaper(papers.Newest(bowId) is { } paper ? desk.View(paper) : null)
        );
        api.MapGet("/bows/{bowId}/tolerated", (string bowId, PaperDesk desk) => desk.Tolerated(bowId));
        api.MapGet("/papers/{id}", (string id, PaperDesk desk) => desk.View(id));
        api.MapPost(
            "/papers",
            (PaperInput input, PaperStore papers, PaperDesk desk) => desk.View(papers.Start(input.Read()))
        );
        api.MapPost(
            "/papers/{id}/sets",
            (string id, SetInput input, PaperStore papers, ArrowStore arrows, PaperDesk desk) =>
                desk.View(
                    papers.Append(
                        id,
                        ClientId.Checked(input.Id),
                        s => input.Begin(s, arrows.Known(input.ArrowVersionId) ?? s.Sets[0].Begun.Arrow)
                    )
                )
        );
        api.MapPost(
            "/sets/{id}/shots",
            (string id, ShotInput input, PaperStore papers, PaperDesk desk) =>
                desk.View(papers.Mark(id, ClientId.Checked(input.Id), input.Read()))
        );
        api.MapPost(
            "/sets/{id}/hits",
            (string id, HitInput input, PaperStore papers, PaperDesk desk) =>
                desk.View(papers.Mark(id, ClientId.Checked(input.Id), input.Read()))
        );
        api.MapPost(
            "/sets/{id}/hits/table",
            (string id, HitsTableInput input, PaperStore papers, PaperDesk desk) =>
                desk.View(
                    papers.MarkAll(
                        id,
                        ClientId.Checked(input.Id),
                        stage =>
                            stage.AtTarget
                                ? HitsCsv.Read(input.Text, stage)
                                : throw new RefusedException("other-stage", GroupSays.HitsOfATarget)
                    )
                )
        );
        api.MapPost(
            "/hits/table/{id}/void",
            (string id, VoidTableInput input, PaperStore papers, PaperDesk desk) =>
                desk.View(papers.VoidTable(id, ClientId.Checked(input.Id)))
        );
        api.MapGet(
                "/papers/{id}/hits.csv",
                (string id, PaperStore papers, Listener listener) =>
                {
                    var paper = papers.Get(id);
                    return Results.Text(HitsCsv.Of(paper, listener.Of(paper.Bow.Id)), "text/csv", Encoding.UTF8);
                }
            )
            .Produces<string>(200, "text/csv");
        api.MapPost(
            "/papers/{id}/sight-marks",
            (string id, SightMarkInput input, PaperStore papers, PaperDesk desk) =>
            {
                var (act, pin) = (ClientId.Checked(input.Id), input.Read());
                return desk.View(papers.Append(id, act, s => SessionActs.MoveSight(s, act, pin)));
            }
        );
        api.MapPost(
            "/papers/{id}/conditions",
            (string id, ConditionsInput input, PaperStore papers, PaperDesk desk) =>
            {
                var noted = input.Read();
                return desk.View(papers.Append(id, noted.Id, _ => [noted]));
            }
        );
        api.MapPost(
            "/papers/{id}/sight",
            (string id, SightInput input, PaperStore papers, SightStore sights, PaperDesk desk) =>
            {
                sights.Keep(input.Read(papers.Get(id).Bow.Id));
                return desk.View(id);
            }
        );
        api.MapPost(
            "/shots/{id}/marks",
            (string id, MarkInput input, PaperStore papers, PaperDesk desk) =>
                desk.View(papers.Judge(id, ClientId.Checked(input.Id), Texts.Reason(input.Reason), input.Doubtful))
        );
        api.MapPost(
            "/papers/{id}/moves",
            (string id, MoveInput input, PaperStore papers, PaperDesk desk) =>
                desk.View(
                    papers.Append(
                        id,
                        ClientId.Checked(input.Id),
                        s => SessionActs.Move(s, ClientId.Checked(input.Id), input.Read(s.Bow.Adjusters))
                    )
                )
        );
        api.MapPost(
            "/papers/{id}/accept",
            (string id, AcceptInput input, PaperStore papers, PaperDesk desk) =>
            {
                var act = input.Id is null ? Guid.NewGuid().ToString() : ClientId.Checked(input.Id);
                return desk.View(papers.Append(id, act, s => input.Acts(s, act)));
            }
        );
        api.MapPost(
            "/papers/{id}/notes",
            (string id, NoteInput input, PaperStore papers, PaperDesk desk) =>
            {
                var note = input.Read();
                return desk.View(papers.Append(id, note.Id, _ => [note]));
            }
        );
        api.MapDelete(
            "/papers/{id}/notes/{noteId}",
            (string id, string noteId, PaperStore papers, PaperDesk desk) => desk.View(papers.WithdrawNote(id, noteId))
        );
        api.MapGet("/bows/{bowId}/response", (string bowId, ResponseDesk desk) => desk.View(bowId));
        api.MapPost(
            "/bows/{bowId}/response/resets",
            (string bowId, ResetInput input, ResponseStore responses, ResponseDesk desk) =>
            {
                responses.Reset(bowId, ClientId.Checked(input.Id), input.Kinds, Texts.Reason(input.Reason) ?? "");
                return desk.View(bowId);
            }
        );
        api.MapPost(
            "/bows/{bowId}/response/borrowing",
            (string bowId, BorrowingInput input, BowStore bows, ResponseDesk desk) =>
            {
                bows.Borrow(bowId, input.Borrows);
                return desk.View(bowId);
            }
        );
        api.MapDelete(
            "/bows/{bowId}/response/resets/{id}",
            (string bowId, string id, ResponseStore responses, ResponseDesk desk) =>
            {
                responses.Withdraw(bowId, id);
                return desk.View(bowId);
            }
        );
    }

    private static EnoughAtTarget Enough(TargetScale bare, TargetScale heads) =>
        new(
            Measure.Inches(bare.Tolerance, 0),
            Measure.Yards(bare.Yards),
            Measure.Inches(heads.Tolerance, 0),
            Measure.Yards(heads.Yards)
        );

    private static IEnumerable<Message> BeforeAWalk(WalkSays first) =>
        [first, WalkSays.OnePlumbLine, WalkSays.FiveShowMore, PaperSays.BackstopClear, PaperSays.ShaftLookedOver];

    /// <summary>A walk-back's tolerance is said at this distance, yards.</summary>
    private const double SaidAt = 60;

    /// <summary>And a zero's at this one, yards.</summary>
    private const double ZeroSaidAt = 20;

    private static PaperChoices Choices(Bow bow, Archer archer) =>
        new(
            [
                .. SessionPlan.Usual.Select(u => new StageChoice(
                    u.Code,
                    new UsualStages(u.Code, [.. u.Stages.Select(s => Measure.Yards(s.Distance))]),
                    u.Stages
                )),
            ],
            ShooterWords.Sizes,
            [PaperSays.PaperTaut, PaperSays.TargetBehind, PaperSays.BackstopClear, PaperSays.ShaftLookedOver],
            [GroupSays.EachAtItsOwnSpot, GroupSays.NoHeadOnBare, PaperSays.BackstopClear, PaperSays.ShaftLookedOver],
            [GroupSays.HeadsCut, GroupSays.HeadsQuiver, GroupSays.HeadsBackstop, GroupSays.HeadsAlike],
            [.. BeforeAWalk(WalkSays.LevelFirst)],
            [.. BeforeAWalk(WalkSays.TallBackstop)],
            [WalkSays.OneAimingPoint, WalkSays.NearestPinFirst, PaperSays.BackstopClear, PaperSays.ShaftLookedOver],
            [WaySays.InTurnSameAim, WaySays.OnlyOneDiffers, PaperSays.BackstopClear, PaperSays.ShaftLookedOver],
            [RangeSays.MixedOrder, RangeSays.TallBackstop, PaperSays.BackstopClear, PaperSays.ShaftLookedOver],
            [PaperSays.NockEndPress, PaperSays.NockEndOfBare, PaperSays.BackstopClear, PaperSays.ShaftLookedOver],
            PaperDesk.NockEndWords(NockEnd.Usual, Tolerances.Usual),
            new Amount(Measure.Ruled(Tolerances.Usual)),
            new Amount(Measure.Ruled(Tolerances.Strict)),
            Enough(new TargetScale(20), new TargetScale(30, Heads: true)),
            new EnoughOfWalk(Measure.Inches(WalkPlan.EnoughPerYard * SaidAt, 0), Measure.Yards(SaidAt)),
            new EnoughOfZero(Measure.Inches(WalkPlan.EnoughPerYard * ZeroSaidAt, 0), Measure.Yards(ZeroSaidAt)),
            bow.HasSight ? null : GroupSays.NoSight,
            archer is { MayPress: true, Experience: Experience.Technician },
            archer.Practice == Practice.Rarely ? SetupSays.FineTuneNeedsPractice : null,
            PaperSays.BareOnly,
            PaperSays.FletchedFar
        );
}
