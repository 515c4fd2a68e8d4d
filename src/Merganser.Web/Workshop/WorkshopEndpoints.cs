using Merganser.Core.Workshop;
using Merganser.Data;
using Merganser.Web.Dozens;
using Merganser.Web.Guard;
using Merganser.Web.Words;

namespace Merganser.Web.Workshop;

public static class WorkshopEndpoints
{
    private const string Pdf = "application/pdf";
    private const string UsualGrid = "3x8";

    public static void MapWorkshop(this IEndpointRouteBuilder api)
    {
        api.MapGet("/dozens/{id}/workshop", (string id, WorkshopDesk workshop) => workshop.View(id));
        api.MapPost(
            "/dozens/{id}/workshop/glue/{joint}",
            (string id, string joint, GlueInput input, WorkshopDesk workshop, GlueStore glues) =>
            {
                glues.Keep(ClientId.Checked(input.Id), input.Read(KnownWord.Read<Joint>("joint", joint)));
                return workshop.View(id);
            }
        );
        Print(api, "cut-list", CutListPrint.Of);
        Print(api, "tray", TrayPrint.Of);
        Print(api, "fletching", FletchingPrint.Of);
        Print(api, "shopping", ShoppingPrint.Of);
        api.MapGet(
                "/dozens/{id}/labels.pdf",
                (
                    string id,
                    string? grid,
                    int? first,
                    int? columns,
                    int? rows,
                    double? width,
                    double? height,
                    double? left,
                    double? top,
                    double? across,
                    double? down,
                    DozenDesk desk,
                    Listener listener
                ) =>
                {
                    var own = columns is { } count
                        ? new LabelGrid(
                            count,
                            rows ?? 1,
                            width ?? 0,
                            height ?? 0,
                            left ?? 0,
                            top ?? 0,
                            across ?? width ?? 0,
                            down ?? height ?? 0
                        ).Checked()
                        : LabelGrid.Known[KnownWord.OneOf("grid", grid ?? UsualGrid, [.. LabelGrid.Known.Keys])];
                    var dozen = desk.View(id);
                    return Results.File(LabelPrint.Of(dozen, own, first ?? 1, listener.Of(dozen.BowId)), Pdf);
                }
            )
            .Produces(200, contentType: Pdf);
    }

    private static void Print(
        IEndpointRouteBuilder api,
        string name,
        Func<DozenView, WorkshopView, Speaker, byte[]> print
    ) =>
        api.MapGet(
                $"/dozens/{{id}}/{name}.pdf",
                (string id, DozenStore dozens, DozenDesk desk, WorkshopDesk workshop, Listener listener) =>
                {
                    var row = dozens.Get(id);
                    return Results.File(print(desk.View(row), workshop.View(row), listener.Of(row.BowId)), Pdf);
                }
            )
            .Produces(200, contentType: Pdf);
}
