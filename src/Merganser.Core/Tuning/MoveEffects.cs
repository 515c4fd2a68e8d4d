using Merganser.Core.Bows;
using Merganser.Core.Messages;
using Merganser.Core.Setup;

namespace Merganser.Core.Tuning;

/// <summary>
/// What a move asks to be looked at again (trade practice); the checks follow from the dependency rules.
/// </summary>
public static class MoveEffects
{
    /// <summary>What is looked at again after a move of this adjuster.</summary>
    public static Message After(AdjusterKind kind) =>
        new AfterMove(kind, ChangeTable.Of(kind) is { } change ? ChangeTable.Of(change).Again : []);
}
