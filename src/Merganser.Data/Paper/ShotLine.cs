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
            Yards
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
