using Merganser.Core.Figures;
using Merganser.Core.Groups;
using Merganser.Core.Paper;
using Merganser.Core.Sessions;
using Merganser.Core.Units;
using Merganser.Data;
using Merganser.Web.Guard;

namespace Merganser.Web.Paper;

/// <summary>
/// A hit on the target face as marked: inches from the aiming point of its kind, as the archer sees it. Typed wins. A
/// hit of a walk-back says from which distance it was shot, one of two ways which, one of a range error for which
/// distance the sight was set.
/// </summary>
public sealed record HitInput(
    string? Id,
    ArrowKind Arrow,
    Hole? Place = null,
    PlaceTyped? Typed = null,
    string? ArrowNumber = null,
    Flight? Flight = null,
    string? Distance = null,
    WayShot? Way = null,
    double? SightFor = null,
    Slant? Slant = null
)
{
    /// <summary>As it was marked.</summary>
    public HitMarked Read() => new(Arrow, Place, Typed, ArrowNumber, Flight, Distance, Way, SightFor) { Slant = Slant };
}

/// <summary>
/// How it is shot from here on: the wind in the archer's words and across as a figure, from a seat or standing, at
/// which face, with bare shafts as they are or taped to the weight of the vanes.
/// </summary>
/// <param name="Across">The wind across, from the left positive; empty for none said.</param>
/// <param name="Face">The face's width; empty for a plain one.</param>
/// <param name="Rings">Its rings; 0 for a blank sheet.</param>
/// <param name="RingsAcross">Each ring's own width across with <c>;</c> between two; empty for rings of one
/// width.</param>
public sealed record ConditionsInput(
    string? Id,
    string? Wind = null,
    bool Seated = false,
    string? Across = null,
    string? Face = null,
    int Rings = 0,
    bool Taped = false,
    string? RingsAcross = null
)
{
    private static readonly AllowedRange Winds = new(-30, 30, Unit.MilePerHour, Why.WindOfARange);

    /// <summary>The act.</summary>
    /// <exception cref="RefusedException">The wind across or the face cannot be read.</exception>
    public NewAct Read()
    {
        var fields = new FieldReader();
        var across = fields.Optional("across", Across, Quantity.Wind, Winds);
        var face = TargetFace.Read(fields, Face, Rings, RingsAcross);
        fields.ThrowIfAny();
        return new NewAct(
            ClientId.Checked(Id),
            new ConditionsNoted(Seated, null, Texts.Note(Wind), SetPurpose.Session, across?.Value ?? 0, face, Taped)
        );
    }
}

/// <summary>A sight as measured: eye to pin, and what one click moves the pin; no click for a sight without.</summary>
public sealed record SightInput(string? Id, string? EyeToPin, string? Click = null)
{
    /// <summary>The sight to be kept.</summary>
    /// <exception cref="RefusedException">A field cannot be read.</exception>
    public NewSight Read(string bowId)
    {
        var fields = new FieldReader();
        var eye = fields.Required("eyeToPin", EyeToPin, Quantity.Length, Sight.EyeToPins);
        var click = fields.Optional("click", Click, Quantity.Length, Sight.Clicks);
        fields.ThrowIfAny();
        return new NewSight(ClientId.Checked(Id), bowId, eye!, click);
    }
}

/// <summary>
/// The sight moved, for heads or in a walk-back, inches at the pin as the archer sees it: as it was advised, or as
/// typed. Typed wins.
/// </summary>
/// <param name="Otherwise">True in a walk-back where the sight was levelled, or set by its hits.</param>
public sealed record SightMarkInput(string? Id, SightMove? Pin = null, PlaceTyped? Typed = null, bool Otherwise = false)
{
    /// <summary>How the pin was moved; null where it is not known.</summary>
    /// <exception cref="RefusedException">Nothing was said, or a field cannot be read.</exception>
    public SightMove? Read()
    {
        if (Otherwise)
        {
            return null;
        }

        var fields = new FieldReader();
        var right = fields.Optional("right", Typed?.Right, Quantity.Length, SightMove.Reach);
        var up = fields.Optional("up", Typed?.Up, Quantity.Length, SightMove.Reach);
        var pin = Typed is null ? Pin : new SightMove(right?.Value ?? 0, up?.Value ?? 0);
        fields.Check(pin is { IsMove: true }, "right", "missing", GroupSays.SayHowThePinMoved);
        if (pin is not null && Typed is null)
        {
            fields.Inside("right", Math.Max(Math.Abs(pin.Right), Math.Abs(pin.Up)), SightMove.Reach);
        }

        fields.ThrowIfAny();
        return pin!;
    }
}
