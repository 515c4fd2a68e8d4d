using Merganser.Core.Figures;
using Merganser.Core.Paper;
using Merganser.Core.Units;

namespace Merganser.Core.Dozens;

/// <summary>Reads what was typed for a dozen; every problem is told at once.</summary>
public static class DozenReading
{
    private const int LongestText = 120;
    private const int LongestWord = 40;
    internal const int MostPieces = 999;

    private static readonly AllowedRange Grains = new(0.1, 1500, Unit.Grain, Why.PieceOfAnArrow);
    private static readonly AllowedRange Balance = new(5, 36, Unit.Inch, Why.FromTheNockThroat);
    private static readonly string[] Plans = ["name", "archived", "jig"];
    private static readonly AllowedRange JigTurns = new(-8, 8, Unit.Degree, Why.TurnOfAJig);
    private static readonly AllowedRange Spares = new(0, 24, Unit.None, Why.SparePieces);

    /// <summary>What an arrow may weigh, grains.</summary>
    public static AllowedRange ArrowGrains { get; } = new(100, 1500, Unit.Grain, Why.ArrowThatABowStands);

    /// <summary>A plan as typed.</summary>
    /// <param name="typed">The plan.</param>
    /// <param name="classes">The classes that the arrow has.</param>
    /// <exception cref="RefusedException">The name, a count or a class cannot be.</exception>
    public static DozenPlan Plan(DozenPlan typed, IReadOnlyDictionary<string, int> classes)
    {
        var fields = new FieldReader();
        var name = fields.Name("name", typed.Name);
        fields.Inside("arrows", typed.Arrows, MatchProblem.Arrow);
        fields.Inside("spare", typed.Spare, Spares);
        foreach (var (of, spare) in typed.Spares ?? new Dictionary<string, int>())
        {
            fields.Inside($"spare{of}", spare, Spares);
            fields.Check(classes.ContainsKey(of), $"spare{of}", "classes", new UseOneOf([.. classes.Keys]));
        }

        var known = typed.Classes.Count > 0 && typed.Classes.All(classes.ContainsKey);
        fields.Check(
            known && typed.Classes.Distinct().Count() == typed.Classes.Count,
            "classes",
            "classes",
            new UseOneOf([.. classes.Keys])
        );
        fields.ThrowIfAny();
        return typed with { Name = name };
    }

    /// <summary>An entry as typed.</summary>
    /// <exception cref="RefusedException">A field cannot be read or cannot be.</exception>
    public static DozenAct Entry(Dozen dozen, EntryInput input)
    {
        var fields = new FieldReader();
        var fits =
            (input.Note?.Length ?? 0) <= LongestText
            && (input.Word?.Length ?? 0) <= LongestWord
            && (input.Class?.Length ?? 0) <= LongestWord;
        fields.Check(Readers.ContainsKey(input.Kind), "kind", "unknown-word", new UseOneOf([.. Readers.Keys]));
        fields.Check(fits, "note", "too-long", new TooLong(LongestText));
        fields.ThrowIfAny();
        var act = Readers[input.Kind](dozen, input, fields);
        fields.ThrowIfAny();
        return act!;
    }

    /// <summary>Weights from a table as they would be taken, for a person to look at.</summary>
    /// <exception cref="RefusedException">The class is not weighed, or there are too many lines or none.</exception>
    public static WeightTable Table(Dozen dozen, string name, string text) =>
        WeightTable.Read(dozen, name, text, Grains, MostPieces);

    /// <summary>
    /// Weights from a table: one a line, with a number or without; every bad line is named and nothing is kept.
    /// </summary>
    /// <param name="dozen">The dozen.</param>
    /// <param name="name">The class.</param>
    /// <param name="text">The table.</param>
    /// <param name="sure">True when weights that are far from the class's are kept too.</param>
    /// <exception cref="RefusedException">A line cannot be read, is asked about, or a number is taken.</exception>
    public static IReadOnlyList<PieceWeighed> Weights(Dozen dozen, string name, string text, bool sure) =>
        Table(dozen, name, text).Taken(sure);

    /// <summary>A nock shot as typed.</summary>
    /// <exception cref="RefusedException">A field cannot be read, or the arrow is out of use.</exception>
    public static NockShotMarked Shot(Dozen dozen, NockShotInput input)
    {
        var fields = new FieldReader();
        var right = fields.Optional("right", input.Right, Quantity.Length, SheetLimits.Reach);
        var up = fields.Optional("up", input.Up, Quantity.Length, SheetLimits.Reach);
        var distance = fields.Optional("distance", input.Distance, Quantity.Distance, SheetLimits.Distances);
        var (arrows, turns) = (dozen.Plan.Arrows, NockTune.Turns(dozen.Arrow.VaneCount, input.Fletched));
        var numbered = input.Number >= 1 && input.Number <= arrows;
        fields.Check(numbered, "number", "range", new ArrowsNumbered(arrows));
        fields.Check(!dozen.OutOfUse(input.Number), "number", "out-of-use", DozenSays.OutOfUse);
        fields.Check(input.Turn >= 0 && input.Turn < turns, "turn", "range", new TurnsNumbered(turns - 1));
        var said = !string.IsNullOrWhiteSpace(input.Right) || !string.IsNullOrWhiteSpace(input.Up);
        fields.Check(input.Words is not null || said, "right", "missing", DozenSays.SayTheTear);
        fields.Check(input.Words is null || input.Words.Known(), "words", "unknown-word", PaperSays.SizeNotInList);
        fields.ThrowIfAny();
        var tear = input.Words?.Read() ?? new Tear(right?.Value ?? 0, up?.Value ?? 0);
        var from = distance?.Value ?? NockRound.UsualDistance;
        return new NockShotMarked(input.Number, new NockShot(input.Turn, tear, input.Fletched, from));
    }

