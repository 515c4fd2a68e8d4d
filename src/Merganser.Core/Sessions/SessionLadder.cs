using Merganser.Core.Messages;
using Merganser.Core.Tuning;

namespace Merganser.Core.Sessions;

/// <summary>A rung with what was answered.</summary>
/// <param name="Code">Which.</param>
/// <param name="NoteId">The entry that answers it, or null.</param>
/// <param name="Outcome">What came of it, or null while it is open.</param>
/// <param name="Note">The answer's own words.</param>
public sealed record RungState(RungKind Code, string? NoteId, string? Outcome, string? Note)
{
    /// <summary>What it is.</summary>
    public Message Title => new RungTitle(Code);

    /// <summary>How it is done.</summary>
    public Message How => new RungHow(Code);

    /// <summary>What the answer means.</summary>
    public Message Tells => new RungTells(Code);

    /// <summary>True when it is a set of shots with the bow left alone.</summary>
    public bool Control => StubbornLadder.Control(Code);
}

/// <summary>The ladder for when moves do not help.</summary>
/// <param name="Wanted">True when they do not.</param>
/// <param name="Rungs">In the school's order.</param>
/// <param name="Next">The first that is open, or null.</param>
public sealed record SessionLadder(bool Wanted, IReadOnlyList<RungState> Rungs, RungKind? Next)
{
    /// <summary>The outcome of a rung that was a set of shots.</summary>
    private const string Shot = "shot";

    /// <summary>What can come of a rung.</summary>
    public static IReadOnlyList<string> Outcomes { get; } = ["nothing", "found", Shot, "left"];

    /// <summary>The ladder of a session as it stands.</summary>
    public static SessionLadder Of(TuningSession session, AdviceKind advice)
    {
        var rungs = StubbornLadder.For(
            session.Bow.Bow.Release,
            session.School,
            session.Bow.Archer,
            session.LastRead?.Mean is { } mean && mean.Mean.Y < 0
        );
        var controls = session
            .Sets.Where(s => s.Mean is not null)
            .Select(s => ControlReading.RungOf(s.Begun.Purpose))
            .ToHashSet();
        RungState[] states = [.. rungs.Select(State)];
        RungKind[] done = [.. states.Where(r => r.Outcome is not null).Select(r => r.Code)];
        var wanted = !session.IsTrial && StubbornLadder.Wanted(session.Readings, advice);
        return new SessionLadder(wanted, states, StubbornLadder.Next(rungs, done));

        RungState State(RungKind rung)
        {
            var note = session.Notes.LastOrDefault(n => n.Rung == rung);
            return new RungState(rung, note?.Id, note?.Outcome ?? (controls.Contains(rung) ? Shot : null), note?.Note);
        }
    }
}
