using Merganser.Core.Arrows;
using Merganser.Core.Catalogues;

namespace Merganser.Core.Finder;

/// <summary>A part with what the bench has of it.</summary>
/// <param name="Id">Its id in the catalogue.</param>
/// <param name="Part">The part.</param>
/// <param name="Owned">True where some are owned.</param>
/// <param name="Price">Of one; 0 where it is not known.</param>
public sealed record FinderPart<T>(string Id, T Part, bool Owned, double Price)
    where T : class, IComponent;

/// <summary>What stands in front of a shaft.</summary>
/// <param name="Insert">Insert, or none.</param>
/// <param name="Point">Point or head.</param>
/// <param name="Over">An outsert or a collar, or none.</param>
public sealed record FrontEnd(FinderPart<Insert>? Insert, FinderPart<Point> Point, FinderPart<EndPart>? Over)
{
    /// <summary>Grains.</summary>
    public double Grains { get; } = (Insert?.Part.Weight ?? 0) + Point.Part.Weight + (Over?.Part.Weight ?? 0);

    /// <summary>Moment about the shaft's end, gr·in, ahead of it positive.</summary>
    public double Moment { get; } =
        ((Insert?.Part.Weight ?? 0) * (Insert?.Part.CentreAhead ?? 0))
        + (Point.Part.Weight * Point.Part.CentreAhead)
        + ((Over?.Part.Weight ?? 0) * (Over?.Part.CentreAhead ?? 0));

    /// <summary>Kinds of parts that are not owned.</summary>
    public int ToBuy { get; } =
        (Insert is { Owned: false } ? 1 : 0) + (Point.Owned ? 0 : 1) + (Over is { Owned: false } ? 1 : 0);

    /// <summary>Of one arrow.</summary>
    public double Cost { get; } = (Insert?.Price ?? 0) + Point.Price + (Over?.Price ?? 0);

    /// <summary>True for a head that must not stand on a weak shaft.</summary>
    public bool IsFixedHead { get; } = Point.Part.Kind == PointKind.FixedHead;

    /// <summary>How much of the tube it takes, inches.</summary>
    public double Inside { get; } = Insert?.Part.Length ?? 0;
}

/// <summary>What stands at the nock's end: the nock, three vanes, their glue.</summary>
/// <param name="Nock">Nock.</param>
/// <param name="Vane">Vane.</param>
public sealed record RearEnd(FinderPart<Nock> Nock, FinderPart<Vane> Vane)
{
    /// <summary>Vanes on an arrow (common practice, no source).</summary>
    public const int Vanes = 3;

    /// <summary>From the end of the tube to the vanes, inches, as an arrow is begun.</summary>
    private const double Gap = 1;

    private double VaneCentre => Nock.Part.TubeStart + Gap + (Vane.Part.Length / 2);

    private double VaneGrains => Vanes * (Vane.Part.Weight + Vane.Part.Glue);

    /// <summary>Grains.</summary>
    public double Grains => Nock.Part.Weight + VaneGrains;

    /// <summary>Moment about the nock's throat, gr·in.</summary>
    public double Moment => (Nock.Part.Weight * Nock.Part.Centre) + (VaneGrains * VaneCentre);

    /// <summary>From the throat to the tube, inches.</summary>
    public double TubeStart => Nock.Part.TubeStart;

    /// <summary>Kinds of parts that are not owned.</summary>
    public int ToBuy => (Nock.Owned ? 0 : 1) + (Vane.Owned ? 0 : 1);

    /// <summary>Of one arrow.</summary>
    public double Cost => Nock.Price + (Vanes * Vane.Price);
}

/// <summary>A catalogue as a search wants it: what is owned first, and what goes into which tube.</summary>
public sealed class FinderStock
{
    private readonly FinderPart<Insert>[] inserts;
    private readonly FinderPart<Point>[] points;
    private readonly FinderPart<EndPart>[] overs;
    private readonly FinderPart<Nock>[] nocks;
    private readonly FinderPart<Vane>[] vanes;