    /// <summary>The first number of a class that is free.</summary>
    internal static int FirstFree(IReadOnlySet<int> taken) =>
        Enumerable.Range(1, MostPieces).First(n => !taken.Contains(n));

    /// <summary>A weight as it is kept: to a tenth of a grain.</summary>
    internal static double Tenth(double grains) => Math.Round(grains, 1, MidpointRounding.AwayFromZero);

    /// <summary>True for a class that is weighed for the dozen.</summary>
    internal static bool IsWeighed(Dozen dozen, string? name) =>
        name == Dozen.HeadClass || dozen.Plan.Classes.Contains(name);

    private delegate DozenAct? Reader(Dozen dozen, EntryInput input, FieldReader fields);

    private static IReadOnlyDictionary<string, Reader> Readers { get; } =
        new Dictionary<string, Reader>
        {
            ["check"] = (_, input, fields) => Check(input, fields),
            ["piece"] = Piece,
            ["spin"] = (_, input, fields) => ShaftReading.Of(input, fields),
            ["tick"] = (_, input, fields) => Tick(input, fields),
            ["made"] = (_, input, fields) => Made(input, fields),
            ["plan"] = (_, input, fields) => Planned(input, fields),
        };

    private static ScaleChecked? Check(EntryInput input, FieldReader fields)
    {
        var reading = fields.Required("value", input.Value, Quantity.Weight, Grains);
        var nominal = fields.Required("second", input.Second, Quantity.Weight, Grains);
        if (reading is not { } r || nominal is not { } n)
        {
            return null;
        }

        if (!input.Sure && ExpectedWeight.IsFar(r.Value, n.Value))
        {
            var far = new FarFromCheckWeight(Measure.Grains(r.Value), Measure.Grains(n.Value));
            throw RefusedException.At("value", RefusedException.Far, far);
        }

        return new ScaleChecked(new ScaleCheck(n.Value, r.Value), input.Word);
    }

    private static PieceWeighed? Piece(Dozen dozen, EntryInput input, FieldReader fields)
    {
        var taken = dozen.Taken(input.Class);
        var number = input.Number;
        fields.Check(IsWeighed(dozen, input.Class), "class", "classes", DozenSays.ClassNotWeighed);
        fields.Check(number is null or (>= 1 and <= MostPieces), "number", "range", new PiecesNumbered(MostPieces));
        fields.Check(number is not null || taken.Count < MostPieces, "number", "range", new PiecesAtMost(MostPieces));
        var known = number is { } one && taken.Contains(one);
        var (name, at) = (input.Class ?? "", number ?? 0);
        fields.Check(known || !input.Again, "number", "missing", new NotWeighedYet(name, at));
        fields.Check(!known || input.Again, "number", "twice", new WeighedAlready(name, at));
        var weight = fields.Required("value", input.Value, Quantity.Weight, Grains);
        if (weight is { } grains && fields.Problems.Count == 0 && !input.Sure)
        {
            DemandNear(dozen, input.Class!, grains.Value);
        }

        return fields.Problems.Count == 0
            ? new PieceWeighed(input.Class!, number ?? FirstFree(taken), Tenth(weight!.Value), input.Word ?? "typed")
            : null;
    }

    private static void DemandNear(Dozen dozen, string name, double grains)
    {
        if (ExpectedWeight.Of(dozen, name) is { } about && ExpectedWeight.IsFar(grains, about))
        {
            var far = new FarFrom(name, Measure.Grains(grains), Measure.Grains(about));
            throw RefusedException.At("value", RefusedException.Far, far);
        }
    }

    private static StepDone? Tick(EntryInput input, FieldReader fields)
    {
        var step = Codes.Read<AssemblyCode>(input.Word);
        var known = input.Number is >= 1 and <= MatchProblem.MostArrows && step is not null;
        fields.Check(known, "word", "unknown-word", DozenSays.WhichArrowAndStep);
        return known ? new StepDone(input.Number!.Value, step!.Value) : null;
    }

    private static ArrowAct? Made(EntryInput input, FieldReader fields)
    {
        fields.Check(input.Number is >= 1 and <= MatchProblem.MostArrows, "number", "range", DozenSays.WhichArrow);
        var arrow = input.Number ?? 0;
        switch (input.Word)
        {
            case "built":
                return fields.Required("value", input.Value, Quantity.Weight, ArrowGrains) is { } built
                    ? new ArrowWeighed(arrow, built.Value)
                    : null;
            case "balance":
                return fields.Required("value", input.Value, Quantity.Length, Balance) is { } balance
                    ? new ArrowBalanced(arrow, balance.Value)
                    : null;
            default:
                var what = Codes.Read<ArrowNote>(input.Word);
                fields.Check(what is not null, "word", "unknown-word", DozenSays.WhatIsMade);
                return what is { } note ? new ArrowNoted(arrow, note, input.Note?.Trim() ?? "") : null;
        }
    }

    private static DozenAct? Planned(EntryInput input, FieldReader fields)
    {
        fields.Check(Plans.Contains(input.Word), "word", "unknown-word", new UseOneOf(Plans));
        return input.Word switch
        {
            "name" when fields.Name("note", input.Note) is var name => new DozenRenamed(name),
            "archived" => new DozenArchived(!string.IsNullOrWhiteSpace(input.Note)),
            "jig" when fields.Required("value", input.Value, Quantity.Number, JigTurns) is { } turn => new JigTurned(
                turn.Value
            ),
            _ => null,
        };
    }
}
