using Merganser.Core.Bows;
using Merganser.Core.Setup;

namespace Merganser.Core.Tuning;

/// <summary>What a move asks to be looked at again (trade practice); the checks follow from the dependency rules.</summary>
public static class MoveEffects
{
    public static string After(AdjusterKind kind) => (Words(kind) + Again(kind)).Trim();

    private static string Words(AdjusterKind kind) => kind switch
    {
        AdjusterKind.YokePair => "Equal and opposite, so cable length and timing stay.",
        AdjusterKind.CamSpacer => "Every spacer seated, shoulder outward; cams turn freely.",
        AdjusterKind.LimbPocket => "Same amount top and bottom; lock the screws again.",
        AdjusterKind.BottomLimbBolt => "One bolt alone shifts timing and weight.",
        AdjusterKind.PointWeight => "Balance, spine and sight are looked at again.",
        _ => ChangeTable.Of(kind) is null ? "Shoot again before touching anything else." : "",
    };

    private static string Again(AdjusterKind kind) => ChangeTable.Of(kind) is { } change && ChangeTable.Of(change).Again is { Count: > 0 } checks
        ? $" Then look again at: {string.Join(", ", checks.Select(c => CheckTable.Of(c).Title.ToLowerInvariant()))}."
        : "";
}
