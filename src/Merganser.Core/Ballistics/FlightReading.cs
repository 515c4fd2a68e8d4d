using Merganser.Core.Arrows;
using Merganser.Core.Bows;
using Merganser.Core.Groups;
using Merganser.Core.Setup;
using Merganser.Core.Speed;

namespace Merganser.Core.Ballistics;

/// <summary>What is known of an archer's range besides bow and arrow.</summary>
/// <param name="Wish">What the archer says.</param>
/// <param name="Sizes">The archer's groups with this bow.</param>
/// <param name="Guesses">The archer's guessed distances.</param>
/// <param name="Sight">The sight as it was measured, or null.</param>
/// <param name="Proven">Marks and down-range speeds of this arrow.</param>
/// <param name="Crawls">Proven crawls, for a barebow.</param>
public sealed record FlightKnown(
    FlightWish Wish,
    GroupSizes? Sizes,
    RangingError? Guesses,
    Sight? Sight,
    IReadOnlyList<Proven> Proven,
    IReadOnlyList<CrawlMark> Crawls
);

/// <summary>One mark of a sight.</summary>
/// <param name="Yards">For this distance, yards.</param>
/// <param name="Inches">Place on the archer's scale, or travel from the first mark.</param>
/// <param name="Error">One standard deviation.</param>
/// <param name="Own">The archer's own mark there, or null.</param>
/// <param name="Clears">False where the housing stands in the arrow's way.</param>
public sealed record SightMarkAt(double Yards, double Inches, double Error, ProvenAgainst? Own, bool Clears);

/// <summary>An arrow on its way from a bow, how far it is honest, and the marks for it.</summary>
public sealed class FlightReading
{
    private const double TwoSided = 1.96;

    /// <summary>What is unknown of the eye over the arrow: typed, and not (guesses, no source), inches.</summary>
    private const double TypedHeightError = .15;

    private const double UsualHeightError = .5;

    /// <summary>The same of a measured and of a usual eye to pin, inches.</summary>
    private const double MeasuredPinError = .25;

    private const double UsualPinError = 2;

    /// <summary>From the pin down to the lower edge of its housing, inches (common practice, no source).</summary>
    private const double Housing = .9;

    private readonly Lazy<HonestRange> honest;

    /// <param name="bow">The bow.</param>
    /// <param name="arrow">The arrow.</param>
    /// <param name="known">What else is known.</param>
    public FlightReading(Bow bow, Arrow arrow, FlightKnown known)
    {
        (Bow, Arrow, Known) = (bow, arrow, known);
        Grains = arrow.Balance().Grains;
        Launch = LaunchSpeed.Of(bow, Grains);
        Drag = ArrowDrag.Of(arrow);
        Spread = SpreadOf(known);
        Sight = known.Sight ?? Sight.Usual;
        var wish = known.Wish;
        Fit = new MarkFit(
            new FlyingArrow(
                Grains,
                arrow.Shaft.OuterDiameter,
                Drag.Middle,
                Air.Density(wish.Altitude, wish.Temperature)
            ),
            known.Proven,
            new FlightPrior(
                Launch.Speed,
                Math.Max((Launch.High - Launch.Low) / (2 * TwoSided), .3),
                Drag.Middle,
                Drag.Spread,
                wish.SightHeight ?? RangeTrial.EyeAboveArrow,
                wish.SightHeight is null ? UsualHeightError : TypedHeightError,
                Sight.EyeToPin,
                known.Sight is null ? UsualPinError : MeasuredPinError
            ),
            Spread
        );
        Flight = Fit.Flight;
        honest = new(() =>
            new HonestRange(Flight, Error, wish.Circle, Spread, Unsure(Launch.Low), Unsure(Launch.High))
        );
    }

    /// <summary>The same arrow at an end of a speed that no chronograph measured; null where one did.</summary>
    private Trajectory? Unsure(double speed) =>
        Launch.Measured
            ? null
            : new Trajectory(Flight.Arrow, speed * Fit.Speed.Value / Launch.Speed, Flight.SightHeight);

    /// <summary>The bow.</summary>
    public Bow Bow { get; }

    /// <summary>The arrow.</summary>
    public Arrow Arrow { get; }

    /// <summary>What else is known.</summary>
    public FlightKnown Known { get; }

    /// <summary>Its weight, grains.</summary>
    public double Grains { get; }

    /// <summary>Launch speed before any mark.</summary>
    public Launch Launch { get; }

    /// <summary>Drag before any mark.</summary>
    public ArrowDrag Drag { get; }

    /// <summary>The archer's spread.</summary>
    public ShotSpread Spread { get; }

    /// <summary>The sight.</summary>
    public Sight Sight { get; }

    /// <summary>True where the sight was measured.</summary>
    public bool SightIsMeasured => Known.Sight is not null;

    /// <summary>What the archer's own marks taught.</summary>
    public MarkFit Fit { get; }

