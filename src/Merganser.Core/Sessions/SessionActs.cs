using Merganser.Core.Bows;
using Merganser.Core.Figures;
using Merganser.Core.Groups;
using Merganser.Core.Paper;
using Merganser.Core.Units;

namespace Merganser.Core.Sessions;

/// <summary>
/// What a person does at the paper, as the events that follow from it. Nothing is written here: the acts come back, and
/// the record keeps them.
/// </summary>
public static class SessionActs
{
    /// <summary>Why a shot right after string work is not read; kept as the reason of its void.</summary>
    public const string Settles = "settles new string work";

    /// <summary>The reason of hits whose table was taken in wrongly.</summary>
    public const string TakenInWrongly = "taken in wrongly";

    /// <summary>Begins the first set of a session.</summary>
    public static NewAct First(string id, PlannedStage stage, Entry distance, string arrow) =>
        new(id, new SetBegun(stage, distance.Typed, SetPurpose.Session, arrow));

    /// <summary>Begins the next set at the bow's present setting. An empty set is changed instead.</summary>
    /// <exception cref="RefusedException">The bow is unsound.</exception>
    public static IReadOnlyList<NewAct> Begin(
        TuningSession session,
        string id,
        PlannedStage stage,
        Entry distance,
        SetPurpose purpose,
        string arrow
    )
    {
        CheckSound(session);
        var empty = session.Now.Shots.Count == 0 ? session.Now.Id : null;
        return [new NewAct(id, new SetBegun(stage, distance.Typed, purpose, arrow, empty))];
    }

    /// <summary>Marks a shot. Where the bow was moved away from this session, it begins another set first.</summary>
    /// <param name="session">The session.</param>
    /// <param name="id">The shot's id.</param>
    /// <param name="set">The set it is marked for.</param>
    /// <param name="marked">As it was marked.</param>
    /// <param name="settling">True while new string work settles: the shot is kept and not read.</param>
    /// <exception cref="RefusedException">The bow is unsound, or the shot cannot be read.</exception>
    public static IReadOnlyList<NewAct> Mark(
        TuningSession session,
        string id,
        string set,
        IMarked marked,
        bool settling
    ) => MarkAll(session, id, set, [marked], settling ? 1 : 0);

    /// <summary>Marks hits at once, as a table has them: all of them, or none.</summary>
    /// <param name="session">The session.</param>
    /// <param name="id">The act's id, that of the first; those of the others follow from it.</param>
    /// <param name="set">The set they are marked for.</param>
    /// <param name="marked">The hits, one at least.</param>
    /// <param name="settling">So many of them still settle new string work: they are kept and not read.</param>
    /// <exception cref="RefusedException">The bow is unsound, or a hit cannot be read.</exception>
    public static IReadOnlyList<NewAct> MarkAll(
        TuningSession session,
        string id,
        string set,
        IReadOnlyList<IMarked> marked,
        int settling
    )
    {
        var stage = session.Sets.First(s => s.Id == set).Begun.Stage;
        ShotMarked[] shots = [.. marked.Select(m => m.Read(set, stage))];
        foreach (var shot in shots)
        {
            CheckKind(stage, shot.Arrow);
        }

        CheckSound(session);
        List<NewAct> acts = [];
        var (now, into) = (session.Now, set);
        if (
            now.Id == set
            && now.Shots.Count > 0
            && (session.Moves.Any(m => m.AfterSet == now.Number && m.Corrects is null) || now.Rig != session.Rig)
        )
        {
            into = $"{id}-set";
            acts.Add(new NewAct(into, now.Begun with { Instead = null }));
        }

        for (var i = 0; i < shots.Length; i++)
        {
            var own = OfTable(id, i);
            acts.Add(new NewAct(own, shots[i] with { Set = into }));
            if (i < settling)
            {
                acts.Add(new NewAct($"{own}-settles", new ShotVoided(own, Settles)));
            }
        }

        return [.. acts, .. Reopening(session, id)];
    }

    /// <summary>The id of a hit of a table, counted from 0.</summary>
    private static string OfTable(string id, int at) => at == 0 ? id : $"{id}-{at}";

    /// <summary>Voids what is left of the hits of a table, in one act.</summary>
    /// <param name="session">The session.</param>
    /// <param name="id">The act's id.</param>
    /// <param name="table">The id that the table was marked with.</param>
    public static IReadOnlyList<NewAct> VoidTable(TuningSession session, string id, string table)
    {
        var known = session.Sets.SelectMany(s => s.Shots).ToDictionary(s => s.Id);
        return
        [
            .. Enumerable
                .Range(0, known.Count)
                .Select(i => OfTable(table, i))
                .TakeWhile(known.ContainsKey)
                .Where(shot => known[shot].VoidReason is null)
                .Select((shot, i) => new NewAct(OfTable(id, i), new ShotVoided(shot, TakenInWrongly))),
        ];
    }

    /// <summary>
    /// The sight was moved: for heads, where both marks are kept and the next set is aimed with theirs; or in a
    /// walk-back or when sighting in for all arrows, where it is shot anew.
    /// </summary>
    /// <param name="session">The session.</param>
    /// <param name="id">The act's id.</param>
    /// <param name="pin">How the pin was moved; null for all arrows where it was levelled, or set by its hits.</param>
    /// <exception cref="RefusedException">The sight does not answer here, or the bow is unsound.</exception>
    public static IReadOnlyList<NewAct> MoveSight(TuningSession session, string id, SightMove? pin)
    {
        var stage = session.Now.Begun.Stage;
        if (!stage.Heads && !stage.OfSight)
        {
            throw new RefusedException("other-stage", GroupSays.MarkOfHeads);
        }

        if (pin is null && stage.Heads)
        {
            throw new RefusedException("missing", GroupSays.SayHowThePinMoved);
        }

        if (pin is not null && !session.Bow.Bow.HasSight)
        {
            throw new RefusedException("no-sight", GroupSays.NoSight);
        }

        CheckSound(session);
        var now = session.Now;
        NewAct[] next = now.Shots.Count == 0 ? [] : [new NewAct($"{id}-set", now.Begun with { Instead = null })];
        var sight = session.Bow.SightUsed;
        SightAct mark = stage.Heads ? new HeadMarkMoved(pin!, sight) : new SightMoved(pin ?? SightMove.None, sight);
        return [new NewAct(id, mark), .. next, .. Reopening(session, id)];
    }

