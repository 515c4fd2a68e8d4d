using System.Text;
using Merganser.Core.Bows;
using Merganser.Core.Dozens;
using Merganser.Core.Figures;
using Merganser.Core.Messages;
using Merganser.Core.Speed;
using Merganser.Core.Units;
using Merganser.Data;
using Merganser.Web.Guard;
using Merganser.Web.Words;

namespace Merganser.Web.Dozens;

/// <summary>A dozen to start.</summary>
public sealed record DozenInput(
    string? Id,
    string ArrowVersionId,
    string? Name,
    int Arrows,
    IReadOnlyList<string> Classes,
    int Spare,
    bool VanesInSets
);

/// <summary>
/// An entry as sent: what was weighed, spun, ticked or found. A piece without a number gets the first that is free.
/// </summary>
public sealed record EntryInput(
    string? Id,
    string Kind,
    string? Class = null,
    int? Number = null,
    string? Value = null,
    string? Second = null,
    string? Word = null,
    string? Note = null
);

/// <summary>Weights of one class as text, one a line.</summary>
public sealed record WeightsInput(string? Id, string Class, string Text);

/// <summary>A chronograph reading as typed.</summary>
public sealed record SpeedInput(string? Id, string? Grains, string? Speed, string Source);

/// <summary>Readings of one arrow weight.</summary>
public sealed record SpeedString(
    double Grains,
    int Count,
    double Mean,
    double? Spread,
    double Energy,
    double Momentum,
    IReadOnlyList<ChronographRow> Shots,
    IReadOnlyList<string> Odd
);

/// <summary>What the chronograph taught of this bow.</summary>
public sealed record ChronographView(
    IReadOnlyList<SpeedString> Strings,
    double? VirtualMass,
    double? VirtualMassError,
    double? Energy,
    double? EnergyError,
    Message Words
);

public static class DozenEndpoints
{
    private const int LongestText = 120;
    private const int MostLines = 1000;
    private const int MostPieces = 999;
    private static readonly string[] Kinds = ["check", "piece", "spin", "tick", "made"];
    private static readonly AllowedRange Grains = new(0.1, 1500, Unit.Grain, Why.PieceOfAnArrow);
    private static readonly AllowedRange RunOut = new(0, 0.25, Unit.Inch, Why.BentShaft);
    private static readonly AllowedRange Spine = new(0.1, 2, Unit.Inch, Why.SpineOfShafts);
    private static readonly AllowedRange Balance = new(5, 36, Unit.Inch, Why.FromTheNockThroat);
    private static readonly AllowedRange Arrow = new(100, 1500, Unit.Grain, Why.ArrowThatABowStands);
    private static readonly AllowedRange Spares = new(0, 24, Unit.None, Why.SparePieces);
    private static readonly AllowedRange Speed = new(50, 500, Unit.FootPerSecond, Why.WhatAnArrowFlies);

