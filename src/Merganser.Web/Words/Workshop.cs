using Merganser.Core.Workshop;

namespace Merganser.Web.Words;

/// <summary>The workshop: joints, labels.</summary>
public static class WorkshopWords
{
    public static FormattableString Of(WorkshopMessage message) =>
        message switch
        {
            JointName(Joint.Insert) => $"Insert in the shaft",
            JointName(Joint.Point) => $"Glue-in point in the shaft",
            JointName(Joint.Collar) => $"Outsert or collar on the shaft's end",
            JointName(Joint.Pin) => $"Pin or bushing at the nock",
            JointName(Joint.Wrap) => $"Wrap on the shaft",
            JointName => $"Vanes",
            _ => throw new ArgumentOutOfRangeException(nameof(message), message, "No words table has it."),
        };

    public static FormattableString Of(WorkshopSays says) =>
        says switch
        {
            WorkshopSays.LabelsOverlap => $"The labels would lie over each other: one step is at least one label.",
            WorkshopSays.LabelsBeyond => $"The last label would lie beyond the paper's edge.",
            _ => throw new ArgumentOutOfRangeException(nameof(says), says, "No words table has it."),
        };
}
