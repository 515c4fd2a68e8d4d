using Merganser.Core.Tuning;

namespace Merganser.Core.Simulation;

public enum SessionEnd { Done, NotReachable, OutOfShots }

/// <summary>How a simulated session went.</summary>
/// <param name="End">How it ended.</param>
/// <param name="Moves">Moves made.</param>
/// <param name="Shots">Shots taken.</param>
/// <param name="TrueLength">Length of the true mean tear at the end, inches.</param>
/// <param name="LengthAfter18">The same after 18 arrows, or at the end if that came sooner.</param>
/// <param name="Stated">The chance of being inside that was stated at the end.</param>
public sealed record SessionResult(SessionEnd End, int Moves, int Shots, double TrueLength, double LengthAfter18, double Stated);

/// <summary>Runs the engine on a simulated bow until it says done.</summary>
public static class ClosedLoop
{
    private const int MostShots = 300;
    private const int Look = 18;

    /// <param name="bow">The bow.</param>
    /// <param name="prior">What the engine believes of it beforehand.</param>
    /// <param name="figures">The figures of its rule.</param>
    /// <param name="stating">Told the stated chance and the setting after every shot.</param>
    public static SessionResult Run(SimulatedBow bow, ResponsePrior prior, RuleFigures figures, Action<double, int[]>? stating = null)
    {
        var model = new ResponseModel(prior);
        var rule = new DecisionRule(figures);
        var setting = new int[bow.Levers.Count];
        var here = new Dictionary<string, int>();
        var (moves, shots, after18, stated) = (0, 0, double.NaN, 0.0);
        while (shots < MostShots)
        {
            var tear = bow.Shoot(setting);
            model.Add(new TuningShot([.. setting], tear.X, tear.Y));
            shots++;
            var key = string.Join(',', setting);
            here[key] = here.GetValueOrDefault(key) + 1;
            var decision = rule.Decide(prior, model.Read().Wider(figures.Inflate), setting, bow.Levers, here[key]);
            stated = decision.Chance;
            stating?.Invoke(stated, setting);
            if (decision.Kind is DecisionKind.Done or DecisionKind.NotReachable)
            {
                return End(decision.Kind == DecisionKind.Done ? SessionEnd.Done : SessionEnd.NotReachable);
            }

            if (decision.Chosen is { } move)
            {
                setting[move.Lever] = move.To;
                moves++;
            }

            if (shots == Look)
            {
                after18 = bow.TrueMean(setting).Length;
            }
        }

        return End(SessionEnd.OutOfShots);

        SessionResult End(SessionEnd end)
        {
            var length = bow.TrueMean(setting).Length;
            return new SessionResult(end, moves, shots, length, double.IsNaN(after18) ? length : after18, stated);
        }
    }

    /// <summary>The engine's prior for a simulated bow; the scale is for priors that are too big or too small.</summary>
    public static ResponsePrior PriorOf(SimulatedBow bow, double scale = 1)
    {
        var prior = ResponsePrior.Of(bow.Kinds.Select(Bows.AdjusterTable.Fresh));
        return scale == 1 ? prior : prior with { Gains = [.. prior.Gains.Select(g => g with { Nominal = g.Nominal * scale })] };
    }
}
