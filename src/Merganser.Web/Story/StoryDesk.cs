using Merganser.Core.Bows;
using Merganser.Core.Setup;
using Merganser.Core.Story;
using Merganser.Data;
using Merganser.Web.Setup;
using Merganser.Web.Words;

namespace Merganser.Web.Story;

/// <summary>Puts a bow's story together: its pages, and what it answers.</summary>
public sealed class StoryDesk(StoryStore stories, SetupStore setups, SetupDesk setupDesk, Listener listener)
{
    private const int OnAPage = 30;

    /// <summary>Things looked through for some words, before the rest is asked for.</summary>
    private const int LookedThrough = 3000;
    private const char Between = '~';

    /// <summary>A page, of some signs or all.</summary>
    /// <param name="bowId">The bow.</param>
    /// <param name="signs">What alone is told.</param>
    /// <param name="find">Words, numbers or names that alone are told; empty for all.</param>
    /// <param name="before">Where the page after this one ended.</param>
    public StoryPageView Page(string bowId, IReadOnlyList<StorySign> signs, string find, string? before)
    {
        var place = PlaceOf(before);
        if (find.Length == 0)
        {
            var page = stories.Page(bowId, signs, place, OnAPage);
            return new StoryPageView([.. page.Events.Select(HappenedView.Of)], page.More ? Written(page.Last!) : null);
        }

        var speaker = listener.Of(bowId);
        List<StoryEvent> hits = [];
        for (var looked = 0; ; looked += LookedThrough / 10)
        {
            var page = stories.Page(bowId, signs, place, LookedThrough / 10);
            hits.AddRange(page.Events.Where(e => Holds(e, find, speaker)));
            place = page.Last ?? place;
            if (!page.More || hits.Count >= OnAPage || looked >= LookedThrough)
            {
                return new StoryPageView([.. hits.Select(HappenedView.Of)], page.More ? Written(page.Last!) : null);
            }
        }
    }

    /// <summary>What the story answers.</summary>
    /// <param name="bowId">The bow.</param>
    /// <param name="then">The first date; null for the last state that shot well.</param>
    /// <param name="now">The second; null for now.</param>
    public StoryAnswers Answers(string bowId, DateTimeOffset? then, DateTimeOffset? now)
    {
        var whole = stories.Whole(bowId);
        var rows = setups.Of(bowId);
        var good = rows.GoodStates;
        var from = then ?? good.FirstOrDefault()?.MarkedAt ?? whole.Days.LastOrDefault();
        var (bow, plan, before, after) = stories.Two(bowId, from, now);
        var two = new TwoDates(bow.Bow, plan, before, after);
        var cannotTell = two.CannotTell([.. whole.BareSets.Select(s => s.At)]);
        var wayBack = StateDiff.WayBack(bow.Adjusters, Then(bow, before));
        return new StoryAnswers(
            [
                .. Enum.GetValues<StorySign>()
                    .Select(s => new SignCount(s, whole.Counts.GetValueOrDefault(FactsJson.Word(s)))),
            ],
            whole.Strip,
            [
                .. good.Select(g => new StoryDay(g.MarkedAt, true))
                    .Concat(whole.Days.Where(d => good.All(g => g.MarkedAt != d)).Select(d => new StoryDay(d, false)))
                    .OrderByDescending(d => d.At),
            ],
            new TwoDatesView(
                whole.Days.Count > 0 ? from : null,
                now,
                good.Any(g => g.MarkedAt == from),
                two.Verdict,
                cannotTell ? StorySays.CannotTell : null,
                two.Side is { } side ? new AsksOf(side) : null,
                two.Rows,
                wayBack
            ),
            [.. whole.Sessions.Select(Line)],
            setupDesk.Due(bow, rows),
            Unsound.Guard(bow.Unsound, StoryNext.Of(whole.Days.Count, good.Count > 0, two, cannotTell, wayBack.Count))
        );
    }

    private static IReadOnlyList<Adjuster> Then(BowRow bow, StateThen before) =>
        [
            .. from adjuster in bow.Adjusters
            where before.Positions.ContainsKey(adjuster.Kind)
            select adjuster with
            {
                Position = before.Positions[adjuster.Kind].Position,
            },
        ];

    private static SessionLine Line(StorySession session)
    {
        var (first, last) = (session.Sets[0], session.Sets[^1]);
        return new SessionLine(
            last.Told.Opens,
            first.At,
            new SessionTold(last.Stage.Name, first.Showed, session.Sets.Count > 1 ? last.Showed : null),
            new SetsShotsMoves(session.Sets.Count, session.Sets.Sum(s => s.Marked), session.Moves),
            new ArrowVersionOf(last.Arrow, last.Version),
            session.AcceptedAt
        );
    }

    private static bool Holds(StoryEvent happened, string find, Speaker speaker) =>
        new[] { happened.Words, happened.Beside }
            .Concat(happened.Details.SelectMany(d => new[] { d.Name, d.Told }))
            .Select(speaker.Say)
            .Append(happened.Note)
            .Append(speaker.Say($"{happened.At:d MMMM yyyy}"))
            .Any(text => text.Contains(find, StringComparison.OrdinalIgnoreCase));

    private static string Written(StoryPlace place) => $"{place.At}{Between}{place.Id}";

    private static StoryPlace? PlaceOf(string? written) =>
        written?.Split(Between, 2) is [var at, var id] ? new StoryPlace(at, id) : null;
}
