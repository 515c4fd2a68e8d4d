using Merganser.Core.Arrows;
using Merganser.Core.Dozens;
using Merganser.Core.Figures;
using Merganser.Core.Messages;
using Merganser.Core.Setup;
using Merganser.Core.Units;
using Merganser.Data;

namespace Merganser.Web.Dozens;

/// <summary>A weighed piece; an odd one is asked to be weighed again.</summary>
public sealed record PieceView(string EntryId, int Number, double Grains, string Source, bool Odd);

/// <summary>The pieces of one class.</summary>
public sealed record PieceClassView(
    string Name,
    int PerArrow,
    int Needed,
    int Wanted,
    IReadOnlyList<PieceView> Pieces,
    double? Lightest,
    double? Heaviest,
    int Missing
);

/// <summary>What is known of a shaft.</summary>
public sealed record ShaftView(
    int Number,
    double? RunOut,
    string? Grade,
    double? Spine,
    string? IndexMark,
    bool Damaged,
    string? Note
)
{
    /// <summary>Findings after which a shaft is destroyed, not shot.</summary>
    private static readonly string[] Destroying = ["cracked or splintered", "bent"];

    /// <summary>True for a shaft that is destroyed: no arrow is made of it, and one that was is never shot.</summary>
    public bool Destroyed => Note is not null && Destroying.Contains(Note);

    /// <summary>
    /// Where a shaft that was not spun stands among the others, inches (trade-like guess, no source).
    /// </summary>
    public const double NotSpun = 0.003;

    /// <summary>What shafts are ordered by: the dial's run-out, else what the eye's grade stands for, inches.</summary>
    public double Crookedness =>
        RunOut
        ?? Grade switch
        {
            "good" => 0.001,
            "fair" => 0.004,
            "poor" => 0.01,
            _ => NotSpun,
        };
}

/// <summary>
/// One arrow of the tray: which pieces, what it weighs, how far it is; a retired one says why and is never shot.
/// </summary>
public sealed record TrayArrow(
    int Number,
    IReadOnlyDictionary<string, IReadOnlyList<int>> Pieces,
    double Total,
    double Deviation,
    IReadOnlyDictionary<string, double> Deviations,
    double FrontOfCenter,
    IReadOnlyList<string> Ticked,
    ArrowState State,
    double? Built,
    double? GlueAndWrap,
    double? Balance,
    double? BuiltFrontOfCenter,
    Message? NockMark,
    Message? Paper,
    bool Retired,
    string? Note,
    Message? RetiredWhy,
    IReadOnlyDictionary<string, string> TickIds
);

/// <summary>The match with what it buys.</summary>
public sealed record MatchView(
    double Spread,
    double Bound,
    bool Proven,
    string? Binds,
    double ByChance,
    double OppositeOrder,
    Worth Bought,
    Worth Chance,
    double FrontOfCenterSpread,
    Message Words,
    bool Stale
);

/// <summary>Heads on the straightest arrows.</summary>
public sealed record HeadView(
    IReadOnlyList<PieceView> Pieces,
    IReadOnlyList<HeadOn> Heads,
    double? Spread,
    double? BestSpread,
    Message Words,
    int? Practice
);

/// <summary>One head on one arrow.</summary>
public sealed record HeadOn(int Arrow, int Head, double Total);

/// <summary>A dozen as its page shows it.</summary>
public sealed record DozenView(
    string Id,
    string BowId,
    string Name,
    string ArrowName,
    int ArrowVersion,
    DozenPlan Plan,
    DateTimeOffset StartedAt,
    IReadOnlyList<PieceClassView> Classes,
    ScaleCheck? Check,
    string? CheckEntryId,
    IReadOnlyList<ShaftView> Shafts,
    MatchView? Match,
    IReadOnlyList<TrayArrow> Tray,
    HeadView Heads,
    IReadOnlyList<AssemblyStep> Steps,
    string? LastEntryId,
    Message? Changed,
    Next Next,
    Message State
);

/// <summary>Reads a dozen's entries and puts together what its page shows.</summary>
public sealed class DozenDesk(DozenStore dozens, BowStore bows, ArrowStore arrows)
{
    /// <summary>Distances at which the worth of a match is shown, yards.</summary>
    public static readonly double[] Yards = [20, 40, 60];

