using Merganser.Core.Bows;
using Merganser.Core.Groups;
using Merganser.Core.Messages;
using Merganser.Core.Units;

namespace Merganser.Core.Visits;

/// <summary>A part that may come over from another bow.</summary>
public enum CarriedPart
{
    Rest,
    Sight,
    Stabiliser,
    Quiver,
}

/// <summary>A fact that goes with a part, as it stands on this bow and on the one it came from.</summary>
public sealed record CarriedFact(Message Name, Message Here, Message There);

/// <summary>
/// A bow as far as a part brings facts onto it. What belongs to the part goes along: how a rest lets go, what one of
/// its clicks moves, what a click of a sight moves. Where it stands never does: centre shot, nocking point, the marks
/// and the peep's height are found anew (common practice, no source).
/// </summary>
/// <param name="Typed">As entered.</param>
/// <param name="Adjusters">As they stand.</param>
/// <param name="Sight">As measured, or null.</param>
public sealed record Fitted(BowEntry Typed, IReadOnlyList<Adjuster> Adjusters, Sight? Sight)
{
    private const int PlacesOfAClick = 4;

    private static readonly AdjusterKind[] OfARest = [AdjusterKind.RestSideways, AdjusterKind.RestHeight];
    private static readonly RestType[] ForFingers = [RestType.Plunger, RestType.Shelf];

    /// <summary>What a part would change here; nothing where it brings no fact, or the same.</summary>
    /// <param name="part">Which part; null for one of another name.</param>
    /// <param name="from">The bow that it came from.</param>
    public IReadOnlyList<CarriedFact> Brings(CarriedPart? part, Fitted from)
    {
        var after = With(part, from);
        List<CarriedFact> facts = [];
        if (after.Typed.RestType != Typed.RestType)
        {
            facts.Add(
                new CarriedFact(
                    VisitSays.HowTheRestLetsGo,
                    new RestLetsGo(Typed.RestType),
                    new RestLetsGo(after.Typed.RestType)
                )
            );
        }

        facts.AddRange(
            Adjusters
                .Zip(after.Adjusters)
                .Where(pair => pair.First.InchesPerStep != pair.Second.InchesPerStep)
                .Select(pair => new CarriedFact(
                    new OneClickOf(new AdjusterName(pair.First.Kind)),
                    Moves(pair.First.InchesPerStep),
                    Moves(pair.Second.InchesPerStep)
                ))
        );
        if (after.Sight?.Click != Sight?.Click)
        {
            facts.Add(new CarriedFact(VisitSays.OneClickOfTheSight, Moves(Sight?.Click), Moves(after.Sight?.Click)));
        }

        return facts;
    }

    /// <summary>As it is with the part's own facts.</summary>
    /// <param name="part">Which part; null for one of another name.</param>
    /// <param name="from">The bow that it came from.</param>
    public Fitted With(CarriedPart? part, Fitted from) =>
        part switch
        {
            CarriedPart.Rest when ForFingers.Contains(from.Typed.RestType) == ForFingers.Contains(Typed.RestType) =>
                this with
                {
                    Typed = Typed with { RestType = from.Typed.RestType },
                    Adjusters = [.. Adjusters.Select(a => OfARest.Contains(a.Kind) ? Like(a, from) : a)],
                },
            CarriedPart.Sight when from.Sight is { Click: not null } sight && Typed.Kind == from.Typed.Kind => this with
            {
                Sight = new Sight(Sight?.EyeToPin ?? sight.EyeToPin, sight.Click),
            },
            _ => this,
        };

    private static Adjuster Like(Adjuster here, Fitted from) =>
        from.Adjusters.FirstOrDefault(a => a.Kind == here.Kind) is { InchesPerStep: { } inches }
            ? here with
            {
                InchesPerStep = inches,
            }
            : here;

    private static Message Moves(double? inches) =>
        inches is { } way ? new MovesBy(Measure.Inches(way, PlacesOfAClick)) : VisitSays.NotOnRecord;
}
