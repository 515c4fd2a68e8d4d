using Merganser.Core.Bows;
using Merganser.Core.Messages;
using Merganser.Core.Setup;
using Merganser.Core.Units;
using Merganser.Data;
using Merganser.Web.Guard;

namespace Merganser.Web.Bows;

public static class BowEndpoints
{
    public static void MapBows(this IEndpointRouteBuilder api)
    {
        api.MapGet("/bows/{id}", (string id, BowStore bows, ArcherStore archers) => View(bows.Get(id), bows, archers));
        api.MapPost(
            "/bows",
            (BowInput input, BowStore bows, ArcherStore archers) =>
            {
                var id = ClientId.Checked(input.Id);
                var owner = input.NewOwner();
                return View(bows.Add(id, owner, input.Entry, AdjusterEntry.Read(input.Adjusters, [])), bows, archers);
            }
        );
        api.MapPut(
            "/bows/{id}",
            (string id, BowInput input, HttpRequest request, BowStore bows, ArcherStore archers) =>
                View(
                    bows.Change(
                        id,
                        request.IfMatch(),
                        input.Entry,
                        AdjusterEntry.Read(input.Adjusters, bows.Get(id).Adjusters),
                        input.EditedArcher()
                    ),
                    bows,
                    archers
                )
        );
        api.MapPost(
            "/bows/{id}/archive",
            (string id, ArchiveInput input, BowStore bows, ArcherStore archers) =>
                View(bows.Archive(id, input.Archived), bows, archers)
        );
        api.MapGet("/bows/{id}/moves", (string id, int? before, BowStore bows) => MovePage.Of(bows, id, before));
        api.MapPost(
            "/bows/{id}/moves",
            (string id, BowMoveInput input, BowStore bows, ArcherStore archers) =>
            {
                bows.LogTogether(input.Moves(id, bows.Get(id)));
                return View(bows.Get(id), bows, archers);
            }
        );
        api.MapPost(
            "/bows/{id}/moves/{moveId}/undo",
            (string id, string moveId, UndoInput input, BowStore bows, ArcherStore archers) =>
            {
                bows.TakeBack(id, moveId, ClientId.Checked(input.Id), input.LoggedWrongly);
                return View(bows.Get(id), bows, archers);
            }
        );
        api.MapGet(
            "/adjusters",
            (string kind, string cams) =>
                Offers(KnownWord.Read<BowKind>("kind", kind), KnownWord.Read<CamSystem>("cams", cams))
        );
    }

    private static AdjusterOffer[] Offers(BowKind kind, CamSystem cams)
    {
        var usual = AdjusterTable.Usual(kind, cams);
        return
        [
            .. AdjusterTable
                .Possible(kind)
                .Select(AdjusterTable.Of)
                .Select(f => new AdjusterOffer(
                    f.Kind,
                    new AdjusterName(f.Kind),
                    new Steps(f.Kind, 1),
                    f.Lower,
                    f.Upper,
                    f.NeedsPress,
                    AdjusterTable.WayIsAFact(f.Kind),
                    usual.Contains(f.Kind)
                )),
        ];
    }

    public static BowView View(BowRow row, BowStore bows, ArcherStore archers)
    {
        var factor = BowFactor.For(row.Bow);
        return new BowView(
            row.Id,
            row.ArcherId,
            row.Bow,
            row.Typed,
            [.. row.Adjusters.Select(AdjusterView.Of)],
            MovePage.Of(bows, row.Id),
            [.. bows.LastMoves(row.Id).Select(MoveView.Of)],
            Line(row.Bow),
            new FactorView(factor.Factor, factor.ModelSpread, factor.Why),
            archers.Get(row.ArcherId).Archer.Units ?? DisplayUnits.Trade,
            row.Version,
            Unsound.Guard(row.Unsound, BowNext.Of(row.Bow)),
            row.ArchivedAt,
            row.Unsound?.Words
        );
    }

    /// <summary>The bow in one line: kind, hand, weight.</summary>
    public static Message Line(Bow bow) =>
        bow.DrawWeightBand == 0
            ? new BowLine(bow.Kind, Measure.Pounds(bow.DrawWeight), bow.MeasuredWeight is null)
            : new BowLine(bow.Kind, Measure.Pounds(bow.DrawWeight + bow.DrawWeightBand, 0), true)
            {
                From = Measure.Pounds(bow.DrawWeight - bow.DrawWeightBand, 0),
            };
}