    private const string Heads = "Head";

    /// <summary>The classes that can be weighed, with what an arrow takes of each.</summary>
    public static IReadOnlyDictionary<string, int> ClassesOf(Arrow arrow, bool vanesInSets)
    {
        var all = arrow
            .Masses()
            .Select(m => m.Name)
            .Where(n => n != "Glue")
            .ToDictionary(n => n, n => n == "Vanes" && !vanesInSets ? arrow.VaneCount : 1);
        return all;
    }

    public DozenView View(string id) => View(dozens.Get(id));

    public DozenView View(DozenRow row)
    {
        var version = arrows.Version(row.ArrowVersionId);
        var arrow = version.Arrow;
        var per = ClassesOf(arrow, row.Plan.VanesInSets);
        var classes = row.Plan.Classes.Select(name => Class(row, name, per.GetValueOrDefault(name, 1))).ToArray();
        var check = row.Entries.LastOrDefault(e => e.Entry.Kind == "check");
        var shafts = Shafts(row);
        var match = LastMatch(row);
        var tray = match is null ? [] : Tray(row, match, classes, arrow, shafts);
        var owner = bows.Get(row.BowId);
        var bow = owner.Bow;
        var view = match is null ? null : MatchOf(row, match, classes, bow, tray);
        var heads = HeadsOf(row, tray, shafts);
        var newest = arrows.Get(version.ArrowId).Kept;
        var changed =
            newest is { } kept && kept.Id != version.Id
                ? new NewerVersion(version.Typed.Name, kept.Number, version.Number)
                : null;
        return new DozenView(
            row.Id,
            row.BowId,
            row.Plan.Name,
            version.Typed.Name,
            version.Number,
            row.Plan,
            row.StartedAt,
            classes,
            check is null ? null : new ScaleCheck(check.Entry.Second ?? 0, check.Entry.Value ?? 0),
            check?.Id,
            shafts,
            view,
            tray,
            heads,
            Assembly.Steps,
            row.Entries.LastOrDefault()?.Id,
            changed,
            Unsound.Guard(owner.Unsound, NextOf(row, classes, check, view, tray), mayGoOn: true),
            StateOf(classes, view, tray)
        );
    }

    /// <summary>Finds the best assignment of what is weighed.</summary>
    /// <exception cref="RefusedException">Pieces are missing.</exception>
    public DozenEntry Match(DozenRow row, MatchOptions options, CancellationToken cancel)
    {
        var arrow = arrows.Version(row.ArrowVersionId).Arrow;
        var per = ClassesOf(arrow, row.Plan.VanesInSets);
        var shafts = Shafts(row);
        var classes = row.Plan.Classes.Select(name => Class(row, name, per.GetValueOrDefault(name, 1))).ToArray();
        var usable = classes
            .Select(c =>
                c.Pieces.Where(p =>
                        c.Name != "Shaft" || !(shafts.FirstOrDefault(s => s.Number == p.Number)?.Damaged ?? false)
                    )
                    .ToList()
            )
            .ToArray();
        var count = Math.Max(1, row.Plan.Arrows - Math.Max(0, options.LeaveOut));
        var at = Array.FindIndex(classes, c => c.Name == "Shaft");
        if (at >= 0)
        {
            usable[at] = Chosen(usable[at], shafts, count, options);
        }

        var problem = new MatchProblem(
            count,
            [
                .. classes.Select(
                    (c, i) =>
                        new MatchClass(c.Name, c.PerArrow, [.. usable[i].Select(p => (int)Math.Round(p.Grains * 10))])
                ),
            ],
            []
        );
        var order = classes
            .Select((c, i) => i)
            .OrderByDescending(i => i == at)
            .ThenByDescending(i => classes[i].Name == "Insert")
            .ToArray();
        var sorted = problem with
        {
            Classes = [.. order.Select(i => problem.Classes[i])],
            Glued = Glued(options, order.Select(i => classes[i].Name).ToArray(), [.. order.Select(i => usable[i])]),
        };
        var found = Matcher.Find(sorted, cancel: cancel);
        var numbers = found
            .Pieces.Select(a =>
                (IReadOnlyList<IReadOnlyList<int>>)
                    [
                        .. Enumerable
                            .Range(0, classes.Length)
                            .Select(i =>
                                (IReadOnlyList<int>)[.. a[Array.IndexOf(order, i)].Select(p => usable[i][p].Number)]
                            ),
                    ]
            )
            .ToArray();
        return new DozenEntry("match", Match: found with { Pieces = numbers });
    }