    /// <summary>A hit is of one of the two kinds of its stage, and a hole of none.</summary>
    private static void CheckKind(PlannedStage stage, ArrowKind? arrow)
    {
        var (tested, reference) = GroupPairs.KindsOf(stage.Heads);
        if (stage.FletchedAlone && arrow is { } other && other != ArrowKind.Fletched)
        {
            throw new RefusedException("other-stage", WalkSays.FletchedAlone);
        }

        GroupSays? wrong = (stage.AtTarget, arrow) switch
        {
            (false, null) => null,
            (true, { } kind) when kind == tested || kind == reference => null,
            (true, null) => GroupSays.MarkOnTheFace,
            (false, _) => GroupSays.MarkOnThePaper,
            (_, ArrowKind.Bare) => GroupSays.NoHeadOnBare,
            _ => stage.Heads ? GroupSays.HeadsAndFieldPoints : GroupSays.BareAndFletched,
        };
        if (wrong is { } why)
        {
            throw new RefusedException("other-stage", why);
        }
    }

    /// <summary>Voids a shot with a reason, calls it doubtful, or counts it again when neither is said.</summary>
    public static IReadOnlyList<NewAct> Judge(string id, string shot, string? reason, bool doubtful) =>
        [
            new NewAct(
                id,
                (reason, doubtful) switch
                {
                    ({ } why, _) => new ShotVoided(shot, why),
                    (_, true) => new ShotDoubted(shot),
                    _ => new ShotCounted(shot),
                }
            ),
        ];

    /// <summary>Logs what was really done to the bow; the next set opens at the new setting.</summary>
    /// <param name="session">The session.</param>
    /// <param name="id">The act's id; that of its first move, and the others' follow from it.</param>
    /// <param name="wanted">The moves, checked where the bow's moves are logged.</param>
    /// <exception cref="RefusedException">One was moved in another place meanwhile.</exception>
    public static IReadOnlyList<NewAct> Move(TuningSession session, string id, IReadOnlyList<MoveWanted> wanted)
    {
        NewAct[] moves = [.. wanted.Select((m, i) => Move(session, NewMoveId(id, i), m))];
        var now = session.Now;
        var late = wanted.Any(m => m.AfterSet is { } after && after != now.Id);
        var splits = wanted.All(m => m.Corrects is null) && now.Shots.Count > 0 && !late;
        var arrow = now.OfSession ? now.Begun.Arrow : session.Sets[0].Begun.Arrow;
        NewAct[] next = splits
            ? [new NewAct($"{id}-set", now.Begun with { Purpose = SetPurpose.Session, Arrow = arrow, Instead = null })]
            : [];
        return [.. moves, .. next, .. Reopening(session, id)];
    }

    /// <summary>Ids of the parts of one act follow from the act's own, so that a retry is safe.</summary>
    public static string NewMoveId(string id, int part) => part == 0 ? id : $"{id}-{part}";

    /// <summary>True for moves of one act.</summary>
    public static bool OfOneAct(string one, string other) => ActOf(one) == ActOf(other);

    private static string ActOf(string moveId) =>
        moveId.Length > 2 && moveId[^2] == '-' && char.IsAsciiDigit(moveId[^1]) ? moveId[..^2] : moveId;

    private static NewAct Move(TuningSession session, string id, MoveWanted wanted)
    {
        var from = session.Bow.Adjusters.FirstOrDefault(a => a.Kind == wanted.Adjuster)?.Position ?? 0;
        MoveRules.CheckSeen(wanted, from);
        SessionAct act = wanted.Corrects is { } wrong
            ? new MoveCorrected(wrong, wanted.Adjuster, from, wanted.To, wanted.Note, wanted.Seats)
            : new MoveMade(wanted.Adjuster, from, wanted.To, wanted.Note, wanted.Seats, wanted.AfterSet)
            {
                SeatsBefore = wanted.SeatsBefore,
            };
        return new NewAct(id, act, wanted.HappenedAt);
    }

    /// <summary>"I accept this": what is accepted is a setting that was shot.</summary>
    /// <exception cref="RefusedException">Nothing was shot, or the bow was moved since.</exception>
    public static IReadOnlyList<NewAct> Accept(TuningSession session, string id)
    {
        if (!session.IsTrial && session.MovedSinceShot)
        {
            throw new RefusedException(
                "unshot",
                session.LastRead is null ? PaperSays.NothingCountsYet : PaperSays.NothingShotSinceMove
            );
        }

        return [new NewAct(id, new Accepted())];
    }

    /// <summary>Opens it again, where it is accepted.</summary>
    public static IReadOnlyList<NewAct> Reopen(TuningSession session, string id) => [.. Reopening(session, id)];

    private static IEnumerable<NewAct> Reopening(TuningSession session, string id) =>
        session.AcceptedAt is null ? [] : [new NewAct($"{id}-reopens", new Reopened())];

    private static void CheckSound(TuningSession session)
    {
        if (session.Bow.Unsound is { } unsound)
        {
            throw unsound.Refusal();
        }
    }
}
