using Merganser.Core.Figures;
using Merganser.Core.Messages;
using Merganser.Core.Units;

namespace Merganser.Web.Words;

/// <summary>What every feature says: ranges, fields, entries.</summary>
public static class CommonWords
{
    public static FormattableString Of(Message message) =>
        message switch
        {
            Outside(var range) => $"Allowed is {new RangeOf(range)}: {range.Why}.",
            RangeOf(var range) => $"{Low(range):bare} to {High(range)}",
            LookAgainAt(var fields) => $"Another look is needed at {fields.Select(FieldName)}.",
            NameWanted(var longest) => $"1 to {longest} characters are needed, and none that cannot be seen.",
            TooMany(var most) => $"1 to {most} are wanted.",
            UseOneOf(var known) => $"Use one of: {known}.",
            NoSuchThing(var what) => $"There is no such {what}.",
            ChangedMeanwhile(var what) => $"This {what} was changed meanwhile.",
            IdIsTaken(var what) => $"This id is already another {what}.",
            NoSuchOrder(var order) => $"\"{order}\" is no order for this instrument.",
            UnreadableAt(var place) => $"The request cannot be read: {place}",
            DocumentIsBroken(var what) => $"The file does not hold together: {what}",
            UnknownColumn(var table, var column) =>
                $"In “{table}” the file has “{column}”, which is not known here or cannot be read.",
            RowWithoutKey(var table) => $"In “{table}” something in the file is no row, or has no key.",
            NothingEntered => $"Nothing is entered here yet.",
            TooLong(var characters) => $"At most {characters} characters.",
            NotANumber(var typed) => $"“{typed}” is not a number. Write it like 28.5, 28 1/2 or 28,5.",
            EndsReversed(var typed) => $"“{typed}” runs backwards: the smaller end first, as in 60 to 70.",
            DividesByNought(var typed) => $"“{typed}” divides by nought.",
            NoSuchUnit(var written, { Count: 0 }) => $"“{written}” is not expected here: this is a plain number.",
            NoSuchUnit(var written, var known) => $"“{written}” is not a unit for this. Use one of: {known}.",
            _ => throw new ArgumentOutOfRangeException(nameof(message), message, "No words table has it."),
        };

    public static FormattableString Of(InputSays says) =>
        says switch
        {
            InputSays.ClientIdNeeded => $"A client-made GUID is needed.",
            InputSays.VersionNeeded => $"An edit names the version it was made on, in If-Match.",
            InputSays.MoreThanIsTaken => $"That is more than this address takes.",
            InputSays.CannotBeRead => $"The request cannot be read.",
            InputSays.MethodNotTaken => $"This address does not take that method.",
            InputSays.NothingAcceptable => $"This address has no answer of a kind that is accepted.",
            InputSays.JsonOnly => $"This address takes JSON.",
            InputSays.WentWrong => $"Something went wrong here; nothing was changed.",
            InputSays.NotConnected => $"The instrument is not connected: type the value instead.",
            InputSays.FollowedElsewhere => $"Another page follows this instrument now.",
            InputSays.OtherBench => $"Another bench answers here now: nothing was taken in. Load the page anew.",
            InputSays.FileBusy => $"The data file is in use by another program: nothing was changed, try again.",
            InputSays.NoSuchDocument =>
                $"That is no bench in open form: such a file begins with \"format\":\"merganser-bench\".",
            InputSays.DocumentIsNewer => $"A newer program wrote that file: this one cannot take it in.",
            InputSays.ArrowWasKept =>
                $"A version of this arrow was kept: it stays in the story, and cannot be thrown away.",
            InputSays.PlaceIsTaken => $"Something else has its place by now, or what it belonged to is gone.",
            InputSays.BowWithoutId => $"A bow in the file has no id.",
            InputSays.BothWentOn => $"Both benches went on with it, each its own way: it stays as it is here.",
            InputSays.CannotBeReadHere => $"Some of it cannot be read here.",
            InputSays.DiskFull => $"The disk of the data file is full: nothing was changed. Make room, then try again.",
            _ => throw new ArgumentOutOfRangeException(nameof(says), says, "No words table has it."),
        };

