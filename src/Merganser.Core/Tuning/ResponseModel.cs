namespace Merganser.Core.Tuning;

/// <summary>
/// The response of one bow, learned from every shot at every setting: tear = t₀ + G u + noise on two axes, where one
/// shot in ten is a flyer. Each hypothesis (way to answer × shot spread s) is a Gaussian in θ = (t₀, log gains, cross
/// gains). What is believed follows from the shots alone, not from when they were read.
/// <para>
/// Shots tell of what was moved only (<see cref="ResponseFit"/>). What was not moved follows from that exactly, as one
/// part of a Gaussian from another, and all ways in which only what was not moved answers otherwise are fitted at once.
/// </para>
/// </summary>
public sealed class ResponseModel
{
    private readonly ResponsePrior prior;
    private readonly Unknowns unknowns;
    private readonly ResponseFit fit;
    private readonly UnmovedGains unmoved;
    private readonly Dictionary<Observation, Observation> whole;
    private readonly (SignMask Mask, Hypothesis Fitted)[] hypotheses;

    private ResponseModel(ResponsePrior prior, IReadOnlyList<Observation> shots)
    {
        this.prior = prior;
        unknowns = new Unknowns(prior, shots);
        if (shots.FirstOrDefault(s => s.Setting.Length != unknowns.Levers) is { } other)
        {
            throw new ArgumentException(
                $"A setting of {unknowns.Levers} adjusters is wanted, not of {other.Setting.Length}.",
                nameof(shots)
            );
        }

        int[] moved = [.. Enumerable.Range(0, unknowns.Levers).Where(i => shots.Any(s => s.Setting[i] != 0))];
        Observation[] seen = [.. shots.Select(s => s with { Setting = [.. moved.Select(i => s.Setting[i])] })];
        whole = new(seen.Zip(shots, KeyValuePair.Create), ReferenceEqualityComparer.Instance);
        fit = new ResponseFit(prior with { Gains = [.. moved.Select(i => prior.Gains[i])] }, seen);
        unmoved = new UnmovedGains(prior, unknowns, moved);
        hypotheses =
        [
            .. from mask in SignMask.Of(prior, moved.Contains)
            from fitted in fit.Hypotheses
            where fitted.Mask.Deaf == mask.Deaf && moved.Select(mask.Sign).SequenceEqual(fitted.Mask.Signs)
            select (mask, fitted),
        ];
    }

    /// <summary>The model after these shots.</summary>
    /// <exception cref="ArgumentException">A setting does not name every adjuster of the prior.</exception>
    public static ResponseModel Of(ResponsePrior prior, IReadOnlyList<Observation> shots) => new(prior, shots);

    /// <summary>What is believed.</summary>
    public Belief Read()
    {
        var known = fit.Hypotheses.ToDictionary(h => h, unmoved.With);
        return new(
            prior,
            unknowns,
            [
                .. hypotheses.Zip(
                    Weights(),
                    (h, weight) => known[h.Fitted].Weighed(prior, h.Mask, h.Fitted.Spread, weight)
                ),
            ]
        );
    }

    /// <summary>
    /// How likely each shot is a flyer, averaged over the hypotheses, in the order of settings and shots.
    /// </summary>
    public IReadOnlyDictionary<Observation, double> Flyers()
    {
        var flyers = new Dictionary<Observation, double>(ReferenceEqualityComparer.Instance);
        foreach (var of in hypotheses.Zip(Weights()).GroupBy(h => h.First.Fitted, h => h.Second))
        {
            foreach (var (seen, chance) in fit.Flyers(of.Key))
            {
                flyers[whole[seen]] = flyers.GetValueOrDefault(whole[seen]) + (of.Sum() * chance);
            }
        }

        return flyers;
    }

    private double[] Weights()
    {
        double[] logs = [.. hypotheses.Select(h => h.Fitted.LogEvidence + h.Mask.LogPrior - h.Fitted.Mask.LogPrior)];
        var best = logs.Max();
        double[] raw = [.. logs.Select(log => Math.Exp(log - best))];
        var sum = raw.Sum();
        return [.. raw.Select(w => w / sum)];
    }
}
