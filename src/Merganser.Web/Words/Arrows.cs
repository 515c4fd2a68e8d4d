using Merganser.Core.Arrows;
using Merganser.Core.Spine;
using Merganser.Core.Units;

namespace Merganser.Web.Words;

/// <summary>Arrows: figures, workings, cautions, schools, parts.</summary>
public static class ArrowWords
{
    public static FormattableString Of(ArrowMessage message) =>
        message switch
        {
            PartName(var name) => $"{name}",
            ShaftMass(var of, true) => $"{of}, g measured",
            ShaftMass(var of, false) => $"{of}",
            AtPlace(var from) => $"at {from}",
            FitIs(var band, { Count: 0 }) => $"{band}",
            FitIs(var band, [var one]) => $"{band}, may be {one}",
            FitIs(var band, [var one, var two, ..]) => $"{band}, may be {one} or {two}",
            EndsBehindRest(var by) =>
                $"Refused: the shaft ends {by} behind the rest at full draw and can drop into the hand. Take a longer shaft.",
            EndsCloseToRest(var by, var least) =>
                $"Shaft ends {by} ahead of the rest at full draw: leave {least} or more, more with a broadhead.",
            TooLight(var per, var least, var heavier) =>
                $"{per}: under {least:bare} the bow can break. The maker's minimum rules{(heavier ? ", often heavier" : "")}.",
            WeakForHeavyHead(var band, var point) =>
                $"{band:cap} spine with a head heavier than a {point} field point: it bends more. Stiffer shaft, shorter, or a lighter head.",
            WeakForFixedHead(var band) =>
                $"{band:cap} spine with a fixed head: it recovers late and the head steers. Stiffer shaft, shorter, or a lighter head.",
            DoesNotGoIn(var part, var tube, true) => $"{part} does not go into {tube}",
            DoesNotGoIn(var part, var tube, false) => $"{part} is loose in {tube}",
            PartDoesNotGoIn(var part, var why) =>
                $"{part:cap}: {why}. Another one, or the maker's adapter; the makers' sheets come first.",
            LengthUnknown(var band) => $"It may be {band} off, so every figure has a band.",
            AboutLength(var length, var band) => $"about {length}, ± {band:bare}",
            PickAnother(ArrowPart.Front) => $"Pick another part in front",
            PickAnother(ArrowPart.Rear) => $"Pick another part at the nock",
            PickAnother(var part) => $"Pick another {part:low}",
            AtLeastLong(var least, true) => $"Leave the shaft at least {least} long.",
            AtLeastLong(var least, false) => $"Make the shaft at least {least} long.",
            ReadsWeak(var band) => $"The spine reads {band}: try a stiffer shaft.",
            KeepThenCut(var length) => $"Keep this arrow, then cut one shaft to {length}.",
            GrainInThePoint(var moves) => $"{Measure.Grains(1)} more in the point moves it by {moves:signed} %.",
            LeastPerPound(var least, true) =>
                $"{least} is the common least; the bow's maker comes first. Draw weight: measured",
            LeastPerPound(var least, false) =>
                $"{least} is the common least; the bow's maker comes first. Draw weight: the bow's marking, not measured",
            OwnLine(var shots, 1) => $"This bow's own line from {shots:shot} of one arrow weight; the band is 95 %.",
            OwnLine(var shots, var masses) =>
                $"This bow's own line from {shots:shot} of {masses} arrow weights; the band is 95 %.",
            UsualVirtualMass(var mass, var spread) => $"the usual {mass:bare} ± {spread} until another weight is shot",
            MeasuredSpine(var nominal) => $"measured, brought to the standard's span and load; nominal {nominal:bare}",
            EffectiveWeight(var product, var why) => $"{product} ({why})",
            PointGives(var point, var wanted, true) => $"{point} at the point gives {wanted} in all.",
            PointGives(var point, var wanted, false) => $"{point} at the point gives {wanted}.",
            LengthGives(var length, var wanted, true) =>
                $"{length} of cut length gives {wanted}. Cut once: leave it longer and lighten the point first.",
            LengthGives(var length, var wanted, false) => $"{length} of cut length gives {wanted}.",
            SpineGives(var spine, var wanted) =>
                $"A spine of {spine} gives a fit of {wanted} at this weight; another shaft brings its own weight.",
            NoSuchLength(var length, null) =>
                $"That would be {length} of shaft: no length does it, another shaft or point may.",
            NoSuchLength(var length, { } sold) => $"That would be {length}: this shaft is sold {sold} long.",
            NoSuchPoint(var others) => $"All but the point weighs {others}: no point does it, a lighter shaft may.",
            CutOff(var by) => $"Cut {by} off",
            CutTo(var length) => $"Cut to {length}",
            PointBy(var by, var name) => $"Point {by:signed} {new Core.Messages.UnitOf(by)}, {name}",
            BowBy({ Value: > 0 } by) => $"Bow {by} up",
            BowBy(var by) => $"Bow {by.Size} down",
            NextSpine(var spine) => $"Next spine, {spine:bare}",
            InStock(var name, var figure) => $"{name}, {figure}",
            AndAlso(var first, var next) => $"{first}; {next}",
            EndPartsAtMost(var most) => $"An arrow has {most} such parts at the most.",
            VanesOf(var count, var name) => $"{count} × {name}",
            ArrowPartName(var part) => $"{part}",
            PartsChanged({ Count: 0 }) => $"a catalogue value changed",
            PartsChanged(var changes) => $"{changes:semicolons}",
            PartChange(var part, var from, var to) => $"{part:low} {from} to {to}",
            SchoolName(WeightKind.Light) => $"Light and fast",
            SchoolName(WeightKind.Middle) => $"Middle",
            SchoolName => $"Heavy",
            SchoolFor(WeightKind.Light) => $"Flatter: a wrongly judged range costs less, and pins stand closer.",
            SchoolFor(WeightKind.Middle) =>
                $"Ordinary builds are easier to tune and to shoot; most spines, points and vanes are made for them.",
            SchoolFor => $"Mass first: quieter, keeps its momentum, drag takes less of it.",
            SchoolAgainst(WeightKind.Light) =>
                $"Louder, harder on the bow, less momentum; very light with low FOC demands better form and a finer tune.",
            SchoolAgainst(WeightKind.Middle) => $"The best of neither: neither the flattest nor the quietest.",
            SchoolAgainst =>
                $"Arcs more, so a shorter honest range; very heavy with high FOC demands better form and a finer tune.",
            ThumbRule rule => RuleOf(rule),
            UnderLeast(var least) => $"Under {least}",
            AsKept(var version) => $"As kept, version {version}",
            ShaftSoldAt(var sold, var most) => $"This shaft is sold {sold} long: at most {most} from the nock throat.",
            VanesBehindShaft(var least) =>
                $"The vanes would stand behind the shaft: their front edge is at {least} or more.",
            BreaksOff(0, _) => $"Nothing can be broken off this one.",
            BreaksOff(var steps, var step) => $"At most {steps} steps of {step} can be broken off.",
            PartInUse(var part, var arrows) => $"{part} is in use ({arrows}): it can be retired, not deleted.",
            IdOfAnother(var id, var kind) =>
                $"\"{id}\" is the id of a {kind}: a component stays what it is. Take the id out, or import it as that.",
            ComponentFieldName(var kind, var field) => $"{ComponentLabels.Of(kind, field)}",
            _ => throw new ArgumentOutOfRangeException(nameof(message), message, "No words table has it."),
        };

