using Merganser.Core.Figures;

namespace Merganser.Core.Dozens;

/// <summary>How a match is made.</summary>
/// <param name="Id">Client-made id.</param>
/// <param name="SpineSets">Shafts measured alike go together.</param>
/// <param name="Straightest">Of too many shafts the straightest are taken.</param>
/// <param name="LeaveOut">So many arrows fewer: the worst pieces stay out.</param>
/// <param name="GluedShafts">Shafts whose insert of the same number is glued in already.</param>
public sealed record MatchOptions(
    string? Id,
    bool SpineSets,
    bool Straightest,
    int LeaveOut,
    IReadOnlyList<int> GluedShafts
);

/// <summary>
/// A dozen's pieces as a problem for the <see cref="Matcher"/>, and what it finds back in the pieces' numbers.
/// </summary>
public static class DozenMatching
{
    private const string InsertClass = "Insert";
    private const string OutsertClass = "Outsert";

    /// <summary>What is glued to a shaft before a match: its insert, else the outsert in its place.</summary>
    private static string GluedClass(Dozen dozen) =>
        dozen.Classes.Any(c => c.Name == InsertClass) ? InsertClass : OutsertClass;

    /// <summary>Pairs of a match that are glued and were not said to be before.</summary>
    public static IReadOnlyList<InsertGlued> NewlyGlued(Dozen dozen, MatchOptions options) =>
        [
            .. options
                .GluedShafts.Distinct()
                .Where(n => n is >= 1 and <= DozenReading.MostPieces && dozen.Shaft(n) is not { Glued: true })
                .Select(n => new InsertGlued(n)),
        ];

    /// <summary>
    /// Finds the best assignment of what is weighed. Arrows that were begun, or locked, stay as they are and count with
    /// what they weigh; only loose pieces go into the rest.
    /// </summary>
    /// <exception cref="Figures.RefusedException">Pieces are missing, or no arrow is loose.</exception>
    public static PiecesMatched Find(Dozen dozen, MatchOptions options, CancellationToken cancel = default)
    {
        var count = Math.Max(1, dozen.Plan.Arrows - Math.Max(0, options.LeaveOut));
        var kept = dozen.Begun;
        var free = Math.Max(count, kept.LastOrDefault()) - kept.Count;
        if (free == 0)
        {
            throw new RefusedException("begun", new ArrowsBegun(kept));
        }

        int[] glued =
        [
            .. options.GluedShafts.Concat(dozen.Shafts.Where(s => s.Glued).Select(s => s.Number)).Distinct(),
        ];
        options = options with { GluedShafts = glued };
        var shafts = dozen.Classes.FirstOrDefault(c => c.Name == Dozen.ShaftClass);
        var usable = shafts is null ? [] : SoundShafts(dozen, Loose(dozen, shafts, kept), free, options);
        var inShaft = GluedClass(dozen);
        // Shafts first, then inserts: pairs that are glued are named by the first two classes.
        Usable[] classes =
        [
            .. dozen
                .Classes.Select(
                    (c, place) => new Usable(c, place, PiecesOf(Loose(dozen, c, kept), usable, inShaft, options))
                )
                .OrderByDescending(u => u.Class.Name == Dozen.ShaftClass)
                .ThenByDescending(u => u.Class.Name == inShaft),
        ];
        var problem = new MatchProblem(
            free,
            [
                .. classes.Select(u => new MatchClass(
                    u.Class.Name,
                    u.Class.PerArrow,
                    [.. u.Pieces.Select(p => MatchProblem.TenthsOf(p.Grains))]
                )),
            ],
            Glued(options, classes, inShaft),
            [.. kept.Where(n => dozen.WhyRetired(n) is null).Select(n => WeightOf(dozen, n))]
        );
        var found = TieBreak.Of(problem, Matcher.Find(problem, cancel: cancel), Effects(dozen, classes));
        var rest = new Queue<(IReadOnlyList<IReadOnlyList<int>> Pieces, int Total)>(
            found.Pieces.Select(places => Numbers(places, classes)).Zip(found.Totals)
        );
        (IReadOnlyList<IReadOnlyList<int>> Pieces, int Total)[] arrows =
        [
            .. Enumerable
                .Range(1, kept.Count + free)
                .Select(n =>
                    kept.Contains(n) ? (dozen.Found!.Pieces[n - 1], dozen.Found.Totals[n - 1]) : rest.Dequeue()
                ),
        ];
        return new PiecesMatched(
            found with
            {
                Pieces = [.. arrows.Select(a => a.Pieces)],
                Totals = [.. arrows.Select(a => a.Total)],
            },
            kept.Count == 0 ? null : kept
        );
    }

