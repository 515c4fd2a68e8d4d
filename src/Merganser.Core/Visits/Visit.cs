using Merganser.Core.Bows;
using Merganser.Core.Figures;
using Merganser.Core.Messages;
using Merganser.Core.Setup;
using Merganser.Core.Story;
using Merganser.Core.Units;

namespace Merganser.Core.Visits;

/// <summary>What a line of a visit is of.</summary>
public enum VisitLineKind
{
    /// <summary>A part that went on.</summary>
    Part,

    /// <summary>Work that is paid.</summary>
    Labour,

    /// <summary>A part that came over from another bow.</summary>
    Carried,
}

/// <summary>A line of parts or labour.</summary>
/// <param name="Id">Made by the client.</param>
/// <param name="Kind">Part, labour, or carried over.</param>
/// <param name="Text">What.</param>
/// <param name="Quantity">How many, or how many hours; at least 0.</param>
/// <param name="Price">For one, in the shop's own money; null where none is said.</param>
/// <param name="FromBow">The bow that it came from, by name; null for none.</param>
/// <param name="FromBowId">That bow.</param>
public sealed record VisitLine(
    string Id,
    VisitLineKind Kind,
    string Text,
    double Quantity,
    double? Price,
    string? FromBow = null,
    string? FromBowId = null
)
{
    /// <summary>Longest text.</summary>
    public const int LongestText = 120;

    /// <summary>Most of one thing, and the highest price.</summary>
    public const double Most = 100_000;

    /// <summary>What it comes to; null where no price is said.</summary>
    public double? Sum => Quantity * Price;

    /// <summary>Which part was carried over; null for one of another name, or none.</summary>
    public CarriedPart? Carried =>
        Kind == VisitLineKind.Carried && Enum.TryParse<CarriedPart>(Text, ignoreCase: true, out var part) ? part : null;

    /// <summary>The sum of some lines; null where no price is said at all.</summary>
    public static double? SumOf(IReadOnlyList<VisitLine> lines) =>
        lines.Any(l => l.Price is not null) ? lines.Sum(l => l.Sum ?? 0) : null;

    /// <summary>What a line that can be kept says of how many, and of the price of one.</summary>
    /// <param name="text">What it is.</param>
    /// <param name="quantity">How many, as typed.</param>
    /// <param name="price">The price of one as typed; may be empty.</param>
    /// <exception cref="RefusedException">A field cannot be; each is named.</exception>
    public static (double Quantity, double? Price) Read(string text, string? quantity, string? price)
    {
        var fields = new FieldReader();
        fields.Check(text.Length > 0, "text", "missing", VisitSays.SayWhich);
        fields.Check(text.Length <= LongestText, "text", "too-long", new TooLong(LongestText));
        var many = fields.Number("quantity", quantity, q => q is > 0 and <= Most, VisitSays.QuantityRange);
        var each = fields.Number("price", price, p => p is null or (>= 0 and <= Most), VisitSays.PriceRange);
        fields.ThrowIfAny();
        return (many!.Value, each);
    }
}

/// <summary>A bow as it came, or as it left.</summary>
/// <param name="State">What stood on record.</param>
/// <param name="SettlingLeft">Shots that still settled its string.</param>
/// <param name="CheckIn">Shots until the string was to be looked at; 0 or less is now, null for never.</param>
/// <param name="IsUnsound">True where it was not to be shot.</param>
public sealed record VisitState(StateThen State, int SettlingLeft, int? CheckIn, bool IsUnsound)
{
    /// <summary>As it stands now.</summary>
    public static VisitState Of(StateThen state, StringLife life, Unsound? unsound) =>
        new(
            state,
            life.SettlingLeft,
            life.Plan.School == StringSchool.BreakIn
                ? life.Plan.ChecksAt.Where(at => at > life.Shots).Select(at => (int?)(at - life.Shots)).FirstOrDefault()
                : null,
            unsound is not null
        );
}

