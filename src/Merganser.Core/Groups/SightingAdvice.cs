using Merganser.Core.Paper;
using Merganser.Core.Sessions;
using Merganser.Core.Tuning;
using Merganser.Core.Units;

namespace Merganser.Core.Groups;

/// <summary>What sighting in asks for: hits, the sight moved by their middle, or the next pin.</summary>
internal static class SightingAdvice
{
    /// <summary>What is advised at the distance in work.</summary>
    public static Advice Of(TuningSession session)
    {
        var (reading, sight) = (session.Sighting!, session.Bow.SightUsed);
        var at = Measure.Yards(reading.Yards);
        Evidence[] evidence = [.. EvidenceOf(reading)];
        if (reading.Fresh < SightingReading.Least)
        {
            var first = reading.Fresh == 0;
            var wanted = SightingReading.Least - reading.Fresh;
            return Advice.To(
                first ? AdviceKind.NoShots : AdviceKind.ShootMore,
                new SightingToShoot(wanted, at),
                reading.Earlier.Count > 0 ? WalkSays.ShiftedAndThreeFresh : WalkSays.NearestPinFirst,
                evidence
            );
        }

        var chance = reading.Chance!.Value;
        var within = Measure.Inches(reading.Tolerance, 1);
        var pin = reading.SightAnswer(sight);
        var advice =
            !session.Bow.Bow.HasSight ? Advice.To(AdviceKind.GoodEnough, reading.Words!, GroupSays.NoSight, evidence)
            : chance >= SightingReading.Enough || (reading.F > SightingReading.MoveFrom && !pin.IsMove)
                ? Advice.To(
                    AdviceKind.GoodEnough,
                    new Zeroed(at),
                    pin.IsMove ? new ZeroedWithin(within, new Chance(chance)) : WalkSays.LessThanAClick,
                    evidence
                )
            : reading.F > SightingReading.MoveFrom
                ? Advice.To(
                    AdviceKind.MoveTheSight,
                    new SightForZero(
                        Measure.Inches(pin.Right, 3),
                        Measure.Inches(pin.Up, 3),
                        sight.ClicksOf(pin.Right),
                        sight.ClicksOf(pin.Up)
                    ),
                    WalkSays.MoveIsNearer,
                    evidence
                )
            : reading.Count >= SightingReading.Most
                ? Advice.To(
                    AdviceKind.GoodEnough,
                    new Zeroed(at),
                    new ZeroedWithin(within, new Chance(chance)),
                    evidence
                )
            : Advice.To(
                AdviceKind.ShootMore,
                new SightingToShoot(reading.More, at),
                WalkSays.AMoveWouldBeAGuess,
                evidence
            );
        return advice with { Chance = chance, Enough = SightingReading.Enough };
    }

    private static IEnumerable<Evidence> EvidenceOf(SightingReading reading)
    {
        if (reading.Words is { } words)
        {
            var p = NoncentralF.Chance(2, reading.Freedom, reading.F);
            yield return new Evidence(
                words,
                new MiddleTest(
                    new FTest(reading.F, 2, reading.Freedom, p),
                    Measure.Inches(reading.Radius),
                    Measure.Inches(reading.Spread)
                ),
                WalkSays.MoreHitsHere
            );
        }
    }
}
