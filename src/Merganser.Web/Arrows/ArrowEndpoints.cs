using Merganser.Core.Arrows;
using Merganser.Core.Catalogues;
using Merganser.Core.Figures;
using Merganser.Core.Messages;
using Merganser.Core.Setup;
using Merganser.Core.Units;
using Merganser.Data;
using Merganser.Web.Guard;
using Merganser.Web.Words;

namespace Merganser.Web.Arrows;

/// <summary>A new arrow as sent.</summary>
public sealed record ArrowInput(string? Id, string? BowId, ArrowDraft Draft) : IOfBow;

/// <summary>A draft to be read on a bow, against the state in which it was opened.</summary>
public sealed record FiguresInput(string BowId, ArrowDraft Draft, string? OpenedVersionId) : IOfBow;

/// <summary>A build with what the bench shows about it.</summary>
public sealed record FiguresView(
    Arrow Arrow,
    ArrowReading Reading,
    ArrowSummary Summary,
    BesideView? Opened,
    IReadOnlyList<ArrowTry> Tries
);

/// <summary>Another arrow of the bow, to lay beside this one.</summary>
public sealed record BesideView(string Id, Message Name, Arrow Arrow, ArrowSummary Summary);

/// <summary>The client-made id of a version to keep.</summary>
public sealed record KeepInput(string? Id);

public static class ArrowEndpoints
{
    private const int MostText = 60;

    public static void MapArrows(this IEndpointRouteBuilder api)
    {
        api.MapGet("/components", (string? also, ComponentStore components) => components.All(also?.Split(',')));
        api.MapGet(
            "/components/misfits",
            (string shaft, ComponentStore components) =>
                components.ShaftOf(shaft) is { } tube ? ArrowTools.Misfits(components.All(), tube) : []
        );
        api.MapGet("/bows/{bowId}/arrows", (string bowId, ArrowStore arrows) => arrows.Of(bowId));
        api.MapPost(
            "/arrows",
            (ArrowInput input, ArrowStore arrows) =>
                arrows.Add(
                    ClientId.Checked(input.Id),
                    input.BowId ?? throw new MissingException("bow"),
                    Bounded(input.Draft)
                )
        );
        api.MapPut(
            "/arrows/{id}/draft",
            (string id, ArrowDraft draft, HttpRequest request, ArrowStore arrows) =>
                arrows.ChangeDraft(id, request.IfMatch(), Bounded(draft))
        );
        api.MapDelete(
                "/arrows/{id}",
                (string id, HttpRequest request, ArrowStore arrows) =>
                {
                    arrows.Bin(id, request.IfMatch());
                    return Results.NoContent();
                }
            )
            .Produces(204);
        api.MapPost(
            "/arrows/{id}/versions",
            (string id, KeepInput input, ArrowStore arrows) => arrows.Keep(id, ClientId.Checked(input.Id))
        );
        api.MapPost(
            "/figures",
            (FiguresInput input, BowStore bows, ArrowStore arrows, ComponentStore components) =>
            {
                var catalogue = components.All(input.Draft.Parts());
                var arrow = input.Draft.Entry(catalogue).Read();
                var row = bows.Get(input.BowId);
                var bow = row.Bow;
                var opened = input.OpenedVersionId is { } version ? arrows.Version(version) : null;
                return new FiguresView(
                    arrow,
                    Guarded(row, ArrowReading.Of(bow, arrow, opened?.Arrow)),
                    ArrowSummary.Of(bow, arrow),
                    opened is null
                        ? null
                        : new BesideView(
                            opened.Id,
                            new AsKept(opened.Number),
                            opened.Arrow,
                            ArrowSummary.Of(bow, opened.Arrow)
                        ),
                    Tries.Of(bow, arrow, input.Draft, catalogue)
                );
            }
        );
        api.MapGet(
            "/bows/{bowId}/arrow-suggestion",
            (string bowId, BowStore bows, ComponentStore components) =>
                ArrowSuggestion.Of(bows.Measured(bowId), components.All(most: int.MaxValue))
                ?? throw new MissingException("arrow part")
        );
        api.MapGet(
            "/bows/{bowId}/beside",
            (string bowId, BowStore bows, ArrowStore arrows) =>
            {
                var bow = bows.Measured(bowId);
                return arrows
                    .Of(bowId)
                    .Where(a => a.Kept is not null)
                    .Select(a => new BesideView(
                        a.Id,
                        new Verbatim(a.Draft.Name),
                        a.Kept!.Arrow,
                        ArrowSummary.Of(bow, a.Kept.Arrow)
                    ))
                    .ToArray();
            }
        );
    }

    /// <summary>On an unsound bow no arrow is shot; it may still be built.</summary>
    private static ArrowReading Guarded(BowRow row, ArrowReading reading) =>
        reading with
        {
            Next = Unsound.Guard(row.Unsound, reading.Next, mayGoOn: true),
        };

    /// <summary>A draft keeps any text, but not any amount of it.</summary>
    private static ArrowDraft Bounded(ArrowDraft draft)
    {
        var fields = new FieldReader();
        fields.Name("name", draft.Name);
        foreach (
            var (name, text) in new[]
            {
                ("cutLength", draft.CutLength),
                ("vaneFront", draft.VaneFront),
                ("glue", draft.Glue),
            }
        )
        {
            fields.Check(text.Length <= MostText, name, "too-long", new TooLong(MostText));
        }

        var few = draft.EndPartIds is not { Count: > Arrow.MostEndParts };
        fields.Check(few, "endParts", "range", new EndPartsAtMost(Arrow.MostEndParts));

        fields.ThrowIfAny();
        return draft;
    }
}
