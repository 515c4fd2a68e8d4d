using Merganser.Core.Bows;
using Merganser.Core.Tuning;

namespace Merganser.Core.Tests.Tuning;

/// <summary>What was fitted lately never changes what is believed.</summary>
public class FittedModelsTests
{
    private static readonly ResponsePrior Prior = new([
        new GainPrior(AdjusterKind.RestSideways, TearAxis.Sideways, 0.05, PlusChance: 0.5, Free: true),
        new GainPrior(AdjusterKind.NockingPoint, TearAxis.Height, 0.2),
    ]);

    private static readonly Observation[] Shots =
    [
        new([0, 0], 1.1, .3),
        new([0, 0], .9, .2),
        new([-4, 0], .6, .3),
        new([-4, 0], .7, .1, Doubtful: true),
        new([-4, -1], .6, .0),
    ];

    [Fact]
    public void What_was_kept_is_believed_as_what_is_fitted_from_nothing()
    {
        foreach (var count in new[] { 1, 2, 2, 4, 5, 3, 5 })
        {
            var shots = Shots[..count];
            Said(FittedModels.Of(Prior, shots)).ShouldBe(Said(ResponseModel.Of(Prior, shots).Read()), $"{count} shots");
        }
    }

    [Fact]
    public void Another_shot_another_doubt_or_another_prior_is_fitted_by_itself()
    {
        var believed = Said(FittedModels.Of(Prior, Shots));
        Observation[][] others =
        [
            [.. Shots[..4], Shots[4] with { X = .61 }],
            [.. Shots[..3], Shots[3] with { Doubtful = false }, Shots[4]],
            [.. Shots[..4], Shots[4] with { Setting = [-4, -2] }],
        ];
        foreach (var other in others)
        {
            Said(FittedModels.Of(Prior, other)).ShouldBe(Said(ResponseModel.Of(Prior, other).Read()));
            Said(FittedModels.Of(Prior, other)).ShouldNotBe(believed);
        }

        var wider = Prior with { SpreadCentre = .3 };
        var stiffer = Prior with { Gains = [Prior.Gains[0] with { Nominal = .06 }, Prior.Gains[1]] };
        foreach (var prior in new[] { wider, stiffer })
        {
            Said(FittedModels.Of(prior, Shots)).ShouldBe(Said(ResponseModel.Of(prior, Shots).Read()));
        }

        Said(FittedModels.Of(Prior, Shots)).ShouldBe(believed);
    }

    private static string Said(Belief belief) =>
        string.Join(
            ' ',
            belief.Components.SelectMany(c => (double[])[c.Weight, .. c.Mean, c.Covariance[0, 0], c.Covariance[3, 2]])
        );
}
