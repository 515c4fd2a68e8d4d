using Merganser.Core.Figures;

namespace Merganser.Core.Bows;

/// <summary>
/// A move to be logged; cam spacers name the seats after it. One that is logged late names the set it came after.
/// </summary>
/// <param name="From">Where whoever logs it saw the adjuster stand; null when that was not said.</param>
/// <param name="SeatsBefore">The spacers' seats before it, where they are known.</param>
public sealed record MoveWanted(
    AdjusterKind Adjuster,
    double To,
    string? Corrects = null,
    string Note = "",
    DateTimeOffset? HappenedAt = null,
    SpacerSeats? Seats = null,
    string? AfterSet = null,
    string? TurnsBack = null,
    double? From = null,
    SpacerSeats? SeatsBefore = null
);

/// <summary>A move as it stands in a bow's log.</summary>
/// <param name="Seats">The spacers' seats after it, where they are known.</param>
/// <param name="SeatsBefore">And before it.</param>
public sealed record LoggedMove(
    string Id,
    AdjusterKind Adjuster,
    double From,
    double To,
    string? Corrects,
    SpacerSeats? Seats,
    SpacerSeats? SeatsBefore = null
);

/// <summary>What may be logged of a bow's adjusters.</summary>
public static class MoveRules
{
    private static readonly TimeSpan ClockPlay = TimeSpan.FromMinutes(5);

    /// <summary>Checks a move against the bow and its log.</summary>
    /// <returns>Where the adjuster stands, and the spacers' seats after it.</returns>
    /// <exception cref="RefusedException">
    /// The bow has no such adjuster, it does not stand between two steps, the step is beyond its travel, nothing moved,
    /// later moves rest on the entry to be corrected, it lies in the future, or the adjuster stands elsewhere than was
    /// seen.
    /// </exception>
    public static (double From, SpacerSeats? Seats) Check(
        IReadOnlyList<Adjuster> adjusters,
        IReadOnlyList<LoggedMove> log,
        MoveWanted wanted,
        DateTimeOffset now
    )
    {
        var adjuster =
            adjusters.FirstOrDefault(a => a.Kind == wanted.Adjuster)
            ?? throw RefusedException.At("adjuster", "no-adjuster", new NoSuchAdjuster(wanted.Adjuster));
        if (wanted.Corrects is { } corrects)
        {
            CheckCorrection(log, wanted, corrects);
        }

        CheckSeen(wanted, adjuster.Position);
        if (!adjuster.Holds(wanted.To))
        {
            throw RefusedException.At("to", "whole-steps", BowSays.WholeSteps);
        }

        if (!adjuster.Reaches(wanted.To))
        {
            throw RefusedException.At("to", "range", new BeyondTravel(adjuster.Kind, adjuster.Lower, adjuster.Upper));
        }

        if (wanted.To == adjuster.Position && (wanted.Seats is null || wanted.Seats == adjuster.Seats))
        {
            throw RefusedException.At("to", "nothing-moved", BowSays.StandsThereAlready);
        }

        if (wanted.HappenedAt > now + ClockPlay)
        {
            throw RefusedException.At("happenedAt", "future", BowSays.NoMoveInTheFuture);
        }

        return (adjuster.Position, SeatsAfter(adjuster, wanted));
    }

    /// <summary>A move is logged from where the adjuster was seen to stand, and from nowhere else.</summary>
    /// <exception cref="RefusedException">It was moved in another place meanwhile.</exception>
    public static void CheckSeen(MoveWanted wanted, double position)
    {
        if (wanted.From is { } seen && seen != position)
        {
            throw RefusedException.At("to", "moved-meanwhile", new MovedMeanwhile(wanted.Adjuster, position));
        }
    }

    /// <summary>
    /// A move taken back: as an entry that was made wrongly (a correction, nothing was turned) or as a real move the
    /// other way (a new move). Software turns no screw, so it is always one of the two.
    /// </summary>
    /// <param name="log">The bow's log.</param>
    /// <param name="wrong">The entry, one of the log.</param>
    /// <param name="loggedWrongly">True when nothing was turned.</param>
    public static MoveWanted Back(IReadOnlyList<LoggedMove> log, LoggedMove wrong, bool loggedWrongly)
    {
        var root = wrong.Corrects is { } earlier ? log.First(m => m.Id == earlier) : wrong;
        var before =
            root.SeatsBefore ?? log.TakeWhile(m => m.Id != root.Id).LastOrDefault(m => m.Seats is not null)?.Seats;
        return new MoveWanted(
            root.Adjuster,
            root.From,
            loggedWrongly ? root.Id : null,
            Seats: root.Adjuster == AdjusterKind.CamSpacer ? before : null,
            TurnsBack: loggedWrongly ? null : root.Id
        );
    }

    private static void CheckCorrection(IReadOnlyList<LoggedMove> log, MoveWanted wanted, string corrects)
    {
        var wrong = log.First(m => m.Id == corrects);
        var last = log.Last(m => m.Adjuster == wrong.Adjuster);
        if ((last.Id != corrects && last.Corrects != corrects) || wrong.Adjuster != wanted.Adjuster)
        {
            throw new RefusedException("later-moves", BowSays.LaterMovesRestOnIt);
        }
    }

    /// <summary>
    /// The spacers' seats after a move: as named, else both cams shifted by the step; unknown seats stay unknown.
    /// </summary>
    private static SpacerSeats? SeatsAfter(Adjuster adjuster, MoveWanted wanted)
    {
        if (adjuster.Kind != AdjusterKind.CamSpacer)
        {
            return null;
        }

        var shift = (int)(wanted.To - adjuster.Position);
        return wanted.Seats ?? adjuster.Seats?.Shifted(shift, shift);
    }
}
