using Merganser.Core.Groups;
using Merganser.Core.Paper;
using Merganser.Core.Sessions;

namespace Merganser.Data;

/// <summary>A shot as it stands in its table.</summary>
internal sealed class ShotLine
{
    public string Id { get; init; } = "";
    public string SetId { get; init; } = "";
    public long Number { get; init; }
    public double Px { get; init; }
    public double Py { get; init; }
    public double Tx { get; init; }
    public double Ty { get; init; }
    public string Side { get; init; } = "";
    public string ShotAt { get; init; } = "";
    public string? ArrowNumber { get; init; }
    public string? Words { get; init; }
    public string? ArrowKind { get; init; }
    public string? Flight { get; init; }
    public double? Yards { get; init; }
    public string? Way { get; init; }
    public double? SightFor { get; init; }
    public string? Slant { get; init; }

    public ShotMarked Act() =>
        new(
            SetId,
            new Hole(Px, Py),
            new Hole(Tx, Ty),
            FactsJson.Enum<SheetSide>(Side),
            ArrowNumber,
            Words is not null,
            ArrowKind is null ? null : FactsJson.Enum<ArrowKind>(ArrowKind),
            Flight is null ? null : FactsJson.Enum<Flight>(Flight),
            Yards,
            Way is null ? null : FactsJson.Enum<WayShot>(Way),
            SightFor
        )
        {
            Slant = Slant is null ? null : FactsJson.Enum<Slant>(Slant),
        };
}

/// <summary>A set as it stands in its table.</summary>
internal class SetLine
{
    public string Id { get; init; } = "";
    public int Number { get; init; }
    public string Arrow { get; init; } = "";
    public double Distance { get; init; }
    public string Typed { get; init; } = "";
    public bool Fletched { get; init; }
    public bool AtTarget { get; init; }
    public bool Heads { get; init; }
    public string? Walk { get; init; }
    public bool Sighting { get; init; }
    public string? WayKind { get; init; }
    public string? WayFirst { get; init; }
    public string? WaySecond { get; init; }
    public double? RangeError { get; init; }
    public bool NockEnd { get; init; }
    public string Purpose { get; init; } = "";
    public int AfterMove { get; init; }
    public string At { get; init; } = "";

    public PlannedStage Stage() =>
        new(
            Distance,
            Fletched,
            AtTarget,
            Heads,
            Walk is null ? null : FactsJson.Enum<WalkPins>(Walk),
            Sighting,
            WayKind is null ? null : new TwoWays(FactsJson.Enum<WayKind>(WayKind), WayFirst!, WaySecond!),
            RangeError,
            NockEnd
        );
}

/// <summary>How a kind of arrow is kept: what it has behind, and the tip of one with vanes.</summary>
internal static class ArrowTips
{
    /// <summary>Heads and field points have vanes.</summary>
    public static ArrowKind VanesOf(ArrowKind kind) => kind == ArrowKind.Bare ? ArrowKind.Bare : ArrowKind.Fletched;

    /// <summary>True for a kind that is told by its tip.</summary>
    public static bool OnOne(ArrowKind kind) => kind is ArrowKind.Broadhead or ArrowKind.FieldPoint;
}
