using Merganser.Core.Bows;
using Merganser.Core.Figures;
using Merganser.Core.Speed;
using Merganser.Core.Spine;
using static Merganser.Core.Units.Show;

namespace Merganser.Core.Arrows;

/// <summary>The arrow's figures, each with its working: formula, the user's own numbers, source.</summary>
public static class ArrowFigures
{
    private const string BalanceSource = "ATA/AMO definition of front of center; masses summed, 1 lb = 7000 gr (1959)";
    private const string SpeedSource = "Virtual mass of string and limbs, Klopsteg 1943; share of a rating reached, common practice";

    /// <summary>All figures, in the order of the bench.</summary>
    public static IReadOnlyList<Figure> All(ArrowNumbers n) =>
    [
        TotalWeight(n), FrontOfCenter(n), GrainsPerPound(n), Speed(n), KineticEnergy(n), Momentum(n),
        BalancePoint(n), StaticAstm(n), StaticAmo(n), Needed(n), Fit(n), ToSpare(n),
    ];

    private static Figure TotalWeight(ArrowNumbers n)
    {
        var arrow = n.Arrow;
        var terms = arrow.Masses().Select(m => m.Name == "Shaft"
            ? new Term("Shaft", $"g (L − x₀) = {Number(arrow.Shaft.GrainsPerInchInUse, 2)}{(arrow.Shaft.MeasuredGrainsPerInch is null ? "" : " measured")} × ({Number(arrow.CutLength, 2)} − {Number(arrow.Nock.TubeStart, 2)})", m.Grains, "gr", 2)
            : m.Name == "Vanes"
                ? new Term("Vanes", $"{arrow.VaneCount} × {Number(arrow.Vane!.Weight, 1)}", m.Grains, "gr", 2)
                : new Term(m.Name, $"at {Number(m.Position, 2)} in", m.Grains, "gr", 2)).ToList();
        terms.Add(new Term("Total", "M = Σ mᵢ", n.Balance.Grains, "gr", 2));
        return Plain("totalWeight", "Total weight", n.Balance.Grains, "gr", 1, new Working(
            "Every part weighed or taken from the catalogue, added up.", terms, BalanceSource,
            "Wrap, glue and insert are the grains that are forgotten most."));
    }

    private static Figure BalancePoint(ArrowNumbers n) =>
        Plain("balancePoint", "Balance point", n.Balance.Point, "in", 2, new Working(
            "Where the arrow balances, from the nock throat.", [BalanceTerm(n)], BalanceSource));

    private static Figure FrontOfCenter(ArrowNumbers n)
    {
        var length = n.Arrow.CutLength;
        var perGrain = n.Balance.FrontOfCenterPerGrain(length + n.Arrow.Point.CentreAhead);
        return Plain("frontOfCenter", "Front of center", n.Balance.FrontOfCenter, "%", 1, new Working(
            "How far the balance point lies ahead of the middle, as a share of the length. The point is left out of the length.",
            [
                BalanceTerm(n),
                new Term("Length L", "nock throat to shaft end", length, "in", 3),
                new Term("FOC", $"100 (A / L − ½) = 100 ({Number(n.Balance.Point, 3)} / {Number(length, 3)} − 0.5)", n.Balance.FrontOfCenter, "%", 2),
            ],
            BalanceSource, $"One grain more in the point moves it by {Signed(perGrain, 3)} %."));
    }

    private static Figure GrainsPerPound(ArrowNumbers n) =>
        Plain("grainsPerPound", "Weight per pound drawn", n.GrainsPerPound, "gr/lb", 2, new Working(
            "Arrow weight over draw weight: what protects the bow.",
            [new Term("Weight per pound", $"M / W = {Number(n.Balance.Grains, 1)} / {Number(n.Bow.DrawWeight, 1)}", n.GrainsPerPound, "gr/lb", 3)],
            "5 gr/lb is the common least; the bow's maker comes first. " + WeightWord(n.Bow)));

