using Merganser.Core.Ballistics;
using Merganser.Core.Messages;
using Merganser.Core.Units;
using Merganser.Web.Printing;
using Merganser.Web.Words;

namespace Merganser.Web.Ballistics;

/// <summary>The card for the quiver: marks, slopes, honest range; crawls and gaps for a bow without a sight.</summary>
public static class RangeCard
{
    public static byte[] Of(Flown flown, Speaker speaker)
    {
        var reading = flown.Reading;
        var metres = speaker.Units.Distance == DistanceUnit.Metres;
        var yard = Display.YardsInUnit(speaker.Units);
        var view = FlightShown.Of(flown, [], [flown.Row], FlightEntry.Nothing, null, speaker.Units);
        using var page = new PrintedPage(
            $"Range card, {flown.Bow.Bow.Name}",
            flown.Row.Kept!.KeptAt,
            "What is proven on the range wins over what is computed here."
        );
        page.Title(
            flown.Bow.Bow.Name,
            speaker.Say(
                $"Range card for {flown.Row.Draft.Name}, version {flown.Row.Kept.Number}: {Measure.Grains(reading.Grains)} at {Measure.Speed(reading.Flight.Speed)}. Distances in {(metres ? "metres" : "yards")}."
            )
        );
        if (view.Honest is { } honest)
        {
            page.Paragraph(speaker.Say(honest.Title), 12, true);
            page.Paragraph(speaker.Say(new Sentences([honest.Within, honest.Hits])));
        }

        foreach (var caution in view.Cautions)
        {
            page.Paragraph(speaker.Say(caution));
        }

        Distances(page, flown, yard, speaker);
        Slopes(page, view, speaker);
        Aims(page, view, speaker);
        return page.Finish();
    }

    private static void Distances(PrintedPage page, Flown flown, double yard, Speaker speaker)
    {
        var reading = flown.Reading;
        var unit = Display.WayOf(Unit.Inch, speaker.Units).Unit;
        page.Heading("Marks and speed");
        page.Table(
            [
                new("distance", 70),
                new(reading.Bow.HasSight ? $"mark, {unit}" : "", 90),
                new("speed", 90),
                new("energy", 90),
                new("time, s", 70),
            ],
            from mark in FlightMarks.MarksOf(flown, yard)
            let there = reading.Flight.Zero(mark.Yards) is { } tangent ? reading.Flight.At(tangent, mark.Yards) : null
            where there is not null
            select (string[])
                [
                    speaker.Say($"{Measure.Yards(mark.Yards):bare}"),
                    reading.Bow.HasSight ? speaker.Say($"{Measure.Inches(mark.Inches, 3):bare}") : "",
                    speaker.Say($"{Measure.Speed(there.Value.Speed)}"),
                    speaker.Say(
                        $"{Measure.Energy(Core.Speed.LaunchSpeed.KineticEnergy(reading.Grains, there.Value.Speed))}"
                    ),
                    Show.Number(there.Value.Seconds, 2),
                ]
        );
    }

    private static void Slopes(PrintedPage page, FlightView view, Speaker speaker)
    {
        if (view.Slopes.Count == 0)
        {
            return;
        }

        page.Heading("On a slope, set for");
        var distances = view.Slopes.Select(s => s.Yards).Distinct().ToArray();
        page.Table(
            [new("slope", 60), .. distances.Select(d => new PrintedCell(speaker.Say($"{Measure.Yards(d):bare}"), 60))],
            view.Slopes.GroupBy(s => s.Slope)
                .Select(row =>
                    (string[])
                        [
                            Show.Signed(row.Key, 0) + "°",
                            .. distances.Select(d =>
                                row.FirstOrDefault(s => s.Yards == d) is { } shot ? speaker.Say(shot.Set) : ""
                            ),
                        ]
                )
        );
        page.Paragraph("From the path itself. The level distance, d times the cosine of the slope, is near it only.");
    }

    private static void Aims(PrintedPage page, FlightView view, Speaker speaker)
    {
        if (view.Aims.Count == 0)
        {
            return;
        }

        page.Heading("Over the point");
        if (view.PointOn is { } on)
        {
            page.Paragraph(speaker.Say(on));
        }

        page.Table(
            [new("distance", 80), new("crawl", 90), new("proven", 90), new("or hold the point", 140)],
            view.Aims.Select(aim =>
                (string[])
                    [
                        speaker.Say(aim.Distance),
                        aim.Crawl is { } crawl ? speaker.Say(crawl) : "",
                        aim.Proven is { } proven ? speaker.Say(proven) : "",
                        aim.Gap is { } gap ? speaker.Say(gap) : "",
                    ]
            )
        );
    }
}