    public static void MapDozens(this IEndpointRouteBuilder api)
    {
        api.MapGet(
            "/bows/{bowId}/dozens",
            (string bowId, DozenStore dozens, DozenDesk desk, Database database) =>
                database.Unreadable.Each("dozen", dozens.Of(bowId), row => row.Id, desk.View)
        );
        api.MapPost(
            "/bows/{bowId}/dozens",
            (string bowId, DozenInput input, DozenStore dozens, ArrowStore arrows, DozenDesk desk) =>
                desk.View(dozens.Start(ClientId.Checked(input.Id), bowId, input.ArrowVersionId, Plan(input, arrows)))
        );
        api.MapGet("/dozens/{id}", (string id, DozenDesk desk) => desk.View(id));
        api.MapPost(
            "/dozens/{id}/entries",
            (string id, EntryInput input, DozenStore dozens, DozenDesk desk) =>
            {
                var act = ClientId.Checked(input.Id);
                return desk.View(dozens.Add(id, act, row => [(act, Read(input, row))]));
            }
        );
        api.MapPost(
            "/dozens/{id}/weights",
            (string id, WeightsInput input, DozenStore dozens, DozenDesk desk) =>
            {
                var act = ClientId.Checked(input.Id);
                return desk.View(dozens.Add(id, act, row => Weights(act, input, row)));
            }
        );
        api.MapPost(
            "/dozens/{id}/withdrawals/{entryId}",
            (string id, string entryId, DozenStore dozens, DozenDesk desk) => desk.View(dozens.Withdraw(id, entryId))
        );
        api.MapPost(
            "/dozens/{id}/match",
            (string id, MatchOptions options, DozenStore dozens, DozenDesk desk, CancellationToken cancel) =>
            {
                var act = ClientId.Checked(options.Id);
                var before = dozens.Get(id);
                DozenDesk.CheckLoose(before);
                var found = desk.Match(before, options, cancel);
                return desk.View(dozens.Add(id, act, row => DozenDesk.Unchanged(before, row, act, found)));
            }
        );
        api.MapGet(
                "/dozens/{id}/tray.pdf",
                (string id, DozenDesk desk, Listener listener) =>
                    Results.File(DozenPrints.Tray(desk.View(id), listener), "application/pdf")
            )
            .Produces(200, contentType: "application/pdf");
        api.MapGet(
                "/dozens/{id}/labels.pdf",
                (string id, DozenDesk desk, Listener listener) =>
                    Results.File(DozenPrints.Labels(desk.View(id), listener), "application/pdf")
            )
            .Produces(200, contentType: "application/pdf");
        api.MapGet(
                "/dozens/{id}/export.csv",
                (string id, DozenDesk desk, Listener listener) =>
                    Results.Text(DozenPrints.Csv(desk.View(id), listener), "text/csv", Encoding.UTF8)
            )
            .Produces<string>(200, "text/csv");
        api.MapNocks();
        api.MapGet(
            "/bows/{bowId}/chronograph",
            (string bowId, DozenStore dozens, BowStore bows) => Chronograph(dozens.Shots(bowId), bows.Measured(bowId))
        );
        api.MapPost(
            "/bows/{bowId}/chronograph",
            (string bowId, SpeedInput input, DozenStore dozens, BowStore bows) =>
            {
                var fields = new FieldReader();
                var grains = fields.Required("grains", input.Grains, Quantity.Weight, Arrow);
                var speed = fields.Required("speed", input.Speed, Quantity.Speed, Speed);
                fields.ThrowIfAny();
                return Chronograph(
                    dozens.Shoot(bowId, ClientId.Checked(input.Id), grains!.Value, speed!.Value, input.Source),
                    bows.Measured(bowId)
                );
            }
        );
        api.MapPost(
            "/bows/{bowId}/chronograph/{id}/withdraw",
            (string bowId, string id, DozenStore dozens, BowStore bows) =>
                Chronograph(dozens.WithdrawShot(bowId, id), bows.Measured(bowId))
        );
    }

    private static DozenPlan Plan(DozenInput input, ArrowStore arrows)
    {
        var fields = new FieldReader();
        var name = fields.Name("name", input.Name);
        var known = DozenDesk.ClassesOf(arrows.Version(input.ArrowVersionId).Arrow, input.VanesInSets);
        fields.Inside("arrows", input.Arrows, MatchProblem.Arrow);
        fields.Inside("spare", input.Spare, Spares);
        fields.Check(
            input.Classes.Count > 0
                && input.Classes.All(known.ContainsKey)
                && input.Classes.Distinct().Count() == input.Classes.Count,
            "classes",
            "classes",
            new UseOneOf([.. known.Keys])
        );
        fields.ThrowIfAny();
        return new DozenPlan(name, input.Arrows, [.. input.Classes], input.Spare, input.VanesInSets);
    }

