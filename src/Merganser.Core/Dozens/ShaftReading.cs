using Merganser.Core.Arrows;
using Merganser.Core.Figures;
using Merganser.Core.Spine;
using Merganser.Core.Units;

namespace Merganser.Core.Dozens;

/// <summary>Reads what was found of a shaft.</summary>
internal static class ShaftReading
{
    private static readonly AllowedRange RunOut = new(0, 0.25, Unit.Inch, Why.BentShaft);
    private static readonly AllowedRange Spine = new(0.1, 2, Unit.Inch, Why.SpineOfShafts);

    /// <summary>The act as typed; null beside its problems.</summary>
    public static ShaftAct? Of(EntryInput input, FieldReader fields)
    {
        fields.Check(input.Number is >= 1 and <= DozenReading.MostPieces, "number", "range", DozenSays.WhichShaft);
        var shaft = input.Number ?? 0;
        switch (input.Word)
        {
            case "runOut":
                var place = string.IsNullOrEmpty(input.Note) ? null : Word<ShaftPlace>(input.Note, fields);
                return fields.Required("value", input.Value, Quantity.Length, RunOut) is { } runOut
                    ? new RunOutMeasured(shaft, runOut.Value, place)
                    : null;
            case "spine":
                return Spined(shaft, input, fields);
            case "grade" when Word<SpinGrade>(input.Note, fields) is { } grade:
                return new RunOutGraded(shaft, grade);
            case "inspection" when Word<ShaftFinding>(input.Note, fields) is { } finding:
                return new ShaftInspected(shaft, finding);
            case "glued":
                return new InsertGlued(shaft);
            case "index":
                return new StiffSideMarked(shaft, input.Note?.Trim());
            case not ("grade" or "inspection"):
                fields.Check(false, "word", "unknown-word", DozenSays.WhatIsSpun);
                return null;
            default:
                return null;
        }
    }

    /// <summary>A deflection on an own span (second) or load (note) is brought to the standard's.</summary>
    private static SpineMeasured? Spined(int shaft, EntryInput input, FieldReader fields)
    {
        var gave = fields.Required("value", input.Value, Quantity.Length, ComponentTable.Gave);
        var span = fields.Optional("second", input.Second, Quantity.Length, ComponentTable.Span);
        var load = fields.Optional("note", input.Note, Quantity.DrawWeight, ComponentTable.Load);
        if (gave is null || fields.Problems.Count > 0)
        {
            return null;
        }

        var spine = StaticSpine.FromMeasured(
            gave.Value,
            span?.Value ?? StaticSpine.AstmSpan,
            load?.Value ?? StaticSpine.AstmLoad
        );
        fields.Inside("value", spine, Spine);
        return new SpineMeasured(shaft, spine);
    }

    private static T? Word<T>(string? text, FieldReader fields)
        where T : struct, Enum
    {
        var word = Codes.Read<T>(text);
        fields.Check(word is not null, "note", "unknown-word", new UseOneOf([.. Enum.GetValues<T>().Select(Codes.Of)]));
        return word;
    }
}