    private static Figure Speed(ArrowNumbers n)
    {
        var bow = n.Bow;
        if (bow.Chronograph is { } fit)
        {
            return Measured(n, fit);
        }

        var virtualMass = LaunchSpeed.VirtualMassOf(bow);
        var stroke = new Term("Power stroke S", $"draw − 1.75 − brace = {Number(bow.DrawLength, 2)} − 1.75 − {Number(bow.BraceHeight, 2)}", bow.PowerStroke, "in", 2);
        IReadOnlyList<Term> terms = n.Launch.FromRating
            ?
            [
                stroke,
                new Term("Formula", $"v_r √(W S / (70 S_r) · (350 + K)/(m + K)) = {Number(bow.RatedSpeed!.Value, 0)} √({Number(bow.DrawWeight, 1)} × {Number(bow.PowerStroke, 2)} / (70 × {Number(30 - Bow.AmoAllowance - bow.BraceHeight, 2)}) × {Number(350 + virtualMass, 0)} / ({Number(n.Balance.Grains, 1)} + {Number(virtualMass, 0)}))", n.Launch.Bare, "ft/s", 1),
                new Term("Shown", "0.95 × formula, band 0.91 to 0.99", n.Launch.Speed, "ft/s", 1),
            ]
            :
            [
                stroke,
                new Term("Energy to arrow and string", $"c W S / 12 = {Number(LaunchSpeed.EnergyShare(bow.Kind), 2)} × {Number(bow.DrawWeight, 1)} × {Number(bow.PowerStroke, 2)} / 12", LaunchSpeed.EstimatedEnergy(bow), "ft·lb", 2),
                new Term("Speed", $"√(2E / (m + K)), K = {Number(virtualMass, 0)} gr", n.Launch.Speed, "ft/s", 1),
            ];
        var label = n.Launch.FromRating ? "Speed, from the rating" : "Speed, estimated";
        return new Figure("speed", label, n.Launch.Speed, "ft/s", 0, n.Launch.Low, n.Launch.High, null, null, null, new Working(
            n.Launch.FromRating ? "A bow comes in 3 to 8 % below its rating, so the band is wide until a chronograph has spoken." : "No rated speed: energy estimated from draw weight and stroke, ±10 %.",
            terms, n.Launch.FromRating ? SpeedSource : "Virtual mass, Klopsteg 1943; energy share c from memory", "A chronograph reading would narrow the band."));
    }

    private static Figure Measured(ArrowNumbers n, SpeedFit fit)
    {
        var line = new SpeedCalibration(fit);
        return new Figure("speed", "Speed, by chronograph", n.Launch.Speed, "ft/s", 0, n.Launch.Low, n.Launch.High, null, null, null, new Working(
            $"This bow's own line from {Count(fit.Shots, "shot")} of {(fit.Masses == 1 ? "one arrow weight" : $"{fit.Masses} arrow weights")}; the band is 95 %.",
            [
                new Term("Virtual mass K", fit.Masses == 1 ? "the usual 110 ± 40 until another weight is shot" : $"a / b, ± {Number(line.VirtualMassError, 0)}", line.VirtualMass, "gr", 1),
                new Term("Energy E", $"1 / (2b), ± {Number(line.EnergyError, 1)}", line.Energy, "ft·lb", 2),
                new Term("Speed", $"√(2E / (m + K)), m = {Number(n.Balance.Grains, 1)} gr", n.Launch.Speed, "ft/s", 1),
            ], "1/v² = a + b m by weighted least squares (Klopsteg's virtual mass, 1943; NIST/SEMATECH e-Handbook 4.1.4.3)", "Shots with a much lighter or heavier arrow narrow it most."));
    }

    private static Figure KineticEnergy(ArrowNumbers n) => FromSpeed(n, "kineticEnergy", "Kinetic energy", "ft·lb", 1,
        v => LaunchSpeed.KineticEnergy(n.Balance.Grains, v), $"m v² / (2 × 7000 × 32.174) = {Number(n.Balance.Grains, 1)} × {Number(n.Launch.Speed, 1)}² / 450 436",
        "Changes little with arrow weight. Local law sets what is needed for hunting.");

    private static Figure Momentum(ArrowNumbers n) => FromSpeed(n, "momentum", "Momentum", "slug·ft/s", 3,
        v => LaunchSpeed.Momentum(n.Balance.Grains, v), $"m v / (7000 × 32.174) = {Number(n.Balance.Grains, 1)} × {Number(n.Launch.Speed, 1)} / 225 218",
        "Rises with arrow weight.");

    private static Figure FromSpeed(ArrowNumbers n, string name, string label, string unit, int decimals, Func<double, double> of, string formula, string wouldMove)
    {
        var value = of(n.Launch.Speed);
        return new Figure(name, label, value, unit, decimals, of(n.Launch.Low), of(n.Launch.High), null, null, null, new Working(
            "At launch, with the speed shown and its band.",
            [new Term(label, formula, value, unit, decimals + 1)], "Mechanics; g = 9.80665 m/s² (ISO 80000-3)", wouldMove));
    }

    private static Figure StaticAstm(ArrowNumbers n) =>
        Plain("staticSpine", n.Arrow.Shaft.MeasuredSpine is null ? "Static spine" : "Static spine, measured", n.Arrow.Shaft.SpineInUse, "in", 3, new Working(
            "Deflection of the shaft at mid-span.",
            [
                new Term("ASTM spine", n.Arrow.Shaft.MeasuredSpine is null ? "28 in span, 1.94 lb" : $"measured, brought to 28 in span and 1.94 lb; nominal {Number(n.Arrow.Shaft.Spine, 3)}", n.Arrow.Shaft.SpineInUse, "in", 3),
                new Term("Stiffness EI", $"P l³ / (48 s) = 887.2267 / {Number(n.Arrow.Shaft.SpineInUse, 3)}", StaticSpine.Stiffness(n.Arrow.Shaft.SpineInUse), "lbf·in²", 1),
            ], "ASTM F2031; mid-loaded simple beam"));

