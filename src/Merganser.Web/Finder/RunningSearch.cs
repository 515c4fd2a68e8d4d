using Merganser.Core.Finder;

namespace Merganser.Web.Finder;

/// <summary>What a search had found at a moment.</summary>
internal sealed record SearchState(
    bool Waiting,
    bool Ended,
    FinderProgress Progress,
    long Good,
    IReadOnlyList<FoundBuild> Ranked,
    FoundBuild? Nearest,
    IReadOnlyList<FoundDot> Dots,
    IReadOnlyList<FoundDot> Edge
);

/// <summary>A search on a thread of its own; what it found so far is told whole, from moment to moment.</summary>
internal sealed class RunningSearch(
    string id,
    string bowId,
    FinderSearch search,
    FinderWish wish,
    (FoundFigure X, FoundFigure Y) drawn,
    PresentArrow? present
)
{
    private readonly CancellationTokenSource stop = new();
    private readonly Lock gate = new();
    private readonly TaskCompletionSource over = new(TaskCreationOptions.RunContinuationsAsynchronously);
    private SearchState? state;
    private TaskCompletionSource moved = new(TaskCreationOptions.RunContinuationsAsynchronously);

    public string Id => id;

    public string BowId => bowId;

    public FinderWish Wish => wish;

    public (FoundFigure X, FoundFigure Y) Drawn => drawn;

    public PresentArrow? Present => present;

    /// <summary>Ends with the search.</summary>
    public Task Over => over.Task;

    /// <summary>What stands before its first look.</summary>
    public SearchState Begun { get; } =
        new(false, false, new FinderProgress(0, search.Total, 0, 0), 0, [], null, [], []);

    /// <summary>What stands now.</summary>
    public SearchState State => state ?? Begun;

    /// <summary>Looks, when its turn has come; one search at a time leaves a processor to everything else.</summary>
    public void Begin(SemaphoreSlim turn) =>
        _ = Task.Factory.StartNew(
            () =>
            {
                try
                {
                    if (!turn.Wait(0))
                    {
                        Tell(State with { Waiting = true });
                        turn.Wait(stop.Token);
                    }
                }
                catch (OperationCanceledException)
                {
                    Tell(State with { Waiting = false, Ended = true });
                    return;
                }

                try
                {
                    search.Run(progress => Tell(Now(progress, ended: false)), stop.Token);
                    Tell(Now(State.Progress, ended: true));
                }
                finally
                {
                    turn.Release();
                }
            },
            CancellationToken.None,
            TaskCreationOptions.LongRunning,
            TaskScheduler.Default
        );

    /// <summary>Ends it; what was found stays.</summary>
    public void Stop() => stop.Cancel();

    /// <summary>Waits until something else stands than what was told.</summary>
    public async Task<SearchState> After(SearchState? told, CancellationToken cancel)
    {
        while (true)
        {
            Task next;
            lock (gate)
            {
                if (!ReferenceEquals(State, told))
                {
                    return State;
                }

                next = moved.Task;
            }

            await next.WaitAsync(cancel);
        }
    }

    /// <summary>A build of this search, while it runs as well.</summary>
    /// <exception cref="Data.MissingException">There is none.</exception>
    public FoundBuild Build(string at)
    {
        try
        {
            return FoundAt.Read(at) is { } place ? search.At(place) : throw new Data.MissingException("build");
        }
        catch (ArgumentOutOfRangeException)
        {
            throw new Data.MissingException("build");
        }
    }

    private SearchState Now(FinderProgress progress, bool ended) =>
        new(false, ended, progress, search.Good, search.Ranked, search.Nearest, search.Dots, [.. search.Edge.Stair]);

    private void Tell(SearchState now)
    {
        lock (gate)
        {
            state = now;
            moved.SetResult();
            if (now.Ended)
            {
                over.TrySetResult();
            }

            moved = new TaskCompletionSource(TaskCreationOptions.RunContinuationsAsynchronously);
        }
    }
}