    private static PieceEffects Effects(Dozen dozen, Usable[] classes)
    {
        var masses = dozen.Arrow.Masses();
        var shafts = classes[0].Class.Name == Dozen.ShaftClass;
        return new PieceEffects(
            [.. classes.Select(u => masses.FirstOrDefault(m => m.Name == u.Class.Name)?.Position ?? 0)],
            dozen.NotWeighed,
            dozen.Rest.Sum(m => m.Grains * m.Position),
            [.. classes[0].Pieces.Select(p => shafts ? CrookednessOf(dozen, p) : 0)]
        );
    }

    private static double CrookednessOf(Dozen dozen, Piece shaft) =>
        dozen.Shaft(shaft.Number)?.Crookedness ?? SpunShaft.NotSpun;

    /// <summary>A class without the pieces of arrows that stay.</summary>
    private static PieceClass Loose(Dozen dozen, PieceClass pieces, IReadOnlyList<int> kept)
    {
        int[] used = [.. kept.SelectMany(n => dozen.PiecesOf(n, pieces.Name))];
        return pieces with { Pieces = [.. pieces.Pieces.Where(p => !used.Contains(p.Number))] };
    }

    /// <summary>
    /// What an arrow that stays weighs in its classes, tenths: as built, less what the catalogue says of the rest.
    /// </summary>
    private static int WeightOf(Dozen dozen, int number)
    {
        var arrow = dozen.Tray[number - 1];
        return MatchProblem.TenthsOf(arrow.Built is { } built ? built - dozen.NotWeighed : arrow.Total);
    }

    /// <summary>The numbers of one arrow's pieces, in the order of the plan.</summary>
    private static IReadOnlyList<IReadOnlyList<int>> Numbers(
        IReadOnlyList<IReadOnlyList<int>> places,
        IReadOnlyList<Usable> classes
    ) =>
        [
            .. classes
                .Zip(places)
                .OrderBy(p => p.First.Place)
                .Select(p => (IReadOnlyList<int>)[.. p.Second.Select(at => p.First.Pieces[at].Number)]),
        ];

    /// <summary>A shaft that is not used takes its glued insert with it.</summary>
    private static IReadOnlyList<Piece> PiecesOf(
        PieceClass pieces,
        IReadOnlyList<Piece> shafts,
        string inShaft,
        MatchOptions options
    )
    {
        bool GluedElsewhere(Piece insert) =>
            options.GluedShafts.Contains(insert.Number) && shafts.All(s => s.Number != insert.Number);
        return pieces.Name switch
        {
            Dozen.ShaftClass => shafts,
            _ when pieces.Name == inShaft => [.. pieces.Pieces.Where(p => !GluedElsewhere(p))],
            _ => pieces.Pieces,
        };
    }

    private static IReadOnlyList<Piece> SoundShafts(Dozen dozen, PieceClass shafts, int count, MatchOptions options) =>
        Chosen(dozen, [.. shafts.Pieces.Where(p => dozen.Shaft(p.Number) is not { Damaged: true })], count, options);

    private static IReadOnlyList<Piece> Chosen(Dozen dozen, Piece[] sound, int count, MatchOptions options)
    {
        var bySpine = sound.Where(p => Spine(p) is not null).OrderBy(Spine).ToArray();
        if (options.SpineSets && bySpine.Length >= count)
        {
            var from = Enumerable
                .Range(0, bySpine.Length - count + 1)
                .MinBy(i => Spine(bySpine[i + count - 1]) - Spine(bySpine[i]));
            return bySpine[from..(from + count)];
        }

        return options.Straightest && sound.Length > count
            ? [.. sound.OrderBy(p => CrookednessOf(dozen, p)).Take(count)]
            : sound;

        double? Spine(Piece piece) => dozen.Shaft(piece.Number)?.Spine;
    }

    private static (int, int)[] Glued(MatchOptions options, Usable[] classes, string inShaft) =>
        classes is [{ Class.Name: Dozen.ShaftClass } shafts, var inserts, ..] && inserts.Class.Name == inShaft
            ?
            [
                .. options
                    .GluedShafts.Select(n => (Shaft: PlaceOf(shafts, n), Insert: PlaceOf(inserts, n)))
                    .Where(g => g.Shaft >= 0 && g.Insert >= 0),
            ]
            : [];

    private static int PlaceOf(Usable pieces, int number) =>
        pieces.Pieces.Select(p => p.Number).ToList().IndexOf(number);

    /// <summary>The pieces of a class that may be assigned.</summary>
    /// <param name="Class">The class.</param>
    /// <param name="Place">Its place in the plan.</param>
    /// <param name="Pieces">Its pieces, without the damaged ones and those that were not chosen.</param>
    private sealed record Usable(PieceClass Class, int Place, IReadOnlyList<Piece> Pieces);
}
