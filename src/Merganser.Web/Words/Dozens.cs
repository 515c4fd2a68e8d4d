using Merganser.Core.Dozens;

namespace Merganser.Web.Words;

/// <summary>Dozens: weighing, matching, assembly, nocks, chronograph.</summary>
public static class DozenWords
{
    public static FormattableString Of(DozenMessage message) =>
        message switch
        {
            PiecesMissing(var needed, var weighed) =>
                $"{needed} are needed, {weighed} are weighed: weigh {needed - weighed} more, or build fewer arrows.",
            WeighTheRest(var name, var missing) => $"Weigh the {Pieces(name, missing)}: {missing} to go.",
            StandsApart(var name, var number) => $"{name} {number} stands apart: weigh it again.",
            ApartBecause(var weight, var limit) => $"{weight}, robust z above {limit}. It may be right.",
            MatchIs(true, var by, var binds) =>
                $"Proven best: no assignment of these pieces lies closer than {by}.{Binds(binds)}",
            MatchIs(false, var by, var binds) => $"Within {by} of what is possible.{Binds(binds)}",
            ArrowStep(var arrow, var step) => $"Arrow {arrow}: {ShortOf(step)}.",
            StepWords(var step) => $"{StepOf(step).Words}",
            StepCaution(var step) => $"{StepOf(step).Caution}",
            HeadsLie(var simple, null) =>
                $"Lightest arrow with heaviest head: {simple} apart, and nothing found is better.",
            HeadsLie(var simple, { } best) =>
                $"Lightest arrow with heaviest head leaves {simple}; the best found, shown here, {best}.",
            ArrowsBegun([var one]) => $"Arrow {one} is {NothingLoose}",
            ArrowsBegun(var arrows) => $"Arrows {arrows} are {NothingLoose}",
            ShaftIsOut(var shaft, var finding) => $"Shaft {shaft} is {Finding(finding)}: match the rest again.",
            PieceIsOut(var name, var number) => $"{name} {number} was taken back: match the rest again.",
            NewerVersion(var arrow, var newest, var built) =>
                $"{arrow} has a version {newest} by now; this dozen is built to version {built}.",
            ShaftDestroyed(var shaft, var finding) => $"shaft {shaft} is {Finding(finding)}: destroyed, not shot",
            FindingIs(var finding) => $"{Finding(finding)}",
            PiecesNumbered(var to) => $"Pieces are numbered from 1 to {to}.",
            PiecesAtMost(var most) => $"At most {most} pieces of a class.",
            LinesWanted(var most) => $"1 to {most} lines, a weight each.",
            TurnIs(0, _) => $"as it came",
            TurnIs(var turn, var turns) => $"step {turn} of {turns}",
            TurnMark(var turn, var bare) => $"{turn}{(bare ? ", bare" : "")}",
            InsideAt({ Turn: 0 }, var by) => $"inside as it is, {by}",
            InsideAt(var turn, var by) => $"inside at {turn}, {by}: mark it",
            TurnOn(var best, var by, var next) => $"best {by} {At(best)}: turn the nock to {next} and shoot",
            NoTurnInside(var best, var by) => $"no turn flies inside, best {by} {At(best)}: practice only",
            TurnTheNock(var arrow, var to) => $"Arrow {arrow}: turn the nock to {to}, shoot.",
            ShootAsItIs(var arrow, var fletched) =>
                $"Arrow {arrow}, {(fletched ? "with vanes" : "bare")}: shoot it as it is.",
            TaughtBy(_, 1, var mass, var spread) =>
                $"One arrow weight: the virtual mass is the usual {mass:bare} ± {spread} until another weight is shot.",
            TaughtBy(var shots, var masses, _, _) =>
                $"From {shots} shots of {masses} weights; every speed figure of this bow follows.",
            SpeedFarFrom(var speed, var about, var room) =>
                $"{speed} is far from the {about} ± {room:bare} that the shots before let one expect. Did it fly so?",
            VirtualMassCannotBe(var mass, var most) =>
                $"The virtual mass would be {mass}, where a bow has 0 to {most}: no figure follows. {LookForAFlyer}",
            EnergyCannotBe(var energy, var most) =>
                $"The energy would be {energy}; this bow takes up {most} at the most: no figure follows. {LookForAFlyer}",
            NominalIs(var rated, var curve) =>
                $"Nominal: {(rated ? "the maker's rating, on this draw" : "the estimate for such a bow")}. Efficiency: {(curve ? "of the energy under its draw-force curve" : "of the energy that such a bow gives by estimate")}.",
            WeighedAlready(var name, var number) => $"{name} {number} is weighed already: take that one back first.",
            NotWeighedYet(var name, var number) => $"{name} {number} is not weighed yet: it cannot be weighed again.",
            FarFrom(var name, var weight, var about) => $"{weight} is far from the {about} of {One(name)}. Is it one?",
            FarFromCheckWeight(var reading, var nominal) =>
                $"{reading} is far from the {nominal} of the check weight. Is it that one?",
            WeightsReadAs(var weights, var column, []) => $"{weights} weights{Column(column)}.",
            WeightsReadAs(var weights, var column, var unread) =>
                $"{weights} weights{Column(column)}. Not read: {unread}.",
            OnLine(var line, var problem) => $"Line {line}: {problem:low}",
            ArrowsNumbered(var to) => $"Arrows are numbered 1 to {to}.",
            TurnsNumbered(var to) => $"Turns are 0 to {to}.",
            DozenStands(DozenStage.Matched, _, _) => $"matched",
            DozenStands(DozenStage.Verified, _, _) => $"verified",
            DozenStands(_, var done, var of) => $"{done} of {of}",
            _ => throw new ArgumentOutOfRangeException(nameof(message), message, "No words table has it."),
        };

