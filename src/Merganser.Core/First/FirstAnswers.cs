using System.Globalization;
using Merganser.Core.Arrows;
using Merganser.Core.Bows;
using Merganser.Core.Catalogues;
using Merganser.Core.Figures;
using Merganser.Core.Units;

namespace Merganser.Core.First;

/// <summary>
/// What a first archer answers: the bow by what is printed on it, the arrow by what is printed on its shaft. Every text
/// may be empty, which stands for "I don't know", or a range.
/// </summary>
/// <param name="Kind">Kind of bow.</param>
/// <param name="Hand">The hand that draws it.</param>
/// <param name="DrawWeight">As printed on the limb: 65, or 60 to 70.</param>
/// <param name="DrawLength">As printed on cam or module, or measured.</param>
/// <param name="ArmSpan">Fingertip to fingertip, where the draw length is not known.</param>
/// <param name="Spine">The number on the shaft.</param>
/// <param name="GrainsPerInch">Weight per length, where it is printed.</param>
/// <param name="CutLength">Nock throat to the end of the shaft.</param>
/// <param name="Point">Weight of the point.</param>
public sealed record FirstAnswers(
    BowKind Kind,
    Hand Hand,
    string? DrawWeight = null,
    string? DrawLength = null,
    string? ArmSpan = null,
    string? Spine = null,
    string? GrainsPerInch = null,
    string? CutLength = null,
    string? Point = null
)
{
    private const string NotWeighed = "not weighed";

    /// <summary>The bow and the arrow that these answers allow.</summary>
    /// <param name="catalogue">Shafts to take from what is not printed.</param>
    /// <exception cref="RefusedException">An answer cannot be read or is out of range; each is named.</exception>
    public FirstBuild Read(IReadOnlyList<Shaft> catalogue)
    {
        var fields = new FieldReader();
        var weight = fields.OptionalSpan("drawWeight", DrawWeight, Quantity.DrawWeight, BowRanges.DrawWeight);
        var draw = fields.OptionalSpan("drawLength", DrawLength, Quantity.Length, BowRanges.DrawLength);
        var arms = fields.Optional("armSpan", ArmSpan, Quantity.Length, FirstRanges.ArmSpan);
        var length = fields.OptionalSpan("cutLength", CutLength, Quantity.Length, ArrowRanges.CutLength);
        var point = fields.OptionalSpan("point", Point, Quantity.Weight, ComponentTable.Grains);
        var printed = Empty(Spine) ? FirstRanges.Spine(Kind) : Spine!.Trim();
        Shaft? shaft = null;
        try
        {
            shaft = new OwnShaft(
                null,
                Empty(Spine) ? "Number not known" : null,
                printed,
                GrainsPerInch,
                null,
                null
            ).Read(catalogue);
        }
        catch (RefusedException refused)
        {
            Take(refused);
        }

        fields.ThrowIfAny();
        var inDraw = draw ?? (arms is null ? FirstRanges.DrawLength : OfArms(arms.Value));
        var ends = length ?? Beside(inDraw);
        var entry = Entry(weight ?? FirstRanges.DrawWeight(Kind), inDraw);
        var points = point ?? FirstRanges.Point;
        var parts = new FirstParts(
            shaft!,
            new Insert(
                OwnShaft.Unknown,
                NotWeighed,
                FirstRanges.Insert.Middle,
                1,
                -0.5,
                GrainsBand: FirstRanges.Insert.Band
            ),
            new Point(
                OwnShaft.Unknown,
                points.Band > 0 ? NotWeighed : $"{Number(points.Middle)} gr",
                PointKind.Field,
                points.Middle,
                1,
                0.5,
                GrainsBand: points.Band
            ),
            new Nock(
                OwnShaft.Unknown,
                NotWeighed,
                FirstRanges.Nock.Middle,
                0.5,
                0.25,
                GrainsBand: FirstRanges.Nock.Band
            ),
            new Vane(OwnShaft.Unknown, NotWeighed, FirstRanges.Vane.Middle, 2, 0.5, GrainsBand: FirstRanges.Vane.Band)
        );
        var typed = length is null ? Text(ends) : CutLength!.Trim();
        try
        {
            return new FirstBuild(
                entry,
                entry.Read(),
                parts,
                typed,
                Empty(Point) ? Text(points) : Point!.Trim(),
                printed,
                parts.Arrow(typed)
            );
        }
        catch (RefusedException refused)
        {
            Take(refused);
            throw RefusedException.Of(fields.Problems);
        }

        void Take(RefusedException refused)
        {
            foreach (var problem in refused.Problems.DistinctBy(p => FieldOf(p.Field)))
            {
                fields.Check(false, FieldOf(problem.Field), problem.Code, problem.Message);
            }
        }
    }

    /// <summary>Where a problem stands that is one of a field which is not asked for.</summary>
    private static string FieldOf(string field) =>
        field switch
        {
            "tubeCode" => "spine",
            "braceHeight" => "drawLength",
            "insert" or "vaneFront" => "cutLength",
            _ => field,
        };

    /// <summary>A shaft that nobody measured: about as long as the draw, and no longer than shafts are sold.</summary>
    private static Span Beside(Span draw) =>
        new(
            Math.Clamp(draw.Low + FirstRanges.BesideDraw.Low, ArrowRanges.CutLength.Low, OwnShaft.UsualLength),
            Math.Clamp(draw.High + FirstRanges.BesideDraw.High, ArrowRanges.CutLength.Low, OwnShaft.UsualLength)
        );

    private static Span OfArms(double arms)
    {
        var draw = arms / FirstRanges.SpanOfDraw;
        return new Span(draw - FirstRanges.SpanBand, draw + FirstRanges.SpanBand);
    }

    private BowEntry Entry(Span weight, Span draw) =>
        new(
            "First bow",
            Kind,
            Hand,
            Kind == BowKind.Compound ? Release.ReleaseAid : Release.Fingers,
            Empty(DrawWeight) ? Text(weight) : DrawWeight!.Trim(),
            null,
            Empty(DrawLength) ? Text(draw) : DrawLength!.Trim(),
            null,
            Text(FirstRanges.BraceHeight(Kind)),
            null,
            Kind switch
            {
                BowKind.Compound => RestType.DropAwayLate,
                BowKind.Longbow => RestType.Shelf,
                _ => RestType.Plunger,
            },
            CamSystem.None,
            CamDraw.Medium,
            null,
            null,
            null,
            null
        );

    private static bool Empty(string? text) => string.IsNullOrWhiteSpace(text);

    /// <summary>Without a unit: a text without one is in that of the trade.</summary>
    private static string Text(Span span) => $"{Number(span.Low)} to {Number(span.High)}";

    private static string Number(double value) => value.ToString("0.##", CultureInfo.InvariantCulture);
}