    private static DozenEntry Read(EntryInput input, DozenRow row)
    {
        var fields = new FieldReader();
        fields.Check(Kinds.Contains(input.Kind), "kind", "unknown-word", new UseOneOf(Kinds));
        fields.Check(
            (input.Note?.Length ?? 0) <= LongestText
                && (input.Word?.Length ?? 0) <= 40
                && (input.Class?.Length ?? 0) <= 40,
            "note",
            "too-long",
            new TooLong(LongestText)
        );
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
                fields.Check(
                    row.Plan.Classes.Contains(input.Class) || input.Class == "Head",
                    "class",
                    "classes",
                    new Verbatim("That class is not weighed for this dozen.")
                );
                fields.Check(
                    input.Number is null or (>= 1 and <= MostPieces),
                    "number",
                    "range",
                    new Verbatim($"Pieces are numbered from 1 to {MostPieces}.")
                );
                fields.Check(
                    input.Number is not null || Taken(row, input.Class).Count < MostPieces,
                    "number",
                    "range",
                    new Verbatim($"At most {MostPieces} pieces of a class.")
                );
                fields.Check(
                    input.Number is null
                        || row.Entries.All(e =>
                            e.Entry.Kind != "piece" || e.Entry.Class != input.Class || e.Entry.Number != input.Number
                        ),
                    "number",
                    "twice",
                    new WeighedAlready(input.Class!, input.Number ?? 0)
                );
                value = fields.Required("value", input.Value, Quantity.Weight, Grains)?.Value;
                break;
            case "spin":
                fields.Check(input.Number is >= 1 and <= 999, "number", "range", new Verbatim("Which shaft?"));
                fields.Check(
                    input.Word is "runOut" or "grade" or "spine" or "index" or "inspection",
                    "word",
                    "unknown-word",
                    new Verbatim("Run-out, grade, spine, index or inspection.")
                );
                value = input.Word switch
                {
                    "runOut" => fields.Required("value", input.Value, Quantity.Length, RunOut)?.Value,
                    "spine" => fields.Required("value", input.Value, Quantity.Length, Spine)?.Value,
                    _ => null,
                };
                break;
            case "tick":
                fields.Check(
                    input.Number is >= 1 and <= MatchProblem.MostArrows && Assembly.Of(input.Word) is not null,
                    "word",
                    "unknown-word",
                    new Verbatim("Which arrow, and which step?")
                );
                break;
            default:
                fields.Check(
                    input.Number is >= 1 and <= MatchProblem.MostArrows,
                    "number",
                    "range",
                    new Verbatim("Which arrow?")
                );
                fields.Check(
                    input.Word is "built" or "balance" or "nock" or "paper" or "retired" or "note",
                    "word",
                    "unknown-word",
                    new Verbatim("Built weight, balance, nock, paper, retired or note.")
                );
                value = input.Word switch
                {
                    "built" => fields.Required("value", input.Value, Quantity.Weight, Arrow)?.Value,
                    "balance" => fields.Required("value", input.Value, Quantity.Length, Balance)?.Value,
                    _ => null,
                };
                break;
        }

