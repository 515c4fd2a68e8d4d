using MathNet.Numerics.Random;
using Merganser.Core.Arrows;
using Merganser.Core.Bows;
using Merganser.Core.Catalogues;
using Merganser.Core.Finder;

namespace Merganser.Core.Tests.Finder;

/// <summary>A bow, a small catalogue and a search through it.</summary>
public abstract class FinderCatalogue
{
    protected static readonly Bow Compound = new(
        "Brindle",
        BowKind.Compound,
        Hand.Right,
        Release.ReleaseAid,
        70,
        65.5,
        29,
        33,
        6.5,
        330,
        RestType.DropAwayEarly,
        CamSystem.TwinYoke,
        CamDraw.Medium,
        0
    );

    /// <summary>Parts that differ in all that a search reads, seeded; some owned, some too wide for a tube.</summary>
    protected static List<ComponentRow> Catalogue(int seed)
    {
        var random = new MersenneTwister(seed);
        double Draw(double low, double high) => Math.Round(low + ((high - low) * random.NextDouble()), 2);
        List<ComponentRow> rows = [];
        void Add(ComponentClass of, IComponent part) =>
            rows.Add(
                new ComponentRow(
                    $"{of}-{rows.Count}",
                    of,
                    part,
                    false,
                    1,
                    new Stock(random.Next(3) == 0 ? 12 : null, Draw(1, 20))
                )
            );
        for (var i = 0; i < 3; i++)
        {
            var inner = i == 2 ? .204 : .244;
            Add(
                ComponentClass.Shaft,
                new Shaft("M", $"S{i}", .25 + (.06 * i), Draw(7.5, 11), inner + .05, Draw(29.5, 32), "Carbon", inner)
            );
            Add(ComponentClass.Nock, new Nock("M", $"N{i}", Draw(6, 12), Draw(.3, .6), Draw(.1, .4)));
            Add(ComponentClass.Vane, new Vane("M", $"V{i}", Draw(4, 9), Draw(1.5, 4), .4, Glue: Draw(0, 2)));
            Add(
                ComponentClass.Insert,
                new Insert("M", $"I{i}", Draw(10, 60), Draw(.5, 1.5), Draw(-1, 0), Diameter: i == 0 ? .2 : .244)
            );
        }

        Add(ComponentClass.Point, new Point("M", "P0", PointKind.Field, 100, .8, .3));
        Add(ComponentClass.Point, new Point("M", "P1", PointKind.FixedHead, 125, 1.2, .6, 3));
        Add(ComponentClass.Point, new Point("M", "P2", PointKind.GlueIn, 110, .9, -.2));
        Add(ComponentClass.EndPart, new EndPart("M", "O", EndPartKind.Outsert, 40, 1, -.2));
        Add(ComponentClass.EndPart, new EndPart("M", "C", EndPartKind.Collar, 12, .3, .1));
        Add(ComponentClass.EndPart, new EndPart("M", "B", EndPartKind.Bushing, 5, .3, .1));
        return rows;
    }

    protected static FinderSearch Search(List<ComponentRow> rows, FinderWish wish, Bow? bow = null)
    {
        var search = new FinderSearch(
            bow ?? Compound,
            new FinderStock(rows, wish),
            wish,
            (FoundFigure.Speed, FoundFigure.FrontOfCenter)
        );
        search.Run();
        return search;
    }
}
