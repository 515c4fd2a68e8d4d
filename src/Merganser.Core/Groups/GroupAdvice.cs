using Merganser.Core.Bows;
using Merganser.Core.Messages;
using Merganser.Core.Paper;
using Merganser.Core.Sessions;
using Merganser.Core.Tuning;
using Merganser.Core.Units;

namespace Merganser.Core.Groups;

/// <summary>
/// The tuning engine's advice at a target, in the target's own words and inches: the same belief, rule and move, read
/// from pairs. A move is advised from two pairs on, and is headed a test while the offset is not clear. Heads may be
/// answered by the sight instead.
/// </summary>
internal sealed partial class GroupAdvice
{
    /// <summary>Never fewer before a move or before it is done.</summary>
    private const int LeastPairs = 2;

    /// <summary>From so many pairs on the target is believed against a paper.</summary>
    private const int TargetDecides = 5;

    private readonly TuningSession session;
    private readonly GroupReading groups;
    private readonly TargetScale scale;
    private readonly TuningState state;

    /// <summary>What paper lets one expect with the bow as it stands; null where none was shot so.</summary>
    private readonly PaperExpectation? paper;

    private GroupAdvice(TuningSession session)
    {
        var now = session.Now.Groups is null ? session.Sets.Last(s => s.Groups is not null) : session.Now;
        (this.session, groups, state) = (session, now.Groups!, session.State);
        scale = groups.Scale;
        paper = session.PaperBefore(groups);
    }

    /// <summary>What is advised at the target in work.</summary>
    public static Advice Of(TuningSession session) => new GroupAdvice(session).Advised();

    private Advice Advised()
    {
        var (reference, tested) = (groups.Reference, groups.Tested);
        if (state.ShotsHere == 0 && (groups.Pairs > 0 || reference + tested == 0))
        {
            return Advice.To(AdviceKind.NoShots, Shoot(LeastPairs, LeastPairs), Start, Evidence(null));
        }

        var begun = Math.Max(reference, tested);
        var each = Math.Max(LeastPairs, begun);
        var enoughHeads = groups.Heads && groups.Pairs >= HeadMap.LeastOfEach;
        if ((reference < each || tested < each) && !enoughHeads)
        {
            var firstPair = state.ShotsHere == 0 || begun < LeastPairs;
            return ToShoot(each, firstPair ? Start : GroupSays.ThePartner);
        }

        var advice = session.Adviser.Advise(state);
        var evidence = Evidence(advice);
        if (paper is { Agrees: PaperAgrees.OtherSide } && groups.Pairs < TargetDecides)
        {
            return Advice.To(
                AdviceKind.Contradiction,
                GroupSays.PaperDisagrees,
                GroupSays.LookAtWhatDiffers,
                evidence
            ) with
            {
                Chance = advice.Chance,
                Enough = advice.Enough,
            };
        }

        return (groups.Heads ? ByTheHeads(advice, evidence) : null) ?? ByTheEngine(advice, evidence);
    }

    private Advice ByTheEngine(Advice advice, IReadOnlyList<Evidence> evidence) =>
        advice.Kind switch
        {
            AdviceKind.ShootMore => MorePairs(advice, evidence),
            AdviceKind.Move or AdviceKind.SmallTest => Moving(advice, evidence),
            AdviceKind.GoodEnough => advice with { Reason = Inside(advice), Evidence = evidence },
            AdviceKind.MovesDoNotHelp => advice with
            {
                Reason = new OffsetIgnores(state.Moves, new Chance(state.Belief.Deaf)),
                Evidence = evidence,
            },
            AdviceKind.StopAsking => advice with { Reason = GroupSays.NoMoveHelps, Evidence = evidence },
            _ => advice with { Evidence = evidence },
        };

    private GroupSays Start =>
        groups.Tested + groups.Reference > 0 ? GroupSays.EachAtItsOwnSpot
        : groups.Heads && session.HeadMark.IsMove ? GroupSays.HeadsOnTheirMark
        : session.Moves.Count > 0 ? GroupSays.BothAnew
        : GroupSays.EachAtItsOwnSpot;

    private GroupsToShoot Shoot(int reference, int tested) => new(reference, tested, groups.TestedKind);

    private Advice ToShoot(int each, GroupSays reason) =>
        Advice.To(
            AdviceKind.ShootMore,
            Shoot(each - groups.Reference, each - groups.Tested),
            reason,
            Evidence(null)
        ) with
        {
            Chance = state.ShotsHere == 0 ? null : state.Belief.ChanceInside(state.Setting, session.Tolerance),
        };

    private Advice MorePairs(Advice advice, IReadOnlyList<Evidence> evidence) =>
        advice with
        {
            Sentence = Shoot(LeastPairs, LeastPairs),
            Reason = new ChanceAndEnough(new Chance(advice.Chance!.Value), new Chance(advice.Enough!.Value)),
            Evidence = evidence,
            Ghosts = [],
        };

