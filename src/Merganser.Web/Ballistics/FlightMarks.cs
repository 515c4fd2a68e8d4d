using Merganser.Core.Arrows;
using Merganser.Core.Ballistics;
using Merganser.Core.Bows;
using Merganser.Core.Messages;
using Merganser.Core.Setup;
using Merganser.Core.Speed;
using Merganser.Core.Units;
using Merganser.Data;

namespace Merganser.Web.Ballistics;

/// <summary>Marks, slopes and crawls for the screen and for paper, in the archer's own steps.</summary>
public static class FlightMarks
{
    /// <summary>The nearest mark, and as far as marks go where nobody proved a farther one.</summary>
    public const double Nearest = 20;

    private const double Usual = 60;

    /// <summary>Closer two pins cannot be set, inches (common practice, no source).</summary>
    private const double PinGap = .1;

    private static readonly double[] SlopeTens = [20, 30, 40, 50, 60];
    private static readonly double[] SlopesShown = [30, 20, 10, -10, -20, -30];

    /// <summary>
    /// The marks that are shown: every so many from the near mark to as far as is shot, or those that were named, and
    /// where the archer has one.
    /// </summary>
    public static IReadOnlyList<SightMarkAt> MarksOf(Flown flown, double yard)
    {
        var (reading, steps) = (flown.Reading, flown.Steps);
        double[] own =
        [
            .. reading.Fit.Against.Where(p => p.Proven.Kind == ProvenKind.Mark).Select(p => p.Proven.Yards / yard),
        ];
        var shown = steps.Every > 0 ? Stepped(steps.Every, own) : steps.At;
        return reading.Marks([
            .. shown.Concat(own.Where(d => shown.All(f => Math.Abs(f - d) > .05))).Select(d => d * yard),
        ]);
    }

    private static double[] Stepped(double every, double[] own)
    {
        var first = Math.Max(Math.Max(Five, every), Math.Floor(own.Append(Nearest).Min() / every) * every);
        var last = Math.Clamp(Math.Ceiling(own.Append(Usual).Max() / Five) * Five, 40, 100);
        return [.. Enumerable.Range(0, (int)((last - first) / every) + 1).Select(i => first + (i * every))];
    }

    private const double Five = 5;

    /// <summary>A mark as it is shown.</summary>
    public static MarkView View(SightMarkAt mark, SightMarkAt? before, double first) =>
        new(
            mark.Yards,
            new BareAmount(Measure.Yards(mark.Yards)),
            mark.Inches - first,
            new BareAmount(Measure.Inches(mark.Inches, 3)),
            new Amount(Measure.Inches(mark.Error, 3)),
            before is null ? null : new Amount(Measure.Inches(Math.Abs(mark.Inches - before.Inches), 3)),
            mark.Own is not null
        );

    /// <summary>A proven mark against the fit.</summary>
    public static ProvenView Proven(ProvenRow row, ProvenAgainst against)
    {
        var at = Measure.Yards(row.Proven.Yards);
        Measure? off =
            against.Off is not { } by ? null
            : row.Proven.Kind == ProvenKind.Mark ? Measure.Inches(by, 3)
            : Measure.Speed(by, 1);
        return new ProvenView(
            row.Proven.Kind,
            row.DistanceTyped,
            row.Proven.Yards,
            row.ValueTyped,
            off is { } shown ? new Difference(shown) : null,
            against.Doubted,
            against.Doubted && off is { } far ? new MarkDoubted(at, far)
                : off is null ? FlightSays.NothingFits
                : null
        );
    }

    /// <summary>How the own marks lie.</summary>
    public static MarksFitted Fitted(FlightReading reading)
    {
        ProvenAgainst[] own = [.. reading.Fit.Against.Where(p => p.Proven.Kind == ProvenKind.Mark)];
        return new MarksFitted(
            own.Length,
            Measure.Inches(own.Select(p => Math.Abs(p.Off ?? 0)).DefaultIfEmpty(0).Max(), 3)
        );
    }

    /// <summary>The first two pins, ten apart, that stand closer than pins can be set.</summary>
    public static PinsTooClose? TooClose(IReadOnlyList<SightMarkAt> marks, double yard)
    {
        SightMarkAt[] pins = [.. marks.Where(m => Math.Abs(Math.IEEERemainder(m.Yards / yard, 10)) < .05)];
        var close = pins.Zip(pins.Skip(1))
            .Where(pair => Math.Abs(pair.Second.Inches - pair.First.Inches) < PinGap)
            .ToArray();
        return close.Length == 0
            ? null
            : new PinsTooClose(
                Measure.Yards(close[0].First.Yards),
                Measure.Yards(close[0].Second.Yards),
                Measure.Inches(Math.Abs(close[0].Second.Inches - close[0].First.Inches), 3)
            );
    }

    /// <summary>The card of slopes: what to set at each distance.</summary>
    public static IEnumerable<SlopeView> SlopesOf(FlightReading reading, double yard) =>
        SlopeShot
            .Table(reading.Flight, [.. SlopeTens.Select(d => d * yard)], SlopesShown)
            .Select(shot => new SlopeView(
                shot.Slope,
                shot.Yards,
                new BareAmount(Measure.Yards(shot.Yards)),
                new BareAmount(Measure.Yards(shot.Set)),
                new BareAmount(Measure.Yards(shot.ByCosine)),
                shot.High > .1 ? new Amount(Measure.Inches(shot.High, 1)) : null
            ));

    /// <summary>Crawls and gaps by fives.</summary>
    public static IReadOnlyList<AimView> AimsOf(PointAim aim, FlightReading reading, double yard) =>
        [
            .. Enumerable
                .Range(1, 10)
                .Select(i => aim.At(i * 5 * yard))
                .Select(at => new AimView(
                    new Amount(Measure.Yards(at.Yards)),
                    CrawlTable.IsFor(reading.Bow.Kind) && at.Crawl is { } crawl
                        ? new Amount(Measure.Inches(crawl))
                        : null,
                    at.Gap is { } gap ? HeldOf(gap) : null,
                    reading.Known.Crawls.FirstOrDefault(c => Math.Abs(c.Yards - at.Yards) < .1) is { } proven
                        ? new Amount(Measure.Inches(proven.Crawl))
                        : null
                )),
        ];

    /// <summary>Light, middle and heavy at a distance.</summary>
    public static SchoolFlights Of(Bow bow, Arrow? like, FlightKnown known, double yards, double yard)
    {
        var spread = FlightReading.SpreadOf(known);
        return new SchoolFlights(
            yards,
            yards / yard,
            FlightShown.SpreadOf(spread),
            [
                .. WeightFlight
                    .Of(bow, like, known, yards, yard)
                    .Select(f => new SchoolFlight(
                        f.School.Name,
                        new Amount(Measure.Grains(f.Grains, 0)),
                        new Amount(Measure.Speed(f.There.Speed)),
                        new Amount(Measure.Energy(LaunchSpeed.KineticEnergy(f.Grains, f.There.Speed))),
                        new Amount(
                            new Measure(LaunchSpeed.Momentum(f.Grains, f.There.Speed), Unit.SlugFootPerSecond, 3)
                        ),
                        new Amount(Measure.Inches(f.Drift, 1)),
                        new Amount(new Measure(f.Honest, Unit.Yard, 0)),
                        [.. f.Path.Select(p => p.Height)]
                    )),
            ]
        );
    }

    private static Message HeldOf(double gap) =>
        Math.Abs(gap) < .5 ? FlightSays.OnTheTarget : new PointHeld(Measure.Inches(Math.Abs(gap), 0), gap > 0);
}
