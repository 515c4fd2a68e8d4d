using System.Text.Json.Serialization;
using Merganser.Core.Bows;
using Merganser.Core.Messages;
using Merganser.Core.Units;

namespace Merganser.Core.Setup;

/// <summary>What is looked at on a bow, in no order; three are followed up elsewhere and only asked again.</summary>
public enum CheckKind
{
    Inspection,
    DrawWeight,
    AxleToAxle,
    BraceHeight,
    Tiller,
    LimbAlignment,
    CamLean,
    CamTiming,
    CentreShot,
    PlungerTension,
    Shelf,
    NockingPoint,
    NockSets,
    Loop,
    NockFit,
    RestTiming,
    Clicker,
    Peep,
    FirstAxis,
    SecondAxis,
    ThirdAxis,
    Paper,
    Spine,
    Sight,
}

/// <summary>How a reading stands: at the edge when its own error reaches across a limit.</summary>
public enum Verdict
{
    Recorded,
    Within,
    AtTheEdge,
    Beyond,
}

/// <summary>An answer that can be picked instead of a number. Its words are in the words table.</summary>
/// <param name="Check">Of which check.</param>
/// <param name="Code">Stable word.</param>
/// <param name="Verdict">How it stands.</param>
/// <param name="Press">True when what follows needs a press.</param>
public sealed record CheckChoice(
    [property: JsonIgnore] CheckKind Check,
    string Code,
    Verdict Verdict,
    bool Press = false
)
{
    /// <summary>The words on the bench.</summary>
    public Message Label => new ChoiceLabel(Check, Code);

    /// <summary>What to do then.</summary>
    public Message ToDo => new ChoiceToDo(Check, Code);
}

/// <summary>Where a tolerance comes from.</summary>
public enum ToleranceSource
{
    MakersMaximum,
    MakersFigure,
    BoltsEven,
    PositiveForFingers,
    EvenForStringWalkers,
    PointOutside,
    MakersCentreShot,
    UsualCentreShot,
    LevelToHigh,
    HighForFingers,
    SeenRound,
}

/// <summary>What a number is judged by.</summary>
/// <param name="Aim">The figure to aim for.</param>
/// <param name="Low">Lower limit.</param>
/// <param name="High">Upper limit.</param>
/// <param name="From">Where aim and limits come from.</param>
public sealed record Tolerance(double Aim, double Low, double High, [property: JsonIgnore] ToleranceSource From)
{
    /// <summary>True where only too much is wrong: the lower limit is none, and nothing lies beyond it.</summary>
    public bool AtMost => From == ToleranceSource.MakersMaximum;

    /// <summary>The same in words.</summary>
    public Message Source => new ToleranceFrom(From, Measure.Ruled(Aim), Measure.Ruled(Low), Measure.Ruled(High));
}

/// <summary>
/// One line of the set-up sheet: plain data that a person can read. Its words are in the words table.
/// </summary>
/// <param name="Kind">Which check.</param>
/// <param name="Minutes">How long it takes, about.</param>
/// <param name="Quantity">What a number measures, or null where it is picked from <paramref name="Choices"/>.</param>
/// <param name="Range">What can be read at all.</param>
/// <param name="ReadingError">The reading's own error in the trade unit.</param>
/// <param name="Suspicious">A change since last time that is asked about, trade unit; 0 asks nothing.</param>
/// <param name="Choices">Answers to pick from; with a number they stand beside it.</param>
/// <param name="Press">True when what follows a number beyond its tolerance needs a press.</param>
/// <param name="OnSheet">True for a check that stands on the sheet; the others are only asked again after a
/// change.</param>
public sealed record CheckFact(
    CheckKind Kind,
    int Minutes,
    Quantity? Quantity,
    Figures.AllowedRange Range,
    double ReadingError,
    double Suspicious,
    IReadOnlyList<CheckChoice> Choices,
    bool Press,
    bool OnSheet = true
)
{
    /// <summary>
    /// An answer with which the check is not done: a pinched nock, a turned loop, a late rest; null for any other.
    /// Damage has its own stop.
    /// </summary>
    public CheckChoice? NotYet(string? choice) =>
        Kind != CheckKind.Inspection
        && Choices.FirstOrDefault(c => c.Code == choice) is { } found
        && (found.Verdict == Verdict.Beyond || (Kind == CheckKind.Loop && found.Verdict == Verdict.AtTheEdge))
            ? found
            : null;

    /// <summary>A reading of it, to be said.</summary>
    public Measure Of(double value) =>
        Kind switch
        {
            CheckKind.DrawWeight => Measure.Pounds(value),
            CheckKind.Peep => Measure.Degrees(value),
            _ => Measure.AsRead(value),
        };

    /// <summary>A tool that the check needs and this archer may not use here, or null.</summary>
    private OwnTool? Lacks(Archer archer) =>
        Kind switch
        {
            CheckKind.CamTiming when !archer.HasDrawBoard => OwnTool.DrawBoard,
            CheckKind.DrawWeight when !archer.HasScale => OwnTool.Scale,
            CheckKind.Peep or CheckKind.CamLean when !archer.MayPress => OwnTool.Press,
            _ => null,
        };

    /// <summary>A tool that is asked for: not known to be there. A beginner presses no bow and is not asked.</summary>
    public OwnTool? Asks(Archer archer) =>
        Lacks(archer) is OwnTool.Press && archer.Experience == Experience.Beginner ? null : Lacks(archer);

    /// <summary>What this archer has bears on how the check is done.</summary>
    public Message Advice(Archer archer) =>
        Lacks(archer) switch
        {
            OwnTool.DrawBoard => SetupSays.NoDrawBoard,
            OwnTool.Scale => SetupSays.NoScale,
            OwnTool.Press => SetupSays.PressWorkToAShop,
            _ => Message.Nothing,
        };
}