    private Message Inside(Advice advice) =>
        new InsideWithChance(
            Measure.Inches(groups.Tolerance),
            new Chance(advice.Chance!.Value),
            new Chance(advice.Lasting ?? advice.Chance!.Value),
            state.DaysHere
        );

    private Advice Moving(Advice advice, IReadOnlyList<Evidence> evidence)
    {
        var lever = state.Prior.IndexOf(advice.Move!.Kind);
        var gain = state.Prior.Gains[lever];
        var now = scale.OffsetOf(session.Now.Mean!.Mean);
        var off = Math.Abs(gain.Axis == TearAxis.Sideways ? now.X : now.Y);
        var step = scale.Scale * Math.Abs(state.Belief.GainOf(lever).Gain);
        var clear = groups.Verdict == GroupVerdict.Clear && advice.Kind == AdviceKind.Move;
        Message order = advice.Also is { } also ? new BothOrders(advice.Move.Order, also.Order) : advice.Move.Order;
        return advice with
        {
            Sentence = new MoveThenBoth(order, clear ? null : new Chance(advice.ChanceAfter ?? 0)),
            // What a step does is what a test asks: of a move whose way is not known it comes out as none.
            Reason = new Sentences([
                new ReadAsTear(Measure.Inches(now.X), Measure.Inches(now.Y), groups.TestedKind),
                .. advice.Kind == AdviceKind.SmallTest
                    ? Array.Empty<Message>()
                    : [new SizeOfMove(Measure.Inches(off), Measure.Inches(step))],
            ]),
            Disputed = advice.Disputed is RestSettled settled
                ? new RestSettledAtTarget(settled.Right, Measure.Inches(step), groups.TestedKind)
                : advice.Disputed,
            RunnerUp = advice.RunnerUp is WouldLeave left
                ? left with
                {
                    There = AtTarget(left.There.Value),
                    Here = AtTarget(left.Here.Value),
                }
                : advice.RunnerUp,
            Evidence = evidence,
            Ghosts = [],
        };
    }

    private Measure AtTarget(double tear) => Measure.Inches(scale.Scale * Math.Abs(tear));

    private IReadOnlyList<Evidence> Evidence(Advice? advice) =>
        [.. Shown(), .. PaperSays(), .. HeadsShow(), .. ByChance(advice), .. Gains(advice)];

    /// <summary>The offset with its test, or why nothing is read yet.</summary>
    private IEnumerable<Evidence> Shown()
    {
        if (groups.Offset is not { } offset)
        {
            yield break;
        }

        yield return new Evidence(
            groups.Words!,
            new OffsetTest(
                new FTest(offset.F, 2, offset.Freedom, offset.P),
                Measure.Inches(offset.Radius),
                Measure.Inches(offset.Spread),
                GroupOffset.Threshold(groups.Looks)
            ),
            groups.More(sentence: false)
                ?? new PairsShow(
                    groups.Pairs,
                    Measure.Inches(groups.Tolerance),
                    new Chance(groups.PowerOf(groups.Pairs))
                )
        );
    }

    private IEnumerable<Evidence> PaperSays()
    {
        if (paper is not null)
        {
            yield return new Evidence(
                paper.Words(groups.TestedKind),
                new TimesTheTear(Measure.Plain(paper.Factor, 1), Measure.Yards(scale.Yards)),
                GroupSays.AnotherPaper
            );
        }
    }

    private IEnumerable<Evidence> ByChance(Advice? advice)
    {
        if (advice is { Chance: { } chance, Enough: { } enough })
        {
            yield return new Evidence(
                new ChanceOfInside(Measure.Inches(groups.Tolerance)),
                new ChanceByPairs(new Chance(chance), state.ShotsHere, state.Shots.Count - state.ShotsHere),
                new MoreShotsUntil(new Chance(enough))
            );
        }
    }

    private IEnumerable<Evidence> Gains(Advice? advice)
    {
        for (var i = 0; i < state.Prior.Gains.Count; i++)
        {
            var prior = state.Prior.Gains[i];
            if (!state.Taught(i) || (advice?.Move is { } move && move.Kind != prior.Kind))
            {
                continue;
            }

            var (gain, sd) = state.Belief.GainOf(i);
            yield return new Evidence(
                new StepOffsets(
                    new AdjusterName(prior.Kind),
                    new StepName(prior.Kind),
                    AtTarget(gain),
                    gain < 0,
                    groups.TestedKind
                ),
                new LearnedFrom(AtTarget(sd), state.SettingsOf(i), AtTarget(prior.Expected), prior.From),
                TuningSays.MoveThatAnswersOtherwise
            );
        }
    }
}
