using Merganser.Core.Messages;

namespace Merganser.Core.Setup;

/// <summary>What is said where something is wrong.</summary>
public abstract record TroubleMessage : Message;

/// <summary>What is seen, as it is called on the bench.</summary>
public sealed record TroubleName(TroubleKind Kind) : TroubleMessage;

/// <summary>How it shows, in a sentence.</summary>
public sealed record TroubleSeen(TroubleKind Kind) : TroubleMessage;

/// <summary>Why a check stands at its place among a trouble's steps.</summary>
public sealed record TroubleWhy(TroubleKind Kind, CheckKind Check) : TroubleMessage;

/// <summary>A look elsewhere, named.</summary>
public sealed record LookName(TroubleLook Look) : TroubleMessage;

/// <summary>What a look elsewhere tells.</summary>
public sealed record LookWhy(TroubleLook Look) : TroubleMessage;

/// <summary>The key that leads there.</summary>
public sealed record LookKey(TroubleLook Look) : TroubleMessage;

/// <summary>A change that is logged.</summary>
public sealed record LogIt(BowChange Change) : TroubleMessage;

/// <summary>What logging it asks for again.</summary>
public sealed record LogAsks(IReadOnlyList<Message> Titles) : TroubleMessage;

/// <summary>What a check found last, and when.</summary>
public sealed record FoundOn(Message What, DateTimeOffset At) : TroubleMessage;

/// <summary>The last tear that was read, as the reason for the order.</summary>
public sealed record LastTearRead(Message Reading) : TroubleMessage;

/// <summary>First of a trouble's steps, named.</summary>
public sealed record FirstLook(Message What) : TroubleMessage;

/// <summary>What was found is mended first.</summary>
public sealed record MendFirst(Message What, Message Found) : TroubleMessage;

/// <summary>What is said there without a quantity.</summary>
public enum TroubleSays
{
    NoTearKnown,
    LogThis,
    NotLookedAt,
    AllLookedAt,
    ItIsInOrder,
}
