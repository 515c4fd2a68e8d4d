using Merganser.Core.Bows;
using Merganser.Core.Paper;
using Merganser.Core.Sessions;
using Merganser.Core.Tuning;

namespace Merganser.Core.Setup;

/// <summary>A finding with the shots that had been fired before it.</summary>
public sealed record RecordedFinding(DatedFinding Dated, int AfterShots)
{
    /// <summary>True for one that counts as a look at the string: timing, or the brace height.</summary>
    public bool LooksAtString =>
        Dated.Finding is { SkipReason: null, Kind: CheckKind.CamTiming or CheckKind.BraceHeight };
}

/// <summary>A change entered by hand.</summary>
/// <param name="Id">Its id.</param>
/// <param name="Change">What was changed.</param>
/// <param name="Ordinal">Its place among the bow's changes, from 1.</param>
/// <param name="Note">A person's words.</param>
/// <param name="AfterShots">Shots that had been fired before it.</param>
/// <param name="HappenedAt">When.</param>
public sealed record RecordedChange(
    string Id,
    BowChange Change,
    int Ordinal,
    string Note,
    int AfterShots,
    DateTimeOffset HappenedAt
);

/// <summary>A move of an adjuster.</summary>
/// <param name="Move">As it was logged.</param>
/// <param name="Ordinal">Its place among the bow's moves, from 1.</param>
public sealed record RecordedMove(LoggedMove Move, int Ordinal);

/// <summary>A state in which the bow shot well, one for each arrow that is shot from it.</summary>
public sealed record GoodState(
    string Id,
    string? ArrowVersionId,
    IReadOnlyList<Adjuster> Positions,
    IReadOnlyDictionary<CheckKind, double> Readings,
    string Note,
    PlannedStage? Stage,
    DateTimeOffset MarkedAt
);

