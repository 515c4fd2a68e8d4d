using Merganser.Core.Catalogues;
using Merganser.Core.Finder;
using Merganser.Core.Messages;

namespace Merganser.Web.Finder;

/// <summary>What is looked for, as typed.</summary>
/// <param name="Arrow">The arrow that builds are told against; null for the one on the bench.</param>
/// <param name="X">Drawn along.</param>
/// <param name="Y">Drawn up.</param>
public sealed record FinderInput(
    string? Arrow,
    IReadOnlyList<WantedEntry> Ranges,
    FinderParts Parts,
    int? MostToBuy,
    FinderHeads Heads,
    FoundFigure X,
    FoundFigure Y
);

/// <summary>A figure that may be wanted, with what its handles stand on.</summary>
/// <param name="Unit">Its trade unit.</param>
/// <param name="Decimals">Of its trade unit.</param>
/// <param name="Here">What the present arrow has; null without one.</param>
public sealed record FinderScaleView(
    FoundFigure Figure,
    Message Label,
    double Low,
    double High,
    double Step,
    string Unit,
    int Decimals,
    double? Here
);

/// <summary>A finder before its search.</summary>
/// <param name="ArrowName">The present arrow's name; null without one.</param>
/// <param name="Usual">What is wanted until something else is said.</param>
/// <param name="Heads">What is in front of the present arrow.</param>
/// <param name="Words">What is never shown.</param>
/// <param name="Catalogue">Changes with the catalogue.</param>
public sealed record FinderStart(
    string? ArrowId,
    string? ArrowName,
    IReadOnlyList<FinderScaleView> Scales,
    IReadOnlyList<WantedEntry> Usual,
    FinderHeads Heads,
    Message Words,
    int Owned,
    string Catalogue
);

/// <summary>A search that was begun.</summary>
/// <param name="Ranges">What is wanted, as it was read, in trade units.</param>
public sealed record FinderBegun(string Id, string Catalogue, IReadOnlyList<WantedRange> Ranges, Message? Empty);

/// <summary>A figure of a build in words.</summary>
/// <param name="Bare">Without its unit.</param>
public sealed record FoundFigureView(FoundFigure Figure, Message Label, Message Text, Message Bare);

/// <summary>A part of a build.</summary>
public sealed record FoundPart(string Name, bool Owned);

/// <summary>A build that was found.</summary>
/// <param name="At">How it is asked for again.</param>
/// <param name="Rank">Its number in the list; 0 for one that was pressed in the picture.</param>
/// <param name="Name">Its shaft and length.</param>
/// <param name="Figures">Every figure.</param>
/// <param name="X">Along the picture.</param>
/// <param name="Y">Up the picture.</param>
/// <param name="Put">What is put on the bench.</param>
/// <param name="Caution">What is to be said of it, or null.</param>
/// <param name="Draft">The build as the bench takes it.</param>
public sealed record FoundRow(
    string At,
    int Rank,
    Message Name,
    bool ShaftOwned,
    IReadOnlyList<FoundPart> Parts,
    IReadOnlyList<FoundFigureView> Figures,
    double X,
    double Y,
    Message Reason,
    Message Put,
    Message? Caution,
    ArrowDraft Draft
);

/// <summary>A build in the picture.</summary>
/// <param name="Near">True where the fit is near the best.</param>
public sealed record FoundDotView(double X, double Y, bool Near, bool Inside, string At);

/// <summary>What misses least where nothing fits.</summary>
/// <param name="Words">What would have to give.</param>
/// <param name="Ranges">What is wanted, given so far.</param>
public sealed record NearestView(FoundRow Row, Message Words, IReadOnlyList<WantedEntry> Ranges, int? MostToBuy);

/// <summary>How far a search is.</summary>
public enum SearchStage
{
    Waiting,
    Running,
    Done,
    Stopped,
}

/// <summary>A search as it stands.</summary>
/// <param name="Share">Of the builds that were looked at, 0 to 1.</param>
/// <param name="Listed">Rows in all.</param>
public sealed record FinderView(
    string Id,
    SearchStage State,
    double Share,
    double Seconds,
    Message Looked,
    Message Goes,
    Message Inside,
    Message Note,
    int Listed,
    IReadOnlyList<FoundRow> Rows,
    NearestView? Nearest,
    IReadOnlyList<FoundDotView> Dots,
    IReadOnlyList<FoundDotView> Edge,
    Message Drawn
);

/// <summary>A page of a search's rows.</summary>
/// <param name="Next">Where the next page begins; null at the end.</param>
public sealed record FoundPage(IReadOnlyList<FoundRow> Rows, int Listed, int? Next);
