using Merganser.Core.Arrows;
using Merganser.Core.Bows;
using Merganser.Core.Figures;
using Merganser.Core.Messages;
using Merganser.Core.Paper;
using Merganser.Core.Setup;
using Merganser.Core.Tuning;
using Merganser.Core.Units;

namespace Merganser.Core.Story;

/// <summary>
/// Two dates of a bow's record compared: what differs in set-up, adjusters, string and arrow, what the results were,
/// and which differences can do what the paper shows now. A direction is taken from the direction table alone; nothing
/// says that a difference did it.
/// </summary>
public sealed class TwoDates
{
    /// <summary>A fit that differs by less is the same (trade-like guess, no source).</summary>
    private const double SameFit = .015;

    private readonly Bow bow;
    private readonly Asked? asked;

    /// <param name="bow">The bow.</param>
    /// <param name="plan">How its string is looked after.</param>
    /// <param name="then">The first date.</param>
    /// <param name="now">The second.</param>
    public TwoDates(Bow bow, StringPlan plan, StateThen then, StateThen now)
    {
        this.bow = bow;
        (Then, NowIs) = (then, now);
        // What the paper shows is asked of the differences only where it was shot after the first date.
        asked = now.Bare is { } bare && bare.At > then.At ? Asked.Of(bare.Mean!) : null;
        DifferenceRow[] rows =
        [
            .. Checks(),
            .. StringRow(plan),
            .. Adjusters(),
            .. ArrowRows(),
            .. ResultRows.Of(then, now),
        ];
        Rows = [.. rows.Select(r => r.Beside == Message.Nothing ? r with { Beside = Says(r.Can) } : r)];
    }

    /// <summary>The first date.</summary>
    public StateThen Then { get; }

    /// <summary>The second date.</summary>
    public StateThen NowIs { get; }

    /// <summary>All rows, what is the same with them.</summary>
    public IReadOnlyList<DifferenceRow> Rows { get; }

    /// <summary>What the paper shows at the second date; null where it is level or was not shot since.</summary>
    public TearSide? Side => asked?.Side;

    /// <summary>Differences that are no results.</summary>
    public IReadOnlyList<DifferenceRow> Differences =>
        [.. Rows.Where(r => r.Differs && r.Section != DifferenceSection.Results)];

    /// <summary>The differences that can do it.</summary>
    public IReadOnlyList<DifferenceRow> Suspects => [.. Differences.Where(d => d.Can is CanDo.Can or CanDo.May)];

    /// <summary>
    /// True where several of them came with no paper between them: the record cannot tell which it was.
    /// </summary>
    /// <param name="bareSets">When bare shafts were shot through paper.</param>
    public bool CannotTell(IReadOnlyList<DateTimeOffset> bareSets)
    {
        DateTimeOffset[] changed = [.. Suspects.Select(s => s.ChangedAt).OfType<DateTimeOffset>().Order()];
        return changed.Length > 1 && !bareSets.Any(at => at > changed[0] && at <= changed[^1]);
    }

    private Message Says(CanDo can) =>
        can switch
        {
            CanDo.Can => StorySays.CanDoIt,
            CanDo.May => StorySays.MayDoIt,
            CanDo.Against => StorySays.WorksAgainstIt,
            CanDo.OtherAxis when asked!.Axis == TearAxis.Sideways => StorySays.HeightOnly,
            CanDo.OtherAxis => StorySays.SidewaysOnly,
            _ => Message.Nothing,
        };

    /// <summary>In a sentence.</summary>
    public Message Verdict =>
        (asked, Differences.Count) switch
        {
            (_, 0) => new NothingDiffers(Rows.Count(r => !r.Differs && r.Section != DifferenceSection.Results)),
            ({ } of, var count) => new ChangesCan([.. Suspects.Select(s => s.Name)], count, of.Side),
            (null, var count) when NowIs.Bare is { } bare && bare.At > Then.At => new DiffersAndLevel(count),
            (null, var count) => new DiffersUnread(count),
        };

