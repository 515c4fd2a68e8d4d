using Merganser.Core.Bows;
using Merganser.Core.Units;

namespace Merganser.Web.Words;

/// <summary>Bows, their adjusters and moves.</summary>
public static class BowWords
{
    public static FormattableString Of(BowMessage message, Hand hand) =>
        message switch
        {
            AdjusterName(var kind) => NameOf(kind),
            StepName(var kind) => $"{StepOf(kind)}",
            Steps(var kind, var count) when AdjusterTable.Of(kind).Step is { } step => $"{step.Times(count)}",
            Steps(var kind, var count) => $"{Show.Halves(count, StepOf(kind))}",
            Order(var kind, var count) => OrderOf(kind, count, hand),
            Standing(_, 0) => $"at its mark",
            Standing(var kind, var position) => $"{Step(kind, position)} {Way(kind, position > 0, hand)}",
            FromTo(var kind, var from, var to) => $"From {new Standing(kind, from)} to {new Standing(kind, to)}.",
            Room(_, 0, 0) => $"no travel",
            Room(var kind, 0, var up) => $"at its end; {Step(kind, up)} {Way(kind, true, hand)} to go",
            Room(var kind, var down, 0) => $"at its end; {Step(kind, down)} {Way(kind, false, hand)} to go",
            Room(var kind, var down, var up) =>
                $"to go: {Step(kind, down)} {Way(kind, false, hand)}, {Step(kind, up)} {Way(kind, true, hand)}",
            AboveMaximum(var measured, var most) =>
                $"It draws {measured}; the maker allows {most} at the most. Nothing is shot before.",
            BowLine { From: { } from } line =>
                $"{line.Kind}, {Handed(hand)}, {from:bare} to {line.Weight}{(line.Marked ? " marked" : "")}",
            BowLine(var kind, var weight, var marked) => $"{kind}, {Handed(hand)}, {weight}{(marked ? " marked" : "")}",
            FactorReason { SetByHand: true } => $"set on the bow",
            FactorReason(BowKind.Longbow, _, _, _) => $"longbow shelf not cut to centre, from memory",
            FactorReason(BowKind.Recurve or BowKind.Barebow, _, _, _) => $"recurve with fingers, as charts assume",
            FactorReason(_, var cams, { } more, _) => $"{CamsOf(cams)}, fingers count {more} more, from memory",
            FactorReason(_, var cams, _, _) => $"{CamsOf(cams)}, release aid, from memory",
            MovedMeanwhile(var kind, var position) =>
                $"It was moved in another place meanwhile and stands {new Standing(kind, position)} now. Look at it first.",
            BeyondTravel(var kind, var lower, var upper) =>
                $"Its travel ends {new Standing(kind, lower)} and {new Standing(kind, upper)}.",
            TravelHoldsStep(var kind, var position, var most) =>
                $"It stands {new Standing(kind, position)}: its travel must hold that step, and runs at most {most} steps either way.",
            NoSuchAdjuster(var kind) => $"This bow has no such adjuster: tick \"{kind}\" among its adjusters first.",
            NoSuchSpacers(var largest) =>
                $"There is no such pair: pieces run from 1 to {largest}, and a pair is never mixed.",
            StrokeTooShort(var allowance, var least) =>
                $"Draw length less {allowance} less brace height leaves a power stroke under {least}: one of the two is off.",
            _ => throw new ArgumentOutOfRangeException(nameof(message), message, "No words table has it."),
        };

