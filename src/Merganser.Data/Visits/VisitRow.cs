namespace Merganser.Data;

/// <summary>A visit.</summary>
/// <param name="Id">It.</param>
/// <param name="BowId">The bow.</param>
/// <param name="Bow">Its name.</param>
/// <param name="ArcherId">Whose it was then.</param>
/// <param name="Owner">That archer's name.</param>
/// <param name="Number">Of the bow's visits.</param>
/// <param name="Wants">What is wanted.</param>
/// <param name="ArrivedAt">When it came.</param>
/// <param name="HandedOverAt">When it left; null while it is open.</param>
/// <param name="Watch">What to watch at home, in the technician's own words.</param>
/// <param name="NextOn">The day on which it comes again; null where none was said.</param>
public sealed record VisitRow(
    string Id,
    string BowId,
    string Bow,
    string ArcherId,
    string Owner,
    int Number,
    string Wants,
    DateTimeOffset ArrivedAt,
    DateTimeOffset? HandedOverAt,
    string Watch,
    DateOnly? NextOn
);

/// <summary>How a visit ends.</summary>
/// <param name="Watch">What to watch at home, in own words; empty for nothing beside what follows by itself.</param>
/// <param name="NextOn">The day of the next visit; null for none.</param>
public sealed record VisitEnd(string Watch, DateOnly? NextOn);

/// <summary>A visit as its row is read.</summary>
internal sealed class VisitLineRow
{
    public string Id { get; init; } = "";
    public string BowId { get; init; } = "";
    public string Bow { get; init; } = "";
    public string ArcherId { get; init; } = "";
    public string Owner { get; init; } = "";
    public long Number { get; init; }
    public string Wants { get; init; } = "";
    public string ArrivedAt { get; init; } = "";
    public string? HandedOverAt { get; init; }
    public string Watch { get; init; } = "";
    public string? NextOn { get; init; }

    public VisitRow Row() =>
        new(
            Id,
            BowId,
            Bow,
            ArcherId,
            Owner,
            (int)Number,
            Wants,
            Stamp.Read(ArrivedAt),
            HandedOverAt is null ? null : Stamp.Read(HandedOverAt),
            Watch,
            Stamp.ReadDay(NextOn)
        );
}
