using System.Globalization;
using Merganser.Core.Dozens;
using Merganser.Core.Messages;
using Merganser.Web.Printing;
using Merganser.Web.Words;

namespace Merganser.Web.Dozens;

/// <summary>A dozen as a table.</summary>
public static class DozenTable
{
    private static string Pieces(TrayArrow arrow) =>
        string.Join(", ", arrow.Pieces.Select(p => $"{p.Key.ToLowerInvariant()} {string.Join("·", p.Value)}"));

    /// <summary>The tray as a table.</summary>
    public static string Csv(DozenView dozen, Listener listener)
    {
        var speaker = listener.Of(dozen.BowId);
        IReadOnlyList<string> header =
        [
            "arrow",
            "pieces",
            "total gr",
            "deviation gr",
            "FOC %",
            "state",
            "built gr",
            "glue and wrap gr",
            "nock",
            "note",
            "practice only",
            "repaired",
            "retired why",
            "retired on",
        ];
        return CsvText.Of(dozen.Tray.Select(a => Cells(a, speaker)).Prepend(header));
    }

    private static IReadOnlyList<string> Cells(TrayArrow arrow, Speaker speaker)
    {
        var state = arrow.Retired ? "retired" : $"{arrow.State}";
        return
        [
            $"{arrow.Number}",
            Pieces(arrow),
            Fixed(arrow.Total, 1),
            Fixed(arrow.Deviation, 2),
            Fixed(arrow.FrontOfCenter, 2),
            state,
            Fixed(arrow.Built, 1),
            Fixed(arrow.GlueAndWrap, 1),
            Own(arrow.NockMark),
            Text(arrow.Note),
            Text(arrow.Practice),
            Text(arrow.Repaired),
            Own(arrow.RetiredWhy),
            arrow.RetiredSince is { } day ? day.ToString("yyyy-MM-dd", CultureInfo.InvariantCulture) : "",
        ];

        static string Text(string? words) => words is null ? "" : CsvText.Harmless(words);

        string Own(Message? words) => words is null ? "" : CsvText.Harmless(speaker.Say(words));
    }

    private static string Fixed(double? value, int decimals) =>
        value?.ToString("F" + decimals, CultureInfo.InvariantCulture) ?? "";
}
