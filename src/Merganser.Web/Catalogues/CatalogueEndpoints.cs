using Merganser.Core.Arrows;
using Merganser.Core.Catalogues;
using Merganser.Core.Figures;
using Merganser.Core.Messages;
using Merganser.Data;
using Merganser.Web.Guard;

namespace Merganser.Web.Catalogues;

/// <summary>A row of the catalogue with its fields as typed texts.</summary>
public sealed record ComponentView(
    string Id,
    ComponentClass Class,
    IReadOnlyDictionary<string, string> Fields,
    bool Retired,
    int Version,
    Message? Misfit = null
)
{
    /// <param name="row">The row.</param>
    /// <param name="shaft">The shaft that it is to go into; null for none.</param>
    public static ComponentView Of(ComponentRow row, Shaft? shaft = null) =>
        new(
            row.Id,
            row.Class,
            CatalogueTable.Write(row.Part, row.Stock),
            row.Retired,
            row.Version,
            shaft is null ? null : TubeFit.Words(row.Part, shaft)
        );
}

/// <summary>A page of the catalogue.</summary>
public sealed record CataloguePage(IReadOnlyList<ComponentView> Rows, int Found, int All);

/// <summary>A part as typed.</summary>
public sealed record ComponentInput(string? Id, ComponentClass Class, IReadOnlyDictionary<string, string?> Fields);

/// <summary>Takes a part out of the lists, or puts it back.</summary>
public sealed record RetireInput(bool Retired);

/// <summary>Which column holds which field, and what stands for all rows.</summary>
public sealed record MappingInput(
    IReadOnlyDictionary<string, string> Mapping,
    IReadOnlyDictionary<string, string>? Fixed = null
);

/// <summary>The whole catalogue as JSON.</summary>
public sealed record CatalogueFile(string Format, IReadOnlyList<ComponentInput> Components);

/// <summary>How many parts were written.</summary>
public sealed record WrittenView(int Written);

public static class CatalogueEndpoints
{
    private const int LargestFile = 24 * 1024 * 1024;
    private const int MostRows = 200;
    private const string FileFormat = "merganser-catalogue-1";

    public static void MapCatalogue(this IEndpointRouteBuilder api)
    {
        api.MapGet(
            "/component-fields",
            () => Enum.GetValues<ComponentClass>().ToDictionary(FactsJson.Word, CatalogueTable.Fields)
        );
        api.MapGet(
            "/catalogue",
            (
                string kind,
                string? find,
                bool? retired,
                int? skip,
                string? sort,
                bool? down,
                string? shaft,
                ComponentStore components
            ) =>
                Page(
                    components,
                    Kind(kind),
                    find,
                    retired ?? false,
                    skip ?? 0,
                    sort,
                    down ?? false,
                    components.ShaftOf(shaft)
                )
        );
        api.MapGet("/catalogue/{id}", (string id, ComponentStore components) => ComponentView.Of(components.Get(id)));
        api.MapPost(
            "/catalogue",
            (ComponentInput input, ComponentStore components) =>
            {
                var (part, stock) = CatalogueTable.Read(input.Class, input.Fields, Stock.None);
                return ComponentView.Of(components.Add(ClientId.Checked(input.Id), part, stock));
            }
        );
        api.MapPost(
            "/catalogue/own-shaft",
            (OwnShaft input, ComponentStore components) =>
            {
                Shaft[] known = [.. components.Rows().Select(r => r.Part).OfType<Shaft>()];
                return ComponentView.Of(components.Add(ClientId.Checked(input.Id), input.Read(known), Stock.None));
            }
        );
        api.MapPut(
            "/catalogue/{id}",
            (string id, ComponentInput input, HttpRequest request, ComponentStore components) =>
            {
                var (part, stock) = CatalogueTable.Read(input.Class, input.Fields, components.Get(id).Stock);
                return ComponentView.Of(components.Change(id, request.IfMatch(), part, stock));
            }
        );
        api.MapPost(
            "/catalogue/{id}/retire",
            (string id, RetireInput input, HttpRequest request, ComponentStore components) =>
                ComponentView.Of(components.Retire(id, request.IfMatch(), input.Retired))
        );
        api.MapDelete(
                "/catalogue/{id}",
                (string id, HttpRequest request, ComponentStore components) =>
                {
                    components.Delete(id, request.IfMatch());
                    return Results.NoContent();
                }
            )
            .Produces(204);
        api.MapGet(
                "/catalogue/export.csv",
                (string kind, ComponentStore components) =>
                    Results.Text(
                        CatalogueCsv.Write(Kind(kind), components.Rows()),
                        "text/csv",
                        System.Text.Encoding.UTF8
                    )
            )
            .Produces<string>(200, "text/csv");
        api.MapGet(
            "/catalogue/export.json",
            (ComponentStore components) =>
                new CatalogueFile(
                    FileFormat,
                    [
                        .. components
                            .Rows()
                            .Select(r => new ComponentInput(
                                r.Id,
                                r.Class,
                                CatalogueTable.Write(r.Part, r.Stock).ToDictionary(f => f.Key, f => (string?)f.Value)
                            )),
                    ]
                )
        );
        api.MapPost(
                "/catalogue/import.json",
                (CatalogueFile file, ComponentStore components) => ReadFile(file, components)
            )
            .WithMetadata(new Microsoft.AspNetCore.Mvc.RequestSizeLimitAttribute(LargestFile));
        api.MapPost(
                "/imports/{id}",
                async (string id, string kind, HttpRequest request, ImportDesk imports) =>
                {
                    using var bytes = new MemoryStream();
                    await request.Body.CopyToAsync(bytes);
                    return imports.Begin(ClientId.Checked(id), Kind(kind), bytes.ToArray());
                }
            )
            .Accepts<string>("text/csv")
            .WithMetadata(new Microsoft.AspNetCore.Mvc.RequestSizeLimitAttribute(LargestFile));
        api.MapGet("/imports/{id}", (string id, ImportDesk imports) => imports.Get(id));
        api.MapPut(
            "/imports/{id}/mapping",
            (string id, MappingInput input, ImportDesk imports) =>
                imports.Map(id, new ImportMapping(input.Mapping, input.Fixed ?? new Dictionary<string, string>()))
        );
        api.MapPost("/imports/{id}/confirm", (string id, ImportDesk imports) => imports.Confirm(id));
        api.MapPost("/imports/{id}/cancel", (string id, ImportDesk imports) => imports.Cancel(id));
    }