/// <summary>
/// What was entered of a bow's set-up and bears on how it stands now, without what was taken back. Findings, changes,
/// moves and shots each have their own order and say how many of the others came before them. Older entries may be
/// left out as long as the named ones are there.
/// </summary>
/// <param name="Plan">How the string is looked after.</param>
/// <param name="Findings">In order: of each check at least the last two, the last that was not left, and the last with
/// a number; the last damage or repair.</param>
/// <param name="Changes">In order: at least the last of each kind.</param>
/// <param name="Moves">In order: of each adjuster at least the last that was really made, with its corrections, and the
/// last of the rest before the centre shot was measured.</param>
/// <param name="Shots">What was shot since the string's work.</param>
/// <param name="Good">In order: at least the last for each arrow.</param>
public sealed record SetupRecord(
    StringPlan Plan,
    IReadOnlyList<RecordedFinding> Findings,
    IReadOnlyList<RecordedChange> Changes,
    IReadOnlyList<RecordedMove> Moves,
    StringShots Shots,
    IReadOnlyList<GoodState> Good
)
{
    /// <summary>The string's life.</summary>
    public StringLife String => StringLife.Of(Plan, WorkOf(Changes, Moves), Shots);

    /// <summary>Where the string's present life begins.</summary>
    public static StringWork WorkOf(IReadOnlyList<RecordedChange> changes, IReadOnlyList<RecordedMove> moves) =>
        StringWork.Of(changes, [.. Made(moves).Select(m => (m.Move.Kind, m.Ordinal))]);

    /// <summary>What was changed, by moves as they really were and by hand.</summary>
    public IReadOnlyList<DatedChange> Dated =>
        [
            .. from made in Made(Moves)
            let change = ChangeTable.Of(made.Move.Kind)
            where change is not null
            select new DatedChange(
                change.Value,
                made.Ordinal,
                null,
                new Order(made.Move.Kind, made.Move.To - made.Move.From)
            ),
            .. Changes.Select(c => new DatedChange(c.Change, null, c.Ordinal, new ChangeName(c.Change))),
        ];

    /// <summary>The last look at the string, or null.</summary>
    public RecordedFinding? LastLook => Findings.LastOrDefault(f => f.LooksAtString);

    /// <summary>The shots of this string at which it was last looked at.</summary>
    public int CheckedAt
    {
        get
        {
            var fresh = Changes.LastOrDefault(c => c.Change == BowChange.NewString)?.AfterShots ?? 0;
            return LastLook is { } look ? Math.Max(0, look.AfterShots - fresh) : 0;
        }
    }

    /// <summary>The last state marked for each arrow, the newest first.</summary>
    public IReadOnlyList<GoodState> GoodStates =>
        [.. Good.GroupBy(g => g.ArrowVersionId).Select(g => g.Last()).OrderByDescending(g => g.MarkedAt)];

    /// <summary>The numbers that stand now, by check: what a good state is marked with.</summary>
    public IReadOnlyDictionary<CheckKind, double> Readings =>
        Findings
            .Select(f => f.Dated.Finding)
            .Where(f => f.Value is not null)
            .GroupBy(f => f.Kind)
            .ToDictionary(g => g.Key, g => g.Last().Value!.Value);

    /// <summary>The work order as it stands.</summary>
    /// <param name="bow">The bow.</param>
    /// <param name="archer">Its archer.</param>
    /// <param name="paperAccepted">True once some paper of this bow was accepted.</param>
    public SetupSheet Sheet(Bow bow, Archer archer, bool paperAccepted) =>
        SetupSheet.Of(
            bow,
            archer.MayPress,
            [.. Findings.Select(f => f.Dated)],
            Dated,
            paperAccepted,
            GoodStates.FirstOrDefault()?.Readings
        );

    /// <summary>What is due of the string.</summary>
    public IReadOnlyList<DueItem> Due(BowKind kind, Practice practice, DateTimeOffset now) =>
        String.Due(kind, CheckedAt, practice, LastLook?.Dated.At, now);

    /// <summary>When what is due changes though nothing is entered; null for never.</summary>
    public DateTimeOffset? DueChanges(Practice practice, DateTimeOffset now) =>
        StringLife.DueChanges(practice, LastLook?.Dated.At, now);

    /// <summary>Where the arrow stands from the riser now, or null when that was never measured.</summary>
    public CentreShotNow? CentreShot(Bow bow, IReadOnlyList<Adjuster> adjusters)
    {
        var found = Findings
            .LastOrDefault(f => f.Dated.Finding is { Kind: CheckKind.CentreShot, Value: not null })
            ?.Dated;
        var rest = adjusters.FirstOrDefault(a => a.Kind == AdjusterKind.RestSideways);
        if (found is null || rest is null)
        {
            return null;
        }

        var then = Moves
            .Where(m => m.Ordinal <= found.AfterMove && m.Move.Adjuster == AdjusterKind.RestSideways)
            .Select(m => m.Move.To)
            .LastOrDefault();
        return CentreShotNow.Of(bow, rest, found.Finding.Value!.Value, then);
    }

    /// <summary>
    /// How far both bolts are backed off where it draws more than the maker allows; null where it does not.
    /// </summary>
    public BackOff? BackOff(Bow bow, IReadOnlyList<Adjuster> adjusters)
    {
        var bolts = adjusters.FirstOrDefault(a => a.Kind == AdjusterKind.LimbBolts);
        var weighed = Findings.Where(f => f.Dated.Finding is { Kind: CheckKind.DrawWeight, Value: not null }).ToArray();
        if (
            weighed.LastOrDefault()?.Dated.Finding.Value is not { } drawn
            || bow.MaximumWeight is not { } most
            || drawn <= most
        )
        {
            return null;
        }

        var turned = Between(weighed, AdjusterKind.LimbBolts);
        double? perStep = turned is { } steps ? (drawn - weighed[^2].Dated.Finding.Value!.Value) / steps : null;
        return Setup.BackOff.Of(drawn - most, perStep, bolts);
    }

    /// <summary>What the last twist of a cable did to the timing, or null where nobody saw it.</summary>
    public LastTwist? LastTwist
    {
        get
        {
            var seen = Findings
                .Where(f => f.Dated.Finding is { Kind: CheckKind.CamTiming, Choice: not null })
                .ToArray();
            foreach (var cable in new[] { AdjusterKind.TopCable, AdjusterKind.BottomCable })
            {
                if (Between(seen, cable) is { } steps)
                {
                    return new LastTwist(new Order(cable, steps), Label(seen[^2]), Label(seen[^1]));
                }
            }

            return null;
        }
    }

    private static ChoiceLabel Label(RecordedFinding seen) => new(seen.Dated.Finding.Kind, seen.Dated.Finding.Choice!);

    /// <summary>Steps that an adjuster was moved between the last two of some findings, or null.</summary>
    private double? Between(RecordedFinding[] found, AdjusterKind kind)
    {
        if (found.Length < 2)
        {
            return null;
        }

        var (from, to) = (found[^2].Dated.AfterMove, found[^1].Dated.AfterMove);
        var steps = Made(Moves)
            .Where(m => m.Move.Kind == kind && m.Ordinal > from && m.Ordinal <= to)
            .Sum(m => m.Move.To - m.Move.From);
        return steps == 0 ? null : steps;
    }

    /// <summary>The moves as they really were: a correction takes the place of what it corrects.</summary>
    private static IReadOnlyList<(SessionMove Move, int Ordinal)> Made(IReadOnlyList<RecordedMove> moves)
    {
        var ordinals = moves.ToDictionary(m => m.Move.Id, m => m.Ordinal);
        var effective = MoveHistory.Effective([
            .. moves.Select(m => new SessionMove(
                m.Move.Id,
                0,
                m.Move.Adjuster,
                m.Move.From,
                m.Move.To,
                m.Move.Corrects
            )),
        ]);
        return [.. effective.Select(e => (e, ordinals[e.Id]))];
    }
}