    public static FormattableString Of(DozenSays says) =>
        says switch
        {
            DozenSays.NothingWeighed => $"Nothing was weighed yet.",
            DozenSays.NotShotYet => $"not shot yet",
            DozenSays.CheckWeightFirst => $"Put the check weight on the scale first.",
            DozenSays.ScaleThatIsOff =>
                $"A scale that is off is kept and marked; the match does not mind, the speed does.",
            DozenSays.WeighTheCheckWeight => $"Weigh the check weight",
            DozenSays.GoOnWithout => $"Go on without",
            DozenSays.OneAfterTheOther => $"One piece after the other; the pan must be empty between two.",
            DozenSays.GoOnWeighing => $"Go on weighing",
            DozenSays.AnOddOne => $"An odd one",
            DozenSays.WeighItAgain => $"Weigh it again",
            DozenSays.MatchAllTheSame => $"Match all the same",
            DozenSays.AllIsWeighed => $"All is weighed: match the pieces.",
            DozenSays.SetsAndPairs =>
                $"Shafts can be kept in spine sets, glued pairs kept together, the worst left out.",
            DozenSays.MatchThePieces => $"Match the pieces",
            DozenSays.BuiltAndVerified => $"The dozen is built and verified.",
            DozenSays.LabelsAndCards => $"Labels and cards can be printed; heads go on the straightest.",
            DozenSays.WeighTheHeads => $"Weigh the heads",
            DozenSays.TickWhenDone => $"Tick it on the tray list when it is done.",
            DozenSays.ItIsDone => $"It is done",
            DozenSays.TrayList => $"Tray list",
            DozenSays.WeighHeadsThen => $"Weigh the heads, then the straightest four to six arrows get them.",
            DozenSays.MatchFirst => $"Match the dozen first, then the straightest arrows get heads.",
            DozenSays.EnteredMeanwhile => $"Something was entered while the match was sought: match again.",
            DozenSays.EveryArrowVerified => $"Every arrow is verified at this distance.",
            DozenSays.NextDistanceOrKeep => $"Take the next distance, or keep those for practice apart and marked.",
            DozenSays.FletchThenVerify => $"All shafts are shot bare: fletch to the marks, then verify.",
            DozenSays.ArrowOneWithVanes => $"Arrow 1 first, with its vanes, at the planned distance.",
            DozenSays.VerifiedWithVanes => $"Every arrow is verified with its vanes.",
            DozenSays.FlexFirst => $"Flex and look the shaft over first; a cracked one is destroyed.",
            DozenSays.FliesInside => $"flies inside",
            DozenSays.PracticeOnly => $"practice only",
            DozenSays.TearsToBeTurned => $"tears, to be turned",
            DozenSays.NoChronographShot =>
                $"No shot yet: three or more with one arrow, then a much lighter or heavier one.",
            DozenSays.HeavierNotSlower =>
                $"A heavier arrow was not slower: these readings fit no bow yet. Look for a wrong weight or a flyer.",
            DozenSays.WeighedSince => $"Pieces were weighed since: match again.",
            DozenSays.BegunStay => $"Arrows that are begun or locked stay as they are and count with what they weigh.",
            DozenSays.MatchTheRest => $"Match the rest again",
            DozenSays.SayTheTear => $"Say the tear, or type it; 0 for a clean hole.",
            DozenSays.OutOfUse => $"That arrow is out of use: it is not shot.",
            DozenSays.ClassNotWeighed => $"That class is not weighed for this dozen.",
            DozenSays.WhichShaft => $"Which shaft?",
            DozenSays.WhatIsSpun => $"Run-out, grade, spine, index, glued or inspection.",
            DozenSays.WhichArrow => $"Which arrow?",
            DozenSays.WhichArrowAndStep => $"Which arrow, and which step?",
            DozenSays.WhatIsMade => $"Built weight, balance, nock, paper, repaired, practice, retired, locked or note.",
            _ => throw new ArgumentOutOfRangeException(nameof(says), says, "No words table has it."),
        };

