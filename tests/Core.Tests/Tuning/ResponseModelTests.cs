using CsCheck;
using MathNet.Numerics.LinearAlgebra;
using Merganser.Core.Bows;
using Merganser.Core.Simulation;
using Merganser.Core.Tuning;

namespace Merganser.Core.Tests.Tuning;

/// <summary>The model against a general-purpose numerics library (MathNet) and closed forms.</summary>
public class ResponseModelTests
{
    private static readonly ResponsePrior Two = new(
        [
            new GainPrior(AdjusterKind.YokePair, TearAxis.Sideways, .4),
            new GainPrior(AdjusterKind.RestHeight, TearAxis.Height, .03),
        ],
        FlyerShare: 0
    );

    [Fact]
    public void Where_it_is_linear_and_without_flyers_it_is_a_plain_gaussian_regression()
    {
        // Height, while only the yoke is turned: y = t + c u, with priors N(0, .9²) and N(0, (.08 × .4)²).
        (int Turned, double Y)[] shots = [(0, .31), (0, .52), (2, .38), (2, .66), (-3, .12), (-3, .27)];
        var belief = ResponseModel
            .Of(Two, [.. shots.Select(s => new Observation([s.Turned, 0], .4 * s.Turned, s.Y))])
            .Read();
        foreach (var component in belief.Components.Where(c => !c.Mask.Deaf))
        {
            var rows = Matrix<double>.Build.DenseOfRowArrays(shots.Select(s => new[] { 1.0, s.Turned }));
            var prior = Matrix<double>.Build.DenseOfDiagonalArray([1 / .81, 1 / Math.Pow(.08 * .4, 2)]);
            var precision = prior + (rows.Transpose() * rows / Math.Pow(component.Spread, 2));
            var mean = precision.Solve(
                rows.Transpose()
                    * Vector<double>.Build.DenseOfEnumerable(shots.Select(s => s.Y))
                    / Math.Pow(component.Spread, 2)
            );
            var covariance = precision.Inverse();
            component.Mean[1].ShouldBe(mean[0], 1e-9);
            component.Mean[4].ShouldBe(mean[1], 1e-9);
            component.Covariance[1, 1].ShouldBe(covariance[0, 0], 1e-9);
            component.Covariance[4, 4].ShouldBe(covariance[1, 1], 1e-9);
            component.Covariance[4, 1].ShouldBe(covariance[0, 1], 1e-9);
        }
    }

    /// <summary>
    /// A shot that was only said has a variance of its own: the generalised least squares of any textbook, weights
    /// 1/(s² + r²).
    /// </summary>
    [Fact]
    public void A_shot_that_was_said_weighs_by_how_well_it_was_read()
    {
        (double Y, double Within)[] shots = [(.31, 0), (.52, .3), (.38, .125)];
        var belief = ResponseModel
            .Of(Two, [.. shots.Select(s => new Observation([0, 0], 0, s.Y, ReadWithin: s.Within))])
            .Read();
        foreach (var component in belief.Components.Where(c => !c.Mask.Deaf))
        {
            var variances = Vector<double>.Build.DenseOfEnumerable(
                shots.Select(s => Math.Pow(component.Spread, 2) + Math.Pow(s.Within, 2))
            );
            var weights = variances.DivideByThis(1);
            var precision = (1 / .81) + weights.Sum();
            var pull = weights.DotProduct(Vector<double>.Build.DenseOfEnumerable(shots.Select(s => s.Y)));
            component.Mean[1].ShouldBe(pull / precision, 1e-9);
            component.Covariance[1, 1].ShouldBe(1 / precision, 1e-9);
        }
    }

    [Fact]
    public void Its_solver_inverts_as_the_library_does() =>
        Gen.Double[-2, 2]
            .Array[36]
            .Sample(numbers =>
            {
                var root = Matrix<double>.Build.Dense(6, 6, numbers);
                var matrix = (root * root.Transpose()) + (0.1 * Matrix<double>.Build.DenseIdentity(6));
                var solver = new SymmetricSolver(6);
                var result = new SymmetricMatrix(6);
                solver.Invert(Symmetric(matrix), result);
                (Matrix<double>.Build.Dense(6, 6, (i, j) => result[i, j]) - matrix.Inverse())
                    .FrobeniusNorm()
                    .ShouldBeLessThan(1e-6 * matrix.Inverse().FrobeniusNorm());
                solver.LogDeterminant.ShouldBe(
                    Math.Log(matrix.Determinant()),
                    1e-6 * Math.Max(1, Math.Abs(Math.Log(matrix.Determinant())))
                );
            });

