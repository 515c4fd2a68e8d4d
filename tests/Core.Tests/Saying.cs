using Merganser.Core.Bows;
using Merganser.Core.Messages;
using Merganser.Core.Units;
using Merganser.Web.Words;

namespace Merganser.Core.Tests;

/// <summary>
/// Messages as sentences, for tests that read as the trade does. The words tables know nothing but Core and are
/// compiled in from
/// <c>src/Merganser.Web/Words</c>; nothing of the web is.
/// </summary>
internal static class Saying
{
    public static string Said(this Message message, Hand hand = Hand.Right) =>
        new Speaker(DisplayUnits.Trade, hand).Say(message);
}
