using System.Text;
using Merganser.Core.Dozens;
using Merganser.Data;
using Merganser.Web.Guard;
using Merganser.Web.Ui;
using Merganser.Web.Words;

namespace Merganser.Web.Dozens;

/// <summary>A dozen to start.</summary>
public sealed record DozenInput(
    string? Id,
    string ArrowVersionId,
    string? Name,
    int Arrows,
    IReadOnlyList<string> Classes,
    int Spare,
    bool VanesInSets,
    IReadOnlyDictionary<string, int>? Spares = null
)
{
    /// <summary>Reads and checks the plan.</summary>
    public DozenPlan Plan(ArrowStore arrows) =>
        DozenReading.Plan(
            new DozenPlan(Name ?? "", Arrows, [.. Classes], Spare, VanesInSets, Spares),
            Dozen.ClassesOf(arrows.Version(ArrowVersionId).Arrow, VanesInSets)
        );
}

/// <summary>Weights of one class as text, one a line.</summary>
/// <param name="Id">Client-made id; none for a look at it.</param>
/// <param name="Class">The class.</param>
/// <param name="Text">The table.</param>
/// <param name="Sure">True when weights that are asked about are kept too.</param>
public sealed record WeightsInput(string? Id, string Class, string Text, bool Sure = false);

/// <summary>A page of a bow's dozens in a line each, the newest first.</summary>
/// <param name="Dozens">They.</param>
/// <param name="Earlier">Asked for with <c>before</c>, the page before this one; null when there is none.</param>
public sealed record DozenPage(IReadOnlyList<DozenLine> Dozens, string? Earlier);

public static class DozenEndpoints
{
    public static void MapDozens(this IEndpointRouteBuilder api)
    {
        api.MapGet(
            "/bows/{bowId}/dozens",
            (string bowId, string? before, DozenStore dozens) =>
            {
                var found = dozens.Lines(bowId, ListPage.Length + 1, before);
                DozenLine[] shown = [.. found.Take(ListPage.Length)];
                return new DozenPage(shown, found.Count > shown.Length ? shown[^1].Id : null);
            }
        );
        api.MapPost(
            "/bows/{bowId}/dozens",
            (string bowId, DozenInput input, DozenStore dozens, ArrowStore arrows, DozenDesk desk) =>
                desk.View(dozens.Start(ClientId.Checked(input.Id), bowId, input.ArrowVersionId, input.Plan(arrows)))
        );
        api.MapGet("/dozens/{id}", (string id, DozenDesk desk) => desk.View(id));
        api.MapPost(
            "/dozens/{id}/entries",
            (string id, EntryInput input, DozenStore dozens, DozenDesk desk) =>
            {
                var act = ClientId.Checked(input.Id);
                return desk.View(dozens.Add(id, act, row => [(act, DozenReading.Entry(desk.Of(row), input))]));
            }
        );
        api.MapPost(
            "/dozens/{id}/weights",
            (string id, WeightsInput input, DozenStore dozens, DozenDesk desk) =>
            {
                var act = ClientId.Checked(input.Id);
                return desk.View(dozens.Add(id, act, row => Numbered(act, Weights(desk.Of(row), input))));
            }
        );
        api.MapPost(
            "/dozens/{id}/weights/preview",
            (string id, WeightsInput input, DozenStore dozens, DozenDesk desk) =>
                DozenReading.Table(desk.Of(dozens.Get(id)), input.Class, input.Text)
        );
        api.MapPost(
            "/dozens/{id}/withdrawals/{entryId}",
            (string id, string entryId, DozenStore dozens, DozenDesk desk) => desk.View(dozens.Withdraw(id, entryId))
        );
        api.MapPost("/dozens/{id}/match", Match);
        MapTable(api);
        MapNocks(api);
    }

    private static DozenView Match(
        string id,
        MatchOptions options,
        DozenStore dozens,
        DozenDesk desk,
        CancellationToken cancel
    )
    {
        var act = ClientId.Checked(options.Id);
        var sought = desk.Of(dozens.Get(id));
        var found = DozenMatching.Find(sought, options, cancel);
        return desk.View(
            dozens.Add(
                id,
                act,
                row =>
                {
                    desk.Of(row).CheckUnchanged(sought);
                    return Numbered(act, [found, .. DozenMatching.NewlyGlued(sought, options)]);
                }
            )
        );
    }

    private static void MapTable(IEndpointRouteBuilder api)
    {
        api.MapGet(
                "/dozens/{id}/export.csv",
                (string id, DozenDesk desk, Listener listener) =>
                    Results.Text(DozenTable.Csv(desk.View(id), listener), "text/csv", Encoding.UTF8)
            )
            .Produces<string>(200, "text/csv");
    }

    private static void MapNocks(IEndpointRouteBuilder api)
    {
        api.MapGet("/dozens/{id}/nocks", (string id, double? distance, DozenDesk desk) => desk.Nocks(id, distance));
        api.MapPost(
            "/dozens/{id}/nocks",
            (string id, NockShotInput input, DozenStore dozens, BowStore bows, DozenDesk desk) =>
            {
                var act = ClientId.Checked(input.Id);
                dozens.Add(
                    id,
                    act,
                    row =>
                    {
                        _ = bows.Get(row.BowId).Sound();
                        return [(act, DozenReading.Shot(desk.Of(row), input))];
                    }
                );
                return desk.Nocks(id);
            }
        );
        api.MapDelete(
            "/dozens/{id}/nocks/{shotId}",
            (string id, string shotId, DozenStore dozens, DozenDesk desk) =>
            {
                dozens.Withdraw(id, shotId);
                return desk.Nocks(id);
            }
        );
    }

    private static IReadOnlyList<PieceWeighed> Weights(Dozen dozen, WeightsInput input) =>
        DozenReading.Weights(dozen, input.Class, input.Text, input.Sure);

    /// <summary>Several acts under one id: trying it again changes nothing.</summary>
    private static IReadOnlyList<(string Id, DozenAct Act)> Numbered(string act, IReadOnlyList<DozenAct> acts) =>
        [.. acts.Select((a, i) => (i == 0 ? act : $"{act}-{i}", a))];
}
