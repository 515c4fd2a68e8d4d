using Google.OrTools.Sat;
using Merganser.Core.Dozens;

namespace Merganser.Solver.Tests;

/// <summary>Matching against a general exact solver; its native package is why this project stands apart.</summary>
public class ExactMatchTests
{
    /// <summary>
    /// Thirty-two pinned instances against a general exact solver (CP-SAT), which must prove its optimum within a fixed
    /// deterministic limit.
    /// </summary>
    [Fact]
    public void Pinned_instances_equal_the_optimum_that_an_exact_solver_proves()
    {
        for (var seed = 1; seed <= 32; seed++)
        {
            var random = new Random(seed);
            var arrows = seed % 5 == 0 ? 3 : 3 + (seed % 4);
            var spare = seed % 3 == 0 ? 1 : 0;
            MatchClass[] classes =
            [
                Class("Shaft", 1, 2520, 12 + (seed % 9), arrows + spare),
                Class("Point", 1, 1000, 5 + (seed % 4), arrows),
                .. seed % 2 == 0 ? new[] { Class("Nock", 1, 90, 3, arrows) } : [],
                .. seed % 5 == 0 ? new[] { Class("Vanes", 3, 60, 2, arrows * 3) } : [],
            ];
            var problem = new MatchProblem(arrows, classes, []);
            var found = Matcher.Find(problem, seed);
            var (optimum, proven) = Exact(problem);
            proven.ShouldBeTrue($"instance {seed}: the exact solver must prove it");
            found.Spread.ShouldBe(optimum, $"instance {seed}");
            found.Bound.Tenths.ShouldBeLessThanOrEqualTo(
                optimum,
                $"instance {seed}: a bound is never above the optimum"
            );

            MatchClass Class(string name, int per, int middle, int sway, int count) =>
                new(name, per, [.. Enumerable.Range(0, count).Select(_ => middle + random.Next(-sway, sway + 1))]);
        }
    }

    /// <summary>Twenty pinned instances with glued pairs: glue is a fixed piece of the sum.</summary>
    [Fact]
    public void Glued_pairs_equal_the_optimum_with_fixed_pieces()
    {
        for (var seed = 1; seed <= 20; seed++)
        {
            var random = new Random(seed);
            var (arrows, spare) = (3 + (seed % 4), seed % 3);
            MatchClass Class(string name, int middle, int sway, int count) =>
                new(name, 1, [.. Enumerable.Range(0, count).Select(_ => middle + random.Next(-sway, sway + 1))]);
            MatchClass[] classes =
            [
                Class("Shaft", 2520, 15, arrows),
                Class("Insert", 250, 4, arrows + spare),
                Class("Point", 1000, 8, arrows),
            ];
            var glued = Enumerable.Range(0, 1 + (seed % arrows)).Select(i => (i, i)).ToArray();
            var problem = new MatchProblem(arrows, classes, glued);
            var found = Matcher.Find(problem, seed);
            var (optimum, proven) = Exact(problem);
            proven.ShouldBeTrue($"instance {seed}: the exact solver must prove it");
            found.Spread.ShouldBe(optimum, $"instance {seed}");
            found.Bound.Tenths.ShouldBeLessThanOrEqualTo(optimum, $"instance {seed}");
        }
    }

    private static (int Optimum, bool Proven) Exact(MatchProblem problem)
    {
        var model = new CpModel();
        List<BoolVar[,]> placed = [];
        var totals = new LinearExpr[problem.Arrows];
        var terms = Enumerable.Range(0, problem.Arrows).Select(_ => new List<LinearExpr>()).ToArray();
        foreach (var kind in problem.Classes)
        {
            var x = new BoolVar[kind.Tenths.Count, problem.Arrows];
            placed.Add(x);
            for (var p = 0; p < kind.Tenths.Count; p++)
            {
                var once = new List<ILiteral>();
                for (var a = 0; a < problem.Arrows; a++)
                {
                    x[p, a] = model.NewBoolVar("");
                    terms[a].Add(x[p, a] * kind.Tenths[p]);
                    once.Add(x[p, a]);
                }

                model.AddAtMostOne(once);
            }

            for (var a = 0; a < problem.Arrows; a++)
            {
                var arrow = a;
                model.Add(
                    LinearExpr.Sum(Enumerable.Range(0, kind.Tenths.Count).Select(p => x[p, arrow])) == kind.PerArrow
                );
            }
        }

        foreach (var (shaft, insert) in problem.Glued)
        {
            for (var a = 0; a < problem.Arrows; a++)
            {
                model.Add(placed[0][shaft, a] == placed[1][insert, a]);
            }
        }

        var high = model.NewIntVar(0, 100_000, "high");
        var low = model.NewIntVar(0, 100_000, "low");
        for (var a = 0; a < problem.Arrows; a++)
        {
            totals[a] = LinearExpr.Sum(terms[a]);
            model.Add(totals[a] <= high);
            model.Add(totals[a] >= low);
        }

        model.Minimize(high - low);
        var solver = new CpSolver { StringParameters = "max_deterministic_time:20,num_workers:1,random_seed:1" };
        var status = solver.Solve(model);
        return ((int)solver.ObjectiveValue, status == CpSolverStatus.Optimal);
    }
}