        fields.ThrowIfAny();
        var number = input.Kind == "piece" ? input.Number ?? FirstFree(Taken(row, input.Class)) : input.Number;
        return new DozenEntry(
            input.Kind,
            input.Class,
            number,
            value is { } v && input.Kind == "piece" ? Math.Round(v, 1, MidpointRounding.AwayFromZero) : value,
            second,
            input.Word,
            input.Note?.Trim()
        );
    }

    private static HashSet<int> Taken(DozenRow row, string? name) =>
        [
            .. row
                .Entries.Where(e => e.Entry.Kind == "piece" && e.Entry.Class == name)
                .Select(e => e.Entry.Number!.Value),
        ];

    private static int FirstFree(HashSet<int> taken) => Enumerable.Range(1, MostPieces).First(n => !taken.Contains(n));

    /// <summary>
    /// Weights from a table: one a line, or "number,weight"; every bad line is named and nothing is written.
    /// </summary>
    private static (string, DozenEntry)[] Weights(string act, WeightsInput input, DozenRow row)
    {
        var fields = new FieldReader();
        var lines = input.Text.Split('\n', StringSplitOptions.RemoveEmptyEntries | StringSplitOptions.TrimEntries);
        fields.Check(
            lines.Length is > 0 and <= MostLines,
            "text",
            "range",
            new Verbatim($"1 to {MostLines} lines, a weight each.")
        );
        fields.Check(
            row.Plan.Classes.Contains(input.Class) || input.Class == "Head",
            "class",
            "classes",
            new Verbatim("That class is not weighed for this dozen.")
        );
        var taken = Taken(row, input.Class);
        fields.Check(
            lines.Length + taken.Count <= MostPieces,
            "text",
            "range",
            new Verbatim($"At most {MostPieces} pieces of a class.")
        );
        fields.ThrowIfAny();
        List<(string, DozenEntry)> entries = [];
        foreach (var (line, i) in lines.Take(MostLines).Select((l, i) => (l, i)))
        {
            var cells =
                line.Split([';', '\t'], StringSplitOptions.TrimEntries) is { Length: 2 } two ? two
                : line.Split(',', StringSplitOptions.TrimEntries) is { Length: 2 } comma
                && int.TryParse(comma[0], out _)
                && comma[1].Contains('.')
                    ? comma
                : [line];
            var number = cells.Length == 2 && int.TryParse(cells[0], out var given) ? given : FirstFree(taken);
            try
            {
                var weight = Entry.Parse(cells[^1], Quantity.Weight).Value;
                fields.Check(Grains.Holds(weight), "text", "range", new OnLine(i + 1, new Outside(Grains)));
                fields.Check(
                    taken.Add(number),
                    "text",
                    "twice",
                    new OnLine(i + 1, new WeighedAlready(input.Class, number))
                );
                entries.Add(
                    (
                        entries.Count == 0 ? act : $"{act}-{entries.Count}",
                        new DozenEntry(
                            "piece",
                            input.Class,
                            number,
                            Math.Round(weight, 1, MidpointRounding.AwayFromZero),
                            Word: "csv"
                        )
                    )
                );
            }
            catch (EntryException problem)
            {
                fields.Check(false, "text", problem.Code, new OnLine(i + 1, problem.Said));
            }
        }

        fields.ThrowIfAny();
        return [.. entries];
    }

    private static ChronographView Chronograph(IReadOnlyList<ChronographRow> shots, Bow bow)
    {
        var strings = shots
            .GroupBy(s => Math.Round(s.Grains, 1))
            .OrderBy(g => g.Key)
            .Select(g =>
            {
                var speeds = g.Select(s => s.Speed).ToArray();
                var mean = speeds.Average();
                var odd = Outliers.Of(speeds);
                return new SpeedString(
                    g.Key,
                    speeds.Length,
                    mean,
                    speeds.Length > 1
                        ? Math.Sqrt(speeds.Sum(v => (v - mean) * (v - mean)) / (speeds.Length - 1))
                        : null,
                    LaunchSpeed.KineticEnergy(g.Key, mean),
                    LaunchSpeed.Momentum(g.Key, mean),
                    [.. g],
                    [.. odd.Select(i => g.ElementAt(i).Id)]
                );
            })
            .ToArray();
        if (bow.Chronograph is not { } fit)
        {
            return new ChronographView(
                strings,
                null,
                null,
                null,
                null,
                shots.Count == 0 ? DozenSays.NoChronographShot : DozenSays.HeavierNotSlower
            );
        }

        var line = new SpeedCalibration(fit);
        var words = new TaughtBy(
            fit.Shots,
            fit.Masses,
            Measure.Grains(SpeedCalibration.PriorVirtualMass, 0),
            Measure.Grains(SpeedCalibration.PriorSpread, 0)
        );
        return new ChronographView(
            strings,
            line.VirtualMass,
            fit.Masses == 1 ? SpeedCalibration.PriorSpread : line.VirtualMassError,
            line.Energy,
            line.EnergyError,
            words
        );
    }
}