    public static FormattableString Of(ArrowSays says) =>
        says switch
        {
            ArrowSays.TotalWeight => $"Total weight",
            ArrowSays.TotalWeightIs => $"Every part weighed or taken from the catalogue, added up.",
            ArrowSays.GrainsForgotten => $"Wrap, glue and insert are the weights that are forgotten most.",
            ArrowSays.BalanceSource => $"ATA/AMO definition of front of center; masses summed",
            ArrowSays.Total => $"Total",
            ArrowSays.BalancePoint => $"Balance point",
            ArrowSays.BalancePointIs => $"Where the arrow balances, from the nock throat.",
            ArrowSays.BalancePointA => $"Balance point A",
            ArrowSays.FrontOfCenter => $"Front of center",
            ArrowSays.FrontOfCenterIs =>
                $"How far the balance point lies ahead of the middle, as a share of the length. The point is left out of the length.",
            ArrowSays.LengthL => $"Length L",
            ArrowSays.ThroatToEnd => $"nock throat to shaft end",
            ArrowSays.Foc => $"FOC",
            ArrowSays.WeightPerPound => $"Weight per draw weight",
            ArrowSays.WeightPerPoundIs => $"Arrow weight over draw weight: what protects the bow.",
            ArrowSays.PowerStroke => $"Power stroke S",
            ArrowSays.FormulaLine => $"Formula",
            ArrowSays.Shown => $"Shown",
            ArrowSays.ShownOfRating => $"0.95 × formula, band 0.91 to 0.99",
            ArrowSays.EnergyToArrow => $"Energy to arrow and string",
            ArrowSays.SpeedLine => $"Speed",
            ArrowSays.SpeedFromRating => $"Speed, from the rating",
            ArrowSays.SpeedEstimated => $"Speed, estimated",
            ArrowSays.SpeedByChronograph => $"Speed, by chronograph",
            ArrowSays.BelowTheRating =>
                $"A bow comes in 3 to 8 % below its rating, so the band is wide until a chronograph has spoken.",
            ArrowSays.NoRatedSpeed => $"No rated speed: energy estimated from draw weight and stroke, ±10 %.",
            ArrowSays.RatingSource =>
                $"Virtual mass of string and limbs, Klopsteg 1943; share of a rating reached, common practice",
            ArrowSays.EstimateSource => $"Virtual mass, Klopsteg 1943; energy share c from memory",
            ArrowSays.ChronographNarrows => $"A chronograph reading would narrow the band.",
            ArrowSays.VirtualMassK => $"Virtual mass K",
            ArrowSays.EnergyE => $"Energy E",
            ArrowSays.OwnLineSource =>
                $"1/v² = a + b m by weighted least squares (Klopsteg's virtual mass, 1943; NIST/SEMATECH e-Handbook 4.1.4.3)",
            ArrowSays.OtherWeightsNarrow => $"Shots with a much lighter or heavier arrow narrow it most.",
            ArrowSays.KineticEnergy => $"Kinetic energy",
            ArrowSays.EnergyHardlyChanges =>
                $"Changes little with arrow weight. Local law sets what is needed for hunting.",
            ArrowSays.Momentum => $"Momentum",
            ArrowSays.RisesWithWeight => $"Rises with arrow weight.",
            ArrowSays.AtLaunch => $"At launch, with the speed shown and its band.",
            ArrowSays.MechanicsSource => $"Mechanics; standard gravity by ISO 80000-3",
            ArrowSays.StaticSpine => $"Static spine",
            ArrowSays.StaticSpineMeasured => $"Static spine, measured",
            ArrowSays.StaticSpineIs => $"Deflection of the shaft at mid-span.",
            ArrowSays.AstmSpine => $"ASTM spine",
            ArrowSays.AstmSpanAndLoad =>
                $"span {Measure.Inches(StaticSpine.AstmSpan, 0)}, load {Measure.Pounds(StaticSpine.AstmLoad, 2)}",
            ArrowSays.StiffnessEi => $"Stiffness EI",
            ArrowSays.AstmSource => $"ASTM F2031; mid-loaded simple beam",
            ArrowSays.AmoSpine => $"AMO spine",
            ArrowSays.AmoSpineIs =>
                $"The older measure: the span over the deflection that a standard load gives on it.",
            ArrowSays.AmoDeflection => $"Deflection s₂₆",
            ArrowSays.AmoSource => $"AMO standard, from memory",
            ArrowSays.NeededSpine => $"Needed spine",
            ArrowSays.NeededSpineIs =>
                $"The static spine that this bow asks of an arrow of this length and front weight.",
            ArrowSays.SpineSource => $"Column under the shot's inertial load; exponents from a transient beam model",
            ArrowSays.MeasureLengthAndWeight =>
                $"A finger's width of length moves it by a whole band; so does a sixth of the draw weight. Measure both.",
            ArrowSays.Fit => $"Fit",
            ArrowSays.FitMeaning =>
                $"Needed over actual spine. Above 1 the shaft is stiffer than needed; stiff is the safer side, above all with a fixed head.",
            ArrowSays.FitR => $"Fit R",
            ArrowSays.IntervalLine => $"Interval",
            ArrowSays.FitSource =>
                $"Column under the shot's inertial load; bands common practice: under 0.90 weak, to 0.97 borderline weak, to 1.15 good, above stiff",
            ArrowSays.MeasureTheWeight => $"The draw weight is only the marking: measure it and the interval narrows.",
            ArrowSays.CleanArrowSetsFactor => $"An arrow that tuned clean would set this bow's factor.",
            ArrowSays.EffectiveWeightW => $"Effective draw weight W",
            ArrowSays.LoadShare => $"Load share LF",
            ArrowSays.ToSpare => $"To spare",
            ArrowSays.ToSpareIs => $"How much shaft is left ahead of the rest at full draw.",
            ArrowSays.RestAtFullDraw => $"Rest at full draw",
            ArrowSays.AmoDrawSource => $"AMO draw length: from the pivot point, with its allowance",
            ArrowSays.TooLightForBow => $"Too light for this bow: take a heavier point or shaft.",
            ArrowSays.PickAPoint => $"Pick a point",
            ArrowSays.PickAShaft => $"Pick a shaft",
            ArrowSays.GoToTheLength => $"Go to the length",
            ArrowSays.KeepAllTheSame => $"Keep it all the same",
            ArrowSays.MeasureTheLength => $"Measure the cut length: throat to the shaft's end.",
            ArrowSays.FromTheCurve => $"No rated speed: energy from this bow's draw-force curve, speed ±6 %.",
            ArrowSays.CurveSource => $"Virtual mass, Klopsteg 1943; share that comes back from memory",
            ArrowSays.StifferForFixedHead => $"Take a stiffer shaft for a fixed head.",
            ArrowSays.OrShorterOrLighter => $"Or cut it shorter, or take a lighter point. Err stiff rather than weak.",
            ArrowSays.ReadsStiff => $"The spine reads stiff: a heavier point or a weaker shaft fits.",
            ArrowSays.FarTooStiff =>
                $"Far stiffer than this bow needs: it will not tune. Look at the draw weight and the shaft again.",
            ArrowSays.LittleStiff => $"A little stiff tunes more easily than weak; far too stiff does not tune at all.",
            ArrowSays.CutIsNotUndoneLonger =>
                $"A cut is not undone: leave it longer and lighten the point first. Eye protection, dust mask for carbon.",
            ArrowSays.CutIsNotUndone => $"Eye protection and a dust mask for carbon. A cut is not undone.",
            ArrowSays.KeepThisArrow => $"Keep this arrow",
            ArrowSays.ShootThroughPaper => $"Shoot it through paper",
            ArrowSays.PickShaft => $"Pick a shaft.",
            ArrowSays.PickPoint => $"Pick a point.",
            ArrowSays.PickNock => $"Pick a nock.",
            ArrowSays.EndPartIsGone => $"One of its parts is not in the catalogue any more. Take it out of the list.",
            ArrowSays.NoVaneCount => $"Vanes are picked but their count is 0.",
            ArrowSays.InsertTooLong => $"The insert is longer than the shaft.",
            ArrowSays.VanesAheadOfEnd => $"The vanes would stand ahead of the shaft's end.",
            ArrowSays.NoWeightThere => $"No weight there can bring the balance so far forward.",
            ArrowSays.BalancesFartherForward => $"Even without it the arrow balances farther forward than that.",
            ArrowSays.None => $"none",
            ArrowSays.TheFirst => $"the first",
            ArrowSays.CatalogueValueChanged => $"a catalogue value changed",
            ArrowSays.RulesOfThumb =>
                $"Rules of thumb, from memory. Local law sets draw weight, energy, head and season; the maker's minimum comes first.",
            ArrowSays.HeavierThanMost => $"Heavier than most",
            ArrowSays.BetweenMiddleAndHeavy => $"Between middle and heavy",
            ArrowSays.TwoToFour => $"Two to four different arrows are compared.",
            ArrowSays.StaysWhatItIs => $"A component stays what it is: a shaft is no point.",
            ArrowSays.WholeNumber => $"A whole number is needed.",
            ArrowSays.NoSuchTube => $"A tube code has four digits, and its wall fits in the tube.",
            ArrowSays.SpineOrTubeCode => $"A spine, or a tube code to compute it from, is needed.",
            ArrowSays.MassOrTubeCode => $"The mass of a length, or a tube code, is needed.",
            ArrowSays.DiameterOrTubeCode => $"An outer diameter, or a tube code, is needed.",
            ArrowSays.InnerNotSmaller => $"The inner diameter is not smaller than the outer one.",
            _ => throw new ArgumentOutOfRangeException(nameof(says), says, "No words table has it."),
        };

