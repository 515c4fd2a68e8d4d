using System.Text.Json.Serialization;

namespace Merganser.Core.Dozens;

/// <summary>What a dozen is to be.</summary>
/// <param name="Name">As the archer calls it.</param>
/// <param name="Arrows">How many arrows, 1 to 144.</param>
/// <param name="Classes">Which classes are weighed.</param>
/// <param name="Spare">Spare pieces of each class, 0 to 24.</param>
/// <param name="VanesInSets">True when the vanes of one arrow are weighed together.</param>
/// <param name="Spares">Spare pieces by class, 0 to 24, where they differ from <paramref name="Spare"/>; null for no
/// difference.</param>
public sealed record DozenPlan(
    string Name,
    int Arrows,
    IReadOnlyList<string> Classes,
    int Spare,
    bool VanesInSets,
    [property: JsonIgnore(Condition = JsonIgnoreCondition.WhenWritingNull)]
        IReadOnlyDictionary<string, int>? Spares = null
)
{
    /// <summary>Spare pieces of a class.</summary>
    public int SpareOf(string name) => Spares is { } own && own.TryGetValue(name, out var spare) ? spare : Spare;
}

/// <summary>Something that was done for a dozen. The list of them, in order, is the dozen.</summary>
/// <param name="Id">Its id.</param>
/// <param name="Order">Its place, ascending.</param>
/// <param name="At">When it was entered.</param>
/// <param name="Act">What it was.</param>
public sealed record DozenEvent(string Id, int Order, DateTimeOffset At, DozenAct Act);

/// <summary>What can be done for a dozen.</summary>
public abstract record DozenAct;

/// <summary>A check weight lay on the scale.</summary>
/// <param name="Check">Nominal and reading, grains.</param>
/// <param name="Source">Typed or from the scale.</param>
public sealed record ScaleChecked(ScaleCheck Check, string? Source) : DozenAct;

/// <summary>The dozen got another name.</summary>
public sealed record DozenRenamed(string Name) : DozenAct;

/// <summary>The jig is set for the dozen's vanes.</summary>
/// <param name="Degrees">Its angle, to the right above 0.</param>
public sealed record JigTurned(double Degrees) : DozenAct;

/// <summary>The dozen was put away, or taken out again.</summary>
public sealed record DozenArchived(bool Archived) : DozenAct;

/// <summary>A piece was weighed; a number once more is the same piece again, and its last weight counts.</summary>
/// <param name="Class">Its class.</param>
/// <param name="Number">Its number in the class, 1 to 999.</param>
/// <param name="Grains">Its weight, to a tenth of a grain.</param>
/// <param name="Source">Typed, from the scale, or from a table.</param>
public sealed record PieceWeighed(string Class, int Number, double Grains, string Source) : DozenAct;

/// <summary>Something was found of a shaft.</summary>
/// <param name="Shaft">Its number.</param>
public abstract record ShaftAct(int Shaft) : DozenAct;

/// <summary>The dial's run-out, inches.</summary>
/// <param name="Shaft">Its number.</param>
/// <param name="Inches">Run-out.</param>
/// <param name="Place">Where along the shaft; null for the shaft as a whole.</param>
public sealed record RunOutMeasured(int Shaft, double Inches, ShaftPlace? Place = null) : ShaftAct(Shaft);

/// <summary>Where along a shaft the dial stands.</summary>
public enum ShaftPlace
{
    Nock,
    Middle,
    Point,
}

/// <summary>The run-out as the eye grades it.</summary>
public sealed record RunOutGraded(int Shaft, SpinGrade Grade) : ShaftAct(Shaft);

/// <summary>The spine, inches by the standard's span and load.</summary>
public sealed record SpineMeasured(int Shaft, double Inches) : ShaftAct(Shaft);

/// <summary>The mark of the stiff side.</summary>
public sealed record StiffSideMarked(int Shaft, string? Mark) : ShaftAct(Shaft);

/// <summary>The insert of the same number is glued in: the two are one piece from now on.</summary>
public sealed record InsertGlued(int Shaft) : ShaftAct(Shaft);

/// <summary>What looking it over found.</summary>
public sealed record ShaftInspected(int Shaft, ShaftFinding Finding) : ShaftAct(Shaft);

/// <summary>The pieces were matched; in the result they stand by their numbers.</summary>
/// <param name="Result">What was found.</param>
/// <param name="Kept">Arrows that were begun before and stand as they did; null for none.</param>
public sealed record PiecesMatched(MatchResult Result, IReadOnlyList<int>? Kept = null) : DozenAct;

/// <summary>Something was made of an arrow of the last match.</summary>
/// <param name="Arrow">Its number.</param>
public abstract record ArrowAct(int Arrow) : DozenAct;

/// <summary>A step of its assembly is done.</summary>
public sealed record StepDone(int Arrow, AssemblyCode Step) : ArrowAct(Arrow);

/// <summary>Its built weight, grains.</summary>
public sealed record ArrowWeighed(int Arrow, double Grains) : ArrowAct(Arrow);

/// <summary>Its balance point, inches from the nock's throat.</summary>
public sealed record ArrowBalanced(int Arrow, double Inches) : ArrowAct(Arrow);

/// <summary>A person's words on it.</summary>
public sealed record ArrowNoted(int Arrow, ArrowNote What, string Words) : ArrowAct(Arrow);

/// <summary>What a person's words on an arrow tell.</summary>
public enum ArrowNote
{
    /// <summary>Anything.</summary>
    Note,

    /// <summary>How its nock stands.</summary>
    Nock,

    /// <summary>What paper said of it.</summary>
    Paper,

    /// <summary>Why it is out of use; empty words bring it back.</summary>
    Retired,

    /// <summary>What was renewed: it is weighed, turned and verified again.</summary>
    Repaired,

    /// <summary>Why it is for practice only; empty words take it back into the quiver.</summary>
    Practice,

    /// <summary>It stays as it is when the rest is matched again; empty words let it go.</summary>
    Locked,
}

/// <summary>An arrow was shot through paper at one turn of its nock.</summary>
public sealed record NockShotMarked(int Arrow, NockShot Shot) : DozenAct;

/// <summary>How a shaft spins to the eye.</summary>
public enum SpinGrade
{
    Good,
    Fair,
    Poor,
}

/// <summary>What looking a shaft over can find.</summary>
public enum ShaftFinding
{
    Sound,
    CrackedOrSplintered,
    Bent,
    EndsNotSquare,
}