    /// <summary>Arrows of the last match that were begun are never taken apart by another.</summary>
    /// <exception cref="RefusedException">Some arrow has a tick, a built weight or a note.</exception>
    public static void CheckLoose(DozenRow row)
    {
        var begun = Begun(row);
        if (begun.Length > 0)
        {
            throw new RefusedException("begun", new ArrowsBegun(begun));
        }
    }

    /// <summary>The found match as an entry, when nothing was entered while it was sought.</summary>
    /// <exception cref="RefusedException">Something was entered meanwhile.</exception>
    public static IReadOnlyList<(string Id, DozenEntry Entry)> Unchanged(
        DozenRow before,
        DozenRow now,
        string act,
        DozenEntry found
    ) =>
        before.Entries.Count == now.Entries.Count
        && before.Entries.LastOrDefault()?.Id == now.Entries.LastOrDefault()?.Id
            ? [(act, found)]
            : throw new RefusedException("changed", DozenSays.EnteredMeanwhile);

    private static DozenEntryRow? LastMatch(DozenRow row) => row.Entries.LastOrDefault(e => e.Entry.Kind == "match");

    /// <summary>
    /// What was entered last of an arrow of this match: its built weight, its note, why it is retired.
    /// </summary>
    private static DozenEntry? MadeOf(DozenRow row, DozenEntryRow match, int number, string what) =>
        row
            .Entries.LastOrDefault(e =>
                e.Entry.Kind == "made" && e.Entry.Number == number && e.Entry.Word == what && e.Ordinal > match.Ordinal
            )
            ?.Entry;

    private static int[] Begun(DozenRow row)
    {
        var match = LastMatch(row)?.Ordinal ?? int.MaxValue;
        return
        [
            .. row
                .Entries.Where(e => e.Ordinal > match && e.Entry.Kind is "tick" or "made")
                .Select(e => e.Entry.Number ?? 0)
                .Distinct()
                .Order(),
        ];
    }

    private static List<PieceView> Chosen(
        List<PieceView> shafts,
        IReadOnlyList<ShaftView> known,
        int count,
        MatchOptions options
    )
    {
        double? Spine(PieceView p) => known.FirstOrDefault(s => s.Number == p.Number)?.Spine;
        double RunOut(PieceView p) => known.FirstOrDefault(s => s.Number == p.Number)?.Crookedness ?? ShaftView.NotSpun;
        if (options.SpineSets && shafts.Count(p => Spine(p) is not null) >= count)
        {
            var bySpine = shafts.Where(p => Spine(p) is not null).OrderBy(Spine).ToList();
            var from = Enumerable
                .Range(0, bySpine.Count - count + 1)
                .MinBy(i => Spine(bySpine[i + count - 1]) - Spine(bySpine[i]));
            return bySpine.GetRange(from, count);
        }

        return options.Straightest && shafts.Count > count ? [.. shafts.OrderBy(RunOut).Take(count)] : shafts;
    }

    private static (int, int)[] Glued(MatchOptions options, string[] names, List<PieceView>[] usable)
    {
        if (names.Length < 2 || names[0] != "Shaft" || names[1] != "Insert")
        {
            return [];
        }

        return
        [
            .. options
                .GluedShafts.Select(n =>
                    (usable[0].FindIndex(p => p.Number == n), usable[1].FindIndex(p => p.Number == n))
                )
                .Where(g => g.Item1 >= 0 && g.Item2 >= 0),
        ];
    }

