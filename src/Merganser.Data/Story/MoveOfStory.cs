using Merganser.Core.Bows;
using Merganser.Core.Story;

namespace Merganser.Data;

/// <summary>A move as a story reads it: with the set before it and the one after.</summary>
internal sealed class MoveOfStory
{
    public string Id { get; init; } = "";
    public string Adjuster { get; init; } = "";
    public double From { get; init; }
    public double To { get; init; }
    public string? Corrects { get; init; }
    public string Note { get; init; } = "";
    public string At { get; init; } = "";
    public string? PaperId { get; init; }
    public string? Before { get; init; }
    public string? After { get; init; }

    public StoryEvent Told(StorySet? before, StorySet? after)
    {
        var kind = FactsJson.Enum<AdjusterKind>(Adjuster);
        var name = new AdjusterName(kind);
        return new StoryEvent(
            Id,
            Stamp.Read(At),
            StorySign.Moves,
            Corrects is null ? new Order(kind, To - From) : new MoveSetRight(name, new Standing(kind, To)),
            new StoodFromTo(new Standing(kind, From), new Standing(kind, To))
        )
        {
            Note = Note,
            Opens = PaperId is null ? "bow?way=history" : $"paper?paper={PaperId}",
            Details = [.. Did(StorySays.Before, before), .. Did(StorySays.After, after)],
        };
    }

    private static StoryDetail[] Did(StorySays when, StorySet? set) =>
        set is null ? [] : [new StoryDetail(when, new ShowedThen(set.Number, set.Showed))];
}
