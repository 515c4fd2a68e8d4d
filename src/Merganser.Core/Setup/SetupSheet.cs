using Merganser.Core.Bows;
using Merganser.Core.Figures;

namespace Merganser.Core.Setup;

/// <summary>Where a check stands.</summary>
public enum CheckState { Open, Done, Skipped, Again, Held }

/// <summary>A finding in the order of the bench: how many moves and changes had been entered before it.</summary>
/// <param name="Id">Its id.</param>
/// <param name="Finding">What was found.</param>
/// <param name="Typed">As typed.</param>
/// <param name="AfterMove">Moves entered before it.</param>
/// <param name="AfterChange">Changes entered before it.</param>
/// <param name="At">When.</param>
public sealed record DatedFinding(string Id, CheckFinding Finding, string Typed, int AfterMove, int AfterChange, DateTimeOffset At);

/// <summary>A change in the order of the bench, from a logged move (its ordinal) or entered by hand (its own).</summary>
public sealed record DatedChange(BowChange Change, int? Move, int? Ordinal, string Words);

/// <summary>One line of the sheet as it stands.</summary>
public sealed record CheckLine(CheckFact Fact, CheckState State, DatedFinding? Last, DatedFinding? Before, CheckVerdict? Verdict, string? Because);

/// <summary>The work order of one bow: each check in its order with its state, and the one that is next.</summary>
public sealed record SetupSheet(IReadOnlyList<CheckLine> Lines, IReadOnlyList<CheckLine> FollowUps)
{
    /// <summary>Checks that need nothing more.</summary>
    public int Done => Lines.Count(l => l.State == CheckState.Done);

    /// <summary>The next check: what is asked again first, then what was never done, then what was left with a reason.</summary>
    public CheckLine? Next => Lines.FirstOrDefault(l => l.State == CheckState.Again) ?? Lines.FirstOrDefault(l => l.State == CheckState.Open)
        ?? Lines.FirstOrDefault(l => l.State == CheckState.Skipped);

    /// <summary>What is asked again after changes, on the sheet and beyond it.</summary>
    public IReadOnlyList<CheckLine> AskedAgain => [.. Lines.Concat(FollowUps).Where(l => l.State == CheckState.Again)];

    /// <summary>Puts the sheet together from everything entered.</summary>
    /// <param name="bow">The bow.</param>
    /// <param name="hasPress">True when the archer has the right press and the manual.</param>
    /// <param name="findings">Findings in the order they were entered, withdrawn ones left out.</param>
    /// <param name="changes">Changes and moves, withdrawn and corrected ones left out.</param>
    /// <param name="paperAccepted">True once some paper of this bow was accepted: the peep comes after timing and paper.</param>
    /// <param name="good">Numbers that stood here when the bow shot well.</param>
    public static SetupSheet Of(
        Bow bow, bool hasPress, IReadOnlyList<DatedFinding> findings, IReadOnlyList<DatedChange> changes, bool paperAccepted, IReadOnlyDictionary<CheckKind, double>? good = null)
    {
        var unsound = Unsound.Of(findings);
        var lines = CheckTable.Order(bow.Kind, bow.Release).Select(Line).ToArray();
        var followUps = CheckTable.All.Where(f => !f.OnSheet).Select(f => Line(f.Kind)).Where(l => l.State == CheckState.Again).ToArray();
        return new SetupSheet(lines, followUps);

        CheckLine Line(CheckKind kind)
        {
            var fact = CheckTable.For(kind, bow.Kind);
            var own = findings.Where(f => f.Finding.Kind == kind).ToArray();
            var last = own.LastOrDefault();
            var before = own.Length > 1 ? own[^2] : null;
            var asked = changes.LastOrDefault(c => ChangeTable.Of(c.Change).Again.Contains(kind) && IsAfter(c, last));
            var verdict = last?.Finding is { SkipReason: null } found ? CheckReading.Judge(found, bow, hasPress, GoodOf(kind), last.Typed) : null;
            if (unsound is not null && CheckTable.Draws(kind))
            {
                return new CheckLine(fact, CheckState.Held, last, before, verdict, "It draws the bow: not while it is unsound.");
            }

            if (asked is not null && (last is not null || !fact.OnSheet))
            {
                return new CheckLine(fact, CheckState.Again, last, before, verdict, $"{ChangeTable.Of(asked.Change).Why}: {asked.Words}.");
            }

            if (last is null)
            {
                var held = kind == CheckKind.Peep && !paperAccepted;
                return new CheckLine(fact, held ? CheckState.Held : CheckState.Open, null, null, null, held ? "After timing and paper." : null);
            }

            return new CheckLine(fact, last.Finding.SkipReason is null ? CheckState.Done : CheckState.Skipped, last, before, verdict, last.Finding.SkipReason);
        }

        double? GoodOf(CheckKind kind) => good is not null && good.TryGetValue(kind, out var value) ? value : null;
    }

    private static bool IsAfter(DatedChange change, DatedFinding? finding) =>
        finding is null || (change.Move is { } move ? move > finding.AfterMove : change.Ordinal > finding.AfterChange);
}

/// <summary>The one next step on the bow's page.</summary>
public static class SetupNext
{
    public static Next Of(SetupSheet sheet, IReadOnlyList<DueItem> due)
    {
        var total = sheet.Lines.Count;

        if (sheet.AskedAgain.FirstOrDefault() is { } again)
        {
            return again.Fact.OnSheet
                ? new Next($"Look at it again: {Lower(again.Fact.Title)}.", again.Because!, Check(again), "To the check", "Choose the arrow", "arrow")
                : new Next(Again(again.Fact.Kind), again.Because!, again.Fact.Kind switch { CheckKind.Paper => "paper", CheckKind.Spine => "arrow", _ => "sights" }, "Go there", "It is done", $"done:{Lower(again.Fact.Kind.ToString())}");
        }

        if (due.FirstOrDefault(d => d.Now) is { } now)
        {
            return new Next($"{now.What}: {string.Join(", ", now.Checks.Select(k => Lower(CheckTable.Of(k).Title)))}.", "A check is cheap; a string that crept is not.", "string", "To the string", "Choose the arrow", "arrow");
        }

        return sheet.Next is { } next
            ? new Next($"Check {sheet.Lines.ToList().IndexOf(next) + 1} of {total}: {Lower(next.Fact.Title)}.", next.State == CheckState.Skipped ? $"Left open: {next.Because}" : next.Fact.WhyHere, Check(next), "To the check", "Choose the arrow", "arrow")
            : new Next("The bow is measured and in order: choose the arrow.", sheet.Done == total ? "Every check is done." : $"{total - sheet.Done} held back until paper is accepted.", "arrow", "Choose the arrow");
    }

    private static string Again(CheckKind kind) => kind switch
    {
        CheckKind.Paper => "Shoot through paper again.",
        CheckKind.Spine => "Look at the arrow's fit again.",
        _ => "Sight the marks in again.",
    };

    private static string Check(CheckLine line) => $"check:{Lower(line.Fact.Kind.ToString())}";

    private static string Lower(string words) => char.ToLowerInvariant(words[0]) + words[1..];
}
