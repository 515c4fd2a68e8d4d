using Merganser.Core.Figures;
using Merganser.Core.Messages;
using Merganser.Core.Units;

namespace Merganser.Core.Groups;

/// <summary>The figures of a range-error trial and of guessed distances, each with its working.</summary>
public static class RangeFigures
{
    /// <summary>What the error costs, what the zero is off by itself, and the spread; none until it is read.</summary>
    public static IReadOnlyList<Figure> Of(RangeReading trial)
    {
        if (trial is not { Cost: { } cost, Zero: { } zero })
        {
            return [];
        }

        var (up, down) = (Measure.Inches(trial.Far.Up, 3), Measure.Inches(trial.Near.Up, 3));
        var half = new Formula(
            $"t(ν) s √(1/n + 1/m) / 2, s = {Measure.Inches(trial.Spread, 3):bare}, ν = {trial.Freedom}"
        );
        Term Width(double plus) => new(WalkSays.HalfWidth, half, plus, Unit.Inch, 3);
        List<Term> terms =
        [
            new(
                RangeSays.Seen,
                new Formula($"(ȳ far − ȳ near) / 2 = ({up:bare} − {down:bare}) / 2"),
                cost.Inches,
                Unit.Inch,
                3
            ),
            Width(cost.Plus),
        ];
        if (trial.Computed is { } computed)
        {
            terms.Add(new(RangeSays.Computed, RangeSays.ComputedIs, computed, Unit.Inch, 3));
        }

        return
        [
            Figure.OnTarget(
                "rangeErrorCost",
                new CostOf(Measure.Yards(trial.Error), Measure.Yards(trial.Yards)),
                cost.Inches,
                cost.Plus,
                new Working(RangeSays.CostIs, terms, RangeSays.Source, RangeSays.MoreWithEach)
            ),
            Figure.OnTarget(
                "rangeZero",
                new MiddleSide(GroupFigures.SideOf(zero.Inches, sideways: false)),
                zero.Inches,
                zero.Plus,
                new Working(
                    RangeSays.ZeroIs,
                    [
                        new(
                            RangeSays.Seen,
                            new Formula($"(ȳ far + ȳ near) / 2 = ({up:bare} + {down:bare}) / 2"),
                            zero.Inches,
                            Unit.Inch,
                            3
                        ),
                        Width(zero.Plus),
                    ],
                    RangeSays.Source,
                    RangeSays.MoreWithEach
                )
            ),
            Figure.OnTarget(
                "rangeSpread",
                GroupSays.SpreadOfAShot,
                trial.Spread,
                null,
                new Working(
                    RangeSays.SpreadIs,
                    [
                        new(
                            GroupSays.SpreadOfAShot,
                            new Formula($"√(SS / ν), ν = {trial.Freedom}"),
                            trial.Spread,
                            Unit.Inch,
                            3
                        ),
                    ],
                    RangeSays.Source
                )
            ),
        ];
    }

    /// <summary>The lean of guesses, their spread, and what nine in ten stay within; none until there are
    /// enough.</summary>
    /// <param name="ranging">The guesses.</param>
    /// <param name="yards">At this distance.</param>
    public static IReadOnlyList<Figure> Of(RangingError ranging, double yards)
    {
        if (!ranging.Told)
        {
            return [];
        }

        var at = Measure.Yards(yards);
        var (low, high) = ranging.SpreadBand;
        Figure At(string name, Message label, double share, (double Low, double High)? band, Working working) =>
            new(
                name,
                label,
                Math.Abs(share) * yards,
                Unit.Yard,
                1,
                band?.Low * yards,
                band?.High * yards,
                null,
                null,
                null,
                working
            );
        var lean = new Formula($"Σ (g − m) / m / n × d, n = {ranging.Count}, d = {at:bare}");
        var spread = new Formula($"√(Σ (e − ē)² / ν) × d, e = (g − m) / m, ν = {ranging.Count - 1}");
        return
        [
            At(
                "rangingLean",
                new GuessesLean(ranging.Lean > 0, at),
                ranging.Lean,
                null,
                new Working(
                    RangeSays.LeanIs,
                    [new(RangeSays.Lean, lean, ranging.Lean * yards, Unit.Yard, 2)],
                    RangeSays.GuessSource,
                    RangeSays.MoreGuesses
                )
            ),
            At(
                "rangingSpread",
                new GuessesSpread(at),
                ranging.Spread,
                (low, high),
                new Working(
                    RangeSays.GuessSpreadIs,
                    [new(RangeSays.SpreadOfGuesses, spread, ranging.Spread * yards, Unit.Yard, 2)],
                    RangeSays.GuessSource,
                    RangeSays.MoreGuesses
                )
            ),
            At(
                "rangingNine",
                new GuessesWithin(at),
                ranging.NineInTen,
                null,
                new Working(
                    RangeSays.NineIs,
                    [
                        new(
                            RangeSays.NineLabel,
                            new Formula($"Φ((x − b) / s) − Φ((−x − b) / s) = .9"),
                            ranging.NineInTen * yards,
                            Unit.Yard,
                            2
                        ),
                    ],
                    RangeSays.GuessSource,
                    RangeSays.MoreGuesses
                )
            ),
        ];
    }
}