    public static FormattableString Of(BowSays says) =>
        says switch
        {
            BowSays.MeasureTheDrawWeight => $"Measure the draw weight on a scale.",
            BowSays.MarkedWeightCanBeOff => $"A marked weight can be well off, and the spine follows it.",
            BowSays.GoToTheDrawWeight => $"Go to the draw weight",
            BowSays.ChooseTheArrow => $"Choose the arrow",
            BowSays.ToThePaper => $"To the paper",
            BowSays.BackItOff => $"Back both limb bolts off evenly, then weigh it again.",
            BowSays.GoToTheCheck => $"To the draw weight check",
            BowSays.BowIsMeasured => $"The bow is measured: choose the arrow.",
            BowSays.ArrowFollows => $"Spine, length and point follow from these figures.",
            BowSays.DrawWeightNeeded => $"The draw weight is needed: measured on a scale, or as the bow is marked.",
            BowSays.StandsThereAlready => $"That is where it stands already.",
            BowSays.LaterMovesRestOnIt =>
                $"A later move of this adjuster rests on that entry: correct the later one first.",
            BowSays.NoMoveInTheFuture => $"A move cannot have been made in the future.",
            BowSays.WhichAdjuster => $"Say which adjuster was moved, and to where.",
            BowSays.WholeSteps => $"It is moved by whole steps; a rest by half clicks as well.",
            BowSays.NothingTwisted => $"Nothing was twisted.",
            BowSays.NothingMoved => $"Nothing was moved.",
            BowSays.SayTheSeats => $"Say which piece stood in each seat before the move: read them off the cams.",
            BowSays.ListedTwice => $"An adjuster is listed twice.",
            _ => throw new ArgumentOutOfRangeException(nameof(says), says, "No words table has it."),
        };

    /// <summary>An adjuster's name.</summary>
    public static FormattableString NameOf(AdjusterKind kind) => $"{Row(kind).Name}";

    /// <summary>A kind of bow.</summary>
    public static FormattableString NameOf(BowKind kind) => $"{kind.ToString()}";

    private static FormattableString OrderOf(AdjusterKind kind, double count, Hand hand)
    {
        var plus = count > 0;
        var row = Row(kind);
        var words = plus != Turned(kind, hand) ? row.Plus : row.Minus;
        var way = kind == AdjusterKind.RestSideways ? $" ({InOut(plus, hand)})" : "";
        return System.Runtime.CompilerServices.FormattableStringFactory.Create(words + way, Step(kind, count));
    }

    private static Steps Step(AdjusterKind kind, double count) => new(kind, Math.Abs(count));

    /// <summary>The way of a + or − step, as the hand has it.</summary>
    private static string Way(AdjusterKind kind, bool plus, Hand hand)
    {
        var row = Row(kind);
        var way = plus != Turned(kind, hand) ? row.PlusWay : row.MinusWay;
        return kind == AdjusterKind.RestSideways ? $"{way} ({InOut(plus, hand)})" : way;
    }

    private static bool Turned(AdjusterKind kind, Hand hand) => hand == Hand.Left && AdjusterTable.TurnsWithHand(kind);

    private static string InOut(bool plus, Hand hand) => plus == (hand == Hand.Right) ? "in" : "out";

    private static string Handed(Hand hand) => hand == Hand.Right ? "right-handed" : "left-handed";

    private static string CamsOf(CamDraw cams) => $"{cams.ToString().ToLowerInvariant()} cams";

    private static string StepOf(AdjusterKind kind) => Row(kind).Step;

    private static AdjusterRow Row(AdjusterKind kind) => Rows[kind];

    /// <summary>An adjuster's words.</summary>
    /// <param name="Name">Its name on the bench.</param>
    /// <param name="Step">What one step is, singular.</param>
    /// <param name="Plus">What a + step is, as an order; {0} is the count with its unit.</param>
    /// <param name="Minus">What a − step is.</param>
    /// <param name="PlusWay">The way of a + step alone.</param>
    /// <param name="MinusWay">The way of a − step.</param>
    private sealed record AdjusterRow(
        string Name,
        string Step,
        string Plus,
        string Minus,
        string PlusWay,
        string MinusWay
    );

