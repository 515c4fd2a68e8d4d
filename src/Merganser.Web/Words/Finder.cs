using Merganser.Core.Finder;
using Merganser.Core.Units;

namespace Merganser.Web.Words;

/// <summary>What a search for arrows tells.</summary>
public static class FinderWords
{
    public static FormattableString Of(FinderMessage message) =>
        message switch
        {
            BuildsLooked(var looked, >= Million and var total) =>
                $"{Show.Number(looked / 1e6, 1)} of {Show.Number(total / 1e6, 1)} million builds",
            BuildsLooked(var looked, var total) => $"{Many(looked)} of {Many(total)} builds",
            SearchGoes(var rate, 0) => $"{Many((long)rate)} a second",
            SearchGoes(var rate, var left) =>
                $"{Many((long)rate)} a second, {Show.Number(Math.Ceiling(left), 0)} s to go",
            BuildsInside(0, _, false) => $"none fits so far",
            BuildsInside(0, _, _) => $"none fits",
            BuildsInside(var inside, 0, _) => $"{Many(inside)} to choose from",
            BuildsInside(var inside, 1, _) => $"{Many(inside)} fit",
            BuildsInside(var inside, var wanted, _) => $"{Many(inside)} fit all {Show.Number(wanted, 0)} ranges",
            BuildsDrawn(_, 0) => $"No build has a good fit: nothing is drawn.",
            BuildsDrawn(var drawn, var good) =>
                $"{Many(drawn)} of {Many(good)} with a good fit are drawn, the wanted ones more of them; the edge counts all.",
            ListMayChange(var share) =>
                $"The list may still change: {share} of the builds are to come. Nothing is bought or saved by looking.",
            BuildNamed(var shaft, var length) => $"{shaft}, {length}",
            FoundReason(var buy, null, null) => $"{Buying(buy)}.",
            FoundReason(var buy, null, var against) => $"{Buying(buy)}. {against}",
            FoundReason(var buy, { } stands, null) => $"{Buying(buy)}. {Stands(stands)}.",
            FoundReason(var buy, { } stands, var against) => $"{Buying(buy)}. {Stands(stands)}. {against}",
            FoundAgainst of => Against(of, $"Against {of.Name}: "),
            PutOnTheBench(var rank, null) => $"Put number {Show.Number(rank, 0)} on the bench.",
            PutOnTheBench(var rank, { } of) => Against(of, $"Put number {Show.Number(rank, 0)} on the bench: "),
            PutPressedOnTheBench(null) => $"Put the pressed build on the bench.",
            PutPressedOnTheBench({ } of) => Against(of, $"Put the pressed build on the bench: "),
            NearestWants(var gives) => $"For the nearest build there would have to give: {gives:semicolons}.",
            RangeGives(var figure, var to, true) => $"{figure} from {to}",
            RangeGives(var figure, var to, _) => $"{figure} up to {to}",
            BuyingGives(var kinds) => $"{kinds:kind} of parts to buy",
            NeverShown(var from, var ahead, var least) =>
                $"Lengths from {from}: at least {ahead} ahead of the rest. Never shown: under {least}, a weak shaft behind a fixed head, parts that do not go into the tube.",
            FigureNamed(var figure) => $"{figure:cap}",
            EndsBeforeItBegins(var figure) => $"{figure:cap} ends before it begins: change one of the two.",
            _ => throw new ArgumentOutOfRangeException(nameof(message), message, "No words table has it."),
        };

    public static FormattableString NameOf(FoundFigure figure) =>
        figure switch
        {
            FoundFigure.Fit => $"fit",
            FoundFigure.Weight => $"weight",
            FoundFigure.GrainsPerPound => $"weight per pull",
            FoundFigure.FrontOfCenter => $"FOC",
            FoundFigure.Speed => $"speed",
            FoundFigure.KineticEnergy => $"kinetic energy",
            FoundFigure.Momentum => $"momentum",
            FoundFigure.HonestRange => $"honest range",
            _ => $"cost of one",
        };

    public static FormattableString Of(FinderSays says) =>
        says switch
        {
            FinderSays.NothingIsBought => $"Nothing is bought or saved by looking.",
            FinderSays.NoParts => $"The catalogue has no shaft with a point, a nock and a vane that go together.",
            FinderSays.NothingOwned => $"Of your own parts no arrow can be built: say in the catalogue what you own.",
            FinderSays.WeakEndOfGood =>
                $"At the weak end of a good fit: shoot one through paper before you buy a dozen.",
            FinderSays.WaitsForAnother => $"Another search is under way: this one waits for its turn.",
            FinderSays.OncePerFigure => $"Give one range for each figure.",
            FinderSays.HonestIsNotDrawn =>
                $"The honest range is asked only of builds that are inside all else: it is no figure of the picture.",
            _ => throw new ArgumentOutOfRangeException(nameof(says), says, "No words table has it."),
        };

    private const long Million = 1_000_000;
    private const long Thousand = 1_000;

    /// <summary>A large count as it is said: 830, 41 thousand, 5.4 million.</summary>
    private static string Many(long count) =>
        count switch
        {
            >= Million => $"{Show.Number(count / 1e6, 1)} million",
            >= 10 * Thousand => $"{Show.Number(count / 1e3, 0)} thousand",
            _ => Show.Number(count, 0),
        };

    private static FormattableString Buying(int kinds) =>
        kinds == 0 ? $"Nothing to buy" : (FormattableString)$"{kinds:kind} of parts to buy";

    private static FormattableString Stands(FoundStands stands) =>
        stands switch
        {
            FoundStands.Thinnest => $"The thinnest shaft of these",
            FoundStands.HighestFrontOfCenter => $"The highest FOC of these",
            FoundStands.Fastest => $"The fastest of these",
            FoundStands.Heaviest => $"The heaviest of these",
            FoundStands.Cheapest => $"The cheapest of these",
            _ => $"The farthest honest range of these",
        };

    /// <summary>What differs, as far as it shows.</summary>
    private static FormattableString Against(FoundAgainst of, FormattableString before)
    {
        List<FormattableString> differs = [];
        if (of.Longer is { } longer && Math.Abs(longer.Value) > .01)
        {
            differs.Add(longer.Value < 0 ? $"{longer:size} shorter" : (FormattableString)$"{longer:size} longer");
        }

        if (Math.Abs(of.Grains.Value) >= .5)
        {
            differs.Add(of.Grains.Value < 0 ? $"{of.Grains:size} less" : (FormattableString)$"{of.Grains:size} more");
        }

        if (Math.Abs(of.FrontOfCenter.Value) >= .05)
        {
            differs.Add($"FOC {of.FrontOfCenter:signed}");
        }

        if (Math.Abs(of.Speed.Value) >= .5)
        {
            differs.Add(of.Speed.Value < 0 ? $"{of.Speed:size} slower" : (FormattableString)$"{of.Speed:size} faster");
        }

        return differs.Count switch
        {
            0 => $"{before}the same figures.",
            1 => $"{before}{differs[0]}.",
            2 => $"{before}{differs[0]}, {differs[1]}.",
            3 => $"{before}{differs[0]}, {differs[1]}, {differs[2]}.",
            _ => $"{before}{differs[0]}, {differs[1]}, {differs[2]}, {differs[3]}.",
        };
    }
}
