using Merganser.Core.Paper;
using Merganser.Core.Sessions;

namespace Merganser.Core.Tuning;

/// <summary>
/// Lack of fit: the bow was left alone, and yet the later holes lie elsewhere. A grip that changed, a string that
/// settles, something that came loose. The isotropic two-sample test of <see cref="OneWay"/> at every place where the
/// shots of one setting may be parted, the least p times the number of places (Bonferroni, from memory).
/// </summary>
public static class MeanShift
{
    /// <summary>So many shots on either side: two agree too easily.</summary>
    private const int Least = 3;

    /// <summary>The reading, or null while the later shots lie where the earlier ones did.</summary>
    /// <param name="here">The stage's shots that count, in order.</param>
    public static Reading? Of(IReadOnlyList<ShotReading> here)
    {
        Tear[] tears = here.Count == 0 ? [] : [.. here.Where(s => s.Setting == here[^1].Setting).Select(s => s.Tear)];
        var places = tears.Length - (2 * Least) + 1;
        if (places < 1)
        {
            return null;
        }

        var (at, test) = Enumerable
            .Range(Least, places)
            .Select(at => (At: at, Test: ControlReading.Test(tears[..at], tears[at..])))
            .MinBy(split => split.Test.P);
        if (test.P * places >= SessionReadings.Significant)
        {
            return null;
        }

        var because = new MeanShifted(
            at,
            new MeanTear(tears[..at]).Reading,
            new MeanTear(tears[at..]).Reading,
            test.Line,
            places
        );
        var evidence = new Evidence(TuningSays.AnotherMean, because, TuningSays.LaterShotsBack);
        return new Reading(Cause.Form, true, evidence, TuningSays.TestShift);
    }
}
