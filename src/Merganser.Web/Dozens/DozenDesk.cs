using Merganser.Core.Dozens;
using Merganser.Core.Figures;
using Merganser.Core.Messages;
using Merganser.Core.Paper;
using Merganser.Core.Setup;
using Merganser.Data;

namespace Merganser.Web.Dozens;

/// <summary>A finding of a shaft that can be chosen.</summary>
public sealed record FindingChoice(ShaftFinding Code, Message Words);

/// <summary>A dozen as its page shows it.</summary>
public sealed record DozenView(
    string Id,
    string BowId,
    string Name,
    string ArrowName,
    int ArrowVersion,
    DozenPlan Plan,
    DateTimeOffset StartedAt,
    IReadOnlyList<PieceClass> Classes,
    ScaleCheck? Check,
    string? CheckEntryId,
    IReadOnlyList<SpunShaft> Shafts,
    IReadOnlyList<FindingChoice> Findings,
    MatchReading? Match,
    IReadOnlyList<TrayArrow> Tray,
    HeadPlan Heads,
    IReadOnlyList<AssemblyStep> Steps,
    string? LastEntryId,
    Message? Changed,
    Next Next,
    Message State,
    bool Archived,
    double NominalSpine
);

/// <summary>Brings a dozen's row together with its arrow and its bow.</summary>
public sealed class DozenDesk(DozenStore dozens, BowStore bows, ArrowStore arrows)
{
    private static readonly FindingChoice[] Findings =
    [
        .. Enum.GetValues<ShaftFinding>().Select(f => new FindingChoice(f, new FindingIs(f))),
    ];

    /// <summary>The dozen that a row keeps.</summary>
    public Dozen Of(DozenRow row) => new(row.Id, row.Plan, arrows.Version(row.ArrowVersionId).Arrow, row.Events);

    public DozenView View(string id) => View(dozens.Get(id));

    public DozenView View(DozenRow row)
    {
        var version = arrows.Version(row.ArrowVersionId);
        var dozen = Of(row);
        var owner = bows.Get(row.BowId);
        var newer = arrows.Get(version.ArrowId).Kept is { } kept && kept.Id != version.Id ? kept : null;
        return new DozenView(
            row.Id,
            row.BowId,
            row.Plan.Name,
            version.Typed.Name,
            version.Number,
            row.Plan,
            row.StartedAt,
            dozen.Classes,
            (dozen.Check?.Act as ScaleChecked)?.Check,
            dozen.Check?.Id,
            dozen.Shafts,
            Findings,
            MatchReading.Of(dozen, owner.Bow),
            dozen.Tray,
            HeadPlan.Of(dozen),
            Assembly.Steps,
            row.Events.LastOrDefault()?.Id,
            newer is null ? null : new NewerVersion(version.Typed.Name, newer.Number, version.Number),
            Unsound.Guard(owner.Unsound, DozenNext.Of(dozen), mayGoOn: true),
            DozenNext.Stands(dozen),
            row.Archived,
            dozen.Arrow.Shaft.SpineInUse
        );
    }

    /// <summary>The nock round of a dozen.</summary>
    /// <exception cref="RefusedException">Nobody shoots paper from so far.</exception>
    public NockRound Nocks(string id, double? distance = null)
    {
        if (distance is { } yards)
        {
            FieldReader.DemandInside("distance", yards, SheetLimits.Distances);
        }

        return NockRound.Of(Of(dozens.Get(id)), distance);
    }
}
