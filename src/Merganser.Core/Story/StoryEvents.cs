using Merganser.Core.Arrows;
using Merganser.Core.Bows;
using Merganser.Core.Groups;
using Merganser.Core.Messages;
using Merganser.Core.Paper;
using Merganser.Core.Pictures;
using Merganser.Core.Setup;
using Merganser.Core.Units;

namespace Merganser.Core.Story;

/// <summary>What a thing in the story was: a sign, and a filter.</summary>
public enum StorySign
{
    /// <summary>Checks, changes, shots on the string, states in which it shot well.</summary>
    Setup,

    /// <summary>Moves of adjusters.</summary>
    Moves,

    /// <summary>Sets through paper.</summary>
    Paper,

    /// <summary>Groups at a target, and marks that were proven there.</summary>
    Groups,

    /// <summary>Chronograph.</summary>
    Speed,

    /// <summary>Arrows and dozens.</summary>
    Arrows,

    /// <summary>Notes.</summary>
    Notes,
}

/// <summary>How a thing stands out.</summary>
public enum StoryTone
{
    Plain,
    Due,
    Well,
}

/// <summary>One more line of a thing that was opened.</summary>
/// <param name="Name">What is told.</param>
/// <param name="Told">It.</param>
public sealed record StoryDetail(Message Name, Message Told);

/// <summary>One thing that happened to a bow.</summary>
/// <param name="Id">The entry, or the first of several.</param>
/// <param name="At">When.</param>
/// <param name="Sign">What it was.</param>
/// <param name="Words">In a line.</param>
/// <param name="Beside">What stands at the line's end.</param>
public sealed record StoryEvent(string Id, DateTimeOffset At, StorySign Sign, Message Words, Message Beside)
{
    /// <summary>How it stands out.</summary>
    public StoryTone Tone { get; init; }

    /// <summary>A person's words.</summary>
    public string Note { get; init; } = "";

    /// <summary>Where it is opened: a path below the bow; empty for nowhere.</summary>
    public string Opens { get; init; } = "";

    /// <summary>Shots on the string by then.</summary>
    public int Shots { get; init; }

    /// <summary>What is told when it is opened.</summary>
    public IReadOnlyList<StoryDetail> Details { get; init; } = [];

    /// <summary>Photographs of it, the oldest first.</summary>
    public IReadOnlyList<string> Pictures { get; init; } = [];

    /// <summary>As what a photograph of it is kept; null where it takes none.</summary>
    public PictureOf? PicturedAs { get; init; }

    /// <summary>True for a note of the story, which its writer may take back.</summary>
    public bool MayBeTakenBack { get; init; }
}

/// <summary>A finding as the story reads it.</summary>
public sealed record StoryFinding(CheckKind Kind, double? Value, string? Choice, string? SkipReason)
{
    /// <summary>In words.</summary>
    public CheckFound Told(BowKind bow) =>
        new(
            new CheckTitle(Kind, bow),
            Value is { } value ? new Amount(CheckTable.Of(Kind).Of(value))
                : Choice is { } code && CheckTable.Of(Kind).Choices.Any(c => c.Code == code)
                    ? new ChoiceLabel(Kind, code)
                : new Verbatim(SkipReason ?? ""),
            SkipReason is not null
        );
}

/// <summary>A set as the story reads it: its stage and its shots that count.</summary>
/// <param name="Id">Its id.</param>
/// <param name="Number">Its number in its session.</param>
/// <param name="PaperId">The session.</param>
/// <param name="Stage">From where, and how.</param>
/// <param name="Arrow">The arrow's name.</param>
/// <param name="Version">And its version.</param>
/// <param name="At">When it was begun.</param>
/// <param name="Marked">Shots marked, voided ones with them.</param>
/// <param name="Tears">At the paper: the shots that count.</param>
/// <param name="Hits">At a target: the hits that count, inches from the aiming point.</param>
/// <param name="Numbers">The arrows' own numbers, where they were said.</param>
public sealed record StorySet(
    string Id,
    int Number,
    string PaperId,
    PlannedStage Stage,
    string Arrow,
    int Version,
    DateTimeOffset At,
    int Marked,
    IReadOnlyList<Tear> Tears,
    IReadOnlyList<Impact> Hits,
    IReadOnlyList<string> Numbers
)
{
    /// <summary>Two signs: paper, or target.</summary>
    public StorySign Sign => Stage.AtTarget ? StorySign.Groups : StorySign.Paper;

    /// <summary>The mean tear; null without a shot.</summary>
    public MeanTear? Mean => Tears.Count > 0 ? new MeanTear(Tears) : null;

    /// <summary>The group; null for fewer than two hits, and for what is shot over several distances or ways.</summary>
    public ArrowGroup? Group =>
        Hits.Count >= 2 && Stage is { Walk: null, Ways: null, RangeError: null } ? new ArrowGroup(Hits) : null;

    /// <summary>True for bare shafts through paper: what a tear is followed by.</summary>
    public bool IsBarePaper => !Stage.AtTarget && !Stage.Fletched && !Stage.NockEnd && Tears.Count > 0;

    /// <summary>What it showed.</summary>
    public Message Showed =>
        Stage.AtTarget
            ? Group is { } group
                ? new GroupTold(
                    Measure.Inches(group.Spread),
                    new CentreAt(Measure.Inches(group.Centre.X), Measure.Inches(group.Centre.Y))
                )
                : new ShotsCounted(Hits.Count)
            : Mean?.Reading ?? StorySays.NotRead;

    private static readonly StoryDetail[] NoDetails = [];

    /// <summary>As a thing of the story.</summary>
    public StoryEvent Told =>
        new(
            Id,
            At,
            Sign,
            new SetTold(Number, Stage.Name, Stage.AtTarget && Group is null ? null : Showed),
            Math.Max(Tears.Count, Hits.Count) is var read && read == Marked
                ? new ShotsCounted(read)
                : new ShotsReadOf(read, Marked)
        )
        {
            Opens = FormattableString.Invariant($"{(Stage.AtTarget ? "groups" : "paper")}?paper={PaperId}"),
            Details =
            [
                new(StorySays.ArrowOf, new ArrowVersionOf(Arrow, Version)),
                .. Numbers.Count > 0 ? [new(StorySays.Numbers, new NumbersShot(Numbers))] : NoDetails,
                .. Mean is { } mean ? [new(StorySays.Region, new Amount(Measure.Inches(mean.Radius)))] : NoDetails,
            ],
        };
}

/// <summary>An arrow's figures as they stand in a story.</summary>
/// <param name="VersionId">The version.</param>
/// <param name="Name">The arrow's name.</param>
/// <param name="Number">The version's number.</param>
/// <param name="Arrow">The arrow.</param>
public sealed record StoryArrow(string VersionId, string Name, int Number, Arrow Arrow)
{
    /// <summary>As it was kept.</summary>
    public Message Words =>
        new ArrowKeptAs(Name, Number, Measure.Inches(Arrow.CutLength), Measure.Grains(Arrow.Point.Weight, 0));

    /// <summary>What it weighs, and how it fits a bow.</summary>
    public Message On(Bow bow)
    {
        var numbers = new ArrowNumbers(bow, Arrow);
        return new WeighsAndFits(Measure.Grains(numbers.Balance.Grains), Measure.Plain(numbers.Fit.Ratio));
    }
}
