using Merganser.Core.Units;

namespace Merganser.Core.Bows;

/// <summary>The hand that draws the string.</summary>
public enum Hand
{
    Right,
    Left,
}

/// <summary>What to touch first for a tear: the four schools of trade practice.</summary>
public enum School
{
    /// <summary>Rest stays at centre shot; cams, yokes, spacers or pockets do the work. The default.</summary>
    CentreFirst,

    /// <summary>Rest inside its window, then yokes, then form and a control arrow, then spacers.</summary>
    Ladder,

    /// <summary>Only the rest and the nocking point: a home bench without a press.</summary>
    RestOnly,

    /// <summary>Paper only starts it; the target at 20, 40 and 60 yd decides.</summary>
    WalkBack,
}

/// <summary>How often they shoot: a fine tune needs regular practice.</summary>
public enum Practice
{
    Rarely,
    Weekly,
    Often,
    Daily,
}

/// <summary>How much of this they have done before; advice adapts.</summary>
public enum Experience
{
    Beginner,
    Keen,
    Technician,
}

/// <summary>A tool that not every bench has: it is asked for by the first step that needs it.</summary>
public enum OwnTool
{
    Press,
    DrawBoard,
    Scale,
    Chronograph,
}

/// <summary>The person who shoots.</summary>
/// <param name="Name">As the bench calls them.</param>
/// <param name="Hand">Drawing hand.</param>
/// <param name="HasPress">True when they have the right press and the bow's manual.</param>
/// <param name="School">The school they tune by.</param>
/// <param name="Units">The units they read and type in.</param>
/// <param name="Practice">How often they shoot.</param>
/// <param name="Experience">How much they have done.</param>
/// <param name="HasDrawBoard">True when they have a draw board.</param>
/// <param name="HasScale">True when they have a grain or bow scale.</param>
/// <param name="HasChronograph">True when they have a chronograph.</param>
public sealed record Archer(
    string Name,
    Hand Hand,
    bool HasPress,
    School School,
    DisplayUnits? Units = null,
    Practice Practice = Practice.Weekly,
    Experience Experience = Experience.Keen,
    bool HasDrawBoard = false,
    bool HasScale = false,
    bool HasChronograph = false
)
{
    /// <summary>
    /// A press is only theirs to use when they have it and are no beginner: a beginner is never told to press a bow.
    /// </summary>
    public bool MayPress => HasPress && Experience != Experience.Beginner;

    /// <summary>The same archer with a tool.</summary>
    public Archer With(OwnTool tool) =>
        tool switch
        {
            OwnTool.Press => this with { HasPress = true },
            OwnTool.DrawBoard => this with { HasDrawBoard = true },
            OwnTool.Scale => this with { HasScale = true },
            _ => this with { HasChronograph = true },
        };
}