/// <summary>What a first arrow is made of.</summary>
/// <param name="Shaft">By what is printed on it.</param>
/// <param name="Insert">Insert.</param>
/// <param name="Point">Point.</param>
/// <param name="Nock">Nock.</param>
/// <param name="Vane">Vane.</param>
public sealed record FirstParts(Shaft Shaft, Insert Insert, Point Point, Nock Nock, Vane Vane)
{
    /// <summary>Vanes on it.</summary>
    public const int Vanes = 3;

    /// <summary>The arrow of these parts.</summary>
    /// <param name="length">Its length as typed.</param>
    public Arrow Arrow(string length) =>
        new ArrowEntry(Shaft, length, Insert, Point, Nock, Vane, Vanes, null, null, null).Read();
}

/// <summary>A bow and an arrow as first answers have them.</summary>
/// <param name="Entry">The bow as typed.</param>
/// <param name="Bow">As read, with its bands.</param>
/// <param name="Parts">What the arrow is made of.</param>
/// <param name="CutLength">Its length as typed, or what stands for it.</param>
/// <param name="Point">The weight of its point as typed, or what stands for it.</param>
/// <param name="Spine">The number on its shaft as typed, or what stands for it.</param>
/// <param name="Arrow">As read, with its bands.</param>
public sealed record FirstBuild(
    BowEntry Entry,
    Bow Bow,
    FirstParts Parts,
    string CutLength,
    string Point,
    string Spine,
    Arrow Arrow
);
