namespace Merganser.Core.Dozens;

/// <summary>A weighed piece; an odd one is asked to be weighed again.</summary>
/// <param name="EntryId">The event that weighed it.</param>
/// <param name="Number">Its number in the class.</param>
/// <param name="Grains">Its weight.</param>
/// <param name="Source">Typed, from the scale, or from a table.</param>
/// <param name="Odd">It stands apart, see <see cref="Outliers"/>.</param>
/// <param name="FromMiddle">Heavier than the middle one of its class, grains; lighter is less than 0.</param>
public sealed record Piece(string EntryId, int Number, double Grains, string Source, bool Odd, double FromMiddle);

/// <summary>The pieces of one class.</summary>
/// <param name="Name">Shaft, Point, Insert …</param>
/// <param name="PerArrow">How many an arrow takes.</param>
/// <param name="Needed">For the whole dozen.</param>
/// <param name="Wanted">With the spare ones.</param>
/// <param name="Pieces">By number.</param>
public sealed record PieceClass(string Name, int PerArrow, int Needed, int Wanted, IReadOnlyList<Piece> Pieces)
{
    /// <summary>The lightest, grains, or null.</summary>
    public double? Lightest => Pieces.Count == 0 ? null : Pieces.Min(p => p.Grains);

    /// <summary>The heaviest, grains, or null.</summary>
    public double? Heaviest => Pieces.Count == 0 ? null : Pieces.Max(p => p.Grains);

    /// <summary>
    /// The middle one, grains: the median, which one wrong reading does not move (NIST/SEMATECH e-Handbook 1.3.5.1);
    /// null for none.
    /// </summary>
    public double? Middle => Pieces.Count == 0 ? null : Outliers.Median([.. Pieces.Select(p => p.Grains)]);

    /// <summary>So many are still to be weighed.</summary>
    public int Missing => Math.Max(0, Needed - Pieces.Count);

    /// <summary>A class as it was weighed.</summary>
    public static PieceClass Of(string name, int perArrow, DozenPlan plan, IReadOnlyList<DozenEvent> events)
    {
        (DozenEvent At, PieceWeighed Piece)[] pieces =
        [
            .. events
                .Select(e => (At: e, Piece: e.Act as PieceWeighed))
                .Where(e => e.Piece?.Class == name)
                .Select(e => (e.At, Piece: e.Piece!))
                .GroupBy(e => e.Piece.Number)
                .Select(g => g.Last())
                .OrderBy(e => e.Piece.Number),
        ];
        double[] grains = [.. pieces.Select(p => p.Piece.Grains)];
        var odd = Outliers.Of(grains);
        var middle = grains.Length == 0 ? 0 : Outliers.Median(grains);
        var needed = plan.Arrows * perArrow;
        return new PieceClass(
            name,
            perArrow,
            needed,
            needed + plan.SpareOf(name),
            [
                .. pieces.Select(
                    (p, i) =>
                        new Piece(
                            p.At.Id,
                            p.Piece.Number,
                            grains[i],
                            p.Piece.Source,
                            odd.Contains(i),
                            grains[i] - middle
                        )
                ),
            ]
        );
    }
}

/// <summary>What is known of a shaft.</summary>
/// <param name="Number">Its number.</param>
/// <param name="RunOut">By the dial, inches: the most of its places.</param>
/// <param name="Grade">By the eye.</param>
/// <param name="Spine">Inches, by the standard's span and load.</param>
/// <param name="IndexMark">The mark of the stiff side.</param>
/// <param name="Finding">What looking it over found last.</param>
/// <param name="GluedId">The entry that says that its insert is glued in; null for a loose one.</param>
/// <param name="Places">Run-out place by place, inches; null for a shaft that was read as a whole.</param>
public sealed record SpunShaft(
    int Number,
    double? RunOut,
    SpinGrade? Grade,
    double? Spine,
    string? IndexMark,
    ShaftFinding? Finding,
    string? GluedId = null,
    IReadOnlyDictionary<ShaftPlace, double>? Places = null
)
{
    /// <summary>True for a shaft whose insert is glued in.</summary>
    public bool Glued => GluedId is not null;

    /// <summary>
    /// Where a shaft that was not spun stands among the others, inches (trade-like guess, no source).
    /// </summary>
    public const double NotSpun = 0.003;

    /// <summary>True for a shaft that is never assigned.</summary>
    public bool Damaged => Finding is not (null or ShaftFinding.Sound);

    /// <summary>True for a shaft that is destroyed: no arrow is made of it, and one that was is never shot.</summary>
    public bool Destroyed => Finding is ShaftFinding.CrackedOrSplintered or ShaftFinding.Bent;

    /// <summary>
    /// What shafts are ordered by: the dial's run-out, else what the eye's grade stands for, inches (trade-like guess,
    /// no source).
    /// </summary>
    public double Crookedness =>
        RunOut
        ?? Grade switch
        {
            SpinGrade.Good => 0.001,
            SpinGrade.Fair => 0.004,
            SpinGrade.Poor => 0.01,
            _ => NotSpun,
        };

    /// <summary>Every shaft of which something was found, by number; what was found last counts.</summary>
    public static IReadOnlyList<SpunShaft> All(IReadOnlyList<DozenEvent> events) =>
        [
            .. events
                .Where(e => e.Act is ShaftAct)
                .GroupBy(e => ((ShaftAct)e.Act).Shaft)
                .OrderBy(g => g.Key)
                .Select(g => g.Aggregate(new SpunShaft(g.Key, null, null, null, null, null), With)),
        ];

    /// <summary>The end that runs out more; null where neither does, or the places are not known.</summary>
    public ShaftPlace? WorseEnd()
    {
        var (nock, point) = (PlaceOf(ShaftPlace.Nock), PlaceOf(ShaftPlace.Point));
        return nock is null || point is null || nock == point ? null
            : nock > point ? ShaftPlace.Nock
            : ShaftPlace.Point;
    }

    private double? PlaceOf(ShaftPlace place) =>
        Places is { } all && all.TryGetValue(place, out var inches) ? inches : null;

    private static SpunShaft At(SpunShaft shaft, ShaftPlace place, double inches)
    {
        Dictionary<ShaftPlace, double> places = new(shaft.Places ?? new Dictionary<ShaftPlace, double>())
        {
            [place] = inches,
        };
        return shaft with { RunOut = places.Values.Max(), Places = places };
    }

    private static SpunShaft With(SpunShaft shaft, DozenEvent found) =>
        found.Act switch
        {
            RunOutMeasured(_, var inches, { } place) => At(shaft, place, inches),
            RunOutMeasured(_, var inches, null) => shaft with { RunOut = inches, Places = null },
            RunOutGraded(_, var grade) => shaft with { Grade = grade },
            SpineMeasured(_, var inches) => shaft with { Spine = inches },
            StiffSideMarked(_, var mark) => shaft with { IndexMark = mark },
            ShaftInspected(_, var finding) => shaft with { Finding = finding },
            InsertGlued => shaft with { GluedId = found.Id },
            _ => shaft,
        };
}
