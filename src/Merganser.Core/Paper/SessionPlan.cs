using System.Text.Json.Serialization;
using Merganser.Core.Bows;
using Merganser.Core.Figures;
using Merganser.Core.Groups;
using Merganser.Core.Messages;
using Merganser.Core.Units;

namespace Merganser.Core.Paper;

/// <summary>A session that tunes, or a trial that leaves the bow untouched.</summary>
public enum SessionKind
{
    Tune,
    Trial,
}

/// <summary>
/// A distance, and what is shot there: a paper with bare or fletched shafts, or a target with two groups.
/// </summary>
/// <param name="Distance">Bow to paper or target, yards.</param>
/// <param name="Fletched">With vanes, at the paper; at a target both are shot, and it is false.</param>
/// <param name="AtTarget">True for two groups at a target.</param>
/// <param name="Heads">True where they are broadheads and field points, false where bare and fletched shafts.</param>
/// <param name="Walk">The pins of a walk-back, shot with fletched arrows alone from its zero outwards; null for
/// another.</param>
/// <param name="Sighting">True where a pin is set by its hits, fletched arrows alone.</param>
/// <param name="Ways">Two ways of shooting that are compared, fletched arrows alone; null for another.</param>
/// <param name="RangeError">The sight is set for so many yards less and more, fletched arrows alone; null for
/// another.</param>
/// <param name="NockEnd">True where a bare shaft's nock end is read in a near target: marked as at the paper.</param>
public sealed record PlannedStage(
    double Distance,
    bool Fletched,
    [property: JsonIgnore(Condition = JsonIgnoreCondition.WhenWritingDefault)] bool AtTarget = false,
    bool Heads = false,
    WalkPins? Walk = null,
    bool Sighting = false,
    TwoWays? Ways = null,
    double? RangeError = null,
    bool NockEnd = false
)
{
    /// <summary>Bow to paper or target, yards; of a walk-back its zero.</summary>
    public double Distance { get; } =
        Allowed(AtTarget, Heads, Walk is not null, Sighting, Ways is not null, RangeError is not null, NockEnd)
            .Holds(Distance)
            ? Distance
            : throw new ArgumentOutOfRangeException(nameof(Distance));

    /// <summary>Heads are shot at a target alone.</summary>
    [JsonIgnore(Condition = JsonIgnoreCondition.WhenWritingDefault)]
    public bool Heads { get; } =
        AtTarget || !Heads ? Heads : throw new ArgumentException("Heads are shot at a target.", nameof(Heads));

    /// <summary>A walk-back is shot at a target, without heads.</summary>
    [JsonIgnore(Condition = JsonIgnoreCondition.WhenWritingDefault)]
    public WalkPins? Walk { get; } =
        Walk is null || (AtTarget && !Heads) ? Walk : throw new ArgumentException("Walked at a target.", nameof(Walk));

    /// <summary>True for two groups held against each other.</summary>
    [JsonIgnore]
    public bool Compares => AtTarget && !FletchedAlone;

    /// <summary>True for what is shot at a target with fletched arrows alone.</summary>
    [JsonIgnore]
    public bool FletchedAlone => OfSight || Ways is not null || RangeError is not null;

    /// <summary>True for what the sight answers: a walk-back, or a pin that is set.</summary>
    [JsonIgnore]
    public bool OfSight => Walk is not null || Sighting;

    /// <summary>A sight is set at a target, with neither heads nor a walk.</summary>
    [JsonIgnore(Condition = JsonIgnoreCondition.WhenWritingDefault)]
    public bool Sighting { get; } =
        !Sighting || (AtTarget && !Heads && Walk is null)
            ? Sighting
            : throw new ArgumentException("Sighted in at a target.", nameof(Sighting));

    /// <summary>Ways are compared at a target, and with nothing else.</summary>
    [JsonIgnore(Condition = JsonIgnoreCondition.WhenWritingDefault)]
    public TwoWays? Ways { get; } =
        Ways is null || (AtTarget && !Heads && Walk is null && !Sighting)
            ? Ways
            : throw new ArgumentException("Ways are compared at a target.", nameof(Ways));

    /// <summary>A range error is tried at a target, and with nothing else.</summary>
    [JsonIgnore(Condition = JsonIgnoreCondition.WhenWritingDefault)]
    public double? RangeError { get; } =
        RangeError is null || (AtTarget && !Heads && Walk is null && !Sighting && Ways is null)
            ? RangeError
            : throw new ArgumentException("Tried at a target.", nameof(RangeError));

    /// <summary>A nock end is read of a bare shaft.</summary>
    [JsonIgnore(Condition = JsonIgnoreCondition.WhenWritingDefault)]
    public bool NockEnd { get; } =
        !NockEnd || (!AtTarget && !Fletched)
            ? NockEnd
            : throw new ArgumentException("Read of a bare shaft.", nameof(NockEnd));

    /// <summary>From where it may be shot.</summary>
    public static AllowedRange Allowed(
        bool atTarget,
        bool heads = false,
        bool walk = false,
        bool sighting = false,
        bool ways = false,
        bool rangeError = false,
        bool nockEnd = false
    ) =>
        nockEnd ? Groups.NockEnd.Distances
        : rangeError ? RangeTrial.Distances
        : ways ? TwoWays.Distances
        : sighting ? WalkPlan.Distances
        : walk ? WalkPlan.Zeros
        : atTarget ? TargetScale.DistancesOf(heads)
        : SheetLimits.Distances;

    /// <summary>Its name.</summary>
    [JsonIgnore]
    public Message Name =>
        new StageName(Measure.Yards(Distance), Fletched, AtTarget, Heads, Walk, Sighting)
        {
            Ways = Ways,
            RangeError = RangeError is { } yards ? Measure.Yards(yards) : null,
            NockEnd = NockEnd,
        };
}

