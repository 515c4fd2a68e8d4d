using System.Globalization;
using System.Text;
using Merganser.Core.Bows;
using Merganser.Core.Dozens;
using Merganser.Core.Figures;
using Merganser.Core.Speed;
using Merganser.Core.Units;
using Merganser.Data;
using Merganser.Web.Catalogues;
using Merganser.Web.Guard;
using Merganser.Web.Printing;

namespace Merganser.Web.Dozens;

/// <summary>A dozen to start.</summary>
public sealed record DozenInput(string? Id, string ArrowVersionId, string? Name, int Arrows, IReadOnlyList<string> Classes, int Spare, bool VanesInSets);

/// <summary>An entry as sent: what was weighed, spun, ticked or found. A piece without a number gets the first that is free.</summary>
public sealed record EntryInput(string? Id, string Kind, string? Class = null, int? Number = null, string? Value = null, string? Second = null, string? Word = null, string? Note = null);

/// <summary>Weights of one class as text, one a line.</summary>
public sealed record WeightsInput(string? Id, string Class, string Text);

/// <summary>A chronograph reading as typed.</summary>
public sealed record SpeedInput(string? Id, string? Grains, string? Speed, string Source);

/// <summary>Readings of one arrow weight.</summary>
public sealed record SpeedString(double Grains, int Count, double Mean, double? Spread, double Energy, double Momentum, IReadOnlyList<ChronographRow> Shots, IReadOnlyList<string> Odd);

/// <summary>What the chronograph taught of this bow.</summary>
public sealed record ChronographView(IReadOnlyList<SpeedString> Strings, double? VirtualMass, double? VirtualMassError, double? Energy, double? EnergyError, string Words);

public static class DozenEndpoints
{
    private const int LongestText = 120;
    private const int MostLines = 1000;
    private const int MostPieces = 999;
    private static readonly string[] Kinds = ["check", "piece", "spin", "tick", "made"];
    private static readonly AllowedRange Grains = new(0.1, 1500, "gr", "a piece of an arrow");
    private static readonly AllowedRange RunOut = new(0, 0.25, "in", "a quarter inch of run-out is a bent shaft");
    private static readonly AllowedRange Spine = new(0.1, 2, "in", "a spine on 28 in under 1.94 lb");
    private static readonly AllowedRange Balance = new(5, 36, "in", "from the nock throat");
    private static readonly AllowedRange Arrow = new(100, 1500, "gr", "an arrow that a bow can stand");
    private static readonly AllowedRange Speed = new(50, 500, "ft/s", "what an arrow flies");

    public static void MapDozens(this IEndpointRouteBuilder api)
    {
        api.MapGet("/bows/{bowId}/dozens", (string bowId, DozenStore dozens, DozenDesk desk, Database database) =>
            database.Unreadable.Each("dozen", dozens.Of(bowId), row => row.Id, desk.View));
        api.MapPost("/bows/{bowId}/dozens", (string bowId, DozenInput input, DozenStore dozens, ArrowStore arrows, DozenDesk desk) => desk.View(dozens.Start(ClientId.Checked(input.Id), bowId, input.ArrowVersionId, Plan(input, arrows))));
        api.MapGet("/dozens/{id}", (string id, DozenDesk desk) => desk.View(id));
        api.MapPost("/dozens/{id}/entries", (string id, EntryInput input, DozenStore dozens, DozenDesk desk) =>
        {
            var act = ClientId.Checked(input.Id);
            return desk.View(dozens.Add(id, act, row => [(act, Read(input, row))]));
        });
        api.MapPost("/dozens/{id}/weights", (string id, WeightsInput input, DozenStore dozens, DozenDesk desk) =>
        {
            var act = ClientId.Checked(input.Id);
            return desk.View(dozens.Add(id, act, row => Weights(act, input, row)));
        });
        api.MapPost("/dozens/{id}/withdrawals/{entryId}", (string id, string entryId, DozenStore dozens, DozenDesk desk) => desk.View(dozens.Withdraw(id, entryId)));
        api.MapPost("/dozens/{id}/match", (string id, MatchOptions options, DozenStore dozens, DozenDesk desk, CancellationToken cancel) =>
        {
            var act = ClientId.Checked(options.Id);
            var before = dozens.Get(id);
            DozenDesk.CheckLoose(before);
            var found = desk.Match(before, options, cancel);
            return desk.View(dozens.Add(id, act, row => DozenDesk.Unchanged(before, row, act, found)));
        });
        api.MapGet("/dozens/{id}/tray.pdf", (string id, DozenDesk desk) => Results.File(Tray(desk.View(id)), "application/pdf")).Produces(200, contentType: "application/pdf");
        api.MapGet("/dozens/{id}/labels.pdf", (string id, DozenDesk desk) => Results.File(Labels(desk.View(id)), "application/pdf")).Produces(200, contentType: "application/pdf");
        api.MapGet("/dozens/{id}/export.csv", (string id, DozenDesk desk) => Results.Text(Csv(desk.View(id)), "text/csv", Encoding.UTF8)).Produces<string>(200, "text/csv");
        api.MapNocks();
        api.MapGet("/bows/{bowId}/chronograph", (string bowId, DozenStore dozens, BowStore bows) => Chronograph(dozens.Shots(bowId), bows.Measured(bowId)));
        api.MapPost("/bows/{bowId}/chronograph", (string bowId, SpeedInput input, DozenStore dozens, BowStore bows) =>
        {
            var fields = new FieldReader();
            var grains = fields.Required("grains", input.Grains, Quantity.Weight, Arrow);
            var speed = fields.Required("speed", input.Speed, Quantity.Speed, Speed);
            fields.ThrowIfAny();
            return Chronograph(dozens.Shoot(bowId, ClientId.Checked(input.Id), grains!.Value, speed!.Value, input.Source), bows.Measured(bowId));
        });
        api.MapPost("/bows/{bowId}/chronograph/{id}/withdraw", (string bowId, string id, DozenStore dozens, BowStore bows) => Chronograph(dozens.WithdrawShot(bowId, id), bows.Measured(bowId)));
    }

