using Merganser.Core.Bows;
using Merganser.Core.Messages;
using Merganser.Core.Paper;
using Merganser.Core.Units;

namespace Merganser.Core.Groups;

/// <summary>How the groups stand to what paper said of the bow as it stands.</summary>
public enum PaperAgrees
{
    /// <summary>As expected, or too little is shown either way.</summary>
    AsExpected,

    /// <summary>Much more or much less than expected, on the same side.</summary>
    OtherSize,

    /// <summary>On the other side, and both are shown.</summary>
    OtherSide,
}

/// <summary>
/// What a paper lets one expect at the target: a tail right is a bare shaft, or a head, to the left; −c t for a mean
/// bare tear t at 3 yd, c the factor of the distance, and −c t/.72 for a fletched one. Sd of it on each axis: three
/// tenths of it, half an inch at 20 yd and as far elsewhere as an angle of the factor, and the tear's own error (500
/// simulated set-ups: docs/how-it-computes.md).
/// </summary>
public sealed class PaperExpectation
{
    /// <summary>Papers from here on tear as the factor has it, yards.</summary>
    public const double Nearest = 2;

    /// <summary>To here.</summary>
    public const double Farthest = 4;

    /// <summary>A fletched tear for one inch of a bare one at 3 yd.</summary>
    private const double FletchedShare = .72;

    private const double RatioSd = .3;
    private const double OffsetSd = .5;

    /// <summary>So many sds apart are no chance: 3 in 1,000.</summary>
    private const double Apart = 3;

    /// <param name="paper">The mean tear.</param>
    /// <param name="fletched">True where it was shot with vanes.</param>
    /// <param name="groups">The groups, two pairs at least.</param>
    public PaperExpectation(MeanTear paper, bool fletched, GroupReading groups)
    {
        var seen = groups.Offset ?? throw new ArgumentException("Two pairs at least.", nameof(groups));
        Factor = groups.Scale.Factor / (fletched ? FletchedShare : 1);
        Expected = new Impact(-Factor * paper.Mean.X, -Factor * paper.Mean.Y);
        var floor = OffsetSd * groups.Scale.Factor / new TargetScale(20, groups.Heads).Factor;
        var tearSd = Factor * paper.Spread / Math.Sqrt(paper.Count);
        var seenSd = seen.Spread / Math.Sqrt(seen.Pairs);
        var clear = seen.Verdict(groups.Looks) == GroupVerdict.Clear;
        PaperAgrees[] axes =
        [
            On(Expected.X, seen.Offset.X, paper.Level(TearAxis.Sideways)),
            On(Expected.Y, seen.Offset.Y, paper.Level(TearAxis.Height)),
        ];
        Agrees = axes.Max();

        PaperAgrees On(double expected, double at, bool level)
        {
            var sd = Math.Sqrt(
                Math.Pow(RatioSd * expected, 2) + (floor * floor) + (tearSd * tearSd) + (seenSd * seenSd)
            );
            var apart = Math.Abs(at - expected) > Apart * sd;
            var shown = clear && Math.Abs(at) > seen.Radius;
            return !apart ? PaperAgrees.AsExpected
                : shown && !level && at * expected < 0 ? PaperAgrees.OtherSide
                : PaperAgrees.OtherSize;
        }
    }

    /// <summary>Inches of offset for one inch of this paper's tear.</summary>
    public double Factor { get; }

    /// <summary>The offset that the paper lets one expect, inches.</summary>
    public Impact Expected { get; }

    /// <summary>How the groups stand to it.</summary>
    public PaperAgrees Agrees { get; }

    /// <summary>The same in words.</summary>
    /// <param name="tested">Bare shafts, or heads.</param>
    public Message Words(ArrowKind tested) =>
        new PaperExpects(Measure.Inches(Expected.X, 1), Measure.Inches(Expected.Y, 1), tested, Agrees);
}
