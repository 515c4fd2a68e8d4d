using Merganser.Core.Arrows;
using Merganser.Core.Bows;
using Merganser.Core.Groups;
using Merganser.Core.Messages;
using Merganser.Core.Paper;
using Merganser.Core.Setup;

namespace Merganser.Core.Sessions;

/// <summary>The bow of a session with its archer and its adjusters as they stand.</summary>
/// <param name="Bow">The bow.</param>
/// <param name="Archer">Who shoots it.</param>
/// <param name="Adjusters">As they stand.</param>
/// <param name="Unsound">Set while it may not be shot.</param>
public sealed record SessionBow(Bow Bow, Archer Archer, IReadOnlyList<Adjuster> Adjusters, Unsound? Unsound = null)
{
    /// <summary>When work was done on it that makes another bow of it at the paper, in order.</summary>
    public IReadOnlyList<DateTimeOffset> Worked { get; init; } = [];

    /// <summary>Its sight, or null until it was measured.</summary>
    public Sight? Sight { get; init; }

    /// <summary>Its sight, or the usual one until it was measured.</summary>
    public Sight SightUsed => Sight ?? Groups.Sight.Usual;

    /// <summary>Shots that still settle new string work before any is read.</summary>
    public int SettlingLeft { get; init; }
}

/// <summary>An arrow of a session.</summary>
/// <param name="Version">Its version's id.</param>
/// <param name="Name">As the bench calls it.</param>
/// <param name="Arrow">The build.</param>
public sealed record SessionArrow(string Version, string Name, Arrow Arrow);

/// <summary>How one stage stands; results are kept for each distance.</summary>
/// <param name="Stage">Which.</param>
/// <param name="Planned">True for one of the plan.</param>
/// <param name="InWork">True for the one that is shot now.</param>
/// <param name="Shots">Shots that count.</param>
/// <param name="Reading">The mean of its last set.</param>
/// <param name="Chance">Chance of being inside as the bow stood at its last shot.</param>
public sealed record StageState(
    PlannedStage Stage,
    bool Planned,
    bool InWork,
    int Shots,
    Message? Reading,
    double? Chance
);