    [Fact]
    public void A_matrix_that_is_not_positive_is_refused() =>
        Should.Throw<ArithmeticException>(() =>
            new SymmetricSolver(2).Invert(
                Symmetric(Matrix<double>.Build.DenseOfRowMajor(2, 2, [1, 2, 2, 1])),
                new SymmetricMatrix(2)
            )
        );

    [Theory]
    [InlineData(.25, .1)]
    [InlineData(.25, .3)]
    [InlineData(.125, .02)]
    public void The_chance_inside_a_circle_about_zero_is_the_rayleigh_law(double tolerance, double sd) =>
        Belief
            .Inside(new TearMoments(0, 0, sd * sd, sd * sd), tolerance)
            .ShouldBe(1 - Math.Exp(-tolerance * tolerance / (2 * sd * sd)), 2e-4);

    [Fact]
    public void The_chance_inside_is_what_counting_gives()
    {
        // Off centre and unlike on the two axes, against 400,000 seeded draws.
        var at = new TearMoments(.12, -.08, .1 * .1, .15 * .15);
        var random = new MathNet.Numerics.Random.MersenneTwister(5);
        var normal = new MathNet.Numerics.Distributions.Normal(0, 1, random);
        var inside = Enumerable
            .Range(0, 400_000)
            .Count(_ =>
                Math.Pow(.12 + (.1 * normal.Sample()), 2) + Math.Pow(-.08 + (.15 * normal.Sample()), 2) < .25 * .25
            );
        Belief.Inside(at, .25).ShouldBe(inside / 400_000.0, .003);
    }

    [Fact]
    public void A_step_of_a_lever_is_a_quadratic() =>
        Gen.Select(Gen.Int[-6, 6], Gen.Int[-8, 8], Gen.Int[0, 1])
            .Sample(
                (yoke, step, lever) =>
                {
                    var belief = Shot().Read();
                    foreach (var sign in belief.Masks)
                    {
                        double[] from = [yoke, 4];
                        double[] to = [.. from];
                        to[lever] += step;
                        var (c, b, a) = belief.Square(sign, from, lever);
                        (c + (b * step) + (a * step * step)).ShouldBe(belief.At(sign, to).Square, 1e-9);
                    }
                }
            );

    [Fact]
    public void The_same_shots_give_the_same_belief_and_an_edited_one_changes_it()
    {
        Observation[] shots = [new([0, 0], .5, .1), new([0, 0], .6, .2), new([-1, 0], .1, .1)];
        var once = ResponseModel.Of(Two, shots).Read();
        var again = ResponseModel.Of(Two, shots).Read();
        again.All.Mean.ShouldBe(once.All.Mean);
        shots[0] = shots[0] with { X = -.5 };
        ResponseModel.Of(Two, shots).Read().At([0, 0]).X.ShouldBeLessThan(once.At([0, 0]).X - .2);
    }

    [Fact]
    public void A_flyer_hardly_moves_the_mean_and_a_doubted_shot_moves_it_less_than_a_sure_one()
    {
        var prior = Two with { FlyerShare = .1 };
        Observation[] three = [new([0, 0], .30, .0), new([0, 0], .34, .05), new([0, 0], .27, -.04)];
        double Mean(params Observation[] more) => ResponseModel.Of(prior, [.. three, .. more]).Read().At([0, 0]).X;
        var flyer = new Observation([0, 0], 2.2, -1.4);
        Math.Abs(Mean(flyer) - Mean()).ShouldBeLessThan(.06);
        var odd = new Observation([0, 0], .75, .1);
        Math.Abs(Mean(odd with { Doubtful = true }) - Mean()).ShouldBeLessThan(Math.Abs(Mean(odd) - Mean()));
        var model = ResponseModel.Of(prior, [.. three, flyer]);
        model.Flyers()[flyer].ShouldBeGreaterThan(.9);
        model.Flyers()[three[0]].ShouldBeLessThan(.2);
    }

