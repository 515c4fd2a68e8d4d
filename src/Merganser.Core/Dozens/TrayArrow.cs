using Merganser.Core.Messages;

namespace Merganser.Core.Dozens;

/// <summary>
/// One arrow of the tray: which pieces, what it weighs, how far it is; a retired one says why and is never shot.
/// </summary>
/// <param name="Number">Its number, from 1.</param>
/// <param name="Pieces">The numbers of its pieces by class.</param>
/// <param name="Total">What its pieces weigh together, grains.</param>
/// <param name="Deviation">From the mean of the dozen, grains.</param>
/// <param name="Deviations">The same by class.</param>
/// <param name="FrontOfCenter">With its own pieces, per cent.</param>
/// <param name="State">How far its assembly is.</param>
/// <param name="Built">Its built weight, grains.</param>
/// <param name="GlueAndWrap">Built weight less everything that is known of its pieces, grains.</param>
/// <param name="Balance">Its balance point, inches from the nock's throat.</param>
/// <param name="BuiltFrontOfCenter">Front of center by that, per cent.</param>
/// <param name="NockMark">How its nock stands.</param>
/// <param name="Paper">What paper said of it.</param>
/// <param name="Note">A person's words.</param>
/// <param name="RetiredWhy">Why it is out of use; null for one in use.</param>
/// <param name="TickIds">Steps that are done, with the events that say so.</param>
/// <param name="Stays">True for one that another match leaves as it is: begun, or locked.</param>
/// <param name="Locked">True for one that was locked by hand.</param>
/// <param name="Practice">Why it is for practice only; null for one that is not.</param>
/// <param name="Repaired">What was renewed last; null for one that was not repaired.</param>
/// <param name="RetiredSince">Since when it is out of use; null for one in use.</param>
public sealed record TrayArrow(
    int Number,
    IReadOnlyDictionary<string, IReadOnlyList<int>> Pieces,
    double Total,
    double Deviation,
    IReadOnlyDictionary<string, double> Deviations,
    double FrontOfCenter,
    ArrowState State,
    double? Built,
    double? GlueAndWrap,
    double? Balance,
    double? BuiltFrontOfCenter,
    Message? NockMark,
    Message? Paper,
    string? Note,
    Message? RetiredWhy,
    IReadOnlyDictionary<string, string> TickIds,
    bool Stays,
    bool Locked,
    string? Practice,
    string? Repaired,
    DateTimeOffset? RetiredSince
)
{
    /// <summary>True for one that is never shot.</summary>
    public bool Retired => RetiredWhy is not null;

    /// <summary>True when the step is done.</summary>
    public bool Has(AssemblyCode step) => TickIds.ContainsKey(Assembly.CodeOf(step));

    /// <summary>Every arrow of a dozen's last match; none without a match.</summary>
    public static IReadOnlyList<TrayArrow> All(Dozen dozen)
    {
        if (dozen.Found is not { } found)
        {
            return [];
        }

        var weighed = Weighed.Of(dozen, found);
        return [.. Enumerable.Range(1, found.Pieces.Count).Select(number => Of(dozen, found, weighed, number))];
    }

    private static TrayArrow Of(Dozen dozen, MatchResult found, Weighed weighed, int number)
    {
        var i = number - 1;
        var names = dozen.Classes.Select(c => c.Name).ToArray();
        var repair = dozen.RepairOf(number);
        var acts = dozen
            .SinceBuilt(number)
            .Where(e => e.Order > repair)
            .Select(e => e.Act)
            .OfType<ArrowAct>()
            .Where(a => a.Arrow == number)
            .ToArray();
        var ticks = Ticks(dozen, number, repair);
        var built = acts.OfType<ArrowWeighed>().LastOrDefault()?.Grains;
        var balance = acts.OfType<ArrowBalanced>().LastOrDefault()?.Inches;
        var total = found.Totals[i] / 10.0;
        return new TrayArrow(
            number,
            names.Zip(found.Pieces[i]).ToDictionary(p => p.First, p => p.Second),
            total,
            total - (found.Totals.Average() / 10),
            names.Zip(weighed.Own[i].Zip(weighed.Means, (own, mean) => own - mean)).ToDictionary(),
            weighed.FrontsOfCenter[i],
            Assembly.StateOf(ticks.Keys),
            built,
            built - total - weighed.Rest,
            balance,
            balance is { } at ? 100 * ((at / dozen.Arrow.CutLength) - 0.5) : null,
            Own(dozen.NoteOf(number, ArrowNote.Nock)) ?? NockRound.MarkOf(dozen, number),
            Own(dozen.NoteOf(number, ArrowNote.Paper)) ?? NockRound.PaperOf(dozen, number),
            dozen.NoteOf(number, ArrowNote.Note),
            dozen.WhyRetired(number),
            ticks.ToDictionary(t => Assembly.CodeOf(t.Key), t => t.Value),
            dozen.IsBegun(number),
            dozen.NoteOf(number, ArrowNote.Locked) is not null,
            dozen.NoteOf(number, ArrowNote.Practice),
            dozen.NoteOf(number, ArrowNote.Repaired),
            dozen.RetiredSince(number)
        );
    }

    private static Dictionary<AssemblyCode, string> Ticks(Dozen dozen, int number, int repair)
    {
        Dictionary<AssemblyCode, string> ticks = [];
        var again = Assembly.AfterRepair;
        foreach (var done in dozen.SinceBuilt(number))
        {
            if (
                done.Act is StepDone tick
                && tick.Arrow == number
                && (done.Order > repair || !again.Contains(tick.Step))
            )
            {
                ticks[tick.Step] = done.Id;
            }
        }

        return ticks;
    }

    private static Verbatim? Own(string? note) => note is null ? null : new Verbatim(note);

    /// <summary>What the pieces of each arrow weigh.</summary>
    /// <param name="Own">By arrow, then class, grains.</param>
    /// <param name="Means">By class.</param>
    /// <param name="FrontsOfCenter">By arrow, per cent.</param>
    /// <param name="Rest">What an arrow has besides, by the catalogue, without glue.</param>
    private sealed record Weighed(
        IReadOnlyList<double[]> Own,
        IReadOnlyList<double> Means,
        IReadOnlyList<double> FrontsOfCenter,
        double Rest
    )
    {
        public static Weighed Of(Dozen dozen, MatchResult found)
        {
            var names = dozen.Classes.Select(c => c.Name).ToArray();
            var weights = dozen.Classes.Select(c => c.Pieces.ToDictionary(p => p.Number, p => p.Grains)).ToArray();
            double[][] own =
            [
                .. found.Pieces.Select(arrow =>
                    arrow.Select((numbers, c) => numbers.Sum(n => weights[c].GetValueOrDefault(n))).ToArray()
                ),
            ];
            return new Weighed(
                own,
                [.. names.Select((_, c) => own.Average(a => a[c]))],
                Worth.FrontsOfCenter(dozen.Arrow, [.. own.Select(a => names.Zip(a).ToDictionary())]),
                dozen.NotWeighed - dozen.Arrow.Glue
            );
        }
    }
}
