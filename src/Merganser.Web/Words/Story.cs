using Merganser.Core.Story;
using Merganser.Core.Units;

namespace Merganser.Web.Words;

/// <summary>What a bow's story tells.</summary>
public static class StoryWords
{
    public static FormattableString Of(StoryMessage message) =>
        message switch
        {
            CheckFound(var check, var found, true) => $"{check} left: {found}",
            CheckFound(var check, var found, _) => $"{check}: {found:low}",
            ChecksFound(var first, 0) => $"{first:semicolons}",
            ChecksFound(var first, var more) => $"{first:semicolons}; {more} more",
            AsMeasured(var check) => $"{check}, measured",
            ChecksMade(1) => $"a check",
            ChecksMade(var count) => $"{count:check}",
            ShotAway(var shots) => $"Range day, {shots:shot}",
            ShotsCounted(var count) => $"{count:shot}",
            ShotsReadOf(var read, var marked) => $"{read} of {marked:shot}",
            CheckFellDue(var shots) => $"Check at {shots} fell due",
            StoodFromTo(var from, var to) => $"{from} to {to}",
            MoveSetRight(var name, var now) => $"Entry corrected: {name:low} stands at {now}",
            SetTold(var number, var stage, null) => $"Set {number}, {stage}",
            SetTold(var number, var stage, var showed) => $"Set {number}, {stage}: {showed:low}",
            GroupTold(var spread, var centre) => $"spread {spread}, centre {centre}",
            CentreAt(var right, var up) => OffCentre(right, up),
            MarkedAsWell(null, _) => $"It shot well",
            MarkedAsWell(var arrow, var version) => $"{arrow}, version {version}, shot well",
            AcceptedAs(true) => $"Groups accepted",
            AcceptedAs => $"Paper accepted",
            OpenedAgain(true) => $"Groups opened again",
            OpenedAgain => $"Paper opened again",
            SpeedsTold(var mean, 1, _) => $"{mean}, one shot",
            SpeedsTold(var mean, var shots, { } spread) => $"{mean}, {shots:shot}, spread {spread:bare}",
            SpeedsTold(var mean, var shots, _) => $"{mean}, {shots:shot}",
            ArrowKeptAs(var name, var version, var cut, var point) =>
                $"{name}, version {version}: cut to {cut}, point {point}",
            WeighsAndFits(var weight, var fit) => $"{weight}, fit {fit}",
            DozenBegun(var arrow) => $"A set of {arrow} was begun",
            DozenMatched(var arrow, var arrows) => $"{arrow}: {arrows:arrow} matched",
            MarkProven(var distance, var mark) => $"Sight mark at {distance}: {mark}",
            SpeedProven(var distance, var speed) => $"{speed} read at {distance}",
            CrawlProven(var distance, null) => $"Crawl at {distance} given up",
            CrawlProven(var distance, { } crawl) => $"Crawl at {distance}: {crawl}",
            SightWasMoved(var right, var up, true) => $"Sight moved for heads: {PinMoved(right, up)}",
            SightWasMoved(var right, var up, _) => $"Sight moved: {PinMoved(right, up)}",
            RungWasAnswered(var rung, "") => $"{rung}",
            RungWasAnswered(var rung, var outcome) => $"{rung}: {outcome}",
            ShowedThen(var set, var showed) => $"set {set}: {showed:low}",
            ArrowVersionOf(var name, var version) => $"{name}, version {version}",
            NumbersShot(var numbers) => $"{numbers:and}",
            ChangesCan([], 1, var side) => $"One change, and it cannot turn the {Tail(side)}",
            ChangesCan([], var of, var side) => $"{of} changes, and none of them can turn the {Tail(side)}",
            ChangesCan([var one], 1, var side) => $"The one change can turn the {Tail(side)}: {one:low}",
            ChangesCan([var one], var of, var side) => $"One of {of} changes can turn the {Tail(side)}: {one:low}",
            ChangesCan(var can, var of, var side) =>
                $"{can.Count} of {of} changes can turn the {Tail(side)}: {can:lowand}",
            DiffersAndLevel(1) => $"One thing differs, and the paper is level",
            DiffersAndLevel(var differ) => $"{differ} things differ, and the paper is level",
            DiffersUnread(1) => $"One thing differs; no bare shaft went through paper since",
            DiffersUnread(var differ) => $"{differ} things differ; no bare shaft went through paper since",
            NothingDiffers(0) => $"Nothing is on record of both days yet",
            NothingDiffers(var same) => $"Nothing on record differs: {same:value} the same",
            AsksOf(var side) => $"{Tail(side)}?",
            TearsFrom(var then, var now) => $"at {then}, {now}",
            SpreadAt(var distance) => $"Spread, as at {distance}",
            TearShort(var right, var up) => OffCentre(right, up),
            CutAndPoint(var cut, var point) => $"{cut}, {point}",
            DayIs(var on) => $"{on:d MMM}",
            SessionTold(var stage, var first, null) => $"{stage}: {first:low}",
            SessionTold(var stage, var first, { } last) => $"{stage}: first {first:low} Last {last:low}",
            SetsShotsMoves(var sets, var shots, 0) => $"{sets:set}, {shots:shot}",
            SetsShotsMoves(var sets, var shots, var moves) => $"{sets:set}, {shots:shot}, {moves:move}",
            PutItBackTo(var on) => $"Put it back as on {on:d MMMM}.",
            NoPaperFor(var days, 0) => $"no paper for {days:day}",
            NoPaperFor(var days, var shots) => $"no paper for {days:day}, {shots:shot}",
            _ => throw new ArgumentOutOfRangeException(nameof(message), message, "No words table has it."),
        };

