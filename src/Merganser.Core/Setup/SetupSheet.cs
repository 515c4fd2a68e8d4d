using Merganser.Core.Bows;
using Merganser.Core.Figures;
using Merganser.Core.Messages;

namespace Merganser.Core.Setup;

/// <summary>Where a check stands.</summary>
public enum CheckState
{
    Open,
    Done,
    Skipped,
    Again,
    Held,
}

/// <summary>A finding in the order of the bench: how many moves and changes had been entered before it.</summary>
/// <param name="Id">Its id.</param>
/// <param name="Finding">What was found.</param>
/// <param name="Typed">As typed.</param>
/// <param name="AfterMove">Moves entered before it.</param>
/// <param name="AfterChange">Changes entered before it.</param>
/// <param name="At">When.</param>
/// <param name="Note">What was chosen, with what it was measured, by whom; or empty.</param>
public sealed record DatedFinding(
    string Id,
    CheckFinding Finding,
    string Typed,
    int AfterMove,
    int AfterChange,
    DateTimeOffset At,
    string Note = ""
);

/// <summary>
/// A change in the order of the bench, from a logged move (its ordinal) or entered by hand (its own).
/// </summary>
public sealed record DatedChange(BowChange Change, int? Move, int? Ordinal, Message Words);

/// <summary>One line of the sheet as it stands.</summary>
public sealed record CheckLine(
    CheckFact Fact,
    CheckState State,
    DatedFinding? Last,
    DatedFinding? Before,
    CheckVerdict? Verdict,
    Message? Because
)
{
    /// <summary>What can be picked: after a damage only that it is repaired, before it never that.</summary>
    public IReadOnlyList<CheckChoice> Choices
    {
        get
        {
            var found = Last?.Finding.Choice;
            return found == Unsound.Damaged
                ? [.. Fact.Choices.Where(c => c.Code is Unsound.Damaged or Unsound.Repaired)]
                : [.. Fact.Choices.Where(c => c.Code != Unsound.Repaired || found == Unsound.Repaired)];
        }
    }

    /// <summary>What was found last, whatever follows from it; why it was left; or null.</summary>
    public Message? Found =>
        this switch
        {
            { State: CheckState.Skipped } => Because,
            { Last.Finding.Value: { } value } => new Amount(Fact.Of(value)),
            { Last.Finding.Choice: { } choice } => new ChoiceLabel(Fact.Kind, choice),
            _ => null,
        };

    /// <summary>What the verdict says besides the line: of what was picked it is what was picked, and null.</summary>
    public Message? Besides =>
        State == CheckState.Done && Verdict?.Words is Picked { By: null } ? null : Verdict?.Words;

    /// <summary>The line in a few words.</summary>
    public CheckShort Short => new(State, Verdict is null && Fact.Kind == CheckKind.Peep, Found);
}

/// <summary>The work order of one bow: each check in its order with its state, and the one that is next.</summary>
public sealed record SetupSheet(IReadOnlyList<CheckLine> Lines, IReadOnlyList<CheckLine> FollowUps)
{
    /// <summary>Checks that need nothing more.</summary>
    public int Done => Lines.Count(l => l.State == CheckState.Done);

    /// <summary>
    /// The next check: what is asked again first, then what was never done, then what was left with a reason.
    /// </summary>
    public CheckLine? Next =>
        Lines.FirstOrDefault(l => l.State == CheckState.Again)
        ?? Lines.FirstOrDefault(l => l.State == CheckState.Open)
        ?? Lines.FirstOrDefault(l => l.State == CheckState.Skipped);

    /// <summary>What is asked again after changes, on the sheet and beyond it.</summary>
    public IReadOnlyList<CheckLine> AskedAgain => [.. Lines.Concat(FollowUps).Where(l => l.State == CheckState.Again)];

