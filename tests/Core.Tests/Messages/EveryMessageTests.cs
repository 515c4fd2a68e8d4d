using System.Text.RegularExpressions;
using Merganser.Core.Bows;
using Merganser.Core.Messages;
using Merganser.Core.Units;
using Merganser.Tests;
using Merganser.Web.Words;

namespace Merganser.Core.Tests.Messages;

/// <summary>
/// Every message of Core has words, in both unit systems and both hands, and they keep the rules of speech.
/// </summary>
public partial class EveryMessageTests
{
    private static readonly Speaker Metric = new(DisplayUnits.Metric, Hand.Right);

    public static TheoryData<string> Kinds => [.. Samples.Kinds.Select(k => k.Name)];

    [Theory]
    [MemberData(nameof(Kinds))]
    public void Has_words_in_the_units_of_whoever_hears_it(string kind)
    {
        foreach (var message in Samples.Of(Samples.Kinds.Single(k => k.Name == kind)))
        {
            Check(message);
        }
    }

    [Fact]
    public void What_is_said_without_a_quantity_has_words()
    {
        foreach (var message in Samples.Codes)
        {
            Check(message);
            message.Said().ShouldNotBeEmpty(message.ToString());
        }
    }

    [Fact]
    public void No_two_codes_of_a_list_say_the_same()
    {
        foreach (var list in Samples.Lists)
        {
            var said = Samples.Codes.Cast<Says>().Where(s => s.Code.GetType() == list).Select(s => s.Said()).ToArray();
            said.Distinct()
                .Count()
                .ShouldBe(
                    said.Length,
                    $"{list.Name}: {string.Join(" | ", said.GroupBy(s => s).Where(g => g.Count() > 1).Select(g => g.Key))}"
                );
        }
    }

    private static void Check(Message message)
    {
        var (trade, left, metric) = (message.Said(), message.Said(Hand.Left), Metric.Say(message));
        foreach (var said in new[] { trade, left, metric })
        {
            Slip().IsMatch(said).ShouldBeFalse($"{message} says \"{said}\"");
            UnitWords.MinusBeforeASide().IsMatch(said).ShouldBeFalse($"{message} says \"{said}\"");
            NeverSure().IsMatch(said).ShouldBeFalse($"{message} says \"{said}\"");
        }

        UnitWords.Trade().IsMatch(metric).ShouldBeFalse($"{message} says \"{metric}\" to a metric archer");
        UnitWords
            .Metric()
            .IsMatch(trade)
            .ShouldBeFalse($"{message} says \"{trade}\" to an archer with the trade's units");
    }

    [GeneratedRegex(@"  |[{}]|NaN|∞|^\s|\s$| [,;:]| \.(?!\d)|,,|\.\.|\bMerganser\.")]
    private static partial Regex Slip();

    [GeneratedRegex(@"(^|\s)(0|100) %")]
    private static partial Regex NeverSure();
}