/// <summary>
/// What a set was shot for: the session itself, or a control that changes one thing and leaves the bow alone.
/// </summary>
public enum SetPurpose
{
    Session,
    ControlArrow,
    ChangedGrip,
    OtherArcher,
    Machine,
}

/// <summary>What a session is to be.</summary>
/// <param name="Kind">Tune or trial.</param>
/// <param name="School">The school, or null for the archer's own.</param>
/// <param name="Stages">The stages in order, one at least.</param>
/// <param name="ShotsPerDecision">Shots before a move is thought of: 1, 3, 5, or 2 for "until it is clear".</param>
/// <param name="ByMachine">Shot by a machine: form is out of it.</param>
/// <param name="DozenId">The dozen whose numbered arrows are shot, or null.</param>
/// <param name="BothAxes">True where a move for each axis may be advised for one visit to the press.</param>
/// <param name="Straight">What answers heads that land straight up, down or sideways with a clean flight.</param>
/// <param name="Order">Of a planned trial its arrows by version, in the order in which they are shot; null else.
/// </param>
public sealed record SessionPlan(
    SessionKind Kind,
    School? School,
    IReadOnlyList<PlannedStage> Stages,
    int ShotsPerDecision,
    bool ByMachine,
    string? DozenId,
    bool BothAxes = false,
    [property: JsonIgnore(Condition = JsonIgnoreCondition.WhenWritingDefault)]
        StraightMiss Straight = StraightMiss.MoveTheSight,
    [property: JsonIgnore(Condition = JsonIgnoreCondition.WhenWritingNull)] IReadOnlyList<string>? Order = null
)
{
    /// <summary>"Until it is clear": the engine asks for two and goes on asking while it has to.</summary>
    public const int UntilClear = 2;

    /// <summary>The stages that are in use (common practice, no source).</summary>
    public static IReadOnlyList<(string Code, IReadOnlyList<PlannedStage> Stages)> Usual { get; } =
    [
        ("three", [new(3, false)]),
        ("threeSix", [new(3, false), new(6, false)]),
        ("threeFifteen", [new(3, false), new(15, false), new(3, true), new(15, true)]),
        ("five", [new(5, false)]),
        ("groups", [new(20, false, true)]),
        ("nockEnd", [new(Groups.NockEnd.Usual, false, NockEnd: true)]),
        ("nockEndGroups", [new(Groups.NockEnd.Usual, false, NockEnd: true), new(20, false, true)]),
        ("threeGroups", [new(3, false), new(20, false, true)]),
        ("heads", [new(30, false, true, true)]),
        ("groupsHeads", [new(20, false, true), new(30, false, true, true)]),
        ("walk", [new(20, false, true, false, WalkPins.Own)]),
        ("walkOnePin", [new(20, false, true, false, WalkPins.One)]),
        ("sighting", [.. new[] { 20, 30, 40, 50, 60 }.Select(yards => Sighted(yards))]),
        ("ways", [new(20, false, true, Ways: new TwoWays(WayKind.Grip, "usual grip", "other grip"))]),
        ("rangeError", [new(30, false, true, RangeError: RangeTrial.Usual)]),
        ("groupsWalk", [new(20, false, true), new(20, false, true, false, WalkPins.Own)]),
    ];

    private static PlannedStage Sighted(double yards) => new(yards, false, true, Sighting: true);

    /// <summary>Shots before a decision that may be asked for.</summary>
    public static IReadOnlyList<int> Decisions { get; } = [1, UntilClear, 3, 5];

    /// <summary>Most stages of one session.</summary>
    public const int MostStages = 8;

    /// <summary>The stage after this one, or null at the end or for a stage that was not planned.</summary>
    public PlannedStage? After(PlannedStage stage)
    {
        var at = Stages.ToList().IndexOf(stage);
        return at < 0 || at + 1 >= Stages.Count ? null : Stages[at + 1];
    }
}
