using Merganser.Core.Dozens;

namespace Merganser.Core.Workshop;

/// <summary>How one shaft of a dozen is cut.</summary>
/// <param name="Shaft">Its number.</param>
/// <param name="Arrow">The arrow that it is for; null for a spare, and before a match.</param>
/// <param name="Spare">True for one that no arrow takes: it is left whole until it is needed.</param>
/// <param name="IndexMark">The mark of its stiff side; null for one that was not found.</param>
/// <param name="OffPoint">Cut off its point end, inches.</param>
/// <param name="OffNock">Cut off its nock end, inches; above 0 only for a crooked one.</param>
/// <param name="Done">True when it is ticked as cut.</param>
public sealed record ShaftCut(
    int Shaft,
    int? Arrow,
    bool Spare,
    string? IndexMark,
    double OffPoint,
    double OffNock,
    bool Done
)
{
    /// <summary>
    /// True when its index must be carried over before the saw: the end that has it comes off, or there is none yet.
    /// </summary>
    public bool CarryIndex => OffNock > 0 || IndexMark is null;
}

/// <summary>
/// The shafts of a dozen with what is cut off each. A shaft is cut at its point end, so that the index at its nock end
/// stays; a crooked one at the end that runs out more, or half at each end where that is not known (common practice, no
/// source).
/// </summary>
/// <param name="Sold">Length as sold, inches.</param>
/// <param name="Tube">The tube's length when it is cut, inches.</param>
/// <param name="WithNock">The arrow's length, throat to the shaft's end, inches.</param>
/// <param name="Shafts">The arrows' first, in their order, then the spare ones.</param>
public sealed record CutList(double Sold, double Tube, double WithNock, IReadOnlyList<ShaftCut> Shafts)
{
    /// <summary>From this crookedness on both ends are cut, inches (common practice, no source).</summary>
    public const double Crooked = 0.004;

    /// <summary>Less than this is not shared between the ends, inches.</summary>
    public const double LeastShared = 1;

    /// <summary>What comes off a shaft, inches.</summary>
    public double Off => Math.Max(0, Sold - Tube);

    /// <summary>The list of a dozen: by its match, else by the shafts' numbers.</summary>
    public static CutList Of(Dozen dozen)
    {
        var sold = dozen.Arrow.Shaft.MaxLength;
        var off = Math.Max(0, sold - dozen.Arrow.TubeLength);
        int[] known = [.. Weighed(dozen)];
        var assigned = Assigned(dozen, known);
        var used = assigned.Select(a => a.Shaft).Concat(Retired(dozen)).ToHashSet();
        var spare = known.Where(n => !used.Contains(n) && dozen.Shaft(n) is not { Damaged: true }).Order();
        return new CutList(
            sold,
            dozen.Arrow.TubeLength,
            dozen.Arrow.CutLength,
            [
                .. assigned.Select(a => Cut(a.Shaft, a.Arrow, false, a.Done)),
                .. spare.Select(n => Cut(n, null, true, false)),
            ]
        );

        ShaftCut Cut(int shaft, int? arrow, bool left, bool done)
        {
            var found = dozen.Shaft(shaft);
            var both = off >= LeastShared && found is { Crookedness: >= Crooked };
            var nock = (both, found?.WorseEnd()) switch
            {
                (true, ShaftPlace.Nock) => off,
                (true, null) => off / 2,
                _ => 0,
            };
            return new ShaftCut(shaft, arrow, left, found?.IndexMark, off - nock, nock, done);
        }
    }

    private static IReadOnlyList<(int Shaft, int? Arrow, bool Done)> Assigned(Dozen dozen, int[] known)
    {
        if (dozen.Found is not null)
        {
            return
            [
                .. dozen.Tray.Where(a => !a.Retired).Select(a => (ShaftOf(a), (int?)a.Number, a.Has(AssemblyCode.Cut))),
            ];
        }

        IEnumerable<int> numbers = known.Length > 0 ? known : Enumerable.Range(1, dozen.Plan.Arrows);
        return
        [
            .. numbers
                .Where(n => dozen.Shaft(n) is not { Damaged: true })
                .Take(dozen.Plan.Arrows)
                .Select(n => (n, (int?)null, false)),
        ];
    }

    private static IEnumerable<int> Weighed(Dozen dozen) =>
        dozen.Classes.Where(c => c.Name == Dozen.ShaftClass).SelectMany(c => c.Pieces).Select(p => p.Number);

    private static IEnumerable<int> Retired(Dozen dozen) => dozen.Tray.Where(a => a.Retired).Select(ShaftOf);

    private static int ShaftOf(TrayArrow arrow) =>
        arrow.Pieces.TryGetValue(Dozen.ShaftClass, out var own) && own is [var one, ..] ? one : arrow.Number;
}
