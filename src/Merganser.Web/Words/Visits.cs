using Merganser.Core.Bows;
using Merganser.Core.Visits;

namespace Merganser.Web.Words;

/// <summary>Visits.</summary>
public static class VisitWords
{
    public static FormattableString Of(VisitMessage message) =>
        message switch
        {
            WasAndIs(var name, var was, var now) => $"{name}: was {was:low}, is now {now:low}.",
            SettlesFirst(var shots) => $"The string settles first: {shots:shot} before any tear is read.",
            StringLookIn(var shots, true) =>
                $"Look at the string in {shots:shot}: timing marks, peep, then one paper. Coming in for it is quick.",
            StringLookIn(var shots, false) =>
                $"Look at the string in {shots:shot}: brace height, nocking point, then one paper.",
            MayHaveSlipped(var name, var at) =>
                $"{name} stands at {at}. Put a pencil mark beside it: when it has left the mark, it has slipped.",
            ChangedSinceItCame(1) => $"One thing differs from how it came.",
            ChangedSinceItCame(var count) => $"{count} things differ from how it came.",
            CameToTheBench(var number, "") => $"Visit {number}: it came to the bench",
            CameToTheBench(var number, var wants) => $"Visit {number}: it came to the bench. {wants}",
            WasHandedOver(var number) => $"Visit {number}: it was handed over",
            WentToOwner(var name) => $"It went to {name}",
            VisitIsOpen(var number) => $"Visit {number} of this bow is open: hand it over first.",
            PlannedAndDone(var text) => $"Done as planned: {text}",
            RestLetsGo(var type) => $"{Rest(type)}",
            OneClickOf(var name) => $"One click of {name:low}",
            MovesBy(var way) => $"{way}",
            _ => throw new ArgumentOutOfRangeException(nameof(message), message, "No words table has it."),
        };

    public static FormattableString Of(VisitSays says) =>
        says switch
        {
            VisitSays.SayWhich => $"Say what it is.",
            VisitSays.QuantityRange => $"More than 0, up to 100,000.",
            VisitSays.PriceRange => $"From 0 to 100,000.",
            VisitSays.NeverDryFire => $"Never let the string go without an arrow on it.",
            VisitSays.LookItOver =>
                $"Before each use look at limbs, string and shafts; a damaged one is not shot, not even once.",
            VisitSays.NeverPressIt =>
                $"Cables, axles and modules are for the right press and the maker’s manual, or a shop: never improvise.",
            VisitSays.StringItWithAStringer =>
                $"String it with a stringer; a twisted limb is the price of a step-through.",
            VisitSays.ManualFirst => $"The maker’s manual comes first.",
            VisitSays.NewStringPutOn => $"A new string was put on.",
            VisitSays.DoNotShoot => $"Do not shoot it: it was found damaged, and that was not mended.",
            VisitSays.StringIsNew =>
                $"The string is new and still grows longer: marks, peep and brace height move with it.",
            VisitSays.WeightChanged => $"The draw weight was changed: your sight marks are another set now.",
            VisitSays.PeepMayTurn => $"If the peep turns away at full draw, come in; do not twist the string at home.",
            VisitSays.WriteDownHowItCame => $"Write down how the bow came in.",
            VisitSays.FrozenThen => $"What stands on record now is kept as found; whatever is done is held against it.",
            VisitSays.BeginTheVisit => $"Begin a visit",
            VisitSays.HandItOver => $"Hand it over",
            VisitSays.CardFollows => $"The card to take home is made from what differs.",
            VisitSays.GoOnWithTheBow => $"Go on with the bow",
            VisitSays.ToTheWorkOrder => $"To the work order",
            VisitSays.ItIsHandedOver => $"It is handed over.",
            VisitSays.PrintItAgain => $"Its card can be printed again; the next visit starts from here.",
            VisitSays.PrintTheCard => $"Print the card",
            VisitSays.BeginTheNext => $"Begin the next visit",
            VisitSays.IsHandedOver => $"This visit is handed over: nothing more goes on it.",
            VisitSays.SameOwner => $"It is theirs already.",
            VisitSays.CarriedFromItself => $"Say which other bow it came from.",
            VisitSays.HowTheRestLetsGo => $"The rest",
            VisitSays.OneClickOfTheSight => $"One click of the sight",
            VisitSays.NotOnRecord => $"not on record",
            _ => throw new ArgumentOutOfRangeException(nameof(says), says, "No words table has it."),
        };

    private static string Rest(RestType type) =>
        type switch
        {
            RestType.DropAwayEarly => "drop-away, drops early",
            RestType.DropAwayLate => "drop-away, drops late",
            RestType.Containment => "containment",
            RestType.Launcher => "launcher blade",
            RestType.Plunger => "rest with plunger",
            RestType.Shelf => "off the shelf",
            _ => throw new ArgumentOutOfRangeException(nameof(type), type, "No words table has it."),
        };
}
