using Merganser.Core.Bows;
using Merganser.Core.Figures;
using Merganser.Core.Messages;
using Merganser.Core.Setup;
using Merganser.Core.Units;
using Merganser.Data;
using Merganser.Web.Ui;

namespace Merganser.Web.Setup;

/// <summary>A finding as it was entered.</summary>
public sealed record FindingView(
    string Id,
    double? Value,
    string Typed,
    string? Choice,
    Message? ChoiceWords,
    string? SkipReason,
    DateTimeOffset At,
    string Note
);

/// <summary>One check of the sheet with all that its page shows.</summary>
public sealed record CheckView(
    CheckKind Kind,
    Message Title,
    Message Tool,
    int Minutes,
    Message WhyHere,
    Message How,
    Message View,
    Quantity? Quantity,
    string Unit,
    Tolerance? Tolerance,
    double ReadingError,
    IReadOnlyList<CheckChoice> Choices,
    CheckState State,
    Message? Because,
    FindingView? Last,
    FindingView? Before,
    CheckVerdict? Verdict,
    Message Line,
    Message? Besides,
    Message Advice,
    OwnTool? Asks,
    IReadOnlyList<Message> HowTo,
    Message NoteAsked
);

/// <summary>A page of the changes that were entered by hand, the newest first.</summary>
/// <param name="Changes">They.</param>
/// <param name="Earlier">Asked for with <c>before</c>, the page before this one; null when there is none.</param>
public sealed record ChangePage(IReadOnlyList<ChangeView> Changes, int? Earlier)
{
    /// <summary>The newest changes of a bow, or those before one.</summary>
    public static ChangePage Of(SetupStore setups, string bowId, int? before = null)
    {
        var found = setups.Changes(bowId, ListPage.Length + 1, before);
        var shown = found.TakeLast(ListPage.Length).ToArray();
        return new ChangePage(
            [
                .. shown
                    .Reverse()
                    .Select(c => new ChangeView(c.Id, c.Change, new ChangeName(c.Change), c.Note, c.HappenedAt)),
            ],
            found.Count > shown.Length ? shown[0].Ordinal : null
        );
    }
}

/// <summary>The string as it stands, with the shots that were entered last.</summary>
public sealed record StringView(
    int Shots,
    int Settling,
    int SettlingLeft,
    StringPlan Plan,
    IReadOnlyList<EnteredShots> Entries
);

/// <summary>A change that can be entered, with what follows.</summary>
public sealed record ChangeChoice(BowChange Change, Message Name, Message Follows);

/// <summary>A change that was entered.</summary>
public sealed record ChangeView(string Id, BowChange Change, Message Name, string Note, DateTimeOffset HappenedAt);

/// <summary>A state in which the bow shot well, and what leads back to it.</summary>
public sealed record GoodStateView(
    string Id,
    Message Words,
    string? ArrowVersionId,
    Message Note,
    DateTimeOffset MarkedAt,
    IReadOnlyDictionary<AdjusterKind, double> Positions,
    IReadOnlyList<WayBackMove> WayBack
);

/// <summary>The whole set-up of a bow as its page shows it.</summary>
/// <param name="BowVersion">The bow's version: an edit of the string's plan names it.</param>
public sealed record SetupView(
    string BowId,
    int BowVersion,
    IReadOnlyList<CheckView> Checks,
    IReadOnlyList<CheckView> FollowUps,
    int Done,
    IReadOnlyList<DueItem> Due,
    StringView String,
    IReadOnlyList<ChangeChoice> Choices,
    ChangePage Changes,
    IReadOnlyList<GoodStateView> GoodStates,
    CentreShotNow? CentreShot,
    Message Aperture,
    Message? Practice,
    Next Next,
    BackOff? BackOff,
    Message? LastTwist
);