    [Fact]
    public void A_setting_names_every_adjuster() =>
        Should.Throw<ArgumentException>(() => ResponseModel.Of(Two, [new Observation([0], 0, 0)]));

    [Fact]
    public void Mirrored_shots_give_the_mirrored_belief() =>
        Gen.Int[0, 5000]
            .Sample(
                seed =>
                {
                    var bow = new SimulatedBow(seed);
                    var prior = ClosedLoop.PriorOf(bow);
                    var random = new Random(seed);
                    Observation[] shots =
                    [
                        .. Enumerable
                            .Range(0, 8)
                            .Select(i =>
                            {
                                double[] setting =
                                [
                                    .. bow.Levers.Select(l => i < 2 ? 0 : random.Next((int)l.Lower, (int)l.Upper + 1)),
                                ];
                                var tear = bow.Shoot(setting);
                                return new Observation(setting, tear.X, tear.Y);
                            }),
                    ];
                    double[] Turned(double[] setting) =>
                        [.. setting.Select((u, j) => prior.Gains[j].Axis == TearAxis.Sideways ? -u : u)];
                    var here = ResponseModel.Of(prior, shots).Read();
                    var there = ResponseModel
                        .Of(prior, [.. shots.Select(s => new Observation(Turned(s.Setting), -s.X, s.Y))])
                        .Read();
                    there.At(Turned(shots[^1].Setting)).X.ShouldBe(-here.At(shots[^1].Setting).X, 1e-7);
                    there.At(Turned(shots[^1].Setting)).Y.ShouldBe(here.At(shots[^1].Setting).Y, 1e-7);
                    there
                        .ChanceInside(Turned(shots[^1].Setting), .25)
                        .ShouldBe(here.ChanceInside(shots[^1].Setting, .25), 1e-7);
                },
                iter: 40
            );

    /// <summary>
    /// What was not moved is not fitted but follows from what was. The same adjusters moved by a billionth of a step
    /// are fitted with the others: both must come out alike.
    /// </summary>
    [Fact]
    public void What_was_not_moved_is_believed_as_if_it_had_been_fitted_too()
    {
        var prior = Two with
        {
            FlyerShare = .1,
            Gains =
            [
                new GainPrior(AdjusterKind.RestSideways, TearAxis.Sideways, .03, PlusChance: .6, Free: true),
                .. Two.Gains,
                new GainPrior(AdjusterKind.BraceHeight, TearAxis.Height, .1, GainPrior.WideSd, GainPrior.WideShared),
            ],
        };
        Belief Of(double barely) =>
            ResponseModel
                .Of(
                    prior,
                    [
                        new([barely, 0, 0, barely], .9, .4),
                        new([0, 0, 0, 0], .7, .5),
                        new([0, -1, 0, 0], .1, .3),
                        new([0, -2, 4, 0], -.2, .3),
                    ]
                )
                .Read();
        var (follows, fitted) = (Of(0), Of(1e-9));
        follows.Components.Count.ShouldBe(fitted.Components.Count);
        foreach (var (one, other) in follows.Components.Zip(fitted.Components))
        {
            one.Weight.ShouldBe(other.Weight, 1e-6);
            for (var i = 0; i < one.Mean.Length; i++)
            {
                one.Mean[i].ShouldBe(other.Mean[i], 1e-6);
                for (var j = 0; j < one.Mean.Length; j++)
                {
                    one.Covariance[i, j].ShouldBe(other.Covariance[i, j], 1e-6);
                }
            }
        }

        var likeliest = follows.Components.MaxBy(c => c.Weight)!;
        likeliest.Mean[5].ShouldBeGreaterThan(prior.Gains[3].Nominal + .001, "a strong yoke speaks of the others");
    }

    private static ResponseModel Shot() =>
        ResponseModel.Of(Two, [new([0, 0], .5, .1), new([0, 0], .6, .2), new([-1, 0], .1, .1), new([-1, 5], .1, .3)]);

    private static SymmetricMatrix Symmetric(Matrix<double> matrix)
    {
        var symmetric = new SymmetricMatrix(matrix.RowCount);
        for (var i = 0; i < matrix.RowCount; i++)
        {
            matrix.Row(i).ToArray().CopyTo(symmetric.Row(i));
        }

        return symmetric;
    }
}
