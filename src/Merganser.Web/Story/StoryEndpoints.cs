using Merganser.Core.Bows;
using Merganser.Core.Figures;
using Merganser.Core.Story;
using Merganser.Core.Units;
using Merganser.Data;
using Merganser.Web.Guard;

namespace Merganser.Web.Story;

public static class StoryEndpoints
{
    private const int LongestNote = 500;
    private const int LongestFind = 60;
    private const int MostMoves = 30;

    public static void MapStory(this IEndpointRouteBuilder api)
    {
        api.MapGet(
            "/bows/{id}/story",
            (string id, string? signs, string? find, string? before, StoryDesk desk) =>
                desk.Page(id, SignsOf(signs), FindOf(find), before)
        );
        api.MapGet(
            "/bows/{id}/story/answers",
            (string id, DateTimeOffset? then, DateTimeOffset? now, StoryDesk desk) => desk.Answers(id, then, now)
        );
        api.MapGet(
                "/bows/{id}/story.pdf",
                (string id, DateTimeOffset? from, DateTimeOffset? to, StoryPrint print) =>
                    Results.File(print.Pdf(id, from, to), "application/pdf")
            )
            .Produces(200, contentType: "application/pdf");
        api.MapPost(
            "/bows/{id}/story/back",
            (string id, BackInput input, StoryDesk desk, BowStore bows) =>
            {
                FieldReader.Demand(
                    input.Moves.Count is > 0 and <= MostMoves,
                    "moves",
                    "missing",
                    StorySays.NothingToMove
                );
                var key = ClientId.Checked(input.Id);
                bows.LogTogether([
                    .. input.Moves.Select(
                        (m, i) =>
                            new NewMove($"{key}-{i + 1}", id, null, new MoveWanted(m.Adjuster, m.To, From: m.From))
                    ),
                ]);
                return desk.Answers(id, input.Then, null);
            }
        );
        api.MapPost(
            "/bows/{id}/story/notes",
            (string id, StoryNoteInput input, StoryDesk desk, NoteStore notes) =>
            {
                var text = input.Text?.Trim() ?? "";
                var fields = new FieldReader();
                fields.Check(text.Length > 0, "text", "missing", StorySays.NoteWanted);
                fields.Check(text.Length <= LongestNote, "text", "too-long", new TooLong(LongestNote));
                fields.ThrowIfAny();
                notes.Keep(
                    new NewNote(ClientId.Checked(input.Id), id, input.By, text, input.HappenedAt?.ToUniversalTime())
                );
                return desk.Page(id, [], "", null);
            }
        );
        api.MapDelete(
            "/bows/{id}/story/notes/{noteId}",
            (string id, string noteId, StoryDesk desk, NoteStore notes) =>
            {
                notes.TakeBack(id, noteId);
                return desk.Page(id, [], "", null);
            }
        );
    }

    private static StorySign[] SignsOf(string? signs)
    {
        var words = signs?.Split(',', StringSplitOptions.RemoveEmptyEntries) ?? [];
        var read = words.Select(FactsJson.TryEnum<StorySign>).ToArray();
        FieldReader.Demand(read.All(s => s is not null), "signs", "unknown", StorySays.NoSuchSign);
        return [.. read.OfType<StorySign>()];
    }

    private static string FindOf(string? find)
    {
        var text = find?.Trim() ?? "";
        FieldReader.Demand(text.Length <= LongestFind, "find", "too-long", new TooLong(LongestFind));
        return text;
    }
}
