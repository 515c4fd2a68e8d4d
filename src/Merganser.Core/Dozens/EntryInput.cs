using Merganser.Core.Paper;

namespace Merganser.Core.Dozens;

/// <summary>
/// An entry as sent: what was weighed, spun, ticked or found. A piece without a number gets the first that is free.
/// </summary>
/// <param name="Id">Client-made id.</param>
/// <param name="Kind">check, piece, spin, tick, made or plan.</param>
/// <param name="Class">The class of a piece.</param>
/// <param name="Number">Number of the piece, shaft or arrow.</param>
/// <param name="Value">A measured value as typed.</param>
/// <param name="Second">The check weight's nominal as typed.</param>
/// <param name="Word">The source, what was spun, the step or what was made.</param>
/// <param name="Note">A grade, a finding, or words of the person.</param>
/// <param name="Sure">True for a weight that is kept although it is far from what its class weighs.</param>
/// <param name="Again">True for a piece that is weighed again: its new weight stands in place of the old one.</param>
public sealed record EntryInput(
    string? Id,
    string Kind,
    string? Class = null,
    int? Number = null,
    string? Value = null,
    string? Second = null,
    string? Word = null,
    string? Note = null,
    bool Sure = false,
    bool Again = false
);

/// <summary>A nock shot as typed: the tail from the point's hole, or in words.</summary>
public sealed record NockShotInput(
    string? Id,
    int Number,
    int Turn,
    bool Fletched,
    string? Right,
    string? Up,
    ShooterWords? Words = null,
    string? Distance = null
);
