using Merganser.Core.Bows;
using Merganser.Core.Paper;
using static Merganser.Core.Units.Show;

namespace Merganser.Core.Tuning;

/// <summary>
/// One move from the direction table: height or side, one adjuster, a count of whole steps. The size follows from the trade's usual
/// response of a step; a disputed direction is tried small and then follows what the paper showed.
/// </summary>
/// <param name="Hand">The hand that draws the bow.</param>
/// <param name="Release">Release aid or fingers.</param>
/// <param name="School">The archer's school.</param>
/// <param name="HasPress">True when the archer has a press and the manual.</param>
/// <param name="Adjusters">The bow's adjusters as they stand.</param>
/// <param name="Tolerance">Good enough, inches.</param>
public sealed record OneMove(Hand Hand, Release Release, School School, bool HasPress, IReadOnlyList<Adjuster> Adjusters, double Tolerance = Tolerances.Usual)
{
    private const int EnoughToMove = 2;
    private const int EnoughToStopAsking = 8;
    private const double TestInSpreads = 3;
    private const double GainDoubt = 0.5;
    private const double NormalTwoSided = 1.96;

    /// <summary>The advice on a set's mean, given the moves made before it on this paper.</summary>
    public Advice On(MeanTear? mean, IReadOnlyList<MadeMove> made)
    {
        if (mean is null)
        {
            return Plain(AdviceKind.NoShots, "Shoot one arrow through the paper and mark its holes.", "Paper taut, arrow level, target a yard or more behind it.", []);
        }

        var evidence = EvidenceOf(mean, made);
        if (mean.Mean.Length <= Tolerance)
        {
            var sure = mean.Count > 1 ? $"The mean of {mean.Count} lies inside {Number(Tolerance, 2)} in." : "A clean first hole may be accepted; two more would confirm it.";
            return Plain(AdviceKind.GoodEnough, "Good enough: accept this, or shoot more to be surer.", sure, evidence);
        }

        if (mean.Count < EnoughToMove)
        {
            return Plain(AdviceKind.ShootMore, "Shoot one more before anything is moved.", "One odd hole is no evidence; the same hole twice is.", evidence);
        }

        TearAxis[] tilted = [.. new[] { TearAxis.Sideways, TearAxis.Height }.Where(a => !mean.Level(a))];
        if (tilted.Length == 0 && mean.Count < EnoughToStopAsking)
        {
            return Plain(AdviceKind.ShootMore, "Shoot two more: the holes differ too much to choose a move.", $"The mean may still be level both ways: ± {Number(mean.Radius, 2)} in.", evidence);
        }

        var axis = FirstAxis(mean, tilted);
        return AlongAxis(axis, mean, made, evidence) ?? Unreachable(axis, evidence);
    }

    private TearAxis FirstAxis(MeanTear mean, TearAxis[] tilted)
    {
        if (tilted.Length == 1)
        {
            return tilted[0];
        }

        var heightFirst = Release == Release.Fingers && Math.Abs(mean.Mean.Y) > Tolerance;
        return heightFirst || Math.Abs(mean.Mean.Y) >= Math.Abs(mean.Mean.X) ? TearAxis.Height : TearAxis.Sideways;
    }

    private Advice? AlongAxis(TearAxis axis, MeanTear mean, IReadOnlyList<MadeMove> made, IReadOnlyList<Evidence> evidence)
    {
        Advice? chosen = null;
        string? lost = null;
        foreach (var row in DirectionTable.For(Release, School, axis, mean.Mean.Y < 0))
        {
            var adjuster = Adjusters.FirstOrDefault(a => a.Kind == row.Kind);
            if (adjuster is null)
            {
                continue;
            }

            var why = adjuster.NeedsPress && !HasPress ? "it needs a press, so a shop with the maker's manual" : null;
            var move = why is null ? Build(row, adjuster, axis, mean, made, evidence) : null;
            why ??= move is null ? "it is at the end of its travel" : null;
            if (move is null || chosen is not null)
            {
                lost ??= $"{AdjusterTable.Of(row.Kind).Name}: {why ?? "comes later in this school. " + row.Reason}.";
            }
            else
            {
                chosen = move;
            }

            if (chosen is not null && lost is not null)
            {
                break;
            }
        }

        return chosen is null ? null : chosen with { RunnerUp = lost };
    }

    private Advice? Build(DirectionRow row, Adjuster adjuster, TearAxis axis, MeanTear mean, IReadOnlyList<MadeMove> made, IReadOnlyList<Evidence> evidence)
    {
        var fact = AdjusterTable.Of(row.Kind);
        var wanted = -mean.Mean.Along(axis);
        var settled = row.Disputed ? SettledGain(row.Kind, axis, made, fact.NominalGain) : fact.NominalGain;
        var test = settled is null;
        var steps = test ? TestSteps(wanted, mean, fact, made.Count(m => m.Kind == row.Kind)) : AtLeastOne(wanted / settled!.Value);
        var to = Math.Clamp(adjuster.Position + steps, adjuster.Lower, adjuster.Upper);
        steps = to - adjuster.Position;
        if (steps == 0)
        {
            return null;
        }

        var order = fact.Order(steps, Hand);
        var move = new AdvisedMove(row.Kind, adjuster.Position, to, order, adjuster.NeedsPress, MoveEffects.After(row.Kind));
        Predicted[] ghosts = test
            ? [Ghost(mean, axis, steps * fact.NominalGain, 0.5, "if this rest drives the tail its own way"), Ghost(mean, axis, -steps * fact.NominalGain, 0.5, "if it drives it the other way")]
            : [Ghost(mean, axis, steps * settled!.Value, 1, "by the trade's usual response")];
        var size = test
            ? "About what two shots can tell apart, no more."
            : $"{Number(Math.Abs(mean.Mean.Along(axis)), 2)} in at about {Number(Math.Abs(settled!.Value), 2)} in a step.";
        return new Advice(test ? AdviceKind.SmallTest : AdviceKind.Move, $"{order}, then shoot two.", $"{row.Reason}. {size}",
            move, row.Disputed ? Dispute(settled) : null, null, evidence, ghosts);
    }

