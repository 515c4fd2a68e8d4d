using Merganser.Core.Messages;

namespace Merganser.Core.Workshop;

/// <summary>What is said in the workshop.</summary>
public abstract record WorkshopMessage : Message;

/// <summary>A joint by its name.</summary>
public sealed record JointName(Joint Joint) : WorkshopMessage;

/// <summary>What is said in the workshop without any quantity.</summary>
public enum WorkshopSays
{
    LabelsOverlap,
    LabelsBeyond,
}
