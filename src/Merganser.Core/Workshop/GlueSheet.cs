using Merganser.Core.Arrows;
using Merganser.Core.Figures;
using Merganser.Core.Units;

namespace Merganser.Core.Workshop;

/// <summary>Where two parts of an arrow are held together by glue.</summary>
public enum Joint
{
    /// <summary>The insert in the shaft.</summary>
    Insert,

    /// <summary>A glue-in point in the shaft.</summary>
    Point,

    /// <summary>An outsert or collar over the shaft's end.</summary>
    Collar,

    /// <summary>A pin or bushing at the nock's end.</summary>
    Pin,

    /// <summary>The wrap on the shaft.</summary>
    Wrap,

    /// <summary>The vanes on shaft or wrap.</summary>
    Vanes,
}

/// <summary>The glue of one joint, as its maker's sheet says; typed once for the bench.</summary>
/// <param name="Joint">Which.</param>
/// <param name="Glue">The glue's name, or words for it; empty for none, as for a wrap that sticks by itself.</param>
/// <param name="HandlingMinutes">Until it may be handled, minutes; null for not known.</param>
/// <param name="CureHours">Until it may be shot, hours; null for not known.</param>
/// <param name="Note">What else the sheet says.</param>
public sealed record GlueSheet(Joint Joint, string Glue, double? HandlingMinutes, double? CureHours, string Note)
{
    /// <summary>The joints of an arrow, from front to rear; a press-in nock has none.</summary>
    public static IReadOnlyList<Joint> Of(Arrow arrow)
    {
        var ends = arrow.AtEnds;
        return
        [
            .. new (Joint Joint, bool Glued)[]
            {
                (Joint.Insert, arrow.Insert is not null),
                (Joint.Point, arrow.Point.Kind == PointKind.GlueIn),
                (Joint.Collar, ends.Any(p => p.Kind is EndPartKind.Outsert or EndPartKind.Collar)),
                (Joint.Pin, arrow.Nock.Kind is NockKind.Pin or NockKind.Bushing || ends.Any(p => p.HoldsNock)),
                (Joint.Wrap, arrow.Wrap is not null),
                (Joint.Vanes, arrow.Vane is not null && arrow.VaneCount > 0),
            }
                .Where(j => j.Glued)
                .Select(j => j.Joint),
        ];
    }
}

/// <summary>A glue's sheet as typed.</summary>
/// <param name="Id">Client-made id.</param>
/// <param name="Glue">The glue's name.</param>
/// <param name="Handling">Minutes as typed.</param>
/// <param name="Cure">Hours as typed.</param>
/// <param name="Note">What else the sheet says.</param>
public sealed record GlueInput(string? Id, string? Glue, string? Handling, string? Cure, string? Note)
{
    private const int LongestGlue = 60;
    private const int LongestNote = 200;
    private static readonly AllowedRange Minutes = new(0, 2880, Unit.None, Why.GlueTimes);
    private static readonly AllowedRange Hours = new(0, 336, Unit.None, Why.GlueTimes);

    /// <summary>Reads it.</summary>
    /// <exception cref="RefusedException">A time cannot be read or is out of range, or a text is too long; each is
    /// named.</exception>
    public GlueSheet Read(Joint joint)
    {
        var fields = new FieldReader();
        var handling = fields.Optional("handling", Handling, Quantity.Number, Minutes);
        var cure = fields.Optional("cure", Cure, Quantity.Number, Hours);
        var glue = (Glue ?? "").Trim();
        var note = (Note ?? "").Trim();
        fields.Check(glue.Length <= LongestGlue, "glue", "long", new NameWanted(LongestGlue));
        fields.Check(note.Length <= LongestNote, "note", "long", new NameWanted(LongestNote));
        fields.ThrowIfAny();
        return new GlueSheet(joint, glue, handling?.Value, cure?.Value, note);
    }
}
