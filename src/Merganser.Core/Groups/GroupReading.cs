using Merganser.Core.Messages;
using Merganser.Core.Sessions;
using Merganser.Core.Units;

namespace Merganser.Core.Groups;

/// <summary>
/// The groups of one set at a target: what the bare shafts show against the fletched arrows, or broadheads against
/// field points. It is looked at after each pair, so that its error over a session is the stated one; a shot without a
/// partner waits.
/// </summary>
public sealed class GroupReading
{
    /// <summary>Pairs beyond which the finer limit holds.</summary>
    private const int ManyPairs = 10;

    /// <summary>Most pairs whose power is told.</summary>
    private const int PairsAhead = 4;

    private readonly SessionSet set;
    private readonly Lazy<int?> more;
    private readonly Lazy<HeadComparison?> eachHead;
    private readonly Dictionary<StraightMiss, HeadMap?> maps = [];

    /// <param name="set">A set at a target.</param>
    public GroupReading(SessionSet set)
    {
        this.set = set;
        Scale = new TargetScale(set.Stage.Distance, set.Stage.Heads);
        (TestedKind, ReferenceKind) = GroupPairs.KindsOf(set.Stage.Heads);
        ShotReading[] tested = [.. GroupPairs.Counting(set, TestedKind)];
        ShotReading[] reference = [.. GroupPairs.Counting(set, ReferenceKind)];
        (Tested, Reference, Pairs) = (tested.Length, reference.Length, Math.Min(tested.Length, reference.Length));
        if (Pairs >= 2)
        {
            // Bare shafts are read in pairs alone; heads are few and numbered, and all of them are read.
            var (ofTested, ofReference) = Heads ? (Tested, Reference) : (Pairs, Pairs);
            var lower = new Impact(0, set.BareHigh);
            Offset = new GroupOffset(
                new ArrowGroup([.. tested.Take(ofTested).Select(s => s.Marked.Impact - lower)]),
                new ArrowGroup([.. reference.Take(ofReference).Select(s => s.Marked.Impact)])
            );
        }

        eachHead = new(() => Heads ? new HeadComparison([.. tested.Select(s => s.Marked)]) : null);
        more = new(() => Offset?.MoreToDecide(Tolerance / Offset.Spread, Looks));
    }

    /// <summary>The set that is read.</summary>
    internal SessionSet Set => set;

    /// <summary>The scale of its distance.</summary>
    public TargetScale Scale { get; }

    /// <summary>Good enough here, inches of offset.</summary>
    public double Tolerance => Scale.Within(set.Tolerance);

    /// <summary>True for broadheads against field points.</summary>
    public bool Heads => set.Stage.Heads;

    /// <summary>Bare shafts, or broadheads.</summary>
    public ArrowKind TestedKind { get; }

    /// <summary>Fletched arrows, or field points.</summary>
    public ArrowKind ReferenceKind { get; }

    /// <summary>Those of the tested kind that count.</summary>
    public int Tested { get; }

    /// <summary>Those that they are held against.</summary>
    public int Reference { get; }

    /// <summary>Complete pairs.</summary>
    public int Pairs { get; }

    /// <summary>How much higher a bare shaft strikes for its weight alone: taken off, inches.</summary>
    public double BareHigh => set.BareHigh;

    /// <summary>
    /// How the tested shafts stand in the target; null where nobody looked. Beyond <see cref="NockEnd.Distances"/> it
    /// is a look and no measure: nothing is read from it (common practice, no source).
    /// </summary>
    public SlantsSeen? Slants
    {
        get
        {
            Slant[] seen = [.. GroupPairs.Counting(set, TestedKind).Select(s => s.Marked.Slant).OfType<Slant>()];
            int Of(Slant slant) => seen.Count(s => s == slant);
            return seen.Length == 0
                ? null
                : new SlantsSeen(
                    TestedKind,
                    seen.Length,
                    Of(Slant.NockLeft),
                    Of(Slant.NockRight),
                    Of(Slant.NockHigh),
                    Of(Slant.NockLow)
                );
        }
    }

    /// <summary>The heads one by one, or null where none are shot.</summary>
    public HeadComparison? EachHead => eachHead.Value;

    /// <summary>What the offset asks for, or null where no heads are shot, or fewer than three of each.</summary>
    public HeadMap? Map(StraightMiss straight)
    {
        if (!maps.TryGetValue(straight, out var map))
        {
            map = Heads && Pairs >= HeadMap.LeastOfEach ? new HeadMap(Offset!, Tolerance, straight) : null;
            maps[straight] = map;
        }

        return map;
    }

    /// <summary>The pin's way for heads: the axis on which they lie most, whole; null below two pairs.</summary>
    public SightMove? SightAnswer(Sight? sight)
    {
        if (!Heads || Offset is not { Offset: var seen })
        {
            return null;
        }

        var straight = Math.Abs(seen.X) > Math.Abs(seen.Y) ? new Impact(seen.X, 0) : new Impact(0, seen.Y);
        return (sight ?? Sight.Usual).Answer(straight, Scale.Yards);
    }

    /// <summary>The offset without one head, or null where too few are left.</summary>
    public GroupOffset? Without(HeadHits head)
    {
        Impact[] others =
        [
            .. GroupPairs
                .Counting(set, TestedKind)
                .Where(s => s.ArrowNumber != head.Number)
                .Select(s => s.Marked.Impact),
        ];
        return others.Length < 2 || Offset is null ? null : new GroupOffset(new ArrowGroup(others), Offset.Other);
    }

    /// <summary>The tested kind against the other, or null below two pairs.</summary>
    public GroupOffset? Offset { get; }

    /// <summary>How often it is looked.</summary>
    public LookingRule Looks => LooksAt(Math.Max(Offset?.Group.Count ?? 0, Offset?.Other.Count ?? 0));

    /// <summary>What is shown, or null below two pairs.</summary>
    public GroupVerdict? Verdict => Offset?.Verdict(Looks);

    /// <summary>More pairs that would show an offset as long as the tolerance, four times in five.</summary>
    public int? MoreToDecide => more.Value;

    /// <summary>The same in words, or null where nothing is read yet or nothing more is wanted.</summary>
    /// <param name="sentence">False where it stands inside a sentence.</param>
    public Message? More(bool sentence = true) =>
        MoreToDecide is > 0 and { } pairs ? new MoreOfEach(pairs, Measure.Inches(Tolerance), sentence) : null;

    /// <summary>Chance that so many pairs show an offset as long as the tolerance: now, and with more.</summary>
    public IReadOnlyList<(int Pairs, double Chance)> Powers =>
        Offset is null ? [] : [.. Enumerable.Range(Pairs, PairsAhead + 1).Select(n => (n, PowerOf(n)))];

    /// <summary>Chance that so many of each show an offset as long as the tolerance.</summary>
    public double PowerOf(int pairs) =>
        GroupOffset.Power(pairs, pairs, Tolerance / Offset!.Spread, GroupOffset.Threshold(LooksAt(pairs)));

    /// <summary>Heads are looked at after each arrow, bare shafts after each pair.</summary>
    private LookingRule LooksAt(int each) =>
        each > ManyPairs ? LookingRule.Beyond
        : Heads ? LookingRule.EachArrow
        : LookingRule.EachPair;

    /// <summary>What they show, or null before the first shot.</summary>
    public Message? Words =>
        Offset is { } offset
            ? new OffsetShown(
                Measure.Inches(offset.Offset.X),
                Measure.Inches(offset.Offset.Y),
                Verdict!.Value,
                TestedKind
            )
        : Tested + Reference > 0 ? new PairsToGo(2 - Pairs, TestedKind)
        : null;
}
