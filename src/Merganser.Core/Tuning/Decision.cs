namespace Merganser.Core.Tuning;

/// <summary>
/// What an adjuster may do now: its limits in the session's steps, and whether school, press and axis order let it be
/// advised.
/// </summary>
public sealed record Lever(int Index, int Lower, int Upper);

/// <summary>What the rule decides.</summary>
public enum DecisionKind
{
    Shoot,
    Done,
    Move,
    SmallTest,
    NotReachable,
}

/// <summary>A move that was weighed.</summary>
/// <param name="Lever">Index of the adjuster.</param>
/// <param name="To">The step to go to.</param>
/// <param name="Score">What it is expected to leave: E|t|² in² with its cost in the first rule, −chance with its cost
/// in the second. Lower is better.</param>
/// <param name="Test">True for a test of the disputed sign.</param>
public sealed record Candidate(int Lever, int To, double Score, bool Test);

/// <summary>The decision with what it rests on.</summary>
/// <param name="Kind">What to do.</param>
/// <param name="Chosen">The move, where one is decided.</param>
/// <param name="Chance">P(in) at the setting as it stands.</param>
/// <param name="Enough">The chance at which it would be done.</param>
/// <param name="Now">Mean tear as it stands.</param>
public sealed record Decision(DecisionKind Kind, Candidate? Chosen, double Chance, double Enough, TearMoments Now);
