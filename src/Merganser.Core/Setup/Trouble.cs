using Merganser.Core.Bows;
using Merganser.Core.Paper;

namespace Merganser.Core.Setup;

/// <summary>What an archer sees go wrong on a bow that shot well.</summary>
public enum TroubleKind
{
    HeadsElsewhere,
    DialsOff,
    PeepTurned,
    TearStays,
    VerticalStrings,
    Knocked,
    NewString,
}

/// <summary>A place beyond the set-up sheet where a trouble is looked for.</summary>
public enum TroubleLook
{
    Spin,
    HeadWeights,
    HeadGroups,
    WalkBack,
    TwoWays,
    Speeds,
    ArrowFit,
    Settling,
    Paper,
}

/// <summary>How a step of a trouble stands.</summary>
public enum TroubleState
{
    /// <summary>Not looked at since the day before.</summary>
    Open,

    /// <summary>Looked at within a day and in order.</summary>
    InOrder,

    /// <summary>Looked at within a day, and it is not right.</summary>
    Found,
}

/// <summary>One thing to look at: a check, a look elsewhere, or a change to log; exactly one of them.</summary>
/// <param name="Check">A check of the set-up sheet.</param>
/// <param name="Look">A look elsewhere.</param>
/// <param name="Log">A change that is logged first.</param>
public sealed record TroubleAsk(CheckKind? Check, TroubleLook? Look = null, BowChange? Log = null)
{
    /// <summary>A check is looked at.</summary>
    public static implicit operator TroubleAsk(CheckKind check) => new(check);

    /// <summary>Something is looked at elsewhere.</summary>
    public static implicit operator TroubleAsk(TroubleLook look) => new(null, look);

    /// <summary>A change is logged.</summary>
    public static implicit operator TroubleAsk(BowChange log) => new(null, Log: log);
}

/// <summary>
/// In which order a trouble is looked for: what is cheap, sure and common first, what moves other things before what
/// is moved (common practice, no source).
/// </summary>
public static class TroubleTable
{
    /// <summary>The troubles that a kind of bow can have, in the order in which they are offered.</summary>
    public static IReadOnlyList<TroubleKind> Of(BowKind kind) =>
        [.. Enum.GetValues<TroubleKind>().Where(t => t != TroubleKind.PeepTurned || kind == BowKind.Compound)];

    /// <summary>What is looked at, in order; checks that this bow does not have are left out.</summary>
    /// <param name="trouble">What is seen.</param>
    /// <param name="bow">On which bow.</param>
    /// <param name="tear">The tear that was read last, or null: one of height is looked for before one of side, and
    /// where nobody knows, height comes first.</param>
    public static IReadOnlyList<TroubleAsk> Order(TroubleKind trouble, Bow bow, Tear? tear)
    {
        var sheet = CheckTable.Order(bow.Kind, bow.Release);
        var changes = ChangeTable.ByHand(bow.Kind);
        return
        [
            .. All()
                .Where(a => (a.Check is not { } c || sheet.Contains(c)) && (a.Log is not { } l || changes.Contains(l))),
        ];

        IReadOnlyList<TroubleAsk> All() =>
            trouble switch
            {
                TroubleKind.HeadsElsewhere => Heads,
                TroubleKind.DialsOff => Drifts,
                TroubleKind.PeepTurned => Turned,
                TroubleKind.VerticalStrings => Strings,
                TroubleKind.Knocked => Knocked,
                TroubleKind.NewString => NewString,
                _ => tear is { } read && Math.Abs(read.X) > Math.Abs(read.Y)
                    ? [.. Sideways, .. Height]
                    : [.. Height, .. Sideways],
            };
    }

    private static readonly TroubleAsk[] Heads =
    [
        TroubleLook.Spin,
        TroubleLook.HeadWeights,
        CheckKind.RestTiming,
        CheckKind.NockFit,
        TroubleLook.HeadGroups,
        TroubleLook.Paper,
        TroubleLook.ArrowFit,
    ];

    private static readonly TroubleAsk[] Drifts =
    [
        CheckKind.LimbAlignment,
        CheckKind.FirstAxis,
        CheckKind.SecondAxis,
        CheckKind.ThirdAxis,
        CheckKind.CentreShot,
        CheckKind.PlungerTension,
        TroubleLook.WalkBack,
    ];

    private static readonly TroubleAsk[] Turned =
    [
        CheckKind.Loop,
        CheckKind.BraceHeight,
        CheckKind.AxleToAxle,
        CheckKind.Peep,
    ];

    private static readonly TroubleAsk[] Height =
    [
        CheckKind.RestTiming,
        CheckKind.NockFit,
        CheckKind.NockSets,
        CheckKind.CamTiming,
        CheckKind.BraceHeight,
        CheckKind.NockingPoint,
    ];