    private static DozenPlan Plan(DozenInput input, ArrowStore arrows)
    {
        var fields = new FieldReader();
        var name = fields.Name("name", input.Name);
        var known = DozenDesk.ClassesOf(arrows.Version(input.ArrowVersionId).Arrow, input.VanesInSets);
        fields.Check(input.Arrows is >= 1 and <= MatchProblem.MostArrows, "arrows", "range", $"Allowed is 1 to {MatchProblem.MostArrows}: a gross at the most.");
        fields.Check(input.Spare is >= 0 and <= 24, "spare", "range", "Allowed is 0 to 24 spare pieces.");
        fields.Check(input.Classes.Count > 0 && input.Classes.All(known.ContainsKey) && input.Classes.Distinct().Count() == input.Classes.Count, "classes", "classes", $"Pick from: {string.Join(", ", known.Keys)}.");
        fields.ThrowIfAny();
        return new DozenPlan(name, input.Arrows, [.. input.Classes], input.Spare, input.VanesInSets);
    }

    private static DozenEntry Read(EntryInput input, DozenRow row)
    {
        var fields = new FieldReader();
        fields.Check(Kinds.Contains(input.Kind), "kind", "unknown-word", $"Use one of: {string.Join(", ", Kinds)}.");
        fields.Check((input.Note?.Length ?? 0) <= LongestText && (input.Word?.Length ?? 0) <= 40 && (input.Class?.Length ?? 0) <= 40, "note", "too-long", $"At most {LongestText} characters.");
        fields.ThrowIfAny();
        double? value = null;
        double? second = null;
        switch (input.Kind)
        {
            case "check":
                value = fields.Required("value", input.Value, Quantity.Weight, Grains)?.Value;
                second = fields.Required("second", input.Second, Quantity.Weight, Grains)?.Value;
                break;
            case "piece":
                fields.Check(row.Plan.Classes.Contains(input.Class) || input.Class == "Head", "class", "classes", "That class is not weighed for this dozen.");
                fields.Check(input.Number is null or (>= 1 and <= MostPieces), "number", "range", $"Pieces are numbered from 1 to {MostPieces}.");
                fields.Check(input.Number is not null || Taken(row, input.Class).Count < MostPieces, "number", "range", $"At most {MostPieces} pieces of a class.");
                fields.Check(input.Number is null || row.Entries.All(e => e.Entry.Kind != "piece" || e.Entry.Class != input.Class || e.Entry.Number != input.Number), "number", "twice", $"{input.Class} {input.Number} is weighed already: take that one back first.");
                value = fields.Required("value", input.Value, Quantity.Weight, Grains)?.Value;
                break;
            case "spin":
                fields.Check(input.Number is >= 1 and <= 999, "number", "range", "Which shaft?");
                fields.Check(input.Word is "runOut" or "grade" or "spine" or "index" or "inspection", "word", "unknown-word", "Run-out, grade, spine, index or inspection.");
                value = input.Word == "runOut" ? fields.Required("value", input.Value, Quantity.Length, RunOut)?.Value : input.Word == "spine" ? fields.Required("value", input.Value, Quantity.Length, Spine)?.Value : null;
                break;
            case "tick":
                fields.Check(input.Number is >= 1 and <= MatchProblem.MostArrows && Assembly.Steps.Any(s => s.Code == input.Word), "word", "unknown-word", "Which arrow, and which step?");
                break;
            default:
                fields.Check(input.Number is >= 1 and <= MatchProblem.MostArrows, "number", "range", "Which arrow?");
                fields.Check(input.Word is "built" or "balance" or "nock" or "paper" or "retired" or "note", "word", "unknown-word", "Built weight, balance, nock, paper, retired or note.");
                value = input.Word == "built" ? fields.Required("value", input.Value, Quantity.Weight, Arrow)?.Value : input.Word == "balance" ? fields.Required("value", input.Value, Quantity.Length, Balance)?.Value : null;
                break;
        }

        fields.ThrowIfAny();
        var number = input.Kind == "piece" ? input.Number ?? FirstFree(Taken(row, input.Class)) : input.Number;
        return new DozenEntry(input.Kind, input.Class, number, value is { } v && input.Kind == "piece" ? Math.Round(v, 1, MidpointRounding.AwayFromZero) : value, second, input.Word, input.Note?.Trim());
    }