    private static PieceClassView Class(DozenRow row, string name, int per)
    {
        var pieces = row
            .Entries.Where(e => e.Entry.Kind == "piece" && e.Entry.Class == name)
            .OrderBy(e => e.Entry.Number)
            .ToArray();
        var odd = Outliers.Of([.. pieces.Select(p => p.Entry.Value!.Value)]);
        var needed = row.Plan.Arrows * per;
        return new PieceClassView(
            name,
            per,
            needed,
            needed + row.Plan.Spare,
            [
                .. pieces.Select(
                    (p, i) =>
                        new PieceView(
                            p.Id,
                            p.Entry.Number!.Value,
                            p.Entry.Value!.Value,
                            p.Entry.Word ?? "typed",
                            odd.Contains(i)
                        )
                ),
            ],
            pieces.Length == 0 ? null : pieces.Min(p => p.Entry.Value),
            pieces.Length == 0 ? null : pieces.Max(p => p.Entry.Value),
            Math.Max(0, needed - pieces.Length)
        );
    }

    private static ShaftView[] Shafts(DozenRow row) =>
        [
            .. row
                .Entries.Where(e => e.Entry.Kind == "spin")
                .GroupBy(e => e.Entry.Number!.Value)
                .OrderBy(g => g.Key)
                .Select(g =>
                {
                    DozenEntry? Last(string word) => g.LastOrDefault(e => e.Entry.Word == word)?.Entry;
                    var inspected = Last("inspection");
                    return new ShaftView(
                        g.Key,
                        Last("runOut")?.Value,
                        Last("grade")?.Note,
                        Last("spine")?.Value,
                        Last("index")?.Note,
                        inspected?.Note is { } found && found != "sound",
                        inspected?.Note
                    );
                }),
        ];

    private TrayArrow[] Tray(
        DozenRow row,
        DozenEntryRow match,
        PieceClassView[] classes,
        Arrow arrow,
        ShaftView[] shafts
    )
    {
        var found = match.Entry.Match!;
        var weights = classes.Select(c => c.Pieces.ToDictionary(p => p.Number, p => p.Grains)).ToArray();
        var own = found
            .Pieces.Select(a => a.Select((numbers, c) => numbers.Sum(n => weights[c].GetValueOrDefault(n))).ToArray())
            .ToArray();
        var means = classes.Select((_, c) => own.Average(a => a[c])).ToArray();
        var focs = Worth.FrontsOfCenter(
            arrow,
            [.. own.Select(a => classes.Select((k, c) => (k.Name, a[c])).ToDictionary(p => p.Name, p => p.Item2))]
        );
        var mean = found.Totals.Average() / 10;
        var rest = arrow
            .Masses()
            .Where(m => m.Name is not "Glue" && classes.All(c => c.Name != m.Name))
            .Sum(m => m.Grains);
        return
        [
            .. found.Pieces.Select(
                (pieces, i) =>
                {
                    var number = i + 1;
                    var ticked = row
                        .Entries.Where(e =>
                            e.Entry.Kind == "tick" && e.Entry.Number == number && e.Ordinal > match.Ordinal
                        )
                        .GroupBy(e => e.Entry.Word!)
                        .ToDictionary(g => g.Key, g => g.Last().Id);
                    var ticks = ticked.Keys.ToArray();
                    var why = WhyRetired(row, match, number, pieces, classes, shafts);
                    DozenEntry? Made(string what) => MadeOf(row, match, number, what);
                    var built = Made("built")?.Value;
                    var balance = Made("balance")?.Value;
                    var total = found.Totals[i] / 10.0;
                    return new TrayArrow(
                        number,
                        classes.Select((c, k) => (c.Name, pieces[k])).ToDictionary(p => p.Name, p => p.Item2),
                        total,
                        total - mean,
                        classes
                            .Select((c, k) => (c.Name, own[i][k] - means[k]))
                            .ToDictionary(p => p.Name, p => p.Item2),
                        focs[i],
                        ticks,
                        Assembly.StateOf(ticks),
                        built,
                        built - total - rest,
                        balance,
                        balance is { } at ? 100 * ((at / arrow.CutLength) - 0.5) : null,
                        Own(Made("nock")?.Note) ?? NockDesk.MarkOf(row, number, arrow.VaneCount),
                        Own(Made("paper")?.Note) ?? NockDesk.PaperOf(row, number, arrow.VaneCount),
                        why is not null,
                        Made("note")?.Note,
                        why,
                        ticked
                    );
                }
            ),
        ];
    }