    /// <summary>The rows of a class that hold every word looked for, as they were entered or sorted by a field.
    /// </summary>
    public static CataloguePage Page(
        ComponentStore components,
        ComponentClass kind,
        string? find,
        bool retired,
        int skip,
        string? sort = null,
        bool down = false,
        Shaft? shaft = null
    )
    {
        var words = (find ?? "")
            .ToUpperInvariant()
            .Split(' ', StringSplitOptions.RemoveEmptyEntries | StringSplitOptions.TrimEntries);
        var all = components.Rows().Where(r => r.Class == kind && (retired || !r.Retired)).ToArray();
        var found = words.Length == 0 ? all : [.. all.Where(r => Array.TrueForAll(words, r.Holds))];
        if (sort is not null)
        {
            var fields = CatalogueTable.Fields(kind);
            KnownWord.OneOf("sort", sort, [.. fields.Select(f => f.Name)]);
            found = CatalogueTable.Sorted(found, fields.Single(f => f.Name == sort), down);
        }

        return new CataloguePage(
            [.. found.Skip(Math.Max(0, skip)).Take(MostRows).Select(r => ComponentView.Of(r, shaft))],
            found.Length,
            all.Length
        );
    }

    private static WrittenView ReadFile(CatalogueFile file, ComponentStore components)
    {
        if (file.Format != FileFormat)
        {
            throw new RefusedException("format", new NoCatalogueFile(FileFormat));
        }

        if (file.Components.Count > CatalogueCsv.MostRows)
        {
            throw new RefusedException("too-many-rows", new TooManyRows(CatalogueCsv.MostRows));
        }

        List<FieldProblem> problems = [];
        List<StockedPart> parts = [];
        foreach (var (input, i) in file.Components.Select((c, i) => (c, i)))
        {
            try
            {
                var id = input.Id is { Length: > 0 and <= 80 } given
                    ? given
                    : $"{FactsJson.Word(input.Class)}-{Guid.NewGuid()}";
                var (part, stock) = CatalogueTable.Read(input.Class, input.Fields, components.StockOf(id));
                parts.Add(new StockedPart(id, part, stock));
            }
            catch (RefusedException refused)
            {
                problems.AddRange(
                    refused.Problems.Select(p => new FieldProblem($"components[{i}].{p.Field}", p.Code, p.Message))
                );
            }
        }

        return problems.Count == 0
            ? new WrittenView(components.Put(parts, default, null))
            : throw new RefusedException("components", new FieldsUnread(problems.Count), [.. problems.Take(100)]);
    }

    private static ComponentClass Kind(string word) => KnownWord.Read<ComponentClass>("kind", word);
}
