using Merganser.Core.Messages;

namespace Merganser.Web.Trials;

/// <summary>A point that can be had on a shaft.</summary>
/// <param name="Text">Its weight in words.</param>
/// <param name="Fits">True inside the range by figures.</param>
/// <param name="Suggested">True where it is worth shooting.</param>
public sealed record TrialPointView(
    string PointId,
    int Broken,
    double Grains,
    Message Text,
    string Name,
    bool Owned,
    bool Fits,
    bool Suggested
);

/// <summary>What papers found of a point.</summary>
public sealed record TrialFoundView(double Grains, bool? NeedsNoMove);

/// <summary>A shaft with its points, by figures and by papers.</summary>
/// <param name="Words">Points by figures in words.</param>
/// <param name="ToleratedWords">Points by papers in words; null where none was shot.</param>
public sealed record TrialShaftView(
    string ArrowId,
    string Name,
    string Shaft,
    double Here,
    double? Lightest,
    double? Heaviest,
    Message Words,
    double? ToleratedFrom,
    double? ToleratedTo,
    Message? ToleratedWords,
    IReadOnlyList<TrialPointView> Points,
    IReadOnlyList<TrialFoundView> Found
);

/// <summary>An arrow of the bow that may be in a trial.</summary>
public sealed record TrialArrowView(string ArrowId, string Name, string Shaft, bool Chosen);

/// <summary>A trial before it is planned: shafts, points, what figures and papers say of them.</summary>
/// <param name="Low">Left end of the picture, grains.</param>
/// <param name="High">Right end.</param>
/// <param name="Widest">Which shaft takes the widest range; null where fewer than two can be compared.</param>
/// <param name="Why">Why that is worth having.</param>
/// <param name="Order">In which order they are shot.</param>
/// <param name="NoArrows">What to do first where no arrow is kept; null elsewhere.</param>
public sealed record TrialView(
    IReadOnlyList<TrialArrowView> Arrows,
    IReadOnlyList<TrialShaftView> Shafts,
    double Low,
    double High,
    Message? Widest,
    Message Why,
    Message Order,
    Message? NoArrows
);

/// <summary>A point on an arrow's shaft, as it is chosen.</summary>
public sealed record TrialChoice(string ArrowId, string PointId, int Broken);

/// <summary>Chosen points, as a plan.</summary>
public sealed record TrialChosen(IReadOnlyList<TrialChoice> Points);

/// <summary>A plan in the order in which it is shot.</summary>
public sealed record TrialPlanView(IReadOnlyList<Message> Steps, Message Takes);

/// <summary>A planned trial to begin.</summary>
/// <param name="Id">Client-made id: that of the paper.</param>
/// <param name="Points">Chosen points.</param>
/// <param name="Distance">To the paper, as typed.</param>
public sealed record TrialInput(string? Id, IReadOnlyList<TrialChoice> Points, string? Distance);