    /// <summary>Why an arrow is out of use: somebody retired it, or its shaft is to be destroyed.</summary>
    private static Message? WhyRetired(
        DozenRow row,
        DozenEntryRow match,
        int number,
        IReadOnlyList<IReadOnlyList<int>> pieces,
        PieceClassView[] classes,
        ShaftView[] shafts
    )
    {
        var at = Array.FindIndex(classes, c => c.Name == "Shaft");
        if (at >= 0 && shafts.FirstOrDefault(s => s.Destroyed && pieces[at].Contains(s.Number)) is { } shaft)
        {
            return new ShaftDestroyed(shaft.Number, shaft.Note!);
        }

        return MadeOf(row, match, number, "retired")?.Note is { Length: > 0 } note ? new Verbatim(note) : null;
    }

    /// <summary>
    /// True for an arrow that is not shot: retired, or of a shaft that is to be destroyed. Before a match, arrow and
    /// shaft have one number.
    /// </summary>
    public static bool OutOfUse(DozenRow row, int number)
    {
        var shafts = Shafts(row);
        if (LastMatch(row) is not { Entry.Match: { } found } match)
        {
            return shafts.Any(s => s.Destroyed && s.Number == number);
        }

        return number > found.Pieces.Count
            || WhyRetired(
                row,
                match,
                number,
                found.Pieces[number - 1],
                [.. row.Plan.Classes.Select(name => Class(row, name, 1))],
                shafts
            )
                is not null;
    }

    private static MatchView MatchOf(
        DozenRow row,
        DozenEntryRow match,
        PieceClassView[] classes,
        Core.Bows.Bow bow,
        TrayArrow[] tray
    )
    {
        var found = match.Entry.Match!;
        var mean = Math.Max(100, found.Totals.Average() / 10);
        var spread = found.Spread / 10.0;
        var chance = found.ByChance / 10;
        var bought = Worth.Of(bow, mean, spread, Yards);
        var stale = row.Entries.Any(e =>
            e.Ordinal > match.Ordinal && e.Entry.Kind is "piece" && e.Entry.Class != Heads
        );
        var by = found.Proven ? spread : spread - (found.Bound.Tenths / 10.0);
        var words = new MatchIs(found.Proven, Measure.Grains(by), found.Bound.Binds);
        return new MatchView(
            spread,
            found.Bound.Tenths / 10.0,
            found.Proven,
            found.Bound.Binds,
            chance,
            found.OppositeOrder / 10.0,
            bought,
            Worth.Of(bow, mean, chance, Yards),
            tray.Max(t => t.FrontOfCenter) - tray.Min(t => t.FrontOfCenter),
            words,
            stale
        );
    }

    private static HeadView HeadsOf(DozenRow row, TrayArrow[] tray, ShaftView[] shafts)
    {
        var pieces = Class(row, Heads, 1).Pieces;
        double Straight(TrayArrow t) =>
            (
                t.Pieces.TryGetValue("Shaft", out var n)
                    ? shafts.FirstOrDefault(s => s.Number == n[0])?.Crookedness
                    : null
            ) ?? ShaftView.NotSpun;
        var use = tray.Where(t => !t.Retired).ToArray();
        var wanted = Math.Min(6, Math.Min(use.Length, pieces.Count));
        if (wanted < 2)
        {
            return new HeadView(
                pieces,
                [],
                null,
                null,
                pieces.Count == 0 ? DozenSays.WeighHeadsThen : DozenSays.MatchFirst,
                null
            );
        }

        var chosen = use.OrderBy(Straight).ThenBy(t => t.Number).Take(wanted).ToArray();
        var withoutPoint = chosen.Select(t => t.Built ?? t.Total).ToArray();
        var match = HeadMatch.Of(withoutPoint, [.. pieces.Select(p => p.Grains)]);
        var differs = match.BestSpread < match.Spread - 0.05;
        var words = new HeadsLie(Measure.Grains(match.Spread), differs ? Measure.Grains(match.BestSpread) : null);
        var heads = differs ? match.BestHeads : match.Heads;
        return new HeadView(
            pieces,
            [
                .. chosen.Select(
                    (t, i) => new HeadOn(t.Number, pieces[heads[i]].Number, withoutPoint[i] + pieces[heads[i]].Grains)
                ),
            ],
            match.Spread,
            match.BestSpread,
            words,
            match.Practice is { } practice ? pieces[practice].Number : null
        );
    }

