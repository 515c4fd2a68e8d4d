using Merganser.Core.Sessions;

namespace Merganser.Core.Tuning;

/// <summary>Another engine than the shipped one: for benchmarks, check sessions and simulated worlds.</summary>
/// <param name="Prior">What is believed beforehand.</param>
/// <param name="Figures">The figures of the rule; null follows the archer's spread.</param>
/// <param name="Everything">True when every adjuster stands open, whatever school, press and axis order say.</param>
public sealed record EngineChoice(ResponsePrior? Prior, RuleFigures? Figures, bool Everything);

/// <summary>What is believed of a stage, and where its adjusters stand.</summary>
/// <param name="Prior">Believed before.</param>
/// <param name="Belief">Believed now.</param>
/// <param name="Figures">The figures of the rule.</param>
/// <param name="Setting">Where the adjusters stand, in steps from where the stage began.</param>
/// <param name="ShotsHere">Shots at this setting that count.</param>
/// <param name="Shots">All shots of the stage that count.</param>
/// <param name="Moves">Moves between settings that were shot.</param>
/// <param name="MostInches">Nominal effect of one move at the most.</param>
public sealed record TuningState(
    ResponsePrior Prior,
    Belief Belief,
    RuleFigures Figures,
    double[] Setting,
    int ShotsHere,
    IReadOnlyList<ShotReading> Shots,
    int Moves,
    double MostInches
)
{
    /// <summary>Days on which this setting was shot.</summary>
    public int DaysHere { get; init; }

    /// <summary>Different positions of an adjuster that were shot.</summary>
    public int SettingsOf(int lever) =>
        Shots.Select(s => s.Positions.GetValueOrDefault(Prior.Gains[lever].Kind)).Distinct().Count();

    /// <summary>True when this stage has shots at two positions of it or more.</summary>
    public bool Taught(int lever) => SettingsOf(lever) > 1;

    /// <summary>The setting after a move.</summary>
    public double[] At(Candidate move) => move.After(Setting);
}