/// <summary>Where the arrow stands from the riser after the clicks that were made since it was measured.</summary>
/// <param name="Measured">As measured, inches.</param>
/// <param name="Now">By the clicks since, inches.</param>
/// <param name="InchesPerClick">What a click of the rest moves it.</param>
/// <param name="StepKnown">True when that was measured on this bow.</param>
/// <param name="Tolerance">Where it may stand.</param>
/// <param name="Verdict">Whether it does.</param>
public sealed record CentreShotNow(
    double Measured,
    double Now,
    double InchesPerClick,
    bool StepKnown,
    Tolerance Tolerance,
    Verdict Verdict
)
{
    /// <summary>What a rest inside its window does to the sight picture, or null.</summary>
    public SetupSays? Caution => Now < Tolerance.Low ? SetupSays.RiserMayBlockSight : null;

    /// <summary>From what was measured and where the rest stood then.</summary>
    public static CentreShotNow Of(Bow bow, Adjuster rest, double measured, double then)
    {
        var step = rest.InchesPerStep ?? AdjusterTable.RestClickInches;
        var now = CentreShot.After(measured, rest.Position - then, step, bow.Hand);
        var tolerance = CentreShot.Tolerance(bow.MakerCentreShot);
        var verdict = CheckReading.Of(now, tolerance, CheckTable.Of(CheckKind.CentreShot).ReadingError);
        return new CentreShotNow(measured, now, step, rest.InchesPerStep is not null, tolerance, verdict);
    }
}

/// <summary>
/// A number measured on the set-up sheet becomes the bow's own; when it is taken back, what stood there before comes
/// back.
/// </summary>
public static class MeasuredOnSheet
{
    /// <summary>What the bow's record has for a check, as typed; null for a check that it has no field for.</summary>
    public static string? Recorded(BowEntry entry, CheckKind kind) =>
        kind switch
        {
            CheckKind.DrawWeight => entry.MeasuredWeight ?? "",
            CheckKind.AxleToAxle => entry.AxleToAxle ?? "",
            CheckKind.BraceHeight => entry.BraceHeight ?? "",
            _ => null,
        };

    /// <summary>The bow's record with a measured number; null for a check that it has no field for.</summary>
    public static BowEntry? Into(BowEntry entry, CheckKind kind, string typed) =>
        kind switch
        {
            CheckKind.DrawWeight => entry with { MeasuredWeight = typed },
            CheckKind.AxleToAxle => entry with { AxleToAxle = typed },
            CheckKind.BraceHeight => entry with { BraceHeight = typed },
            _ => null,
        };

    /// <summary>
    /// What stood there before a finding that is taken back; what it replaced may itself have been taken back since.
    /// </summary>
    /// <param name="replaced">What the finding replaced, as typed.</param>
    /// <param name="earlier">Earlier findings that were taken back, the newest first: typed, and what it
    /// replaced.</param>
    public static string Former(string replaced, IEnumerable<(string Typed, string? Replaced)> earlier) =>
        earlier.Aggregate(replaced, (former, e) => e.Replaced is { } before && e.Typed == former ? before : former);
}