    private IEnumerable<DifferenceRow> Checks() =>
        from kind in Then.Findings.Keys.Union(NowIs.Findings.Keys).Order()
        where kind is not CheckKind.Paper
        let before = Then.Findings.GetValueOrDefault(kind)
        let after = NowIs.Findings.GetValueOrDefault(kind)
        let differs = before is not null && (after is null || Differ(before.Finding, after.Finding))
        select new DifferenceRow(
            DifferenceSection.Bow,
            NameOf(kind),
            before?.Finding.Told(bow.Kind).Found ?? StorySays.NotSaid,
            after?.Finding.Told(bow.Kind).Found ?? StorySays.NotSaid,
            differs && before!.Finding.Value is { } was && after?.Finding.Value is { } found
                ? new Difference(CheckTable.Of(kind).Of(found - was))
                : Message.Nothing,
            differs,
            differs ? Does(AxisOf(kind), null) : CanDo.NotAsked,
            Message.Nothing,
            after?.At
        );

    /// <summary>Where an adjuster has the same name, what was measured says so.</summary>
    private Message NameOf(CheckKind kind) =>
        Codes.Read<AdjusterKind>(Codes.Of(kind)) is { } same && NowIs.Positions.ContainsKey(same)
            ? new AsMeasured(new CheckTitle(kind, bow.Kind))
            : new CheckTitle(kind, bow.Kind);

    private static bool Differ(StoryFinding a, StoryFinding b) =>
        a.Value is { } before && b.Value is { } after
            ? Math.Abs(after - before) > CheckTable.Of(a.Kind).ReadingError
            : a.Choice != b.Choice;

    /// <summary>The axis that a check's finding bears on; null for none (common practice, no source).</summary>
    private static TearAxis? AxisOf(CheckKind kind) =>
        kind switch
        {
            CheckKind.CamLean or CheckKind.CentreShot or CheckKind.PlungerTension or CheckKind.LimbAlignment =>
                TearAxis.Sideways,
            CheckKind.NockingPoint or CheckKind.CamTiming or CheckKind.Tiller or CheckKind.RestTiming =>
                TearAxis.Height,
            _ => null,
        };

    private IEnumerable<DifferenceRow> StringRow(StringPlan plan)
    {
        var fresh = NowIs.StringPutOn != Then.StringPutOn;
        var (from, to) = (Then.StringShots, NowIs.StringShots);
        var lookedAt = NowIs
            .Findings.Where(f => f.Key is CheckKind.CamTiming or CheckKind.BraceHeight)
            .Select(f => f.Value.At)
            .DefaultIfEmpty(DateTimeOffset.MinValue)
            .Max();
        var missed =
            plan.School == StringSchool.BreakIn
            && plan.ChecksAt.Any(at => at <= to && (fresh || at > from))
            && lookedAt <= Then.At;
        yield return new DifferenceRow(
            DifferenceSection.Bow,
            StorySays.String,
            new ShotsCounted(from),
            new ShotsCounted(to),
            fresh ? StorySays.NewString : new Difference(Measure.Plain(to - from, 0)),
            fresh || from != to,
            fresh ? Does(TearAxis.Height, null) : CanDo.NotAsked,
            missed ? StorySays.CheckMissed : Message.Nothing,
            fresh ? NowIs.StringPutOn : null
        );
    }

    private IEnumerable<DifferenceRow> Adjusters() =>
        from kind in NowIs.Positions.Keys.Order()
        let after = NowIs.Positions[kind]
        let before = Then.Positions.GetValueOrDefault(kind)
        where before is not null
        let moved = after.Position - before.Position
        select new DifferenceRow(
            DifferenceSection.Bow,
            new AdjusterName(kind),
            new Standing(kind, before.Position),
            new Standing(kind, after.Position),
            moved == 0 ? Message.Nothing : new Steps(kind, Math.Abs(moved)),
            moved != 0,
            moved == 0 ? CanDo.NotAsked : Does(AdjusterTable.Of(kind).Axis, WayOf(kind) * moved),
            Message.Nothing,
            after.MovedAt
        );

