using Merganser.Core.Bows;
using Merganser.Core.Groups;
using Merganser.Core.Paper;
using Merganser.Core.Tuning;

namespace Merganser.Core.Sessions;

/// <summary>
/// A session's events played through once: its sets with their shots, its moves and notes. Where every adjuster stood
/// is read back from where it stands now, so that a late entry, a corrected one or one made out of order changes the
/// sets it lies between and no others.
/// </summary>
public sealed class Replay
{
    private readonly List<(SessionEvent Event, SetBegun Begun)> begun = [];
    private readonly List<(SessionEvent Event, ShotMarked Shot)> shots = [];
    private readonly Dictionary<string, (string? VoidReason, bool Doubtful)> judged = [];
    private readonly List<SessionMove> moves = [];
    private readonly List<(int AfterSet, SightAct Moved)> marks = [];
    private readonly List<(int AfterSet, SightAct Moved)> sights = [];
    private readonly List<SessionNote> notes = [];
    private readonly List<(int AfterSet, ConditionsNoted Noted)> conditions = [];
    private readonly HashSet<string> withdrawn = [];
    private readonly HashSet<AdjusterKind> lost = [];
    private readonly Func<SetBegun, double> bareHigh;
    private readonly double tolerance;
    private int forgotten;

    /// <param name="adjusters">The adjusters as they stand now.</param>
    /// <param name="events">In order.</param>
    /// <param name="worked">When work was done on the bow by hand, in order.</param>
    /// <param name="bareHigh">How much higher a bare shaft of a set strikes for its weight alone, inches.</param>
    /// <param name="tolerance">Good enough at the paper, inches.</param>
    public Replay(
        IReadOnlyList<Adjuster> adjusters,
        IReadOnlyList<SessionEvent> events,
        IReadOnlyList<DateTimeOffset>? worked = null,
        Func<SetBegun, double>? bareHigh = null,
        double tolerance = Tolerances.Usual
    )
    {
        this.tolerance = tolerance;
        this.bareHigh = bareHigh ?? (_ => 0);
        foreach (var happened in events)
        {
            Play(happened);
        }

        Notes = [.. notes.Where(n => !withdrawn.Contains(n.Id))];
        var settings = SettingHistory.At(adjusters, moves, Enumerable.Range(1, begun.Count));
        var rigs = new RigHistory(adjusters, moves, worked ?? []);
        Sets = [.. begun.Select((set, i) => SetOf(set.Event, set.Begun, i + 1, settings[i + 1], rigs))];
        Rig = rigs.Of(int.MaxValue, adjusters.ToDictionary(a => a.Kind, a => a.Position), null);
    }

    /// <summary>How the rest of the bow is now.</summary>
    public string Rig { get; }

    /// <summary>The sets, in order.</summary>
    public IReadOnlyList<SessionSet> Sets { get; }

    /// <summary>All moves of the bow that bear on the session, in order.</summary>
    public IReadOnlyList<SessionMove> Moves => moves;

    /// <summary>Rungs and notes that were not taken back.</summary>
    public IReadOnlyList<SessionNote> Notes { get; }

    /// <summary>How the heads' mark was moved between a set and the one before it; null where it was not.</summary>
    public SightMove? MarkBefore(SessionSet set) =>
        Summed(marks.Where(m => m.AfterSet == set.Number - 1)) is { IsMove: true } moved ? moved : null;

    /// <summary>How the sight was moved for all arrows between a set and the one before it.</summary>
    public IReadOnlyList<SightMove> SightBefore(SessionSet set) =>
        [.. sights.Where(s => s.AfterSet == set.Number - 1).Select(s => s.Moved.Pin)];

    /// <summary>Where the sight stands for all arrows from the first set, as far as its moves are known.</summary>
    public SightMove Sight => Summed(sights);

    /// <summary>Where the heads' own sight mark stands from the field points', inches at the pin.</summary>
    public SightMove HeadMark => Summed(marks);

    /// <summary>When it was accepted, or null while it is in work.</summary>
    public DateTimeOffset? AcceptedAt { get; private set; }

    /// <summary>How a set was shot, or null where nothing was said until its end.</summary>
    public ConditionsNoted? ConditionsOf(SessionSet set) => HowShot(set.Number);

    private ConditionsNoted? HowShot(int set) => conditions.LastOrDefault(c => c.AfterSet <= set).Noted;

    /// <summary>How many of its first shots teach nothing any more.</summary>
    public int Forgotten => forgotten;

    /// <summary>Adjusters whose answers were forgotten after this session.</summary>
    public IReadOnlySet<AdjusterKind> Lost => lost;