    private static HashSet<int> Taken(DozenRow row, string? name) =>
        [.. row.Entries.Where(e => e.Entry.Kind == "piece" && e.Entry.Class == name).Select(e => e.Entry.Number!.Value)];

    private static int FirstFree(HashSet<int> taken) => Enumerable.Range(1, MostPieces).First(n => !taken.Contains(n));

    /// <summary>Weights from a table: one a line, or "number,weight"; every bad line is named and nothing is written.</summary>
    private static (string, DozenEntry)[] Weights(string act, WeightsInput input, DozenRow row)
    {
        var fields = new FieldReader();
        var lines = input.Text.Split('\n', StringSplitOptions.RemoveEmptyEntries | StringSplitOptions.TrimEntries);
        fields.Check(lines.Length is > 0 and <= MostLines, "text", "range", $"1 to {MostLines} lines, a weight each.");
        fields.Check(row.Plan.Classes.Contains(input.Class) || input.Class == "Head", "class", "classes", "That class is not weighed for this dozen.");
        var taken = Taken(row, input.Class);
        fields.Check(lines.Length + taken.Count <= MostPieces, "text", "range", $"At most {MostPieces} pieces of a class.");
        fields.ThrowIfAny();
        List<(string, DozenEntry)> entries = [];
        foreach (var (line, i) in lines.Take(MostLines).Select((l, i) => (l, i)))
        {
            var cells = line.Split([';', '\t'], StringSplitOptions.TrimEntries) is { Length: 2 } two ? two : line.Split(',', StringSplitOptions.TrimEntries) is { Length: 2 } comma && int.TryParse(comma[0], out _) && comma[1].Contains('.') ? comma : [line];
            var number = cells.Length == 2 && int.TryParse(cells[0], out var given) ? given : FirstFree(taken);
            try
            {
                var weight = Entry.Parse(cells[^1], Quantity.Weight).Value;
                fields.Check(Grains.Holds(weight), "text", "range", $"Line {i + 1}: allowed is {Grains.Words}.");
                fields.Check(taken.Add(number), "text", "twice", $"Line {i + 1}: {input.Class} {number} is there already.");
                entries.Add((entries.Count == 0 ? act : $"{act}-{entries.Count}", new DozenEntry("piece", input.Class, number, Math.Round(weight, 1, MidpointRounding.AwayFromZero), Word: "csv")));
            }
            catch (EntryException problem)
            {
                fields.Check(false, "text", problem.Code, $"Line {i + 1}: {problem.Message}");
            }
        }

        fields.ThrowIfAny();
        return [.. entries];
    }

