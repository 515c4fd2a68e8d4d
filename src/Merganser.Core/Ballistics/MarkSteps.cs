using System.Globalization;
using Merganser.Core.Figures;

namespace Merganser.Core.Ballistics;

/// <summary>For which distances marks are shown: every so many, or a course's own; in the archer's unit.</summary>
/// <param name="Every">Every so many, above 0; 0 where only the named ones are shown.</param>
/// <param name="At">Named ones.</param>
public sealed record MarkSteps(double Every, IReadOnlyList<double> At)
{
    /// <summary>By fives.</summary>
    public static MarkSteps Usual { get; } = new(5, []);

    private const int Most = 40;
    private const double Finest = 1;
    private const double Coarsest = 200;

    /// <summary>
    /// Reads them: one number is a step, several are the distances themselves, set apart by commas, semicolons or
    /// spaces.
    /// </summary>
    /// <param name="text">As typed; empty for the usual.</param>
    /// <param name="yards">In one of the archer's units.</param>
    /// <exception cref="RefusedException">It cannot be read, or lies beyond what a sight is set for.</exception>
    public static MarkSteps Read(string? text, double yards)
    {
        string[] parts = (text ?? "").Split([' ', ',', ';', '\t'], StringSplitOptions.RemoveEmptyEntries);
        if (parts.Length == 0)
        {
            return Usual;
        }

        var fields = new FieldReader();
        List<double> read = [];
        foreach (var part in parts.Take(Most + 1))
        {
            var known = double.TryParse(part, NumberStyles.AllowDecimalPoint, CultureInfo.InvariantCulture, out var at);
            fields.Check(known && at <= Coarsest, "marks", "number", FlightSays.MarksAreNumbers);
            read.Add(at);
        }

        fields.Check(read.Count <= Most, "marks", "too-many", FlightSays.MarksAreMany);
        if (parts.Length == 1)
        {
            fields.Check(read[0] >= Finest, "marks", "range", FlightSays.MarksAreNumbers);
        }
        else
        {
            foreach (var at in read.Where(at => !Proven.Distances.Holds(at * yards)).Take(1))
            {
                fields.Inside("marks", at * yards, Proven.Distances);
            }
        }

        fields.ThrowIfAny();
        return parts.Length == 1 ? new MarkSteps(read[0], []) : new MarkSteps(0, [.. read.Distinct().Order()]);
    }
}