    /// <summary>
    /// Which way a + step drives the tail: 0 where that is disputed, where it is a fact of the bow, and for what no
    /// tear is answered with.
    /// </summary>
    private static int WayOf(AdjusterKind kind) =>
        AdjusterTable.Of(kind).NominalGain == 0
        || AdjusterTable.WayIsAFact(kind)
        || DirectionTable.ReleaseAid.Any(r => r.Kind == kind && r.Disputed)
            ? 0
            : 1;

    private IEnumerable<DifferenceRow> ArrowRows()
    {
        if (NowIs.Arrow is not { } after)
        {
            yield break;
        }

        var before = Then.Arrow;
        if (before is null || before.VersionId != after.VersionId)
        {
            yield return new DifferenceRow(
                DifferenceSection.Arrow,
                StorySays.ArrowOf,
                before is null ? StorySays.NotSaid : new ArrowVersionOf(before.Name, before.Number),
                new ArrowVersionOf(after.Name, after.Number),
                Message.Nothing,
                before is not null,
                CanDo.NotAsked,
                Message.Nothing,
                NowIs.ArrowSince
            );
        }

        if (before is null)
        {
            yield break;
        }

        var (was, fits) = (new ArrowNumbers(bow, before.Arrow), new ArrowNumbers(bow, after.Arrow));
        var stiffer = fits.Fit.Ratio - was.Fit.Ratio;
        var differs = Math.Abs(stiffer) > SameFit;
        yield return new DifferenceRow(
            DifferenceSection.Arrow,
            StorySays.Fit,
            new Amount(Measure.Plain(was.Fit.Ratio)),
            new Amount(Measure.Plain(fits.Fit.Ratio)),
            new Difference(Measure.Plain(stiffer)),
            differs,
            differs ? Does(TearAxis.Sideways, TailOfStiffer(stiffer)) : CanDo.NotAsked,
            Message.Nothing,
            NowIs.ArrowSince
        );
        var cut =
            after.Arrow.CutLength != before.Arrow.CutLength || after.Arrow.Point.Weight != before.Arrow.Point.Weight;
        yield return new DifferenceRow(
            DifferenceSection.Arrow,
            StorySays.LengthAndPoint,
            CutOf(before.Arrow),
            CutOf(after.Arrow),
            Message.Nothing,
            cut,
            CanDo.NotAsked,
            cut ? StorySays.ThroughTheFit : Message.Nothing,
            NowIs.ArrowSince
        );
    }

    private static CutAndPoint CutOf(Arrow arrow) =>
        new(Measure.Inches(arrow.CutLength), Measure.Grains(arrow.Point.Weight, 0));

    /// <summary>
    /// Where a stiffer arrow drives the tail: from fingers a right-handed stiff one tears right, a weak one left (from
    /// memory of long-published tuning practice); from a release aid either may be.
    /// </summary>
    private double? TailOfStiffer(double stiffer) =>
        bow.Release == Release.Fingers ? stiffer * (bow.Hand == Hand.Right ? 1 : -1) : null;

    private CanDo Does(TearAxis? axis, double? towards)
    {
        if (asked is not { } of || axis is null)
        {
            return CanDo.NotAsked;
        }

        if (axis != of.Axis)
        {
            return CanDo.OtherAxis;
        }

        return towards is not { } way || way == 0 ? CanDo.May
            : Math.Sign(way) == Math.Sign(of.Value) ? CanDo.Can
            : CanDo.Against;
    }

    /// <summary>What a tear asks: the axis on which it is off the most.</summary>
    private sealed record Asked(TearAxis Axis, double Value)
    {
        public TearSide Side =>
            (Axis, Value < 0) switch
            {
                (TearAxis.Sideways, true) => TearSide.Left,
                (TearAxis.Sideways, _) => TearSide.Right,
                (_, true) => TearSide.Low,
                _ => TearSide.High,
            };

        public static Asked? Of(MeanTear mean)
        {
            var (x, y) = (mean.Mean.X, mean.Mean.Y);
            var axis = Math.Abs(x) >= Math.Abs(y) ? TearAxis.Sideways : TearAxis.Height;
            return mean.Level(axis) || Math.Abs(mean.Mean.Along(axis)) <= Tolerances.Usual
                ? null
                : new Asked(axis, mean.Mean.Along(axis));
        }
    }
}