    private static ChronographView Chronograph(IReadOnlyList<ChronographRow> shots, Bow bow)
    {
        var strings = shots.GroupBy(s => Math.Round(s.Grains, 1)).OrderBy(g => g.Key).Select(g =>
        {
            var speeds = g.Select(s => s.Speed).ToArray();
            var mean = speeds.Average();
            var odd = Outliers.Of(speeds);
            return new SpeedString(g.Key, speeds.Length, mean, speeds.Length > 1 ? Math.Sqrt(speeds.Sum(v => (v - mean) * (v - mean)) / (speeds.Length - 1)) : null,
                LaunchSpeed.KineticEnergy(g.Key, mean), LaunchSpeed.Momentum(g.Key, mean), [.. g], [.. odd.Select(i => g.ElementAt(i).Id)]);
        }).ToArray();
        if (bow.Chronograph is not { } fit)
        {
            return new ChronographView(strings, null, null, null, null, shots.Count == 0 ? "No shot yet: three or more with one arrow, then a much lighter or heavier one." : "A heavier arrow was not slower: these readings fit no bow yet. Look for a wrong weight or a flyer.");
        }

        var line = new SpeedCalibration(fit);
        var words = fit.Masses == 1
            ? "One arrow weight: the virtual mass is the usual 110 ± 40 gr until another weight is shot."
            : $"From {fit.Shots} shots of {fit.Masses} weights; every speed figure of this bow follows.";
        return new ChronographView(strings, line.VirtualMass, fit.Masses == 1 ? SpeedCalibration.PriorSpread : line.VirtualMassError, line.Energy, line.EnergyError, words);
    }

    private static byte[] Tray(DozenView dozen)
    {
        using var page = new PrintedPage($"Tray list, {dozen.Name}", dozen.StartedAt);
        page.Text(dozen.Name, PrintedPage.Margin, page.Y + 14, 20, true);
        page.Text($"{dozen.ArrowName}, version {dozen.ArrowVersion}", PrintedPage.Width - PrintedPage.Margin, page.Y + 14, 10, right: true);
        page.Y += 40;
        var use = dozen.Tray.Where(a => !a.Retired).ToArray();
        foreach (var arrow in use.Take(44))
        {
            page.Box(PrintedPage.Margin, page.Y);
            page.Text($"Arrow {arrow.Number}", PrintedPage.Margin + 16, page.Y, 10, true);
            page.Text(Pieces(arrow), PrintedPage.Margin + 80, page.Y, 10, width: 340);
            page.Text($"{Show.Number(arrow.Total, 1)} gr", PrintedPage.Width - PrintedPage.Margin, page.Y, 10, right: true);
            page.Y += 16;
        }

        if (use.Length > 44)
        {
            page.Text($"and {use.Length - 44} more: see the CSV.", PrintedPage.Margin, page.Y);
        }

        return page.Finish();
    }

    private static byte[] Labels(DozenView dozen)
    {
        const int columns = 3;
        using var page = new PrintedPage($"Labels, {dozen.Name}", dozen.StartedAt);
        var width = (PrintedPage.Width - (2 * PrintedPage.Margin)) / columns;
        foreach (var (place, arrow) in dozen.Tray.Where(a => !a.Retired).Take(columns * 20).Index())
        {
            var x = PrintedPage.Margin + (place % columns * width);
            var y = PrintedPage.Margin + (place / columns * 38);
            page.Text($"{arrow.Number}", x, y + 14, 18, true);
            page.Text($"{Show.Number(arrow.Built ?? arrow.Total, 1)} gr", x + 34, y + 6, 9, true);
            page.Text($"{dozen.ArrowName}{(arrow.NockMark is { Length: > 0 } mark ? $", nock {mark}" : "")}", x + 34, y + 17, 8, width: width - 42);
        }

        return page.Finish();
    }

    private static string Pieces(TrayArrow arrow) => string.Join(", ", arrow.Pieces.Select(p => $"{p.Key.ToLowerInvariant()} {string.Join("·", p.Value)}"));

    private static string Csv(DozenView dozen)
    {
        var text = new StringBuilder("arrow,pieces,total gr,deviation gr,FOC %,state,built gr,glue and wrap gr,nock,note\n");
        foreach (var a in dozen.Tray)
        {
            text.Append(CultureInfo.InvariantCulture, $"{a.Number},\"{Pieces(a)}\",{a.Total:F1},{a.Deviation:F2},{a.FrontOfCenter:F2},{(a.Retired ? "retired" : a.State)},{a.Built:F1},{a.GlueAndWrap:F1},\"{Quoted(a.NockMark)}\",\"{Quoted(a.RetiredWhy ?? a.Note)}\"\n");
        }

        return text.ToString();

        static string Quoted(string? words) => CatalogueCsv.Harmless(words ?? "").Replace("\"", "\"\"");
    }
}
