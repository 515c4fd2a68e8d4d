using Merganser.Core.Ballistics;
using Merganser.Core.Figures;
using Merganser.Core.Messages;

namespace Merganser.Web.Ballistics;

/// <summary>An arrow to look at.</summary>
public sealed record FlownArrow(string Id, string Name, int Version, bool Chosen);

/// <summary>Where an arrow is, for the drawing.</summary>
/// <param name="Height">Above the line of sight, inches.</param>
/// <param name="Low">The same at the lower end of a speed that is not measured; null where it is.</param>
/// <param name="High">At its upper end.</param>
public sealed record PathView(double Yards, double Height, double? Low, double? High);

/// <summary>A place on the path with its words.</summary>
public sealed record PathNote(double Yards, double Height, Message Words);

/// <summary>What is struck at a distance.</summary>
/// <param name="Text">The distance in words.</param>
public sealed record StruckView(double Yards, string Text, double Above, double Below, double Ring, double Chance);

/// <summary>How far it is honest, yards, with what sets it.</summary>
public sealed record HonestView(
    double Yards,
    double Low,
    double High,
    double GroupAlone,
    double ErrorAlone,
    double Radius,
    double Error,
    Message Title,
    Message Within,
    Message Hits,
    Message? Unless
);

/// <summary>Another arrow of the bow on the same scale.</summary>
/// <param name="Drop">What it drops from a near to a far mark, inches.</param>
/// <param name="Caution">Where no range is shown for it, why.</param>
public sealed record BesideRow(
    string Id,
    string Name,
    bool Here,
    Message Grains,
    Message Speed,
    Message? Drop,
    double? ErrorAlone,
    double? GroupAlone,
    double? Yards,
    Message? Caution
);

/// <summary>A mark of the sight.</summary>
/// <param name="Inches">Its place, inches from the first of them.</param>
/// <param name="Text">On the archer's own scale, or travelled from the first.</param>
/// <param name="Plus">One standard deviation, inches.</param>
/// <param name="Gap">From the mark before it: what is set between pins.</param>
/// <param name="Own">True where the archer has a mark there.</param>
public sealed record MarkView(
    double Yards,
    Message Distance,
    double Inches,
    Message Text,
    Message Plus,
    Message? Gap,
    bool Own
);

/// <summary>A proven mark or a speed down range, against the fit.</summary>
/// <param name="Words">How it lies.</param>
public sealed record ProvenView(
    ProvenKind Kind,
    string Distance,
    double Yards,
    string Typed,
    Message? Off,
    bool Doubted,
    Message? Words
);

/// <summary>A school's weight in flight.</summary>
/// <param name="Heights">Over the line of sight, step by step from the bow (a yard, or a metre), inches.</param>
/// <param name="Honest">How far it is honest.</param>
public sealed record SchoolFlight(
    Message Name,
    Message Grains,
    Message Speed,
    Message Energy,
    Message Momentum,
    Message Drift,
    Message Honest,
    IReadOnlyList<double> Heights
);

/// <summary>Light, middle and heavy from one bow at one distance.</summary>
/// <param name="Steps">Steps of the heights to it.</param>
/// <param name="Words">From what they are told.</param>
public sealed record SchoolFlights(double At, double Steps, Message Words, IReadOnlyList<SchoolFlight> Schools);

/// <summary>What to set on a slope.</summary>
public sealed record SlopeView(
    double Slope,
    double Yards,
    Message Distance,
    Message Set,
    Message ByCosine,
    Message? High
);

/// <summary>A distance for an archer who aims over the point.</summary>
public sealed record AimView(Message Distance, Message? Crawl, Message? Gap, Message? Proven);

/// <summary>Everything about a bow's range.</summary>
/// <param name="Said">What the archer says, as typed.</param>
/// <param name="Set">What the sight is set for in the drawing, yards.</param>
/// <param name="To">How far it is drawn, yards.</param>
/// <param name="Honest">How far it is honest; null for an arrow that its bow does not stand.</param>
/// <param name="Cautions">What is to be said.</param>
/// <param name="Fitted">How the marks lie.</param>
/// <param name="HasSight">True for a bow with a sight.</param>
/// <param name="EyeToPin">As typed; empty where it is not measured.</param>
/// <param name="Click">What a click moves the pin, as typed.</param>
/// <param name="Slopes">By slope, then distance.</param>
/// <param name="Aims">For an archer without a sight.</param>
public sealed record FlightView(
    IReadOnlyList<FlownArrow> Arrows,
    string? ArrowId,
    FlightEntry Said,
    double SightHeight,
    double Set,
    double To,
    IReadOnlyList<PathView> Path,
    IReadOnlyList<PathNote> Notes,
    IReadOnlyList<StruckView> Struck,
    HonestView? Honest,
    IReadOnlyList<Figure> Figures,
    Message Spread,
    bool SpreadMeasured,
    bool GuessesTold,
    IReadOnlyList<Message> Changes,
    IReadOnlyList<BesideRow> Beside,
    IReadOnlyList<Message> Cautions,
    bool HasSight,
    bool SightMeasured,
    string EyeToPin,
    string Click,
    IReadOnlyList<MarkView> Marks,
    IReadOnlyList<ProvenView> Proven,
    Message Fitted,
    Message? PinsTooClose,
    IReadOnlyList<SlopeView> Slopes,
    Message? PointOn,
    IReadOnlyList<AimView> Aims,
    Next Next
);
