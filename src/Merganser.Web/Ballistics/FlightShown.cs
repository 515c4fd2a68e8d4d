using Merganser.Core.Ballistics;
using Merganser.Core.Figures;
using Merganser.Core.Messages;
using Merganser.Core.Tuning;
using Merganser.Core.Units;
using Merganser.Data;

namespace Merganser.Web.Ballistics;

/// <summary>Puts a flight together for the screen: distances in the archer's own steps.</summary>
public static class FlightShown
{
    private const double Ten = 10;
    private const double Usual = 60;
    private const double Nearest = FlightMarks.Nearest;

    /// <summary>No arrow is kept.</summary>
    public static FlightView Nothing(FlightEntry said) =>
        new(
            [],
            null,
            said,
            0,
            0,
            0,
            [],
            [],
            [],
            null,
            [],
            Message.Nothing,
            false,
            false,
            [],
            [],
            [],
            false,
            false,
            "",
            "",
            [],
            [],
            Message.Nothing,
            null,
            [],
            null,
            [],
            new Next(FlightSays.NoArrowYet, Message.Nothing, "arrow", FlightSays.ToTheArrow)
        );

    /// <summary>Everything about one arrow.</summary>
    public static FlightView Of(
        Flown flown,
        IReadOnlyList<Flown> beside,
        IReadOnlyList<ArrowRow> all,
        FlightEntry said,
        double? asked,
        DisplayUnits units
    )
    {
        var reading = flown.Reading;
        var yard = Display.YardsInUnit(units);
        var honest = reading.IsHeavyEnough ? reading.Honest : null;
        var set = asked ?? (honest is null ? Nearest * yard : Math.Max(3, Math.Floor(honest.Yards / yard) * yard));
        var far = honest is null ? Usual : Math.Max(honest.GroupAlone, Math.Max(honest.ErrorAlone, set));
        var to = Math.Clamp(Math.Ceiling(((far / yard) + 2) / Ten) * Ten, 40, 100) * yard;
        var path = reading.Path(set, to, yard);
        var marks = reading.Bow.HasSight ? FlightMarks.MarksOf(flown, yard) : [];
        var aim = reading.OverThePoint;
        var first = marks.Count > 0 ? marks[0].Inches : 0;
        return new FlightView(
            [.. all.Select(a => new FlownArrow(a.Id, a.Draft.Name, a.Kept!.Number, a.Id == flown.Row.Id))],
            flown.Row.Id,
            said,
            reading.Flight.SightHeight,
            set,
            to,
            PathOf(reading, set, path, to, yard),
            [.. NotesOf(path, set, to, yard)],
            honest is null ? [] : [.. StruckOf(honest, to, yard)],
            honest is null ? null : HonestOf(honest, reading, yard),
            [.. honest is null ? [] : new[] { FlightFigures.Honest(reading) }, .. FlightFigures.At(reading, set)],
            SpreadOf(reading.Spread),
            reading.Spread.Source == SpreadSource.Measured,
            reading.GuessesTold,
            honest is null ? [] : [.. FlightChange.Of(reading).Select(c => c.Words)],
            [.. new[] { flown }.Concat(beside).OrderBy(f => f.Reading.Grains).Select(f => Row(f, flown, yard))],
            [.. CautionsOf(reading, marks)],
            reading.Bow.HasSight,
            reading.SightIsMeasured,
            flown.Sight?.EyeToPinTyped ?? "",
            flown.Sight?.ClickTyped ?? "",
            [.. marks.Select((mark, i) => FlightMarks.View(mark, i == 0 ? null : marks[i - 1], first))],
            [.. flown.Proven.Zip(reading.Fit.Against).Select(p => FlightMarks.Proven(p.First, p.Second))],
            FlightMarks.Fitted(reading),
            FlightMarks.TooClose(marks, yard),
            [.. FlightMarks.SlopesOf(reading, yard)],
            aim?.PointOn is { } on ? new PointIsOn(Measure.Yards(Math.Round(on / yard) * yard), aim.Proven) : null,
            aim is null ? [] : FlightMarks.AimsOf(aim, reading, yard),
            NextOf(reading, flown.Proven)
        );
    }

    private static IReadOnlyList<PathView> PathOf(
        FlightReading reading,
        double set,
        IReadOnlyList<FlightPoint> path,
        double to,
        double yard
    )
    {
        IReadOnlyList<FlightPoint> slow = [],
            fast = [];
        if (!reading.Launch.Measured && path.Count > 0)
        {
            var share = reading.Fit.Speed.Value / reading.Launch.Speed;
            // Zeroed all the same: what a slower or a faster arrow has is another arc.
            slow = reading.Path(set, to, yard, reading.Launch.Low * share);
            fast = reading.Path(set, to, yard, reading.Launch.High * share);
        }

        return
        [
            .. path.Select(
                (p, i) =>
                    new PathView(
                        p.Yards,
                        p.Height,
                        i < slow.Count ? slow[i].Height : null,
                        i < fast.Count ? fast[i].Height : null
                    )
            ),
        ];
    }