    private const string LookForAFlyer =
        "Look for a wrong weight or a flyer, or shoot arrows that differ more in weight.";

    private const string NothingLoose = "begun or locked, and stay as they are: nothing is loose to be matched again.";

    private static string Column(string? name) => name is null ? "" : $", of the column “{name}”";

    private static string Finding(ShaftFinding finding) =>
        finding switch
        {
            ShaftFinding.Sound => "sound",
            ShaftFinding.CrackedOrSplintered => "cracked or splintered",
            ShaftFinding.Bent => "bent",
            _ => "ends not square",
        };

    private static string One(string name) =>
        name switch
        {
            "Vanes" => "vanes",
            "Insert" => "an insert",
            _ => "a " + name.ToLowerInvariant(),
        };

    private static string Pieces(string name, int count) =>
        (name, count) switch
        {
            ("Vanes", _) => "vanes",
            (_, 1) => name.ToLowerInvariant(),
            _ => name.ToLowerInvariant() + "s",
        };

    private static string Binds(string? name) => name is null ? "" : $" {name}s bind: spares of that class would help.";

    private static FormattableString At(TurnIs turn) => turn.Turn == 0 ? $"{turn}" : (FormattableString)$"at {turn}";

    /// <summary>The first piece of a step's words, for a line.</summary>
    private static string ShortOf(AssemblyCode step)
    {
        var words = StepOf(step).Words.Split(',', ':')[0];
        return char.ToLowerInvariant(words[0]) + words[1..];
    }

    private static (string Words, string Caution) StepOf(AssemblyCode step) =>
        step switch
        {
            AssemblyCode.Cut => (
                "Cut with a cooled abrasive wheel",
                "Eye protection, a dust mask for carbon. A cut is not undone."
            ),
            AssemblyCode.Square => ("Square both ends", "An unsquare end makes a head plane."),
            AssemblyCode.Clean => ("Clean, wipe dry", ""),
            AssemblyCode.Insert => (
                "Insert, with the glue that the shaft's maker names",
                "No flame on carbon: heat ruins it."
            ),
            AssemblyCode.Pin => (
                "Pin or bushing, nock",
                "A loose pin is shimmed with thin film, so that it can be pulled again."
            ),
            AssemblyCode.Bare => (
                "Bare through paper, nock turned and marked",
                "Inspect before every shot: a cracked carbon shaft is destroyed, not shot."
            ),
            AssemblyCode.Wrap => ("Wrap", ""),
            AssemblyCode.Fletch => ("Fletch to the mark, at the chosen angle", ""),
            AssemblyCode.Cure => ("Let it cure", ""),
            AssemblyCode.Weigh => ("Weigh again: glue and wrap are the weights everyone forgets", ""),
            _ => ("Verify with vanes, nobody in front of the line", ""),
        };
}
