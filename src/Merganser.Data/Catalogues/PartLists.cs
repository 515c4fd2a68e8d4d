using Merganser.Core.Arrows;
using Merganser.Core.Catalogues;

namespace Merganser.Data;

/// <summary>Rows of the catalogue as lists to pick from.</summary>
internal static class PartLists
{
    /// <param name="rows">Every row; retired ones are left out.</param>
    /// <param name="wanted">Rows to hold in any case.</param>
    /// <param name="most">Rows of one class at the most.</param>
    public static Catalogue Of(IReadOnlyList<ComponentRow> rows, IReadOnlyList<ComponentRow> wanted, int most)
    {
        return new Catalogue(
            List<Shaft>(ComponentClass.Shaft),
            List<Insert>(ComponentClass.Insert),
            List<Point>(ComponentClass.Point),
            List<Nock>(ComponentClass.Nock),
            List<Vane>(ComponentClass.Vane),
            List<Wrap>(ComponentClass.Wrap),
            List<EndPart>(ComponentClass.EndPart)
        );

        Stocked<T>[] List<T>(ComponentClass kind)
            where T : class, IComponent =>
            [
                .. rows.Where(r => r.Class == kind && !r.Retired)
                    .Take(most)
                    .Concat(wanted.Where(r => r.Class == kind))
                    .DistinctBy(r => r.Id)
                    .Select(r => new Stocked<T>(r.Id, (T)r.Part, r.Retired)),
            ];
    }
}