    private static readonly Dictionary<AdjusterKind, AdjusterRow> Rows = new()
    {
        [AdjusterKind.RestSideways] = new("Rest in/out", "click", "Rest {0} right", "Rest {0} left", "right", "left"),
        [AdjusterKind.RestHeight] = new("Rest up/down", "click", "Rest {0} down", "Rest {0} up", "down", "up"),
        [AdjusterKind.NockingPoint] = new(
            "Nocking point",
            "step",
            "Nocking point {0} up",
            "Nocking point {0} down",
            "up",
            "down"
        ),
        [AdjusterKind.YokePair] = new(
            "Yoke pair",
            "half twist",
            "Left yoke leg {0} shorter, right leg {0} longer",
            "Right yoke leg {0} shorter, left leg {0} longer",
            "left leg shorter",
            "right leg shorter"
        ),
        [AdjusterKind.CamSpacer] = new(
            "Cam spacers",
            "size",
            "Cams {0} left, top cam first",
            "Cams {0} right, top cam first",
            "left",
            "right"
        ),
        [AdjusterKind.LimbPocket] = new(
            "Limb-pocket screws",
            "quarter turn",
            "Pocket screws {0} counter-clockwise, top and bottom",
            "Pocket screws {0} clockwise, top and bottom",
            "counter-clockwise",
            "clockwise"
        ),
        [AdjusterKind.BottomLimbBolt] = new(
            "Bottom limb bolt",
            "quarter turn",
            "Bottom limb bolt {0} out",
            "Bottom limb bolt {0} in",
            "out",
            "in"
        ),
        [AdjusterKind.PlungerTension] = new(
            "Plunger tension",
            "half turn",
            "Plunger {0} stiffer",
            "Plunger {0} softer",
            "stiffer",
            "softer"
        ),
        [AdjusterKind.PlungerPosition] = new(
            "Plunger position",
            "half turn",
            "Plunger {0} to the right",
            "Plunger {0} to the left",
            "to the right",
            "to the left"
        ),
        [AdjusterKind.BraceHeight] = new(
            "Brace height",
            "full twist",
            "Brace height {0} higher",
            "Brace height {0} lower",
            "higher",
            "lower"
        ),
        [AdjusterKind.DrawWeight] = new(
            "Draw weight",
            "step",
            "Draw weight {0} down",
            "Draw weight {0} up",
            "down",
            "up"
        ),
        [AdjusterKind.PointWeight] = new(
            "Point weight",
            "step",
            "Point {0} lighter",
            "Point {0} heavier",
            "lighter",
            "heavier"
        ),
        [AdjusterKind.Tiller] = new(
            "Tiller",
            "step",
            "Tiller {0} more positive",
            "Tiller {0} less positive",
            "more positive",
            "less positive"
        ),
        [AdjusterKind.YokeLeftLeg] = new(
            "Left yoke leg alone",
            "half twist",
            "Left yoke leg alone {0} shorter",
            "Left yoke leg alone {0} longer",
            "shorter",
            "longer"
        ),
        [AdjusterKind.YokeRightLeg] = new(
            "Right yoke leg alone",
            "half twist",
            "Right yoke leg alone {0} shorter",
            "Right yoke leg alone {0} longer",
            "shorter",
            "longer"
        ),
        [AdjusterKind.TopCable] = new(
            "Top cam's cable",
            "full twist",
            "Top cam's cable {0} shorter",
            "Top cam's cable {0} longer",
            "shorter",
            "longer"
        ),
        [AdjusterKind.BottomCable] = new(
            "Bottom cam's cable",
            "full twist",
            "Bottom cam's cable {0} shorter",
            "Bottom cam's cable {0} longer",
            "shorter",
            "longer"
        ),
        [AdjusterKind.StringTwists] = new("String", "full twist", "String {0} in", "String {0} out", "in", "out"),
        [AdjusterKind.LimbBolts] = new(
            "Limb bolts, both",
            "quarter turn",
            "Both limb bolts {0} in, evenly",
            "Both limb bolts {0} out, evenly",
            "in",
            "out"
        ),
        [AdjusterKind.DrawModule] = new(
            "Draw length module",
            "setting",
            "Draw length module {0} longer",
            "Draw length module {0} shorter",
            "longer",
            "shorter"
        ),
        [AdjusterKind.LetOffModule] = new(
            "Let-off module",
            "setting",
            "Let-off module {0} more",
            "Let-off module {0} less",
            "more",
            "less"
        ),
        [AdjusterKind.StrikePlate] = new(
            "Strike plate",
            "step",
            "Strike plate {0} thicker",
            "Strike plate {0} thinner",
            "thicker",
            "thinner"
        ),
    };
}
