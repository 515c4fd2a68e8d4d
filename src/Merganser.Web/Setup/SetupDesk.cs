using Merganser.Core.Bows;
using Merganser.Core.Figures;
using Merganser.Core.Messages;
using Merganser.Core.Setup;
using Merganser.Core.Speed;
using Merganser.Core.Units;
using Merganser.Data;
using Merganser.Web.Words;

namespace Merganser.Web.Setup;

/// <summary>Puts the rows of a bow's set-up and the Core's reading together.</summary>
public sealed class SetupDesk(
    SetupStore setups,
    BowStore bows,
    ArcherStore archers,
    ArrowStore arrows,
    PaperStore papers,
    ReminderStore reminders,
    TimeProvider clock
)
{
    private const int EntriesShown = 6;

    public SetupView View(string bowId) => View(bows.Get(bowId), setups.Of(bowId));

    public SetupView View(BowRow bow, SetupRecord rows)
    {
        var archer = archers.Get(bow.ArcherId).Archer;
        var sheet = Sheet(bow, rows);
        var due = Due(bow, rows);
        var axleBolts = bow.Typed.AxleBolts?.Trim() ?? "";
        return new SetupView(
            bow.Id,
            bow.Version,
            [.. sheet.Lines.Select(l => Check(l, bow.Bow, archer, axleBolts))],
            [.. sheet.FollowUps.Select(l => Check(l, bow.Bow, archer, axleBolts))],
            sheet.Done,
            due,
            new StringView(
                rows.String.Shots,
                rows.String.Settling,
                rows.String.SettlingLeft,
                rows.String.Plan,
                setups.Entered(bow.Id, EntriesShown)
            ),
            [
                .. ChangeTable
                    .ByHand(bow.Bow.Kind)
                    .Select(c => new ChangeChoice(
                        c,
                        new ChangeName(c),
                        new LookedAtAgain([
                            .. ChangeTable.Follows(c, bow.Bow).Select(k => new CheckTitle(k, bow.Bow.Kind)),
                        ])
                    )),
            ],
            ChangePage.Of(setups, bow.Id),
            [.. rows.GoodStates.Select(g => Good(g, bow))],
            rows.CentreShot(bow.Bow, bow.Adjusters),
            Peep.Aperture(bow.Bow.AxleToAxle),
            archer.Practice == Core.Bows.Practice.Rarely ? (Message)SetupSays.FineTuneNeedsPractice : null,
            Next(bow, sheet, due),
            rows.BackOff(bow.Bow, bow.Adjusters),
            rows.LastTwist
        );
    }

    /// <summary>The one next step of a bow's set-up.</summary>
    public Next Next(BowRow bow, SetupRecord rows) => Next(bow, Sheet(bow, rows), Due(bow, rows));

    private Next Next(BowRow bow, SetupSheet sheet, IReadOnlyList<DueItem> due) =>
        Unsound.Guard(bow.Unsound, SetupNext.Of(sheet, due, bow.Bow.Kind, arrows.AnyKept(bow.Id)));

    public SetupSheet Sheet(BowRow bow, SetupRecord rows) =>
        rows.Sheet(bow.Bow, archers.Get(bow.ArcherId).Archer, papers.AnyAccepted(bow.Id));

    /// <summary>What is due of the string, then what was planned, the nearest first.</summary>
    public IReadOnlyList<DueItem> Due(BowRow bow, SetupRecord rows) =>
        [
            .. rows.Due(bow.Bow.Kind, archers.Get(bow.ArcherId).Archer.Practice, clock.GetUtcNow()),
            .. reminders
                .Of(bow.Id)
                .Select(r => r.Due(reminders.Today))
                .OfType<DueItem>()
                .OrderByDescending(d => d.Now)
                .ThenBy(d => d.On ?? DateTimeOffset.MaxValue)
                .ThenBy(d => d.ShotsLeft),
        ];

    /// <summary>When what is due changes though nothing is entered; null for never.</summary>
    public DateTimeOffset? DueChanges(BowRow bow, SetupRecord rows)
    {
        var today = reminders.Today;
        var midnights = reminders
            .Of(bow.Id)
            .Select(r => r.Changes(today))
            .OfType<DateOnly>()
            .Select(day => (DateTimeOffset?)new DateTimeOffset(day.ToDateTime(TimeOnly.MinValue, DateTimeKind.Local)));
        return midnights
            .Append(rows.DueChanges(archers.Get(bow.ArcherId).Archer.Practice, clock.GetUtcNow()))
            .Where(at => at is not null)
            .Min();
    }

    /// <summary>What a degree costs at this bow's speed: of the arrow last kept, else of one at 6 gr/lb.</summary>
    /// <param name="speed">Another speed, ft/s, or null.</param>
    /// <param name="distance">Another distance beside the usual ones, yards, or null.</param>
    public CantTable Cants(string bowId, double degrees, double zero, double slope, double? speed, double? distance)
    {
        var bow = bows.Measured(bowId);
        var grains =
            arrows.Of(bowId).FirstOrDefault(a => a.Kept is not null)?.Kept!.Arrow.Balance().Grains
            ?? 6 * bow.DrawWeight;
        IEnumerable<double> own = distance is { } yards ? [yards] : [];
        return CantTable.Of(
            speed ?? LaunchSpeed.Of(bow, grains).Speed,
            degrees,
            zero,
            slope,
            [.. CantTable.UsualYards.Union(own).Order()]
        );
    }

    private static CheckView Check(CheckLine line, Bow bow, Archer archer, string axleBolts)
    {
        var fact = line.Fact;
        var quantityUnit = fact.Quantity switch
        {
            Quantity.Length => "in",
            Quantity.DrawWeight => "lb",
            Quantity.Number => "degrees",
            _ => "",
        };
        var (kind, on) = (fact.Kind, bow.Kind);
        return new CheckView(
            kind,
            new CheckTitle(kind, on),
            new CheckTool(kind, on),
            fact.Minutes,
            new CheckWhy(kind, on),
            new CheckHow(kind, on),
            new CheckDrawn(kind, on),
            fact.Quantity,
            quantityUnit,
            CheckReading.ToleranceOf(kind, bow),
            fact.ReadingError,
            line.Choices,
            line.State,
            line.Because,
            Finding(line.Last, fact),
            Finding(line.Before, fact),
            line.Verdict,
            line.Short,
            line.Besides,
            fact.Advice(archer),
            fact.Asks(archer),
            HowTo(kind, on, axleBolts),
            new NoteAsked(kind)
        );
    }

    private static IReadOnlyList<Message> HowTo(CheckKind kind, BowKind bow, string axleBolts)
    {
        var steps = Enumerable.Range(0, HowToWords.Of(kind, bow).Count).Select(i => new CheckStep(kind, bow, i));
        return kind == CheckKind.Inspection && axleBolts.Length > 0
            ? [.. steps, new AxleBoltsTo(axleBolts)]
            : [.. steps];
    }

    private static FindingView? Finding(DatedFinding? found, CheckFact fact) =>
        found is null
            ? null
            : new FindingView(
                found.Id,
                found.Finding.Value,
                found.Typed,
                found.Finding.Choice,
                found.Finding.Choice is { } code && fact.Choices.Any(c => c.Code == code)
                    ? new ChoiceLabel(fact.Kind, code)
                    : null,
                found.Finding.SkipReason,
                found.At,
                found.Note
            );

    private GoodStateView Good(GoodState good, BowRow bow)
    {
        var arrow = good.ArrowVersionId is { } version ? arrows.Version(version) : null;
        return new GoodStateView(
            good.Id,
            new AsItShotWell(arrow?.Typed.Name, arrow?.Number ?? 0),
            good.ArrowVersionId,
            good.Stage is null ? new Verbatim(good.Note) : new AcceptedOnPaper(good.Stage.Name),
            good.MarkedAt,
            good.Positions.ToDictionary(p => p.Kind, p => p.Position),
            StateDiff.WayBack(bow.Adjusters, good.Positions)
        );
    }
}
