using Merganser.Core.Figures;
using Merganser.Core.Messages;

namespace Merganser.Core.Dozens;

/// <summary>The steps of an arrow's assembly.</summary>
public enum AssemblyCode
{
    Cut,
    Square,
    Clean,
    Insert,
    Pin,
    Bare,
    Wrap,
    Fletch,
    Cure,
    Weigh,
    Verify,
}

/// <summary>One step of the assembly (trade practice).</summary>
/// <param name="Code">Which.</param>
/// <param name="State">The state the arrow has after it.</param>
public sealed record AssemblyStep(AssemblyCode Code, ArrowState State)
{
    /// <summary>What is done.</summary>
    public Message Words => new StepWords(Code);

    /// <summary>What is said where the act is, or nothing.</summary>
    public Message Caution => new StepCaution(Code);
}

/// <summary>How far an arrow is.</summary>
public enum ArrowState
{
    Parts,
    Cut,
    Bare,
    Fletched,
    Verified,
}

/// <summary>The order of assembly (trade practice).</summary>
public static class Assembly
{
    /// <summary>Every step, in order.</summary>
    public static IReadOnlyList<AssemblyStep> Steps { get; } =
    [
        new(AssemblyCode.Cut, ArrowState.Cut),
        new(AssemblyCode.Square, ArrowState.Cut),
        new(AssemblyCode.Clean, ArrowState.Cut),
        new(AssemblyCode.Insert, ArrowState.Cut),
        new(AssemblyCode.Pin, ArrowState.Bare),
        new(AssemblyCode.Bare, ArrowState.Bare),
        new(AssemblyCode.Wrap, ArrowState.Bare),
        new(AssemblyCode.Fletch, ArrowState.Fletched),
        new(AssemblyCode.Cure, ArrowState.Fletched),
        new(AssemblyCode.Weigh, ArrowState.Fletched),
        new(AssemblyCode.Verify, ArrowState.Verified),
    ];

    /// <summary>The steps at which something is said.</summary>
    public static IReadOnlySet<AssemblyCode> Cautioned { get; } =
        new HashSet<AssemblyCode>
        {
            AssemblyCode.Cut,
            AssemblyCode.Square,
            AssemblyCode.Insert,
            AssemblyCode.Pin,
            AssemblyCode.Bare,
        };

    /// <summary>Steps that a repair asks for again, with its own test of the nock's turn (trade practice).</summary>
    public static IReadOnlySet<AssemblyCode> AfterRepair { get; } =
        new HashSet<AssemblyCode> { AssemblyCode.Weigh, AssemblyCode.Verify };

    /// <summary>A step's word, as in the tables and in actions.</summary>
    public static string CodeOf(AssemblyCode step) => Codes.Of(step);

    /// <summary>The state after the steps that were ticked.</summary>
    public static ArrowState StateOf(IReadOnlyCollection<AssemblyCode> ticked)
    {
        ArrowState[] states = [.. Steps.Where(s => ticked.Contains(s.Code)).Select(s => s.State)];
        ArrowState[] farthestFirst = [ArrowState.Verified, ArrowState.Fletched, ArrowState.Bare];
        return farthestFirst
            .Where(states.Contains)
            .Append(states.Length > 0 ? ArrowState.Cut : ArrowState.Parts)
            .First();
    }
}
