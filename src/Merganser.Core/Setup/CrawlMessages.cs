using Merganser.Core.Units;

namespace Merganser.Core.Setup;

/// <summary>The nocking point was moved by so many steps since a mark was shot, + up.</summary>
public sealed record CrawlMoved(int Steps) : SetupMessage;

/// <summary>How a crawl between two marks was found: each mark's distance and crawl.</summary>
public sealed record CrawlByLine(Measure Nearer, Measure NearerCrawl, Measure Farther, Measure FartherCrawl)
    : SetupMessage;

/// <summary>A crawl is the one that was shot at this distance.</summary>
public sealed record CrawlAsShot(Measure Distance) : SetupMessage;
