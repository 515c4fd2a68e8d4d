using System.Collections.Concurrent;
using Merganser.Core.Bows;
using Merganser.Core.Paper;
using Merganser.Core.Tuning;
using Merganser.Data;

namespace Merganser.Web.Paper;

/// <summary>A paper as the engine reads it.</summary>
/// <param name="Bow">The bow it was shot from.</param>
/// <param name="Moves">All moves of that bow.</param>
/// <param name="Usual">How widely this archer's shots usually stray.</param>
/// <param name="Positions">Where every adjuster stood at each set.</param>
/// <param name="Shots">The session's shots that count, in order.</param>
/// <param name="Here">Those of the stage in work.</param>
/// <param name="Made">Moves of this stage with the mean before and after.</param>
/// <param name="Readings">Bow, arrow or archer.</param>
/// <param name="State">What is believed of the stage in work.</param>
/// <param name="Bench">The bench it was read at.</param>
/// <param name="Stage">The stage in work.</param>
public sealed record TuningRead(
    BowRow Bow, IReadOnlyList<MoveRow> Moves, UsualSpread Usual, IReadOnlyDictionary<int, IReadOnlyDictionary<AdjusterKind, int>> Positions, IReadOnlyList<SessionShot> Shots, IReadOnlyList<SessionShot> Here,
    IReadOnlyList<MadeMove> Made, IReadOnlyList<Reading> Readings, TuningState State, TuningBench Bench, Stage Stage);

/// <summary>Puts a paper's rows before the engine: settings, stages, and what the bow's other papers taught.</summary>
public sealed class TuningDesk(PaperStore papers, BowStore bows, ArcherStore archers, ResponseStore responses)
{
    private const int EarlierPapers = 6;
    private const int MostKept = 512;
    private readonly ConcurrentDictionary<(string Paper, int Version, int Moves, string Resets, string Adjusters), IReadOnlyList<StageFit>> fits = new();

    /// <summary>Reads a paper of a bow.</summary>
    public TuningRead Read(PaperRow paper)
    {
        var bow = bows.Get(paper.BowId);
        var archer = archers.Get(bow.ArcherId).Archer;
        var moves = bows.Moves(bow.Id);
        var resets = responses.Of(bow.Id);
        var order = papers.Order(bow.Id);
        var positions = PositionsOf(paper, bow, moves);
        var shots = ShotsOf(paper, positions, Forgotten(resets, order, paper.Id));
        var stage = StageOf(paper.Sets.LastOrDefault(s => s.Purpose == SetPurpose.Session) ?? paper.Sets[^1]);
        SessionShot[] here = [.. shots.Where(s => s.Stage == stage)];
        var earlier = Earlier(paper, bow, moves, resets, order);
        var prior = ResponsePrior.Of(bow.Adjusters);
        StageFit[] others = [.. earlier, .. shots.Where(s => s.Stage != stage).GroupBy(s => s.Stage).Select(g => StageFit.Of(prior, [.. g]))];
        var bench = new TuningBench(bow.Bow.Hand, bow.Bow.Release, paper.Plan.School ?? archer.School, archer.MayPress, bow.Bow.RestType, bow.Adjusters, paper.Tolerance, paper.Plan.ShotsPerDecision) { Others = others };
        var made = MoveHistory.Made(LogOf(paper, moves), MeansOf(paper, stage));
        var usual = UsualSpread.Of(earlier);
        Reading[] readings = [.. SessionReadings.Of(here, shots, made, bow.Adjusters, usual), .. Controls(paper, positions, shots)];
        return new TuningRead(bow, moves, usual, positions, shots, here, made, readings, bench.Read(stage, here), bench, stage);
    }

    /// <summary>What each stage of a paper taught, kept while nothing of it changes.</summary>
    private IReadOnlyList<StageFit> FitsOf(PaperRow paper, BowRow bow, IReadOnlyList<MoveRow> moves, IReadOnlyList<ResetRow> resets, IReadOnlyList<string> order)
    {
        // Everything that it is computed from: an adjuster whose step was measured anew teaches something else.
        var adjusters = string.Join(';', bow.Adjusters.Select(a => FormattableString.Invariant($"{a.Kind} {a.Lower} {a.Upper} {a.InchesPerStep}")));
        var key = (paper.Id, paper.Version, moves.Count, string.Join(',', resets.Select(r => r.Id)), adjusters);
        if (fits.Count > MostKept)
        {
            fits.Clear();
        }

        return fits.GetOrAdd(key, _ =>
        {
            var rank = Rank(order, paper.Id);
            var shots = ShotsOf(paper, PositionsOf(paper, bow, moves), Forgotten(resets, order, paper.Id));
            var prior = ResponsePrior.Of(bow.Adjusters);
            var lost = resets.Where(r => r.AfterPaper >= rank).SelectMany(r => r.Kinds).ToHashSet();
            return [.. shots.GroupBy(s => s.Stage).Select(g => StageFit.Of(prior, [.. g])).Select(f => f with { Gains = [.. f.Gains.Where(l => !lost.Contains(l.Kind))] })];
        });
    }

