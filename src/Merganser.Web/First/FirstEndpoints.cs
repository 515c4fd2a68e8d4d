using Merganser.Core.Arrows;
using Merganser.Core.Catalogues;
using Merganser.Core.First;
using Merganser.Core.Paper;
using Merganser.Data;
using Merganser.Web.Guard;

namespace Merganser.Web.First;

/// <summary>First answers to be kept as a bow and its arrow.</summary>
/// <param name="Id">Made by the client for this one submission.</param>
/// <param name="Answers">They.</param>
/// <param name="Hole">The first hole in paper as it was said, or null for none.</param>
public sealed record FirstInput(string? Id, FirstAnswers Answers, ShooterWords? Hole = null);

/// <summary>Where first answers were kept.</summary>
/// <param name="BowId">The bow.</param>
/// <param name="ArrowId">Its arrow.</param>
/// <param name="PaperId">The paper with the first hole, or null.</param>
public sealed record FirstKept(string BowId, string ArrowId, string? PaperId);

/// <summary>What first answers tell.</summary>
/// <param name="Bow">The bow as it would be kept, in texts.</param>
/// <param name="CutLength">The arrow's length as it is counted with.</param>
/// <param name="Point">Its point's weight.</param>
/// <param name="Spine">The number on its shaft.</param>
/// <param name="Reading">Figures and verdict.</param>
/// <param name="Sizes">Sizes in which a hole is said.</param>
public sealed record FirstView(
    Core.Bows.BowEntry Bow,
    string CutLength,
    string Point,
    string Spine,
    FirstReading Reading,
    IReadOnlyList<SaidSize> Sizes
);

public static class FirstEndpoints
{
    public static void MapFirst(this IEndpointRouteBuilder api)
    {
        api.MapPost(
            "/first/reading",
            (FirstAnswers answers, ComponentStore components) =>
            {
                var shafts = Shafts(components);
                var build = answers.Read(shafts);
                var reading = FirstReading.Of(build, answers, shafts);
                return new FirstView(
                    build.Entry,
                    build.CutLength,
                    build.Point,
                    build.Spine,
                    reading,
                    ShooterWords.Sizes
                );
            }
        );
        api.MapPost(
            "/first",
            (FirstInput input, FirstDesk desk, ComponentStore components) =>
                desk.Keep(ClientId.Checked(input.Id), input, Shafts(components))
        );
    }

    private static Shaft[] Shafts(ComponentStore components) =>
        [.. components.Rows().Select(r => r.Part).OfType<Shaft>().Where(s => s.Maker != OwnShaft.Unknown)];
}
