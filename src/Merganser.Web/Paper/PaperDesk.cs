using Merganser.Core.Bows;
using Merganser.Core.Figures;
using Merganser.Core.Paper;
using Merganser.Core.Tuning;
using Merganser.Data;
using Merganser.Web.Bows;

namespace Merganser.Web.Paper;

/// <summary>A shot with its tear.</summary>
public sealed record ShotView(string Id, int Number, Hole Point, Hole Tail, SheetSide Side, Tear Tear, string? VoidReason, DateTimeOffset ShotAt);

/// <summary>The mean of a set to draw.</summary>
public sealed record MeanView(Tear Mean, double Radius, double Spread, int Count, bool SpreadAssumed, string Words);

/// <summary>A set with its reading, and the moves that were made before it.</summary>
public sealed record SetView(
    string Id, int Number, string DistanceTyped, double Distance, bool Fletched, DateTimeOffset StartedAt, IReadOnlyList<ShotView> Shots,
    MeanView? Mean, IReadOnlyList<Figure> Figures, IReadOnlyList<MoveView> MovesBefore);

/// <summary>A paper session as its page shows it.</summary>
public sealed record PaperView(
    string Id, string BowId, string ArrowVersionId, string ArrowName, int ArrowVersionNumber, int VaneCount, double Tolerance, DateTimeOffset StartedAt,
    DateTimeOffset? AcceptedAt, IReadOnlyList<SetView> Sets, Advice Advice, Next Next, int Version);

/// <summary>Puts a paper's rows and the Core's reading together.</summary>
public sealed class PaperDesk(PaperStore papers, BowStore bows, ArcherStore archers, ArrowStore arrows)
{
    public PaperView View(string paperId) => View(papers.Get(paperId));

    public PaperView View(PaperRow paper)
    {
        var bow = bows.Get(paper.BowId);
        var archer = archers.Get(bow.ArcherId).Archer;
        var version = arrows.Version(paper.ArrowVersionId);
        var moves = bows.Moves(paper.BowId).Where(m => m.PaperId == paper.Id).ToArray();
        var means = paper.Sets.ToDictionary(s => s.Number, MeanOf);
        var made = MoveHistory.Made(Log(paper, moves), means);
        var sets = paper.Sets.Select(s => ViewSet(paper, s, means, moves, bow.Bow.Hand)).ToArray();
        var now = paper.Sets[^1];
        var bench = new OneMove(bow.Bow.Hand, bow.Bow.Release, archer.School, archer.MayPress, bow.Adjusters, paper.Tolerance);
        var advice = bench.On(means[now.Number], made);
        return new PaperView(paper.Id, paper.BowId, paper.ArrowVersionId, version.Typed.Name, version.Number, version.Arrow.VaneCount, paper.Tolerance,
            paper.StartedAt, paper.AcceptedAt, sets, advice, PaperNext.Of(advice, paper.AcceptedAt is not null, now.Number), paper.Version);
    }

    private static MeanTear? MeanOf(SetRow set)
    {
        var tears = set.Shots.Where(s => s.VoidReason is null).Select(s => s.Tear()).ToArray();
        return tears.Length == 0 ? null : new MeanTear(tears);
    }

    private static LoggedMove[] Log(PaperRow paper, IEnumerable<MoveRow> moves) =>
        [.. moves.Select(m => new LoggedMove(m.Id, m.Adjuster, m.From, m.To, m.Corrects, paper.Sets.FirstOrDefault(s => s.Id == m.AfterSetId)?.Number ?? 0))];

    private static SetView ViewSet(PaperRow paper, SetRow set, Dictionary<int, MeanTear?> means, MoveRow[] moves, Hand hand)
    {
        var mean = means[set.Number];
        var before = means.Where(m => m.Key < set.Number && m.Value is not null).OrderBy(m => m.Key).LastOrDefault().Value;
        var previous = paper.Sets.FirstOrDefault(s => s.Number == set.Number - 1);
        var shots = set.Shots.Select(s => new ShotView(s.Id, s.Number, s.Point, s.Tail, s.Side, s.Tear(), s.VoidReason, s.ShotAt)).ToArray();
        return new SetView(set.Id, set.Number, set.DistanceTyped, set.Distance, set.Fletched, set.StartedAt, shots,
            mean is null ? null : new MeanView(mean.Mean, mean.Radius, mean.Spread, mean.Count, mean.SpreadAssumed, mean.Words),
            mean is null ? [] : TearFigures.Of(mean, before),
            [.. moves.Where(m => m.AfterSetId == previous?.Id && previous is not null).Select(m => MoveView.Of(m, hand))]);
    }
}

/// <summary>The next step on the paper's page.</summary>
public static class PaperNext
{
    public static Next Of(Advice advice, bool accepted, int set)
    {
        if (accepted)
        {
            return new Next("Accepted: this paper is done.", "The bow's setting and the tears are kept. Shoot more to open it again.", "start", "Back to the rack", "Shoot more", "mark");
        }

        return advice.Kind switch
        {
            AdviceKind.NoShots when set > 1 => new Next("Shoot two at the new setting and mark their holes.", "Point hole first, then the tail. Nobody in front of the line.", "mark", "Mark a shot", "I accept this", "accept"),
            AdviceKind.NoShots or AdviceKind.ShootMore => new Next(advice.Sentence, advice.Reason, "mark", "Mark a shot", "I accept this", "accept"),
            AdviceKind.GoodEnough => new Next("Good enough: accept this, or shoot more.", advice.Reason, "accept", "I accept this", "Shoot more", "mark"),
            AdviceKind.NotReachable => new Next(advice.Sentence, advice.Reason, "accept", "I accept this", "I did something else", "logMove"),
            _ => new Next(Short(advice), Caution(advice), "madeMove", "I made this move", "I did something else", "logMove"),
        };
    }

    private static string Short(Advice advice) => advice.Sentence.Length <= 70 ? advice.Sentence : advice.Move!.Order + ".";

    private static string Caution(Advice advice) => advice.Move!.NeedsPress
        ? "Only in the right press, by its manual. Log what you did, even if it was something else."
        : "Write down what you did, even if it was something else.";
}