/// <summary>
/// What goes home with a bow, in plain words: what was done, what to watch, and what never to do. It is made from what
/// differs between the bow as found and as it leaves.
/// </summary>
/// <param name="Done">What was changed, each as found and as it is.</param>
/// <param name="Results">Tears, groups and speed before and after.</param>
/// <param name="Watch">What to watch at home.</param>
/// <param name="Cautions">What never to do; the maker's manual comes first.</param>
public sealed record HandOver(
    IReadOnlyList<Message> Done,
    IReadOnlyList<DifferenceRow> Results,
    IReadOnlyList<Message> Watch,
    IReadOnlyList<Message> Cautions
)
{
    /// <summary>What slips when its screw is loose: a mark beside it shows it (common practice, no source).</summary>
    private static readonly AdjusterKind[] Slips =
    [
        AdjusterKind.RestSideways,
        AdjusterKind.RestHeight,
        AdjusterKind.NockingPoint,
        AdjusterKind.PlungerTension,
    ];

    private static readonly Message[] Nothing = [];

    /// <summary>Makes it.</summary>
    /// <param name="bow">The bow.</param>
    /// <param name="two">As found, and as it leaves.</param>
    /// <param name="left">How it leaves.</param>
    public static HandOver Of(Bow bow, TwoDates two, VisitState left)
    {
        var fresh = two.NowIs.StringPutOn != two.Then.StringPutOn;
        var changed = two.Differences.Where(d => d.Name is not Says { Code: StorySays.String }).ToArray();
        return new HandOver(
            [
                .. fresh ? [VisitSays.NewStringPutOn] : Nothing,
                .. changed.Select(d => new WasAndIs(d.Name, d.Then, d.Now)),
            ],
            [.. two.Rows.Where(r => r.Section == DifferenceSection.Results)],
            [.. WatchFor(bow, two, left)],
            [
                VisitSays.NeverDryFire,
                VisitSays.LookItOver,
                bow.Kind == BowKind.Compound ? VisitSays.NeverPressIt : VisitSays.StringItWithAStringer,
                VisitSays.ManualFirst,
            ]
        );
    }

    private static IEnumerable<Message> WatchFor(Bow bow, TwoDates two, VisitState left)
    {
        if (left.IsUnsound)
        {
            yield return VisitSays.DoNotShoot;
        }

        if (two.NowIs.StringPutOn != two.Then.StringPutOn)
        {
            yield return VisitSays.StringIsNew;
        }

        if (left.SettlingLeft > 0)
        {
            yield return new SettlesFirst(left.SettlingLeft);
        }

        if (left.CheckIn is { } next)
        {
            yield return new StringLookIn(next, bow.Kind == BowKind.Compound);
        }

        foreach (var kind in Slips.Where(k => Moved(two, k)))
        {
            yield return new MayHaveSlipped(
                new AdjusterName(kind),
                new Standing(kind, two.NowIs.Positions[kind].Position)
            );
        }

        if (Moved(two, AdjusterKind.LimbBolts))
        {
            yield return VisitSays.WeightChanged;
        }

        if (bow.Kind == BowKind.Compound)
        {
            yield return VisitSays.PeepMayTurn;
        }
    }

    private static bool Moved(TwoDates two, AdjusterKind kind) =>
        two.NowIs.Positions.TryGetValue(kind, out var now)
        && two.Then.Positions.TryGetValue(kind, out var then)
        && now.Position != then.Position;
}

/// <summary>The one next step of a visit.</summary>
public static class VisitNext
{
    /// <summary>
    /// Without a visit, beginning one; then the bow's own next step while nothing was done; then the hand-over; after
    /// it the bow.
    /// </summary>
    /// <param name="open">True for a visit that was not handed over; null where there is none.</param>
    /// <param name="differences">What differs since it came.</param>
    /// <param name="bow">The bow's own next step.</param>
    public static Next Of(bool? open, int differences, Next bow) =>
        (open, differences) switch
        {
            (null, _) => new Next(VisitSays.WriteDownHowItCame, VisitSays.FrozenThen, "begin", VisitSays.BeginTheVisit),
            (true, 0) => bow with
            {
                Action = "stop:bow",
                Button = VisitSays.ToTheWorkOrder,
                Alternative = VisitSays.HandItOver,
                AlternativeAction = "handover",
            },
            (true, var count) => new Next(
                new ChangedSinceItCame(count),
                VisitSays.CardFollows,
                "handover",
                VisitSays.HandItOver,
                VisitSays.GoOnWithTheBow,
                "stop:bow"
            ),
            (false, _) => new Next(
                VisitSays.ItIsHandedOver,
                VisitSays.PrintItAgain,
                "card",
                VisitSays.PrintTheCard,
                VisitSays.BeginTheNext,
                "begin"
            ),
        };
}