    private static readonly TroubleAsk[] Sideways =
    [
        CheckKind.CentreShot,
        CheckKind.PlungerTension,
        CheckKind.CamLean,
        CheckKind.LimbAlignment,
        TroubleLook.ArrowFit,
        TroubleLook.TwoWays,
        CheckKind.Inspection,
    ];

    private static readonly TroubleAsk[] Strings =
    [
        CheckKind.NockSets,
        CheckKind.NockFit,
        CheckKind.RestTiming,
        CheckKind.NockingPoint,
        CheckKind.CamTiming,
        CheckKind.Tiller,
        CheckKind.Clicker,
        TroubleLook.Speeds,
        TroubleLook.TwoWays,
    ];

    private static readonly TroubleAsk[] Knocked =
    [
        CheckKind.Inspection,
        BowChange.Sight,
        CheckKind.LimbAlignment,
        CheckKind.CentreShot,
        CheckKind.RestTiming,
        CheckKind.NockingPoint,
        CheckKind.FirstAxis,
        CheckKind.SecondAxis,
        CheckKind.ThirdAxis,
        TroubleLook.Paper,
    ];

    private static readonly TroubleAsk[] NewString =
    [
        BowChange.NewString,
        CheckKind.Inspection,
        CheckKind.AxleToAxle,
        CheckKind.BraceHeight,
        CheckKind.CamTiming,
        CheckKind.Tiller,
        CheckKind.NockingPoint,
        CheckKind.NockFit,
        TroubleLook.Settling,
        TroubleLook.Paper,
        CheckKind.Peep,
    ];
}

/// <summary>A step of a trouble as it stands on one bow.</summary>
/// <param name="Ask">What is looked at.</param>
/// <param name="State">How it stands.</param>
/// <param name="Line">The check, where it is one.</param>
public sealed record TroubleStep(TroubleAsk Ask, TroubleState State, CheckLine? Line);

/// <summary>A trouble on one bow: what is looked at, in order, and which of it comes first now.</summary>
/// <param name="Kind">What is seen.</param>
/// <param name="Steps">What is looked at.</param>
/// <param name="First">The place of what comes first, from 0: something found that is not right, else the first that
/// was not looked at, else the last.</param>
public sealed record Trouble(TroubleKind Kind, IReadOnlyList<TroubleStep> Steps, int First)
{
    /// <summary>So long a look counts: what was found earlier may be how the trouble began.</summary>
    public static readonly TimeSpan Counts = TimeSpan.FromHours(24);

    /// <summary>How a trouble stands.</summary>
    /// <param name="kind">What is seen.</param>
    /// <param name="bow">The bow.</param>
    /// <param name="sheet">Its set-up sheet.</param>
    /// <param name="changes">Changes entered by hand; at least the last of each kind.</param>
    /// <param name="tear">The tear that was read last, or null.</param>
    /// <param name="now">The time.</param>
    public static Trouble Of(
        TroubleKind kind,
        Bow bow,
        SetupSheet sheet,
        IReadOnlyList<RecordedChange> changes,
        Tear? tear,
        DateTimeOffset now
    )
    {
        var since = now - Counts;
        List<TroubleStep> steps = [];
        foreach (var ask in TroubleTable.Order(kind, bow, tear))
        {
            var line = sheet.Lines.FirstOrDefault(l => l.Fact.Kind == ask.Check);
            var logged = changes.LastOrDefault(c => c.Change == ask.Log)?.HappenedAt;
            if (logged > since)
            {
                // What was looked at before the change says nothing of what came after it.
                since = logged.Value;
                steps.Add(new TroubleStep(ask, TroubleState.InOrder, line));
                continue;
            }

            steps.Add(new TroubleStep(ask, StateOf(line), line));
        }

        var first = steps.FindIndex(s => s.State == TroubleState.Found);
        first = first >= 0 ? first : steps.FindIndex(s => s.State == TroubleState.Open);
        return new Trouble(kind, steps, first >= 0 ? first : steps.Count - 1);

        TroubleState StateOf(CheckLine? line)
        {
            if (line?.Last is not { Finding.SkipReason: null } last || last.At <= since)
            {
                return TroubleState.Open;
            }

            var wrong = line.Verdict?.Verdict == Verdict.Beyond || line.Fact.NotYet(last.Finding.Choice) is not null;
            return (wrong, line.State) switch
            {
                (true, _) => TroubleState.Found,
                (_, CheckState.Done) => TroubleState.InOrder,
                _ => TroubleState.Open,
            };
        }
    }
}