    /// <summary>A band of the fit.</summary>
    public static FormattableString NameOf(FitBand band) =>
        band switch
        {
            FitBand.Weak => $"weak",
            FitBand.BorderlineWeak => $"borderline weak",
            FitBand.Good => $"good",
            _ => $"stiff",
        };

    /// <summary>A part of an arrow.</summary>
    public static FormattableString NameOf(ArrowPart part) =>
        part switch
        {
            ArrowPart.CutLength => $"Cut length",
            ArrowPart.Front => $"More in front",
            ArrowPart.Rear => $"More at the nock",
            _ => $"{part.ToString()}",
        };

    private static FormattableString RuleOf(ThumbRule rule) =>
        rule.Kind switch
        {
            RuleKind.IndoorFoc => $"{rule.From:bare} to {rule.To} indoors and for light target arrows",
            RuleKind.OutdoorFoc => $"{rule.From:bare} to {rule.To} for outdoor target",
            RuleKind.FieldFoc => $"{rule.From:bare} to {rule.To} for field, as for hunting",
            RuleKind.HuntingFoc =>
                $"{rule.From:bare} to {rule.To} for hunting, a little more is high, far above it extreme",
            RuleKind.SmallGame => $"under {rule.To}: small game",
            RuleKind.MediumGame => $"{rule.From:bare} to {rule.To}: medium game",
            RuleKind.LargeGame => $"{rule.From:bare} to {rule.To}: large game",
            RuleKind.Toughest => $"above {rule.From}: the toughest",
            _ => $"momentum is the other school's yardstick: it rises with arrow weight while energy hardly does",
        };
}