    /// <summary>Puts the sheet together from everything entered.</summary>
    /// <param name="bow">The bow.</param>
    /// <param name="hasPress">True when the archer has the right press and the manual.</param>
    /// <param name="findings">Findings in the order they were entered, withdrawn ones left out.</param>
    /// <param name="changes">Changes and moves, withdrawn and corrected ones left out.</param>
    /// <param name="paperAccepted">True once some paper of this bow was accepted: the peep comes after timing and
    /// paper.</param>
    /// <param name="good">Numbers that stood here when the bow shot well.</param>
    public static SetupSheet Of(
        Bow bow,
        bool hasPress,
        IReadOnlyList<DatedFinding> findings,
        IReadOnlyList<DatedChange> changes,
        bool paperAccepted,
        IReadOnlyDictionary<CheckKind, double>? good = null
    )
    {
        var unsound = Unsound.Of(findings);
        var lines = CheckTable.Order(bow.Kind, bow.Release).Select(Line).ToArray();
        var followUps = CheckTable
            .All.Where(f => !f.OnSheet)
            .Select(f => Line(f.Kind))
            .Where(l => l.State == CheckState.Again)
            .ToArray();
        return new SetupSheet(lines, followUps);

        CheckLine Line(CheckKind kind)
        {
            var fact = CheckTable.Of(kind);
            var own = findings.Where(f => f.Finding.Kind == kind).ToArray();
            var last = own.LastOrDefault();
            var before = own.Length > 1 ? own[^2] : null;
            var asked = changes.LastOrDefault(c => ChangeTable.Of(c.Change).Again.Contains(kind) && IsAfter(c, last));
            var verdict = last?.Finding is { SkipReason: null } finding
                ? CheckReading.Judge(finding, bow, hasPress, GoodOf(kind), last.Typed)
                : null;
            var (state, because) = Stands();
            return new CheckLine(fact, state, last, before, verdict, because);

            (CheckState State, Message? Because) Stands()
            {
                if (unsound is not null && CheckTable.Draws(kind))
                {
                    return (CheckState.Held, SetupSays.DrawsWhileUnsound);
                }

                if (asked is not null && (last is not null || !fact.OnSheet))
                {
                    return (CheckState.Again, new AskedAgain(asked.Change, asked.Words));
                }

                if (last is null)
                {
                    return kind == CheckKind.Peep && !paperAccepted
                        ? (CheckState.Held, SetupSays.AfterTimingAndPaper)
                        : (CheckState.Open, null);
                }

                if (fact.NotYet(last.Finding.Choice) is { } found)
                {
                    return (CheckState.Again, new NotRightYet(found.Label, found.ToDo));
                }

                if (kind == CheckKind.DrawWeight && verdict is { Verdict: Verdict.Beyond } over)
                {
                    return (CheckState.Again, over.Words);
                }

                return last.Finding.SkipReason is { } reason
                    ? (CheckState.Skipped, new Verbatim(reason))
                    : (CheckState.Done, null);
            }
        }

        double? GoodOf(CheckKind kind) => good is not null && good.TryGetValue(kind, out var value) ? value : null;
    }

    private static bool IsAfter(DatedChange change, DatedFinding? finding) =>
        finding is null || (change.Move is { } move ? move > finding.AfterMove : change.Ordinal > finding.AfterChange);
}

/// <summary>The one next step on the bow's page.</summary>
public static class SetupNext
{
    /// <summary>What is next on the set-up sheet.</summary>
    /// <param name="sheet">The work order as it stands.</param>
    /// <param name="due">What is due of the string.</param>
    /// <param name="bow">Its kind.</param>
    /// <param name="hasArrow">False while no arrow is kept: paper and spine wait for one.</param>
    public static Next Of(SetupSheet sheet, IReadOnlyList<DueItem> due, BowKind bow, bool hasArrow = true)
    {
        if (sheet.AskedAgain.FirstOrDefault(l => hasArrow || !WantsArrow(l.Fact.Kind)) is { } again)
        {
            return again.Fact.OnSheet
                ? new Next(
                    new LookAgain(Title(again)),
                    again.Because!,
                    Check(again),
                    SetupSays.ToTheCheck,
                    BowSays.ChooseTheArrow,
                    "arrow"
                )
                : new Next(
                    new FollowUpAgain(again.Fact.Kind),
                    again.Because!,
                    PageOf(again.Fact.Kind),
                    SetupSays.GoThere,
                    again.Fact.Kind == CheckKind.Paper ? null : SetupSays.ItIsDone,
                    again.Fact.Kind == CheckKind.Paper ? null : $"done:{Code(again)}"
                );
        }

        if (due.FirstOrDefault(d => d is { Now: true, ReminderId: null }) is { } now)
        {
            Message[] titles = [.. now.Checks.Select(k => new CheckTitle(k, bow))];
            return new Next(
                new DueNow(now.What, titles),
                SetupSays.CheckIsCheap,
                "string",
                SetupSays.ToTheString,
                BowSays.ChooseTheArrow,
                "arrow"
            );
        }

        return sheet.Next is { } next ? ToCheck(sheet, next) : InOrder(sheet, hasArrow);

        CheckTitle Title(CheckLine line) => new(line.Fact.Kind, bow);

        Next ToCheck(SetupSheet all, CheckLine line)
        {
            var place = all.Lines.ToList().IndexOf(line) + 1;
            Message reason =
                line.State == CheckState.Skipped ? new LeftOpen(line.Because!) : new CheckWhy(line.Fact.Kind, bow);
            return new Next(
                new NextCheck(place, all.Lines.Count, Title(line)),
                reason,
                Check(line),
                SetupSays.ToTheCheck,
                BowSays.ChooseTheArrow,
                "arrow"
            );
        }
    }

    private static Next InOrder(SetupSheet sheet, bool hasArrow)
    {
        var held = sheet.Lines.Count - sheet.Done;
        Message reason = held == 0 ? SetupSays.EveryCheckIsDone : new HeldBack(held);
        return hasArrow
            ? new Next(SetupSays.InOrderWithItsArrow, reason, "paper", BowSays.ToThePaper)
            : new Next(SetupSays.MeasuredAndInOrder, reason, "arrow", BowSays.ChooseTheArrow);
    }

    private static bool WantsArrow(CheckKind kind) => kind is CheckKind.Paper or CheckKind.Spine or CheckKind.Sight;

    private static string PageOf(CheckKind kind) =>
        kind switch
        {
            CheckKind.Paper => "paper",
            CheckKind.Spine => "arrow",
            _ => "sights",
        };

    private static string Check(CheckLine line) => $"check:{Code(line)}";

    private static string Code(CheckLine line) =>
        System.Text.Json.JsonNamingPolicy.CamelCase.ConvertName(line.Fact.Kind.ToString());
}
