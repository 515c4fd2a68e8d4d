using Merganser.Core.Groups;
using Merganser.Core.Messages;
using Merganser.Core.Paper;
using Merganser.Core.Tuning;

namespace Merganser.Core.Sessions;

/// <summary>What a session knows of a walk-back.</summary>
public sealed partial class TuningSession
{
    private readonly Dictionary<int, WalkReading> walks = [];
    private readonly Dictionary<int, SightingReading> sightings = [];

    /// <summary>The walk-back in work, or null where none is shot.</summary>
    public WalkReading? Walk => WalkOf(Now.Stage.Walk is null && Stage.Walk is not null ? LastOfStage : Now);

    /// <summary>
    /// A set's walk with those before it of the same day, with the bow and the sight as they stood; null for other
    /// stages.
    /// </summary>
    public WalkReading? WalkOf(SessionSet set)
    {
        if (set.Stage.Walk is not null && !walks.ContainsKey(set.Number))
        {
            var shot = OfThisDay(set, s => s.SightAt == set.SightAt);
            var across = shot.Select(s => (s, ConditionsOf(s)?.Across ?? 0));
            walks[set.Number] = new WalkReading([.. across], FlightOf(set));
        }

        return walks.GetValueOrDefault(set.Number);
    }

    /// <summary>True where the bow stands as it did at a set.</summary>
    private bool StandsAs(SessionSet set) =>
        set.Rig == replay.Rig
        && Bow.Adjusters.All(a => set.Positions.GetValueOrDefault(a.Kind, a.Position) == a.Position);

    /// <summary>
    /// What groups of this paper show sideways with the bow as it stands, where it is clear and more than their
    /// tolerance: centre shot.
    /// </summary>
    internal Message? CentreShotShown =>
        GroupsHere is { Groups: { Verdict: GroupVerdict.Clear, Offset: { } offset } groups }
        && Math.Abs(offset.Offset.X) > groups.Tolerance
            ? groups.Words
            : null;

    /// <summary>Whether groups of this paper show centre shot; null where none were read with the bow as it
    /// stands.</summary>
    public bool? CentreShotSeen => GroupsHere is null ? null : CentreShotShown is not null;

    private SessionSet? GroupsHere =>
        Sets.LastOrDefault(s => s is { OfSession: true, Groups.Offset: not null } && StandsAs(s));

    /// <summary>Where the sight stands for all arrows from the first set, as far as its moves are known.</summary>
    public SightMove SightAt => replay.Sight;

    /// <summary>The moves of the sight for all arrows between a set and the one before it.</summary>
    public IReadOnlyList<SightMove> SightBefore(SessionSet set) => replay.SightBefore(set);

    /// <summary>The distance that is sighted in, or null where none is.</summary>
    public SightingReading? Sighting => SightingOf(Now.Stage.Sighting ? Now : LastOfStage);

    /// <summary>A set's hits against their aiming point; null for other stages.</summary>
    public SightingReading? SightingOf(SessionSet set)
    {
        if (set.Stage.Sighting && !sightings.ContainsKey(set.Number))
        {
            var hand = Sets.Where(s => s.OfSession && s.Stage.Sighting);
            sightings[set.Number] = new SightingReading(set, Before(set), hand);
        }

        return sightings.GetValueOrDefault(set.Number);
    }

    /// <summary>
    /// The sets at a distance before one, of the same day with the bow as it stood, as far back as every move of the
    /// sight is known.
    /// </summary>
    private IEnumerable<(SessionSet Set, Impact Shift)> Before(SessionSet set) =>
        from before in OfThisDay(set)
        where before.Number < set.Number
        let shift = replay.SightBetween(before, set)
        where shift is not null
        select (before, shift.Value);

    /// <summary>The sets of a set's stage on its day, the bow as it stood, up to it.</summary>
    /// <param name="set">The set.</param>
    /// <param name="also">What else they have in common with it, or null.</param>
    private SessionSet[] OfThisDay(SessionSet set, Func<SessionSet, bool>? also = null)
    {
        SessionSet[] alike =
        [
            .. Sets.Where(s => s.Number <= set.Number && s.OfSession && Alike(s, set) && also?.Invoke(s) != false),
        ];
        return [.. OfOneDay(alike).Append(set).DistinctBy(s => s.Number)];
    }

    private static bool Alike(SessionSet one, SessionSet other) =>
        one.Stage == other.Stage && one.Rig == other.Rig && AtSamePlaces(one, other);

    /// <summary>How a stage stands that fletched arrows alone are shot for.</summary>
    private StageState StateOfFletched(PlannedStage stage, bool inWork)
    {
        SessionSet[] walked = [.. Sets.Where(s => s.OfSession && s.Begun.Stage == stage && s.IsShot)];
        var hits = walked.Sum(s => s.Shots.Count(h => h.Counts));
        var last = walked.LastOrDefault();
        var words = last is null ? null : WordsOf(last);
        var chance = last is null ? null : SightingOf(last)?.Chance;
        return new StageState(stage, Plan.Stages.Contains(stage), inWork, hits, words, chance);
    }

    private SessionSet LastOfStage => Sets.Last(s => s.OfSession && s.Stage == Stage);

    private FlatFire? FlightOf(SessionSet set) =>
        Arrows.FirstOrDefault(a => a.Version == set.Begun.Arrow) is { } shot ? FlatFire.Of(Bow.Bow, shot.Arrow) : null;

    private static bool AtSamePlaces(SessionSet one, SessionSet other) =>
        one.Positions.All(p => other.Positions.GetValueOrDefault(p.Key, p.Value) == p.Value);

    /// <summary>Those that were shot on the day of the last hit.</summary>
    private static IEnumerable<SessionSet> OfOneDay(SessionSet[] sets)
    {
        (SessionSet Set, DateTimeOffset At)[] hits = [.. sets.SelectMany(s => s.Shots.Select(h => (s, h.At)))];
        var ago = ShootingDays.Ago([.. hits.Select(h => h.At)]);
        return hits.Where((_, i) => ago[i] == 0).Select(h => h.Set).Distinct();
    }
}
