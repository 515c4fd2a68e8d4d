using System.Text.Json.Serialization;
using Merganser.Core.Figures;
using Merganser.Core.Groups;
using Merganser.Core.Messages;
using Merganser.Core.Paper;

namespace Merganser.Web.Paper;

/// <summary>A stage as typed.</summary>
/// <param name="Ways">Two ways that are compared, with what the archer calls them.</param>
/// <param name="RangeError">How wrong the sight is set, yards.</param>
/// <param name="NockEnd">True where a bare shaft's nock end is read in a near target, marked as at the paper.</param>
public sealed record StageInput(
    string? Distance,
    bool Fletched,
    bool AtTarget = false,
    bool Heads = false,
    WalkPins? Walk = null,
    bool Sighting = false,
    TwoWays? Ways = null,
    double? RangeError = null,
    bool NockEnd = false
)
{
    /// <summary>The stage at a distance; at a target two kinds are shot, or fletched arrows alone.</summary>
    public PlannedStage At(double yards) =>
        new(
            yards,
            Fletched && !AtTarget,
            AtTarget,
            Heads,
            Walk,
            Sighting,
            Ways is null ? null : new TwoWays(Ways.Kind, Ways.First.Trim(), Ways.Second.Trim()),
            RangeError,
            NockEnd
        );

    /// <summary>From where it may be shot.</summary>
    [JsonIgnore]
    public AllowedRange Distances =>
        PlannedStage.Allowed(
            AtTarget,
            Heads,
            Walk is not null,
            Sighting,
            Ways is not null,
            RangeError is not null,
            NockEnd
        );

    /// <summary>
    /// Checks that heads are not shot through paper, nor walked with; that a walk-back, a pin, two ways and a range
    /// error are each shot by themselves at a target; and that the ways are told apart.
    /// </summary>
    public void Check(FieldReader fields, string field)
    {
        var alone = AtTarget && !Heads;
        void Stage(bool right, Message why) => fields.Check(right, field, "other-stage", why);
        Stage(AtTarget || !Heads, GroupSays.HeadsAtTarget);
        Stage(Walk is null || alone, WalkSays.WalkAtTarget);
        Stage(!Sighting || (alone && Walk is null), WalkSays.SightedAtTarget);
        Stage(Ways is null || (alone && Walk is null && !Sighting), WaySays.WaysAtTarget);
        Stage(RangeError is null || (alone && Walk is null && !Sighting && Ways is null), RangeSays.TrialAtTarget);
        Stage(!NockEnd || (!AtTarget && !Fletched), PaperSays.NockEndOfBare);
        if (RangeError is { } error)
        {
            fields.Inside("rangeError", error, RangeTrial.Errors);
        }

        if (Ways is not null)
        {
            var (first, second) = (Named("first", Ways.First), Named("second", Ways.Second));
            fields.Check(
                first is null || !string.Equals(first, second, StringComparison.OrdinalIgnoreCase),
                "second",
                "same-name",
                WaySays.NamesDiffer
            );
        }

        string? Named(string of, string? name)
        {
            var read = name?.Trim() ?? "";
            fields.Check(
                read.Length is > 0 and <= TwoWays.LongestName && !read.Any(char.IsControl),
                of,
                "name",
                new NameWanted(TwoWays.LongestName)
            );
            return read.Length == 0 ? null : read;
        }
    }
}
