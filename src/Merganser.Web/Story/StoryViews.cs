using Merganser.Core.Bows;
using Merganser.Core.Figures;
using Merganser.Core.Messages;
using Merganser.Core.Pictures;
using Merganser.Core.Setup;
using Merganser.Core.Story;

namespace Merganser.Web.Story;

/// <summary>A page of a bow's story, the newest first.</summary>
/// <param name="Events">What happened.</param>
/// <param name="Earlier">Asked for with <c>before</c>, the page before this one; null when there is none.</param>
public sealed record StoryPageView(IReadOnlyList<HappenedView> Events, string? Earlier);

/// <summary>One thing that happened.</summary>
/// <param name="Shots">Shots on the string by then.</param>
/// <param name="Opens">Where it is opened: a path below the bow; empty for nowhere.</param>
/// <param name="MayBeTakenBack">True for a note of the story.</param>
/// <param name="Pictures">Photographs of it.</param>
/// <param name="PicturedAs">What a photograph of it is kept with; null where it takes none.</param>
public sealed record HappenedView(
    string Id,
    DateTimeOffset At,
    StorySign Sign,
    StoryTone Tone,
    Message Words,
    Message Beside,
    string Note,
    int Shots,
    string Opens,
    IReadOnlyList<StoryDetail> Details,
    bool MayBeTakenBack,
    IReadOnlyList<string> Pictures,
    PictureOf? PicturedAs
)
{
    /// <summary>As it is shown.</summary>
    public static HappenedView Of(StoryEvent e) =>
        new(
            e.Id,
            e.At,
            e.Sign,
            e.Tone,
            e.Words,
            e.Beside,
            e.Note,
            e.Shots,
            e.Opens,
            e.Details,
            e.MayBeTakenBack,
            e.Pictures,
            e.PicturedAs
        );
}

/// <summary>How many things of a sign there are.</summary>
public sealed record SignCount(StorySign Sign, int Count);

/// <summary>A day that can be picked.</summary>
/// <param name="At">Its last moment on record.</param>
/// <param name="Well">True for a state that was marked as shot well: then to the minute.</param>
public sealed record StoryDay(DateTimeOffset At, bool Well);

/// <summary>A session in a line.</summary>
public sealed record SessionLine(
    string Opens,
    DateTimeOffset At,
    Message Words,
    Message Beside,
    Message Arrow,
    DateTimeOffset? AcceptedAt
);

/// <summary>Two dates of a bow compared.</summary>
/// <param name="Then">The first.</param>
/// <param name="Now">The second; null for this moment.</param>
/// <param name="ThenWell">True where the first is a state that shot well.</param>
/// <param name="Verdict">What it says.</param>
/// <param name="CannotTell">Why it does not say more, or nothing.</param>
/// <param name="Asks">The head of the last column: what the paper asks; nothing where it asks nothing.</param>
/// <param name="Rows">What differs and what is the same.</param>
/// <param name="WayBack">The moves that lead from now back to the first date.</param>
public sealed record TwoDatesView(
    DateTimeOffset? Then,
    DateTimeOffset? Now,
    bool ThenWell,
    Message Verdict,
    Message? CannotTell,
    Message? Asks,
    IReadOnlyList<DifferenceRow> Rows,
    IReadOnlyList<WayBackMove> WayBack
);

/// <summary>What a story answers in one view.</summary>
/// <param name="Counts">How much there is of each sign.</param>
/// <param name="Strip">Bare tears over days.</param>
/// <param name="Days">Days that can be picked, the newest first.</param>
/// <param name="Two">Two dates compared.</param>
/// <param name="Sessions">The last sessions, the newest first.</param>
/// <param name="Due">What is due, now or soon.</param>
/// <param name="Next">The one next step.</param>
public sealed record StoryAnswers(
    IReadOnlyList<SignCount> Counts,
    TearStrip Strip,
    IReadOnlyList<StoryDay> Days,
    TwoDatesView Two,
    IReadOnlyList<SessionLine> Sessions,
    IReadOnlyList<DueItem> Due,
    Next Next
);

/// <summary>A move back as it was made.</summary>
/// <param name="From">Where the adjuster was seen to stand; when it stands elsewhere by now, it is refused.</param>
public sealed record BackMove(AdjusterKind Adjuster, double From, double To);

/// <summary>Moves back to an earlier date, all of them made.</summary>
public sealed record BackInput(string? Id, DateTimeOffset? Then, IReadOnlyList<BackMove> Moves);

/// <summary>A note as it is entered.</summary>
/// <param name="By">The archer who says it; null for nobody in particular.</param>
public sealed record StoryNoteInput(string? Id, string? Text, string? By = null, DateTimeOffset? HappenedAt = null);