    /// <summary>The fits of the papers begun before this one, the newest few.</summary>
    private IReadOnlyList<StageFit> Earlier(PaperRow paper, BowRow bow, IReadOnlyList<MoveRow> moves, IReadOnlyList<ResetRow> resets, IReadOnlyList<string> order) =>
        [.. order.Take(Rank(order, paper.Id) - 1).TakeLast(EarlierPapers).Select(papers.Get).Where(p => p.Plan.Kind == SessionKind.Tune).SelectMany(p => FitsOf(p, bow, moves, resets, order))];

    /// <summary>The log of a paper: its own moves by the set they came after, others by when the sets were begun.</summary>
    private static IReadOnlyList<LoggedMove> LogOf(PaperRow paper, IReadOnlyList<MoveRow> moves) =>
        [.. moves.Select(m => new LoggedMove(m.Id, m.Adjuster, m.From, m.To, m.Corrects, AfterSet(paper, m)))];

    /// <summary>Where every adjuster stood at each set.</summary>
    private static IReadOnlyDictionary<int, IReadOnlyDictionary<AdjusterKind, int>> PositionsOf(PaperRow paper, BowRow bow, IReadOnlyList<MoveRow> moves) =>
        SettingHistory.At(bow.Adjusters, LogOf(paper, moves), paper.Sets.Select(s => s.Number));

    private static int AfterSet(PaperRow paper, MoveRow move) =>
        paper.Sets.FirstOrDefault(s => s.Id == move.AfterSetId)?.Number ?? paper.Sets.LastOrDefault(s => s.AfterMove < move.Ordinal)?.Number ?? 0;

    private static Stage StageOf(SetRow set) => new(set.Distance, set.Fletched, set.ArrowVersionId);

    private static int Rank(IReadOnlyList<string> order, string paperId) => order.ToList().IndexOf(paperId) + 1;

    /// <summary>How many of a paper's shots were forgotten: all of an older one, the first so many of the one in work at the time.</summary>
    private static int Forgotten(IReadOnlyList<ResetRow> resets, IReadOnlyList<string> order, string paperId)
    {
        var rank = Rank(order, paperId);
        var whole = resets.Any(r => r.Kinds.Count == 0 && r.AfterPaper > rank) ? int.MaxValue : 0;
        return Math.Max(whole, resets.Where(r => r.AfterPaper == rank).Select(r => r.AfterShot).DefaultIfEmpty(0).Max());
    }

    private static SessionShot[] ShotsOf(PaperRow paper, IReadOnlyDictionary<int, IReadOnlyDictionary<AdjusterKind, int>> positions, int forgotten) =>
    [
        .. paper.Sets.SelectMany(s => s.Shots.Select(shot => (Set: s, Shot: shot))).Skip(forgotten)
            .Where(s => s.Set.Purpose == SetPurpose.Session && s.Shot.VoidReason is null)
            .Select(s => new SessionShot(s.Set.Number, StageOf(s.Set), positions[s.Set.Number], s.Shot.Tear(), s.Shot.Doubtful, s.Shot.ArrowNumber)),
    ];

    private static Dictionary<int, MeanTear?> MeansOf(PaperRow paper, Stage stage) =>
        paper.Sets.Where(s => s.Purpose == SetPurpose.Session && StageOf(s) == stage).ToDictionary(s => s.Number, PaperDesk.MeanOf);

    private static IEnumerable<Reading> Controls(PaperRow paper, IReadOnlyDictionary<int, IReadOnlyDictionary<AdjusterKind, int>> positions, IReadOnlyList<SessionShot> shots)
    {
        foreach (var set in paper.Sets.Where(s => s.Purpose != SetPurpose.Session))
        {
            Tear[] control = [.. set.Shots.Where(s => s.VoidReason is null).Select(s => s.Tear())];
            Tear[] session =
            [
                .. shots.Where(s => s.Stage.Distance == set.Distance && s.Stage.Fletched == set.Fletched && positions[set.Number].All(p => s.Positions.GetValueOrDefault(p.Key) == p.Value)).Select(s => s.Tear),
            ];
            if (ControlReading.Of(set.Purpose, session, control) is { } reading)
            {
                yield return reading;
            }
        }
    }
}