    /// <summary>
    /// Of a class so many are taken at the most, owned ones first: builds are the product of all classes.
    /// </summary>
    public const int MostOfAClass = 300;

    private readonly Dictionary<(double Tube, bool Wood), IReadOnlyList<FrontEnd>> fronts = [];
    private readonly Dictionary<double, IReadOnlyList<RearEnd>> rears = [];

    /// <param name="rows">The catalogue; retired parts are left out.</param>
    /// <param name="wish">Whose parts are looked at, and what is in front.</param>
    public FinderStock(IReadOnlyList<ComponentRow> rows, FinderWish wish)
    {
        var ownedOnly = wish.Parts == FinderParts.MineOnly;
        Shafts = Of<Shaft>();
        inserts = Of<Insert>();
        points =
        [
            .. Of<Point>()
                .Where(p =>
                    wish.Heads == FinderHeads.Both || (wish.Heads == FinderHeads.Heads) == p.Part.Kind.IsHead()
                ),
        ];
        nocks = Of<Nock>();
        vanes = Of<Vane>();
        overs = [.. Of<EndPart>().Where(p => p.Part.Kind is EndPartKind.Outsert or EndPartKind.Collar)];

        FinderPart<T>[] Of<T>()
            where T : class, IComponent =>
            [
                .. rows.Where(row => !row.Retired && row.Part is T && (!ownedOnly || row.Stock.Owned > 0))
                    .OrderByDescending(row => row.Stock.Owned > 0)
                    .Take(MostOfAClass)
                    .Select(row => new FinderPart<T>(row.Id, (T)row.Part, row.Stock.Owned > 0, row.Stock.Price ?? 0)),
            ];
    }

    /// <summary>Shafts, what is owned first.</summary>
    public IReadOnlyList<FinderPart<Shaft>> Shafts { get; }

    /// <summary>
    /// What goes in front of a shaft: points that are glued in stand alone, others on an insert or an outsert, with a
    /// collar or without; wood takes its point on itself (common practice, no source).
    /// </summary>
    public IReadOnlyList<FrontEnd> FrontsOf(Shaft shaft)
    {
        var (tube, wood) = (shaft.InnerDiameter, ShaftMaterial.IsWood(shaft));
        return fronts.TryGetValue((tube, wood), out var known) ? known : fronts[(tube, wood)] = FrontsOf(tube, wood);
    }

    /// <summary>What goes at the nock's end of a shaft.</summary>
    public IReadOnlyList<RearEnd> RearsOf(Shaft shaft) =>
        rears.TryGetValue(shaft.InnerDiameter, out var known)
            ? known
            : rears[shaft.InnerDiameter] = [
                .. from nock in nocks
                where !TubeFit.IsWrong(nock.Part.Diameter, shaft.InnerDiameter)
                from vane in vanes
                select new RearEnd(nock, vane),
            ];

    private List<FrontEnd> FrontsOf(double tube, bool wood)
    {
        List<FrontEnd> found = [];
        foreach (var point in points.Where(p => !TubeFit.IsWrong(p.Part.Diameter, tube)))
        {
            if (wood || point.Part.Kind == PointKind.GlueIn)
            {
                found.Add(new FrontEnd(null, point, null));
                continue;
            }

            foreach (var insert in inserts.Where(i => !TubeFit.IsWrong(i.Part.Diameter, tube)))
            {
                found.Add(new FrontEnd(insert, point, null));
                found.AddRange(
                    overs
                        .Where(o => o.Part.Kind == EndPartKind.Collar)
                        .Select(collar => new FrontEnd(insert, point, collar))
                );
            }

            found.AddRange(
                overs
                    .Where(o => o.Part.Kind == EndPartKind.Outsert)
                    .Select(outsert => new FrontEnd(null, point, outsert))
            );
        }

        return found;
    }
}