    private static Figure StaticAmo(ArrowNumbers n) =>
        Plain("amoSpine", "AMO spine", StaticSpine.AmoPounds(n.Arrow.Shaft.SpineInUse), "AMO lb", 0, new Working(
            "The older measure: 26 in over the deflection on a 26 in span under 2 lb.",
            [
                new Term("Deflection s₂₆", $"0.825419 × {Number(n.Arrow.Shaft.SpineInUse, 3)}", StaticSpine.AmoDeflection(n.Arrow.Shaft.SpineInUse), "in", 4),
                new Term("AMO spine", "26 / s₂₆", StaticSpine.AmoPounds(n.Arrow.Shaft.SpineInUse), "AMO lb", 1),
            ], "AMO standard, from memory"));

    private static Figure Needed(ArrowNumbers n)
    {
        var low = n.Needed * (1 - n.Fit.Relative);
        var high = n.Needed * (1 + n.Fit.Relative);
        return new Figure("neededSpine", "Needed spine", n.Needed, "in", 3, low, high, null, null, null, new Working(
            "The static spine that this bow asks of an arrow of this length and front weight.", NeededTerms(n), SpineSource,
            "An inch of length moves it by a whole band; so does 10 lb. Measure both."));
    }

    private static Figure Fit(ArrowNumbers n) =>
        new("fit", "Fit", n.Fit.Ratio, "", 2, n.Fit.Low, n.Fit.High, null, n.Fit.Words, null, new Working(
            "Needed over actual spine. Above 1 the shaft is stiffer than needed; stiff is the safer side, above all with a fixed head.",
            [
                .. NeededTerms(n),
                new Term("Fit R", $"needed / actual = {Number(n.Needed, 4)} / {Number(n.Arrow.Shaft.SpineInUse, 4)}", n.Fit.Ratio, "", 3),
                new Term("Interval", $"± R √(f² + (2.5 u_L / L)² + (u_W / W)²), f = {Number(n.Factor.ModelSpread, 2)}, u_L = 1/16 in, u_W = {Number(n.Bow.MeasuredWeight is null ? SpineFit.NominalWeightUncertainty : SpineFit.MeasuredWeightUncertainty, 1)} lb", n.Fit.Ratio * n.Fit.Relative, "", 3),
            ],
            SpineSource + "; bands common practice: under 0.90 weak, to 0.97 borderline weak, to 1.15 good, above stiff",
            n.Bow.MeasuredWeight is null ? "The draw weight is only the marking: measure it and the interval narrows." : "An arrow that tuned clean would set this bow's factor."));

    private const string SpineSource = "Column under the shot's inertial load; exponents from a transient beam model";

    private static IReadOnlyList<Term> NeededTerms(ArrowNumbers n) =>
    [
        new("Effective draw weight W", $"{Number(n.Bow.DrawWeight, 1)} × {Number(n.Factor.Factor, 3)} ({n.Factor.Why})", n.EffectiveWeight, "lb", 2),
        new("Load share LF", $"(front + shaft / 2) / total = ({Number(n.Arrow.FrontGrains, 1)} + {Number(n.Arrow.ShaftGrains / 2, 1)}) / {Number(n.Balance.Grains, 1)}", n.LoadShare, "", 4),
        new("Needed spine", $"0.400 (60 / W)(28 / L)^2.5 (0.613065 / LF)^1.2, L = {Number(n.Arrow.CutLength, 2)} in", n.Needed, "in", 4),
    ];

    private static Figure ToSpare(ArrowNumbers n) =>
        Plain("toSpare", "To spare", n.ToSpare, "in", 2, new Working(
            "How much shaft is left ahead of the rest at full draw.",
            [
                new Term("Rest at full draw", $"AMO draw − 1.75 + rest ahead of pivot = {Number(n.Bow.DrawLength, 2)} − 1.75 + {Number(n.Bow.RestAhead, 2)}", n.Bow.RestAtFullDraw, "in", 3),
                new Term("To spare", $"L − rest = {Number(n.Arrow.CutLength, 2)} − {Number(n.Bow.RestAtFullDraw, 2)}", n.ToSpare, "in", 3),
            ], "AMO draw length: pivot point plus 1.75 in"));

    private static Term BalanceTerm(ArrowNumbers n) =>
        new("Balance point A", $"Σ mᵢxᵢ / M = {Number(n.Balance.Moment, 1)} / {Number(n.Balance.Grains, 1)}", n.Balance.Point, "in", 3);

    private static string WeightWord(Bow bow) => bow.MeasuredWeight is null ? "Draw weight: the bow's marking, not measured." : "Draw weight: measured.";

    private static Figure Plain(string name, string label, double value, string unit, int decimals, Working working) =>
        new(name, label, value, unit, decimals, null, null, null, null, null, working);
}