    private static IEnumerable<PathNote> NotesOf(IReadOnlyList<FlightPoint> path, double set, double to, double yard)
    {
        if (path.Count == 0)
        {
            yield break;
        }

        var top = path.MaxBy(p => p.Height);
        if (top.Height > .05)
        {
            yield return Note(top, new PathAbove(Measure.Inches(top.Height, 1), Measure.Yards(top.Yards)));
        }

        var beyond = path.LastOrDefault(p => p.Yards <= Math.Min(set + (Ten * yard) + .01, to + .01));
        if (beyond.Yards > set)
        {
            yield return Note(beyond, new PathBelow(Measure.Inches(-beyond.Height, 1), Measure.Yards(beyond.Yards)));
        }

        static PathNote Note(FlightPoint at, Message words) => new(at.Yards, at.Height, words);
    }

    private static IEnumerable<StruckView> StruckOf(HonestRange honest, double to, double yard)
    {
        for (var tens = 1; tens * Ten * yard <= to + .01; tens++)
        {
            var at = honest.At(tens * Ten * yard);
            if (double.IsFinite(at.Miss))
            {
                yield return new StruckView(at.Yards, $"{tens * Ten:0}", at.Above, at.Below, at.Ring, at.Chance);
            }
        }
    }

    private static HonestView HonestOf(HonestRange honest, FlightReading reading, double yard)
    {
        var there = honest.At(Math.Max(honest.Yards, 1));
        // Said short: a yard that is not full is not honest.
        Measure Whole(double yards) => new(Math.Floor((yards / yard) + .001) * yard, Unit.Yard, 0);
        return new HonestView(
            honest.Yards,
            honest.Low,
            honest.High,
            honest.GroupAlone,
            honest.ErrorAlone,
            honest.Radius,
            there.Error,
            new HonestTo(Whole(honest.Yards), honest.SetBy, honest.Yards >= HonestRange.Farthest),
            new HonestWithin(Whole(honest.Low), Whole(honest.High), reading.Spread.Source),
            new HitAtHonest(Whole(honest.Yards), Measure.Yards(there.Error), new Chance(there.Chance)),
            reading.Wish.Error == ErrorFrom.Measured ? null : new UnlessMeasured(Whole(honest.GroupAlone))
        );
    }

    /// <summary>Where a spread comes from, in words.</summary>
    public static SpreadIs SpreadOf(ShotSpread spread) =>
        new(
            spread.Source,
            Measure.Inches(spread.PerYard * FlightEntry.SpreadAt),
            spread.Hits,
            Measure.Percent(50 * (spread.High - spread.Low) / spread.PerYard)
        );

    private static BesideRow Row(Flown flown, Flown here, double yard)
    {
        var (reading, row) = (flown.Reading, flown.Row);
        var honest = reading.IsHeavyEnough ? reading.Honest : null;
        var drop = reading.Flight.Strikes(Nearest * yard, Nearest * 2 * yard);
        return new BesideRow(
            row.Id,
            row.Draft.Name,
            row.Id == here.Row.Id,
            new Amount(Measure.Grains(reading.Grains, 0)),
            new Amount(Measure.Speed(reading.Flight.Speed)),
            drop is { } inches ? new Amount(Measure.Inches(-inches, 1)) : null,
            honest?.ErrorAlone,
            honest?.GroupAlone,
            honest?.Yards,
            honest is null ? TooLight : null
        );
    }

    private static readonly Message TooLight = new TooLightToShow(
        new Measure(Core.Arrows.ArrowCautions.LeastGrainsPerPound, Unit.GrainPerPound, 0)
    );

    private static IEnumerable<Message> CautionsOf(FlightReading reading, IReadOnlyList<SightMarkAt> marks)
    {
        if (!reading.IsHeavyEnough)
        {
            yield return TooLight;
        }

        if (marks.FirstOrDefault(m => !m.Clears) is { } clips)
        {
            yield return new MarkClips(Measure.Yards(clips.Yards));
        }

        if (reading.Arrow.Point.Kind is Core.Arrows.PointKind.FixedHead or Core.Arrows.PointKind.MechanicalHead)
        {
            yield return FlightSays.LawComesFirst;
        }
    }

    private static Next NextOf(FlightReading reading, IReadOnlyList<ProvenRow> proven)
    {
        var marks = proven.Count(p => p.Proven.Kind == ProvenKind.Mark);
        return reading.Spread.Source != SpreadSource.Measured
                ? new Next(
                    FlightSays.MeasureYourGroup,
                    FlightSays.HonestOnlySoFar,
                    "groups",
                    FlightSays.ToTheTarget,
                    reading.Bow.HasSight ? FlightSays.WriteAMark : null,
                    "mark"
                )
            : reading.Bow.HasSight && marks < 2
                ? new Next(
                    marks == 0 ? FlightSays.ProveTwoMarks : FlightSays.ProveOneMore,
                    FlightSays.SetsTheTape,
                    "mark",
                    FlightSays.WriteAMark,
                    FlightSays.Print,
                    "tape"
                )
            : reading.Bow.HasSight
                ? new Next(
                    FlightSays.PrintTheTape,
                    FlightSays.CheckTheBar,
                    "tape",
                    FlightSays.Print,
                    FlightSays.WriteAMark,
                    "mark"
                )
            : new Next(FlightSays.ShootTheCard, FlightSays.WhatIsShotWins, "card", FlightSays.PrintTheCard);
    }
}
