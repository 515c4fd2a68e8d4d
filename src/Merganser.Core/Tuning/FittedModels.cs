namespace Merganser.Core.Tuning;

/// <summary>
/// Models that were fitted lately. A model takes its shots one after the other, so that a session which goes on adds
/// its shot to the model of the shots before it, and one that is only looked at again is not fitted again; what is
/// believed is the same to the last digit as from nothing.
/// </summary>
public static class FittedModels
{
    /// <summary>Stages of so many papers in work at once.</summary>
    private const int Kept = 128;

    private static readonly Lock Access = new();

    /// <summary>The one used last stands first.</summary>
    private static readonly LinkedList<Fitted> Lately = [];

    /// <summary>What is believed after these shots, in the order in which they were shot.</summary>
    /// <exception cref="ArgumentException">A setting does not name every adjuster of the prior.</exception>
    public static Belief Of(ResponsePrior prior, IReadOnlyList<Observation> shots)
    {
        var found = Take(prior, shots);
        if (found is not null && found.Shots.Length == shots.Count)
        {
            return found.Belief;
        }

        var model = found?.Model ?? new ResponseModel(prior);
        foreach (var shot in shots.Skip(model.Count))
        {
            model.Add(shot);
        }

        var fitted = new Fitted(prior, [.. shots], model, model.Read());
        lock (Access)
        {
            Lately.AddFirst(fitted);
            if (Lately.Count > Kept)
            {
                Lately.RemoveLast();
            }
        }

        return fitted.Belief;
    }

    /// <summary>
    /// The model with the most of these shots. One that has them all stays for others; one that is to go on is the
    /// caller's alone.
    /// </summary>
    private static Fitted? Take(ResponsePrior prior, IReadOnlyList<Observation> shots)
    {
        lock (Access)
        {
            LinkedListNode<Fitted>? best = null;
            for (var node = Lately.First; node is not null; node = node.Next)
            {
                if (node.Value.Shots.Length > (best?.Value.Shots.Length ?? 0) && node.Value.Begins(prior, shots))
                {
                    best = node;
                }
            }

            if (best is null)
            {
                return null;
            }

            Lately.Remove(best);
            if (best.Value.Shots.Length == shots.Count)
            {
                Lately.AddFirst(best);
            }

            return best.Value;
        }
    }

    private sealed record Fitted(ResponsePrior Prior, Observation[] Shots, ResponseModel Model, Belief Belief)
    {
        /// <summary>True when these shots begin with those of the model, under the same prior.</summary>
        public bool Begins(ResponsePrior prior, IReadOnlyList<Observation> shots) =>
            Shots.Length <= shots.Count
            && Prior with { Gains = prior.Gains } == prior
            && Prior.Gains.SequenceEqual(prior.Gains)
            && Shots.Zip(shots).All(pair => Same(pair.First, pair.Second));

        private static bool Same(Observation one, Observation other) =>
            one.X.Equals(other.X)
            && one.Y.Equals(other.Y)
            && one.Doubtful == other.Doubtful
            && one.Setting.AsSpan().SequenceEqual(other.Setting);
    }
}
