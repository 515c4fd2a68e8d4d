using Merganser.Core.Bows;
using Merganser.Core.Figures;
using Merganser.Core.Messages;
using Merganser.Core.Speed;
using Merganser.Core.Units;
using Merganser.Data;
using Merganser.Web.Guard;

namespace Merganser.Web.DrawBoard;

/// <summary>A reading of a draw board as typed.</summary>
/// <param name="Id">Client-made id.</param>
/// <param name="Mark">What was read.</param>
/// <param name="Travel">How far the string was drawn from rest.</param>
/// <param name="Force">On the string; none for a stop.</param>
/// <param name="Source">Typed or from the board.</param>
/// <param name="Anew">True for the first of another curve.</param>
public sealed record BoardInput(
    string? Id,
    BoardMark Mark,
    string? Travel,
    string? Force,
    string Source,
    bool Anew = false
);

/// <summary>A place of the curve.</summary>
public sealed record CurvePoint(double Travel, double Force);

/// <summary>A draw-force curve as its page shows it.</summary>
/// <param name="Number">Its number; 0 for none yet.</param>
/// <param name="Readings">What was read.</param>
/// <param name="Points">The curve, by travel.</param>
/// <param name="Figures">What it says, each with its working.</param>
/// <param name="Estimate">What is estimated for such a bow without a curve, ft·lb.</param>
/// <param name="Stroke">The bow's power stroke, inches.</param>
/// <param name="HasStops">True for a bow with two stops.</param>
/// <param name="Whole">True for a curve that the speed figures follow.</param>
/// <param name="Words">The same in words.</param>
public sealed record BoardView(
    int Number,
    IReadOnlyList<BoardReading> Readings,
    IReadOnlyList<CurvePoint> Points,
    IReadOnlyList<Figure> Figures,
    double Estimate,
    double Stroke,
    bool HasStops,
    bool Whole,
    Message Words
)
{
    public static BoardView Of(BoardCurve curve, Bow bow)
    {
        var force = new ForceCurve(curve.Readings, bow);
        return new BoardView(
            curve.Number,
            curve.Readings,
            [.. force.Points.Select(p => new CurvePoint(p.Travel, p.Force))],
            BoardFigures.Of(force),
            LaunchSpeed.EstimatedEnergy(bow with { Force = null }),
            bow.PowerStroke,
            bow.Kind == BowKind.Compound,
            force.Missing is null,
            force.Words
        );
    }
}

public static class DrawBoardEndpoints
{
    public static void MapDrawBoard(this IEndpointRouteBuilder api)
    {
        api.MapGet(
            "/bows/{bowId}/board",
            (string bowId, BoardStore board, BowStore bows) => BoardView.Of(board.Newest(bowId), bows.Get(bowId).Bow)
        );
        api.MapPost(
            "/bows/{bowId}/board",
            (string bowId, BoardInput input, BoardStore board, BowStore bows) =>
            {
                var bow = bows.Get(bowId).Bow;
                return BoardView.Of(board.Add(bowId, Read(input, bow), input.Anew), bow);
            }
        );
        api.MapPost(
            "/bows/{bowId}/board/{id}/withdraw",
            (string bowId, string id, BoardStore board, BowStore bows) =>
                BoardView.Of(board.TakeBack(bowId, id), bows.Get(bowId).Bow)
        );
    }

    private static BoardReading Read(BoardInput input, Bow bow)
    {
        var fields = new FieldReader();
        var travel = fields.Required("travel", input.Travel, Quantity.Length, ForceCurve.Travels);
        var force =
            input.Mark == BoardMark.Force
                ? fields.Required("force", input.Force, Quantity.DrawWeight, ForceCurve.Forces)
                : null;
        var stops = input.Mark == BoardMark.Force || bow.Kind == BowKind.Compound;
        fields.Check(stops, "mark", "kind", SpeedSays.StopsOfCompounds);
        fields.ThrowIfAny();
        return new BoardReading(ClientId.Checked(input.Id), input.Mark, travel!.Value, force?.Value, input.Source);
    }
}