    private static Next NextOf(
        DozenRow row,
        PieceClassView[] classes,
        DozenEntryRow? check,
        MatchView? match,
        TrayArrow[] tray
    )
    {
        if (check is null && classes.All(c => c.Pieces.Count == 0))
        {
            return new Next(
                DozenSays.CheckWeightFirst,
                DozenSays.ScaleThatIsOff,
                "check",
                DozenSays.WeighTheCheckWeight,
                DozenSays.GoOnWithout,
                "weigh"
            );
        }

        if (classes.FirstOrDefault(c => c.Missing > 0) is { } missing)
        {
            Message? odd = classes.Any(c => c.Pieces.Any(p => p.Odd)) ? DozenSays.AnOddOne : null;
            var rest = new WeighTheRest(missing.Name, missing.Missing);
            return new Next(
                rest,
                DozenSays.OneAfterTheOther,
                $"weigh:{missing.Name}",
                DozenSays.GoOnWeighing,
                odd,
                "odd"
            );
        }

        if (match is null && classes.FirstOrDefault(c => c.Pieces.Any(p => p.Odd)) is { } apart)
        {
            var piece = apart.Pieces.First(p => p.Odd);
            var because = new ApartBecause(Measure.Grains(piece.Grains), Measure.Plain(Outliers.Limit, 1));
            return new Next(
                new StandsApart(apart.Name, piece.Number),
                because,
                $"weigh:{apart.Name}",
                DozenSays.WeighItAgain,
                DozenSays.MatchAllTheSame,
                "match"
            );
        }

        return match is null || (match.Stale && Begun(row).Length == 0)
            ? new Next(DozenSays.AllIsWeighed, DozenSays.SetsAndPairs, "match", DozenSays.MatchThePieces)
            : NextStep(tray);
    }

    private static Next NextStep(TrayArrow[] tray)
    {
        if (tray.FirstOrDefault(t => t.State != ArrowState.Verified && !t.Retired) is not { } arrow)
        {
            return new Next(DozenSays.BuiltAndVerified, DozenSays.LabelsAndCards, "heads", DozenSays.WeighTheHeads);
        }

        var step = Assembly.Steps.First(s => !arrow.Ticked.Contains(FactsJson.Word(s.Code))).Code;
        Message reason = Assembly.Cautioned.Contains(step) ? new StepCaution(step) : DozenSays.TickWhenDone;
        return new Next(
            new ArrowStep(arrow.Number, step),
            reason,
            $"tick:{arrow.Number}:{FactsJson.Word(step)}",
            DozenSays.ItIsDone,
            DozenSays.TrayList,
            "tray"
        );
    }

    private static DozenStands StateOf(PieceClassView[] classes, MatchView? match, TrayArrow[] tray)
    {
        if (match is null)
        {
            return new DozenStands(
                DozenStage.Weighing,
                classes.Sum(c => Math.Min(c.Pieces.Count, c.Needed)),
                classes.Sum(c => c.Needed)
            );
        }

        var use = tray.Where(t => !t.Retired).ToArray();
        var verified = use.Count(t => t.State == ArrowState.Verified);
        return new DozenStands(StageOf(tray, verified == use.Length), verified, use.Length);
    }

    private static DozenStage StageOf(IEnumerable<TrayArrow> tray, bool verified)
    {
        if (verified)
        {
            return DozenStage.Verified;
        }

        return tray.Any(t => t.State != ArrowState.Parts) ? DozenStage.Building : DozenStage.Matched;
    }

    private static Verbatim? Own(string? note) => note is null ? null : new Verbatim(note);
}

/// <summary>How a match is made.</summary>
/// <param name="Id">Client-made id.</param>
/// <param name="SpineSets">Shafts measured alike go together.</param>
/// <param name="Straightest">Of too many shafts the straightest are taken.</param>
/// <param name="LeaveOut">So many arrows fewer: the worst pieces stay out.</param>
/// <param name="GluedShafts">Shafts whose insert of the same number is glued in already.</param>
public sealed record MatchOptions(
    string? Id,
    bool SpineSets,
    bool Straightest,
    int LeaveOut,
    IReadOnlyList<int> GluedShafts
);
