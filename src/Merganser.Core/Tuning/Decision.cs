namespace Merganser.Core.Tuning;

/// <summary>
/// What an adjuster may do now: its limits in the session's steps, how far it may go at once, and whether the school
/// would rather leave it.
/// </summary>
/// <param name="Index">Which, in the order of the prior.</param>
/// <param name="Lower">Lowest step.</param>
/// <param name="Upper">Highest step.</param>
/// <param name="MostSteps">Steps of one move at the most.</param>
/// <param name="MostTest">Steps of a test of its way at the most.</param>
/// <param name="Beyond">True where it lies beyond the school's own choice: it is reached for at a price.</param>
public sealed record Lever(
    int Index,
    double Lower,
    double Upper,
    int MostSteps = int.MaxValue,
    int MostTest = int.MaxValue,
    bool Beyond = false
)
{
    /// <summary>The whole steps that one move may make from a position.</summary>
    public (int Down, int Up) From(double at) =>
        (Math.Max((int)Math.Ceiling(Lower - at), -MostSteps), Math.Min((int)Math.Floor(Upper - at), MostSteps));
}

/// <summary>What was done at a stage before this decision.</summary>
/// <param name="ShotsHere">Shots at this setting.</param>
/// <param name="Moves">Moves between settings that were shot.</param>
/// <param name="ControlDone">True when a control arrow was shot: that moves do not help is not said again.</param>
public sealed record DoneSoFar(int ShotsHere, int Moves = 0, bool ControlDone = false);

/// <summary>What the rule decides.</summary>
public enum DecisionKind
{
    Shoot,
    Done,
    Move,
    SmallTest,
    OutOfTravel,
    MovesDoNotHelp,
    StopAsking,
}

/// <summary>A move that was weighed.</summary>
/// <param name="Lever">Index of the adjuster.</param>
/// <param name="To">The step to go to.</param>
/// <param name="Score">What it is expected to leave: E|t|² in² with its cost in the first rule, −chance with its cost
/// in the second. Lower is better.</param>
/// <param name="Test">True for a test of a way that is not settled.</param>
/// <param name="Beyond">True where it lies beyond the school's own choice.</param>
public sealed record Candidate(int Lever, double To, double Score, bool Test, bool Beyond = false)
{
    /// <summary>The setting that it leads to.</summary>
    public double[] After(double[] setting)
    {
        var after = (double[])setting.Clone();
        after[Lever] = To;
        return after;
    }
}

/// <summary>The decision with what it rests on.</summary>
/// <param name="Kind">What to do.</param>
/// <param name="Chosen">The move, where one is decided.</param>
/// <param name="Chance">P(in) at the setting as it stands.</param>
/// <param name="Enough">The chance at which it would be done.</param>
/// <param name="Now">Mean tear as it stands.</param>
/// <param name="Also">A move on the other axis in the same visit to the press, where that is wished for.</param>
public sealed record Decision(
    DecisionKind Kind,
    Candidate? Chosen,
    double Chance,
    double Enough,
    TearMoments Now,
    Candidate? Also = null
);