    /// <summary>A disputed first test: away from the tail, as most charts have it, about three spreads, never more than the tear is worth.</summary>
    private int TestSteps(double wanted, MeanTear mean, AdjusterFact fact, int testsBefore)
    {
        var size = Math.Min(Math.Abs(wanted), TestInSpreads * mean.Spread * (1 + testsBefore)) / fact.NominalGain;
        return Math.Sign(wanted) * Math.Max(1, (int)Math.Round(size));
    }

    /// <summary>The gain of a disputed adjuster once a move on this paper has shown a change beyond both regions; else null.</summary>
    private static double? SettledGain(AdjusterKind kind, TearAxis axis, IReadOnlyList<MadeMove> made, double nominal)
    {
        var tests = made.Where(m => m.Kind == kind && m.Steps != 0).ToArray();
        var shown = tests.LastOrDefault(m => Math.Abs(Change(m)) > Math.Sqrt((m.Before.Radius * m.Before.Radius) + (m.After.Radius * m.After.Radius)));
        if (shown is null)
        {
            return null;
        }

        var gain = Change(shown) / shown.Steps;
        return Math.Sign(gain) * Math.Clamp(Math.Abs(gain), nominal / 2, nominal * 2);

        double Change(MadeMove m) => m.After.Mean.Along(axis) - m.Before.Mean.Along(axis);
    }

    private static string Dispute(double? settled) => settled is { } gain
        ? $"Settled on this paper: a click to the right drove the tail {(gain > 0 ? "right" : "left")}, {Number(Math.Abs(gain), 2)} in."
        : DirectionTable.RestDispute;

    private static Predicted Ghost(MeanTear mean, TearAxis axis, double shift, double share, string words)
    {
        var along = Math.Sqrt((mean.Radius * mean.Radius) + Math.Pow(NormalTwoSided * GainDoubt * shift, 2));
        return axis == TearAxis.Sideways
            ? new Predicted(new Tear(mean.Mean.X + shift, mean.Mean.Y), along, mean.Radius, share, words)
            : new Predicted(new Tear(mean.Mean.X, mean.Mean.Y + shift), mean.Radius, along, share, words);
    }

    private Advice Unreachable(TearAxis axis, IReadOnlyList<Evidence> evidence)
    {
        var shop = Adjusters.Any(a => AdjusterTable.Of(a.Kind).Axis == axis && a.NeedsPress) && !HasPress;
        var reason = axis == TearAxis.Height
            ? "Rest and nocking point are at the end of their travel: look at timing, clearance, a rest that does not drop."
            : shop ? "What is left needs a press: a shop with the maker's manual goes on from here." : "Look at form, face contact and clearance, then a control arrow.";
        return Plain(AdviceKind.NotReachable, "Not reachable with the adjusters at hand.", reason, evidence);
    }

    private static IReadOnlyList<Evidence> EvidenceOf(MeanTear mean, IReadOnlyList<MadeMove> made)
    {
        List<Evidence> lines = [];
        if (mean.Count > 1)
        {
            var wide = mean.Spread > 2 * MeanTear.UsualSpread;
            lines.Add(wide
                ? new Evidence("Holes differ from shot to shot.", $"Spread {Number(mean.Spread, 2)} in, usual about {Number(MeanTear.UsualSpread, 2)}: that points to the archer or the arrows.", "Five holes alike")
                : new Evidence("Holes are alike.", $"Spread {Number(mean.Spread, 2)} in over {Count(mean.Count, "shot")}: not chance or one bad arrow. Grip, face and spine are not cleared.", "A changed grip or a control arrow that tears otherwise"));
        }

        if (made.Count > 0)
        {
            var last = made[^1];
            var fact = AdjusterTable.Of(last.Kind);
            var change = last.After.Mean.Along(fact.Axis) - last.Before.Mean.Along(fact.Axis);
            var sum = Math.Sqrt((last.After.Radius * last.After.Radius) + (last.Before.Radius * last.Before.Radius));
            lines.Add(new Evidence(
                $"Last move: {Signed(change, 2)} in.",
                $"{fact.Name}, {fact.Steps(Math.Abs(last.Steps))}: {(Math.Abs(change) > sum ? "more" : "no more")} than chance, ± {Number(sum, 2)} in.",
                "More shots on either side of it"));
        }

        lines.Add(new Evidence("Spine not judged.", "One distance cannot tell it.", "A bare tear that changes side or size at 6 yd"));
        return lines;
    }

    private static int AtLeastOne(double steps) => Math.Sign(steps) * Math.Max(1, (int)Math.Round(Math.Abs(steps)));

    private static Advice Plain(AdviceKind kind, string sentence, string reason, IReadOnlyList<Evidence> evidence) =>
        new(kind, sentence, reason, null, null, null, evidence, []);
}
