using Merganser.Core.Bows;
using Merganser.Core.Setup;

namespace Merganser.Web.Words;

/// <summary>A string walker's marks.</summary>
internal static class CrawlWords
{
    public static FormattableString Of(SetupMessage message) =>
        message switch
        {
            CrawlMoved(var steps) =>
                $"The nocking point was moved {new Standing(AdjusterKind.NockingPoint, steps)} since: shoot this mark again.",
            CrawlAsShot(var distance) => $"As it was shot at {distance}.",
            CrawlByLine(var near, var nearCrawl, var far, var farCrawl) =>
                $"On a straight line between {nearCrawl} at {near} and {farCrawl} at {far}, common practice.",
            _ => throw new ArgumentOutOfRangeException(nameof(message), message, "No words table has it."),
        };

    public static FormattableString Of(SetupSays says) =>
        says switch
        {
            SetupSays.CrawlStands => $"It stands.",
            SetupSays.CrawlOutOfOrder => $"Not shorter than the nearer mark: shoot both again.",
            SetupSays.NoCrawlBetween =>
                $"A mark that stands is needed on each side of it: beyond them nothing is guessed.",
            SetupSays.CrawlsAreForBarebow => $"Only a barebow is shot by walking the string.",
            _ => throw new ArgumentOutOfRangeException(nameof(says), says, "No words table has it."),
        };
}
