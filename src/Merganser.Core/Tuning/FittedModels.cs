namespace Merganser.Core.Tuning;

/// <summary>
/// What was believed lately, so that a session which is only looked at again is not fitted again. What is believed
/// follows from prior and shots alone: the same to the last digit whether it was kept or not.
/// </summary>
public static class FittedModels
{
    /// <summary>Stages of so many papers in work at once.</summary>
    private const int Kept = 128;

    private static readonly Lock Access = new();

    /// <summary>The one used last stands first.</summary>
    private static readonly LinkedList<Fitted> Lately = [];

    /// <summary>What is believed after these shots.</summary>
    /// <exception cref="ArgumentException">A setting does not name every adjuster of the prior.</exception>
    public static Belief Of(ResponsePrior prior, IReadOnlyList<Observation> shots)
    {
        if (Find(prior, shots) is { } kept)
        {
            return kept;
        }

        var belief = ResponseModel.Of(prior, shots).Read();
        lock (Access)
        {
            Lately.AddFirst(new Fitted(prior, [.. shots], belief));
            if (Lately.Count > Kept)
            {
                Lately.RemoveLast();
            }
        }

        return belief;
    }

    private static Belief? Find(ResponsePrior prior, IReadOnlyList<Observation> shots)
    {
        lock (Access)
        {
            for (var node = Lately.First; node is not null; node = node.Next)
            {
                if (node.Value.Is(prior, shots))
                {
                    Lately.Remove(node);
                    Lately.AddFirst(node);
                    return node.Value.Belief;
                }
            }

            return null;
        }
    }

    private sealed record Fitted(ResponsePrior Prior, Observation[] Shots, Belief Belief)
    {
        /// <summary>True for the same shots under the same prior.</summary>
        public bool Is(ResponsePrior prior, IReadOnlyList<Observation> shots) =>
            Shots.Length == shots.Count
            && Prior with { Gains = prior.Gains } == prior
            && Prior.Gains.SequenceEqual(prior.Gains)
            && Shots.Zip(shots).All(pair => Same(pair.First, pair.Second));

        private static bool Same(Observation one, Observation other) =>
            one.X.Equals(other.X)
            && one.Y.Equals(other.Y)
            && one.Doubtful == other.Doubtful
            && one.DaysAgo == other.DaysAgo
            && one.ReadWithin.Equals(other.ReadWithin)
            && one.StandsAs(other);
    }
}