    private void Play(SessionEvent happened)
    {
        switch (happened.Act)
        {
            case SetBegun set:
                begun.Add((happened, set));
                break;
            case ShotMarked shot:
                shots.Add((happened, shot));
                break;
            case ShotVoided mark:
                judged[mark.Shot] = (mark.Reason, false);
                break;
            case ShotDoubted mark:
                judged[mark.Shot] = (null, true);
                break;
            case ShotCounted mark:
                judged[mark.Shot] = (null, false);
                break;
            case MoveAct move:
                var (after, corrects) = ((move as MoveMade)?.AfterSet, (move as MoveCorrected)?.Move);
                moves.Add(
                    new SessionMove(
                        happened.Id,
                        After(after),
                        move.Adjuster,
                        move.From,
                        move.To,
                        corrects,
                        move.Seats,
                        move.SeatsBefore
                    )
                );
                break;
            case RungAnswered rung:
                notes.Add(
                    new SessionNote(happened.Id, begun.Count, rung.Rung, rung.Outcome, rung.Note, happened.Recorded)
                );
                break;
            case NoteMade note:
                notes.Add(new SessionNote(happened.Id, begun.Count, null, null, note.Note, happened.Recorded));
                break;
            case ConditionsNoted noted:
                conditions.Add((begun.Count, noted));
                break;
            case HeadMarkMoved mark:
                marks.Add((LastShot(), mark));
                break;
            case SightMoved sight:
                sights.Add((LastShot(), sight));
                break;
            case EntryWithdrawn taken:
                withdrawn.Add(taken.Entry);
                break;
            case LearningForgotten forget:
                Forget(forget);
                break;
            case Accepted:
                AcceptedAt = happened.Recorded;
                break;
            case Reopened:
                AcceptedAt = null;
                break;
        }
    }

    /// <summary>
    /// Forgotten in the middle of it: what was shot before. Forgotten later: all of it, or only some adjusters'
    /// answers.
    /// </summary>
    private void Forget(LearningForgotten forget)
    {
        if (forget.Here || forget.Kinds.Count == 0)
        {
            forgotten = shots.Count;
        }

        lost.UnionWith(forget.Kinds);
    }

    /// <summary>The number of the last set in which something was shot: an empty one is shot with the mark.</summary>
    private int LastShot() => begun.FindLastIndex(b => shots.Any(s => s.Shot.Set == b.Event.Id)) + 1;

    private int After(string? set) => begun.FindIndex(b => b.Event.Id == set) is var at and >= 0 ? at + 1 : begun.Count;

    private SessionSet SetOf(
        SessionEvent happened,
        SetBegun set,
        int number,
        IReadOnlyDictionary<AdjusterKind, double> positions,
        RigHistory rigs
    )
    {
        var stage = Stage.Of(set.Stage, set.Arrow);
        var marked = shots.Where(s => s.Shot.Set == happened.Id).ToArray();
        var rig = rigs.Of(number, positions, marked.Length == 0 ? null : marked[0].Event.Happened);
        var own = marked.Select(
            (s, i) =>
            {
                var (reason, doubtful) = judged.GetValueOrDefault(s.Event.Id);
                return new ShotReading(
                    s.Event.Id,
                    i + 1,
                    number,
                    stage,
                    positions,
                    rig,
                    s.Shot,
                    s.Event.Happened,
                    reason,
                    doubtful
                );
            }
        );
        return new SessionSet(happened.Id, number, set, happened.Happened, positions, rig, [.. own])
        {
            BareHigh =
                stage is { Compares: true, Heads: false } && HowShot(number) is not { Taped: true } ? bareHigh(set) : 0,
            Tolerance = tolerance,
            MarkedSince = stage.Heads ? MarkedSince(number, stage.Distance) : default,
            SightAt = SightAt(number),
        };
    }

    private static SightMove Summed(IEnumerable<(int AfterSet, SightAct Moved)> acts) =>
        acts.Aggregate(
            SightMove.None,
            (sum, a) => new SightMove(sum.Right + a.Moved.Pin.Right, sum.Up + a.Moved.Pin.Up)
        );

    /// <summary>How far the sight's moves move hits at a distance.</summary>
    private static Impact Shifted(IEnumerable<(int AfterSet, SightAct Moved)> acts, double yards) =>
        acts.Aggregate(default(Impact), (sum, a) => sum + a.Moved.Sight.Moved(a.Moved.Pin, yards));

    /// <summary>Where the sight stands for a set: its pin's way, and how often it was set otherwise.</summary>
    private string SightAt(int set)
    {
        var before = sights.Where(s => s.AfterSet < set).ToArray();
        var pin = Summed(before);
        return FormattableString.Invariant(
            $"{Places(pin.Right)} {Places(pin.Up)} {before.Count(s => !s.Moved.Pin.IsMove)}"
        );
    }

    /// <summary>
    /// How far the moves of the sight between two sets of one distance move its hits; null where it was set otherwise.
    /// </summary>
    public Impact? SightBetween(SessionSet from, SessionSet to)
    {
        var moved = sights
            .Where(s => s.AfterSet >= from.Number && s.AfterSet < to.Number)
            .Where(s => begun[Math.Max(1, s.AfterSet) - 1].Begun.Stage == to.Begun.Stage)
            .ToArray();
        return moved.Any(s => !s.Moved.Pin.IsMove) ? null : Shifted(moved, to.Stage.Distance);
    }

    /// <summary>A pin that was moved back stands where it stood.</summary>
    private static double Places(double inches) => Math.Round(inches, 4) + 0;

    /// <summary>How far the marks that were set since a set move the heads at its distance.</summary>
    private Impact MarkedSince(int set, double yards) => Shifted(marks.Where(m => m.AfterSet >= set), yards);
}
