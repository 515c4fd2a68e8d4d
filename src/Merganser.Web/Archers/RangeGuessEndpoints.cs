using Merganser.Core.Figures;
using Merganser.Core.Groups;
using Merganser.Core.Messages;
using Merganser.Core.Tuning;
using Merganser.Core.Units;
using Merganser.Data;
using Merganser.Web.Guard;

namespace Merganser.Web.Archers;

/// <summary>A distance as it was guessed, and as it was measured.</summary>
public sealed record RangeGuessInput(string? Id, string? Guessed, string? Measured)
{
    /// <summary>The guess to be kept.</summary>
    /// <exception cref="RefusedException">A field cannot be read.</exception>
    public NewRangeGuess Read(string archerId)
    {
        var fields = new FieldReader();
        var guessed = fields.Required("guessed", Guessed, Quantity.Distance, RangeGuess.Distances);
        var measured = fields.Required("measured", Measured, Quantity.Distance, RangeGuess.Distances);
        fields.ThrowIfAny();
        return new NewRangeGuess(ClientId.Checked(Id), archerId, guessed!, measured!);
    }
}

/// <summary>One guess.</summary>
public sealed record RangeGuessView(string Id, Message Words);

/// <summary>An archer's own ranging error, as far as the guesses tell it.</summary>
/// <param name="Guesses">The newest first.</param>
/// <param name="ByDistance">The guesses by distance.</param>
/// <param name="Words">What is known of it at the distance that was asked for.</param>
/// <param name="Figures">Lean, spread, and what nine in ten stay within, at that distance.</param>
/// <param name="Affords">How likely a guess stays within what was asked for; null where nothing was.</param>
public sealed record RangingView(
    IReadOnlyList<RangeGuessView> Guesses,
    IReadOnlyList<Message> ByDistance,
    Message Words,
    IReadOnlyList<Figure> Figures,
    Message? Affords
);

/// <summary>Guessed distances, and what they tell of an archer.</summary>
public static class RangeGuessEndpoints
{
    /// <summary>Where nothing else was asked for, yards.</summary>
    private const double UsualDistance = 30;

    /// <summary>So many are listed; all of them are read.</summary>
    private const int Listed = 20;

    public static void MapRangeGuesses(this IEndpointRouteBuilder api)
    {
        api.MapGet(
            "/archers/{id}/range-guesses",
            (string id, double? yards, double? within, RangeGuessStore guesses) => View(guesses, id, yards, within)
        );
        api.MapPost(
                "/archers/{id}/range-guesses",
                (string id, RangeGuessInput input, double? yards, double? within, RangeGuessStore guesses) =>
                {
                    guesses.Keep(input.Read(id));
                    return View(guesses, id, yards, within);
                }
            )
            .ProducesValidationProblem();
        api.MapDelete(
            "/archers/{id}/range-guesses/{guessId}",
            (string id, string guessId, double? yards, double? within, RangeGuessStore guesses) =>
            {
                guesses.TakeBack(id, guessId);
                return View(guesses, id, yards, within);
            }
        );
    }

    private static RangingView View(RangeGuessStore guesses, string archerId, double? yards, double? within)
    {
        var at = yards ?? UsualDistance;
        var fields = new FieldReader();
        fields.Inside("yards", at, RangeGuess.Distances);
        fields.Check(within is null or (> 0 and < 1000), "within", "range", new RangeOf(RangeGuess.Distances));
        fields.ThrowIfAny();
        var rows = guesses.Of(archerId);
        var ranging = new RangingError([.. rows.Select(r => r.Guess)]);
        return new RangingView(
            [
                .. rows.Take(Listed)
                    .Select(r => new RangeGuessView(
                        r.Id,
                        new GuessWas(
                            Measure.Yards(r.Guess.Guessed),
                            Measure.Yards(r.Guess.Measured),
                            Measure.Yards(r.Guess.Off)
                        )
                    )),
            ],
            [.. ranging.ByDistance.Select(Words)],
            ranging.WordsAt(at),
            RangeFigures.Of(ranging, at),
            within is { } error && ranging.Told
                ? new GuessesAfford(
                    new Chance(ranging.ChanceWithin(error, at)),
                    Measure.Yards(error),
                    Measure.Yards(at)
                )
                : null
        );
    }

    private static Message Words(GuessesBetween here) =>
        new GuessesHere(
            Measure.Yards(here.From),
            here.To is { } to ? Measure.Yards(to) : null,
            here.Count,
            Measure.Yards(here.Mean),
            here.Spread is { } spread ? Measure.Yards(spread) : null
        );
}