    private static FormattableString OffCentre(Measure right, Measure up) =>
        (Sideways(right), Height(up)) switch
        {
            (null, null) => $"on",
            ({ } x, null) => x,
            (null, { } y) => y,
            ({ } x, { } y) => $"{x}, {y}",
        };

    private const double Nothing = .05;

    private static FormattableString? Sideways(Measure right) =>
        Math.Abs(right.Value) < Nothing
            ? null
            : (FormattableString)$"{right:size} {(right.Value < 0 ? "left" : "right")}";

    private static FormattableString? Height(Measure up) =>
        Math.Abs(up.Value) < Nothing ? null : (FormattableString)$"{up:size} {(up.Value < 0 ? "low" : "high")}";

    private static FormattableString PinMoved(Measure right, Measure up) =>
        (right.Value, up.Value) switch
        {
            (0, _) => $"{up:size} {(up.Value < 0 ? "down" : "up")}",
            (_, 0) => $"{right:size} {(right.Value < 0 ? "left" : "right")}",
            _ => $"{right:size} {(right.Value < 0 ? "left" : "right")}, {up:size} {(up.Value < 0 ? "down" : "up")}",
        };

    private static string Tail(Core.Paper.TearSide side) =>
        side switch
        {
            Core.Paper.TearSide.Left => "tail left",
            Core.Paper.TearSide.Right => "tail right",
            Core.Paper.TearSide.Low => "tail low",
            _ => "tail high",
        };

    public static FormattableString Of(StorySays says) =>
        says switch
        {
            StorySays.DatesTurned => $"The first day comes after the last one.",
            StorySays.NotDone => $"not done",
            StorySays.DoneSince => $"done since",
            StorySays.ShotWell => $"shot well",
            StorySays.FirstOnRecord => $"first on record",
            StorySays.CanDoIt => $"can do it",
            StorySays.MayDoIt => $"may do it",
            StorySays.WorksAgainstIt => $"works against it",
            StorySays.HeightOnly => $"height only",
            StorySays.SidewaysOnly => $"sideways only",
            StorySays.CheckMissed => $"check missed",
            StorySays.NewString => $"new string",
            StorySays.WithinChance => $"within chance",
            StorySays.BeyondChance => $"more than chance",
            StorySays.OtherWeight => $"another arrow weight",
            StorySays.ThroughTheFit => $"through the fit",
            StorySays.NotSaid => $"not on record",
            StorySays.NotRead => $"not read",
            StorySays.CannotTell => $"They came between the same two papers, so the record cannot tell them apart.",
            StorySays.String => $"Shots on the string",
            StorySays.Fit => $"Fit",
            StorySays.LengthAndPoint => $"Length, point",
            StorySays.TearBare => $"Tear, bare",
            StorySays.Speed => $"Speed",
            StorySays.ArrowOf => $"Arrow",
            StorySays.Numbers => $"Arrow numbers",
            StorySays.Region => $"95 % region, radius",
            StorySays.Before => $"Before it",
            StorySays.After => $"After it",
            StorySays.NowWords => $"now",
            StorySays.BeginTheStory => $"Enter the first check, and the story begins.",
            StorySays.EverythingIsKept => $"Whatever is entered at any stop stands here by itself.",
            StorySays.ToTheBow => $"To the bow",
            StorySays.MarkItGood => $"Mark what it is now as shot well, when it shoots well.",
            StorySays.WhatLaterIsHeldAgainst => $"What comes later is held against it.",
            StorySays.ShootEarlierArrows => $"Shoot three of the earlier arrows through paper.",
            StorySays.ArrowOrBow => $"The same tear: it is the bow. Clean: it is the new arrow.",
            StorySays.ThenThreeShots => $"Then three shots through paper: what is left is not what was moved.",
            StorySays.ShowTheWayBack => $"Show the way back",
            StorySays.LooksTheSame => $"It stands as it did: go on.",
            StorySays.ShootAPaper => $"Shoot three bare shafts through paper.",
            StorySays.NoteWanted => $"Say what is to be noted.",
            StorySays.NothingToMove => $"There is nothing to move back.",
            StorySays.NoSuchSign => $"There is no such part of a story.",
            StorySays.TellsWhetherItMatters => $"They tell whether what differs matters.",
            _ => throw new ArgumentOutOfRangeException(nameof(says), says, "No words table has it."),
        };
}
