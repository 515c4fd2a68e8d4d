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

    public ShotMarked Act() =>
        new(
            SetId,
            new Hole(Px, Py),
            new Hole(Tx, Ty),
            FactsJson.Enum<SheetSide>(Side),
            ArrowNumber,
            Words is not null,
            ArrowKind is null ? null : FactsJson.Enum<ArrowKind>(ArrowKind),
            Flight is null ? null : FactsJson.Enum<Flight>(Flight)
        );
}
