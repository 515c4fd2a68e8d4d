using Merganser.Core.Bows;
using Merganser.Core.Groups;
using Merganser.Core.Messages;
using Merganser.Core.Paper;
using Merganser.Core.Tuning;

namespace Merganser.Core.Sessions;

/// <summary>A shot as it is read: what was marked, where every adjuster stood, and whether it counts.</summary>
/// <param name="Id">Its id.</param>
/// <param name="Number">Its number in its set.</param>
/// <param name="Set">The number of its set.</param>
/// <param name="Stage">The stage that it belongs to.</param>
/// <param name="Positions">Where the adjusters stood, in the bow's own steps.</param>
/// <param name="Rig">How the rest of the bow was.</param>
/// <param name="Marked">What was marked.</param>
/// <param name="At">When it was shot.</param>
/// <param name="VoidReason">Why it does not count, or null.</param>
/// <param name="Doubtful">True when the shooter doubts it.</param>
public sealed record ShotReading(
    string Id,
    int Number,
    int Set,
    Stage Stage,
    IReadOnlyDictionary<AdjusterKind, double> Positions,
    string Rig,
    ShotMarked Marked,
    DateTimeOffset At,
    string? VoidReason = null,
    bool Doubtful = false
)
{
    /// <summary>The tear as the archer sees it; of a nock end in a near target, the tear that it stands for.</summary>
    public Tear Tear => TearOf(Marked, Stage.NockEnd, Stage.Distance);

    /// <summary>The tear of a shot that was marked at a paper, or as a nock end from so many yards.</summary>
    public static Tear TearOf(ShotMarked marked, bool nockEnd, double distance) =>
        nockEnd ? NockEnd.TearOf(marked.Tear, distance)
        : marked.Said ? marked.Tear with { ReadWithin = ShooterWords.ReadWithin(marked.Tear) }
        : marked.Tear;

    /// <summary>Which arrow of the dozen, where it was said.</summary>
    public string? ArrowNumber => Marked.ArrowNumber;

    /// <summary>True unless it was voided.</summary>
    public bool Counts => VoidReason is null;

    /// <summary>Where the adjusters stood and how the rest of the bow was, as one word.</summary>
    public string Places { get; } = $"{string.Join(',', Positions.OrderBy(p => p.Key).Select(p => p.Value))}|{Rig}";

    /// <summary>Shots with the same setting are shot at one stage with the bow as it stood.</summary>
    public (Stage Stage, string Places) Setting => (Stage, Places);
}

/// <summary>A move of the bow as the session has it.</summary>
/// <param name="Id">Its id.</param>
/// <param name="AfterSet">The number of the set that it came after; 0 is before the first.</param>
/// <param name="Kind">The adjuster.</param>
/// <param name="From">From this step.</param>
/// <param name="To">To this one.</param>
/// <param name="Corrects">The entry that it corrects, or null.</param>
/// <param name="Seats">The spacers' seats after it, where they are known.</param>
/// <param name="SeatsBefore">And before it.</param>
public sealed record SessionMove(
    string Id,
    int AfterSet,
    AdjusterKind Kind,
    double From,
    double To,
    string? Corrects,
    SpacerSeats? Seats = null,
    SpacerSeats? SeatsBefore = null
);

/// <summary>A rung that was answered or a note, after a set.</summary>
public sealed record SessionNote(
    string Id,
    int AfterSet,
    RungKind? Rung,
    string? Outcome,
    string Note,
    DateTimeOffset At
);

/// <summary>One set of shots at one setting of the bow.</summary>
/// <param name="Id">Its id.</param>
/// <param name="Number">Its number, from 1.</param>
/// <param name="Begun">How it was begun.</param>
/// <param name="At">When.</param>
/// <param name="Positions">Where the adjusters stood.</param>
/// <param name="Rig">How the rest of the bow was.</param>
/// <param name="Shots">All its shots, the voided among them.</param>
public sealed record SessionSet(
    string Id,
    int Number,
    SetBegun Begun,
    DateTimeOffset At,
    IReadOnlyDictionary<AdjusterKind, double> Positions,
    string Rig,
    IReadOnlyList<ShotReading> Shots
)
{
    /// <summary>What it belongs to.</summary>
    public Stage Stage => Stage.Of(Begun.Stage, Begun.Arrow);

    /// <summary>How much higher a bare shaft strikes here for its weight alone, inches.</summary>
    public double BareHigh { get; init; }

    /// <summary>Good enough at the paper, inches; at a target what it stands for there.</summary>
    public double Tolerance { get; init; } = Tolerances.Usual;

    /// <summary>How far the heads' sight mark was moved since, as hits move here, inches.</summary>
    public Impact MarkedSince { get; init; }

    /// <summary>Where the sight stood for all arrows: walks at one place are read together.</summary>
    public string SightAt { get; init; } = "";

    /// <summary>True where something counts that was shot.</summary>
    public bool IsShot => Mean is not null || (Begun.Stage.FletchedAlone && Shots.Any(s => s.Counts));

    /// <summary>
    /// What the tuning engine reads: the shots, or at a target the pairs of them that are complete; nothing of
    /// what fletched arrows alone are shot for.
    /// </summary>
    public IReadOnlyList<ShotReading> Read =>
        Begun.Stage.Compares ? GroupPairs.Of(this)
        : Begun.Stage.AtTarget ? []
        : Shots;

    /// <summary>True for a set of the session itself.</summary>
    public bool OfSession => Begun.Purpose == SetPurpose.Session;

    /// <summary>The tears that count; at a target those that its pairs stand for.</summary>
    public IReadOnlyList<Tear> Tears => [.. Read.Where(s => s.Counts).Select(s => s.Tear)];

    /// <summary>The mean of the tears that count, or null.</summary>
    public MeanTear? Mean => mean ??= Tears is { Count: > 0 } tears ? new MeanTear(tears) : null;

    private MeanTear? mean;

    /// <summary>What it shows, or null while nothing counts.</summary>
    public Message? Reading => Groups is { } groups ? groups.Words : Mean?.Reading;

    /// <summary>The groups at a target, or null at the paper and in a walk-back.</summary>
    public GroupReading? Groups => groups ??= Begun.Stage.Compares ? new GroupReading(this) : null;

    private GroupReading? groups;
}
