using Merganser.Core.Arrows;
using Merganser.Core.Finder;
using Merganser.Core.Messages;
using Merganser.Core.Spine;
using Merganser.Core.Units;

namespace Merganser.Web.Finder;

/// <summary>Puts a search together for the screen.</summary>
internal static class FinderShown
{
    /// <summary>A fit within this share of the best is near it (common practice, no source).</summary>
    private const double NearBest = 1.05;

    /// <summary>A fit nearer to weak than this is said so.</summary>
    private const double WeakEnd = SpineFit.GoodFrom * 1.015;

    public static FinderView Of(RunningSearch running, SearchState state, IReadOnlyList<FoundRow> rows)
    {
        var progress = state.Progress;
        var (looked, total) = (progress.Looked, progress.Total);
        var share = total > 0 ? (double)looked / total : 1;
        var done = state.Ended && looked >= total;
        return new FinderView(
            running.Id,
            state.Waiting ? SearchStage.Waiting
                : !state.Ended ? SearchStage.Running
                : done ? SearchStage.Done
                : SearchStage.Stopped,
            share,
            progress.Seconds,
            new BuildsLooked(looked, total),
            state.Waiting ? FinderSays.WaitsForAnother
                : state.Ended || progress.Seconds <= 0 ? Message.Nothing
                : new SearchGoes(progress.Rate, progress.Left),
            new BuildsInside(progress.Inside, running.Wish.Ranges.Count, done),
            done
                ? FinderSays.NothingIsBought
                : new ListMayChange(Measure.Percent(Math.Clamp(100 * (1 - share), 1, 99))),
            state.Ranked.Count,
            rows,
            state is { Nearest: { } nearest, Ended: true } ? NearestOf(running, nearest) : null,
            [.. state.Dots.Select(dot => Dot(running, dot))],
            [.. state.Edge.Select(dot => Dot(running, dot))],
            new BuildsDrawn(state.Dots.Count, state.Good)
        );
    }

    /// <summary>One build.</summary>
    public static FoundRow Row(RunningSearch running, FoundBuild build, int rank, FoundReason? reason)
    {
        var against = running.Present is { } present ? FoundReasons.Against(build, present) : null;
        var figures = build.Figures;
        return new FoundRow(
            build.At.ToString(),
            rank,
            new BuildNamed(build.Shaft.Part.Name, Measure.Ruled(build.CutLength)),
            build.Shaft.Owned,
            [.. PartsOf(build)],
            [
                .. Enum.GetValues<FoundFigure>()
                    .Where(f => double.IsFinite(figures[f]))
                    .Select(f => new FoundFigureView(
                        f,
                        new FigureNamed(f),
                        new Amount(FinderWish.Said(f, figures[f])),
                        new BareAmount(FinderWish.Said(f, figures[f]))
                    )),
            ],
            figures[running.Drawn.X],
            figures[running.Drawn.Y],
            reason ?? new FoundReason(build.ToBuy, null, against),
            rank > 0 ? new PutOnTheBench(rank, against) : new PutPressedOnTheBench(against),
            figures.Fit < WeakEnd ? FinderSays.WeakEndOfGood : null,
            build.Draft()
        );
    }

    private static IEnumerable<FoundPart> PartsOf(FoundBuild build)
    {
        if (build.Front.Insert is { } insert)
        {
            yield return Part(insert);
        }

        if (build.Front.Over is { } over)
        {
            yield return Part(over);
        }

        yield return Part(build.Front.Point);
        yield return Part(build.Rear.Nock);
        yield return Part(build.Rear.Vane);

        static FoundPart Part<T>(FinderPart<T> part)
            where T : class, IComponent => new(part.Part.Name, part.Owned);
    }

    private static NearestView NearestOf(RunningSearch running, FoundBuild nearest) =>
        new(
            Row(running, nearest, 0, null),
            FoundReasons.Wants(nearest, running.Wish),
            [.. FoundReasons.Widened(nearest, running.Wish).Select(FinderDesk.EntryOf)],
            running.Wish.MostToBuy is { } most ? Math.Max(most, nearest.ToBuy) : null
        );

    /// <summary>Of a cost less is better: the search lays it the other way round.</summary>
    private static FoundDotView Dot(RunningSearch running, FoundDot dot) =>
        new(
            running.Drawn.X == FoundFigure.Cost ? -dot.X : dot.X,
            running.Drawn.Y == FoundFigure.Cost ? -dot.Y : dot.Y,
            FoundBuild.FromBest(dot.Fit) <= NearBest,
            dot.Inside,
            dot.At.ToString()
        );
}