    /// <summary>The arrow in flight.</summary>
    public Trajectory Flight { get; }

    /// <summary>What the archer says.</summary>
    public FlightWish Wish => Known.Wish;

    /// <summary>How wrong the distance is read.</summary>
    public DistanceError Error => ErrorOf(Known);

    /// <summary>True where the archer's guesses are enough to be reckoned with.</summary>
    public bool GuessesTold => Known.Guesses is { Told: true };

    /// <summary>False for an arrow that is too light for its bow: its range is not shown.</summary>
    public bool IsHeavyEnough => Grains / Bow.DrawWeight >= ArrowCautions.LeastGrainsPerPound;

    /// <summary>How far it is honest.</summary>
    public HonestRange Honest => honest.Value;

    /// <summary>The path for a sight set for a distance, step by step to the end; fewer where it falls short.</summary>
    /// <param name="set">What the sight is set for, yards.</param>
    /// <param name="to">How far it is followed, yards.</param>
    /// <param name="step">A yard, or what else the archer counts in, yards, above 0.</param>
    /// <param name="feetPerSecond">At another launch speed; null for the fitted one.</param>
    public IReadOnlyList<FlightPoint> Path(double set, double to, double step, double? feetPerSecond = null)
    {
        var flight = feetPerSecond is { } other ? new Trajectory(Flight.Arrow, other, Flight.SightHeight) : Flight;
        double[] yards = [.. Enumerable.Range(0, (int)Math.Floor((to / step) + 1e-6) + 1).Select(i => i * step)];
        return flight.Zero(set) is { } tangent ? [.. flight.Path(tangent, yards).OfType<FlightPoint>()] : [];
    }

    /// <summary>The honest range by another weight or launch of the same arrow, yards.</summary>
    /// <param name="grains">The arrow's whole weight then, grains.</param>
    public double HonestAt(double grains)
    {
        var speed = LaunchSpeed.Of(Bow, grains).Speed * Fit.Speed.Value / Launch.Speed;
        var flight = new Trajectory(Flight.Arrow with { Grains = grains }, speed, Flight.SightHeight);
        return new HonestRange(flight, Error, Known.Wish.Circle, Spread).Yards;
    }

    /// <summary>Marks for distances, the nearest first; those that the arrow reaches.</summary>
    public IReadOnlyList<SightMarkAt> Marks(IReadOnlyList<double> distances)
    {
        var own = Fit.Against.Where(p => p.Proven.Kind == ProvenKind.Mark).ToArray();
        return
        [
            .. from yards in distances.Order()
            let mark = Fit.MarkAt(yards, distances.Min())
            where mark is not null
            select new SightMarkAt(
                yards,
                mark.Value.Inches,
                mark.Value.Error,
                own.FirstOrDefault(p => Math.Abs(p.Proven.Yards - yards) < .05),
                Clearance(yards) is not < 0
            ),
        ];
    }

    /// <summary>
    /// Room between the lower edge of the sight's housing and the arrow with its vanes as it passes, inches: the
    /// arrow's line rises towards the line of sight the more, the farther the mark.
    /// </summary>
    public double? Clearance(double yards) =>
        Flight.Zero(yards) is { } tangent
            ? Flight.SightHeight
                - (Fit.EyeToPin.Value * tangent)
                - Housing
                - (Arrow.Shaft.OuterDiameter / 2)
                - (Arrow.Vane?.Height ?? 0)
            : null;

    /// <summary>Aiming over the point; null for a bow with a sight.</summary>
    public PointAim? OverThePoint =>
        Bow.HasSight
            ? null
            : new PointAim(
                Flight.Arrow,
                Flight.Speed,
                Arrow.CutLength + Arrow.Point.Length,
                CrawlTable.IsFor(Bow.Kind)
                    ? [.. Known.Crawls.Where(c => c.Crawl > 0).Select(c => (c.Yards, c.Crawl))]
                    : []
            );

    /// <summary>How wrong an archer reads distances.</summary>
    public static DistanceError ErrorOf(FlightKnown known) =>
        known.Wish.Error switch
        {
            ErrorFrom.Measured => DistanceError.None,
            ErrorFrom.Guesses when known.Guesses is { Told: true } guesses => new DistanceError(0, guesses.NineInTen),
            _ => new DistanceError(known.Wish.ErrorYards ?? DistanceError.Usual.Yards),
        };

    /// <summary>An archer's spread, as it is measured, typed or said.</summary>
    public static ShotSpread SpreadOf(FlightKnown known)
    {
        var (wish, measured) = (known.Wish, known.Sizes is { } sizes ? ShotSpread.Measured(sizes) : null);
        return wish.Spread switch
        {
            SpreadSource.Measured => measured ?? ShotSpread.ByExperience(SpreadSource.Usual),
            SpreadSource.Typed when wish.PerYard is { } typed => ShotSpread.Typed(typed),
            var source => ShotSpread.ByExperience(source),
        };
    }
}