    /// <summary>Why a range ends where it does.</summary>
    public static FormattableString Of(Why why) =>
        why switch
        {
            Why.DrawWeightOfBows => $"from a child's first bow to the heaviest that is held by hand",
            Why.DrawLengthOfArchers => $"AMO draw length, from a child's to the tallest archer's",
            Why.ArmSpanOfArchers => $"fingertip to fingertip, from a child's to the tallest archer's",
            Why.AxlesOfCompounds => $"as compounds run between the axles",
            Why.LengthOfBows => $"as bows without cams run",
            Why.BraceOfBows => $"grip to string at rest, from low longbows to high target recurves",
            Why.CentreOfBows => $"riser to arrow on any bow in use",
            Why.MakersRating => $"the maker's rating at the standard arrow, weight and draw",
            Why.RestsOfBows => $"rests stand from an overdraw behind the pivot to well ahead of it",
            Why.AverageBow => $"1 is an average bow; beyond this the arrow would be read as another bow's",
            Why.WeightOnTheString => $"peep, loop and silencers together",
            Why.TipToNockingPoint => $"0 at the tip, 1 at the nocking point",
            Why.PaperDistance => $"close enough that the hole shows, far enough to clear the bow",
            Why.GroupDistance => $"nearer the impact is nearly blind to what paper shows; farther no factor is known",
            Why.NockEndDistance =>
                $"nearer paper is read, farther the bare shaft has swung on and its impact tells more",
            Why.WaysDistance => $"nearer all groups are one hole; farther few arrows stay on a face",
            Why.RangeErrorTried => $"less does not show, and nobody is farther off by eye at these distances",
            Why.GuessedDistance => $"nearer it is paced, farther nobody shoots",
            Why.WalkZero => $"nearer a zero says nothing of the farther ones; farther nothing is left to walk",
            Why.WalkDistance => $"from the nearest that is shot to the farthest",
            Why.OnePinDrops => $"farther down no backstop stands",
            Why.WindOfARange => $"in more wind nobody tunes",
            Why.EyeToPin => $"from a short draw with the pin on the riser to a long one with a long bar",
            Why.SightClick => $"the finest and the coarsest click that sights have",
            Why.SightBar => $"no sight goes farther from one mark to another",
            Why.FaceOnAButt => $"a face as it hangs on a butt",
            Why.OnTheFace => $"half of the widest face that can be marked",
            Why.LongestTear => $"no arrow tears farther",
            Why.CleanHoleToRoughSetting => $"from a single clean hole to a first rough setting",
            Why.NoShaftStands => $"beyond it no shaft stands",
            Why.LightestToHeaviest => $"from a child's arrow to the heaviest",
            Why.NobodyCallsItAFit => $"beyond it nobody calls it a fit",
            Why.TillerOfBows => $"more is no tiller of any bow",
            Why.LeanOfCams => $"more lean is a bent axle",
            Why.ArrowFromRiser => $"no arrow stands farther from its riser",
            Why.NockingPointOfBows => $"a nocking point farther off shoots no clean arrow",
            Why.FullTurn => $"half a turn either way",
            Why.StepAtThePart => $"what one step moves, measured at the part itself",
            Why.PieceOfAnArrow => $"a piece of an arrow",
            Why.BentShaft => $"more run-out is a bent shaft",
            Why.SpineOfShafts => $"a spine by the standard's span and load",
            Why.FromTheNockThroat => $"from the nock throat",
            Why.ArrowThatABowStands => $"an arrow that a bow can stand",
            Why.WhatAnArrowFlies => $"what an arrow flies",
            Why.ShaftsAreCut => $"a shorter one no bow draws safely, longer shafts are not sold",
            Why.VaneOnTheShaft => $"vanes sit on the shaft behind the rest",
            Why.GlueOfAnArrow => $"glue for a set of vanes weighs little",
            Why.FewOrManyVanes => $"arrows carry three or four vanes, six at the most",
            Why.RiserStation => $"riser to arrow at either station",
            Why.AlongTheArrow => $"along the arrow",
            Why.DegreesOff => $"a greater cant is seen without a table",
            Why.DistanceOfAZero => $"where the sight was zeroed",
            Why.DistanceOfATarget => $"where a target stands",
            Why.AltitudeOfAField => $"from the lowest land to the highest that anybody shoots on",
            Why.AirOfADay => $"in any weather that people shoot in",
            Why.SpreadOfAnArcher => $"from a shooting machine to a first day",
            Why.DistanceReadWrong => $"nobody is farther off by eye",
            Why.CircleOfATarget => $"from a bull's eye to a whole butt",
            Why.PrintedBar => $"a bar farther off was printed to fit the page: print at actual size",
            Why.EyeOverTheArrow => $"from the eye down to the arrow at full draw",
            Why.CrawlOfAHand => $"from the nock down to the hand",
            Why.SlopeOfACourse => $"steeper is no shot",
            Why.ShaftSpines => $"from the stiffest hunting shaft to a child's",
            Why.ShaftMass => $"from the lightest carbon to solid wood",
            Why.ShaftDiameters => $"as shafts run",
            Why.SolidShaft => $"0 for a solid shaft",
            Why.ShaftsSold => $"as shafts are sold",
            Why.Straightness => $"straightness is a few thousandths",
            Why.HeadWeights => $"up to the heaviest heads",
            Why.FewGrainsEach => $"such parts weigh little",
            Why.LongerIsAShaft => $"anything longer is a shaft",
            Why.AheadOfTheEnd => $"ahead of the shaft's end, negative inside it",
            Why.PartsCount => $"more is no part of an arrow",
            Why.BetweenSupports => $"between the supports",
            Why.HungInTheMiddle => $"the weight hung in the middle",
            Why.WhatTheMiddleGave => $"what the middle gave",
            Why.WrapLength => $"wraps cover the vanes and a little more",
            Why.AGross => $"a gross at the most",
            Why.SparePieces => $"spare pieces of each class",
            Why.OneDaysShooting => $"one day's shooting",
            Why.LabelsOnASheet => $"millimetres on a sheet of A4",
            Why.GlueTimes => $"two days of handling, two weeks of curing at the most",
            Why.PartsOwned => $"pieces in the drawer",
            Why.PriceOfOne => $"of one piece, in your own money",
            Why.TurnOfAJig => $"a jig's angle; below 0 to the left",
            _ => $"that is what can be",
        };

    /// <summary>A field's name in words: <c>drawLength</c> is "draw length".</summary>
    private static string FieldName(string field)
    {
        var last = field[(field.LastIndexOf('.') + 1)..];
        return string.Concat(
            last.Select((c, at) => char.IsUpper(c) && at > 0 ? $" {char.ToLowerInvariant(c)}" : $"{c}")
        );
    }

    private static Measure Low(AllowedRange range) => new(range.Low, range.Unit, Decimals(range));

    private static Measure High(AllowedRange range) => new(range.High, range.Unit, Decimals(range));

    /// <summary>As many decimals as its ends need, three at the most.</summary>
    private static int Decimals(AllowedRange range) =>
        Enumerable.Range(0, 3).FirstOrDefault(d => Fits(range.Low, d) && Fits(range.High, d), 3);

    private static bool Fits(double value, int decimals) => Math.Abs(Math.Round(value, decimals) - value) < 1e-9;
}
