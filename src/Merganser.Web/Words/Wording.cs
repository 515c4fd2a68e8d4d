using Merganser.Core.Arrows;
using Merganser.Core.Ballistics;
using Merganser.Core.Bows;
using Merganser.Core.Catalogues;
using Merganser.Core.Dozens;
using Merganser.Core.Figures;
using Merganser.Core.Finder;
using Merganser.Core.First;
using Merganser.Core.Groups;
using Merganser.Core.Messages;
using Merganser.Core.Paper;
using Merganser.Core.Pictures;
using Merganser.Core.Plans;
using Merganser.Core.Rack;
using Merganser.Core.Sessions;
using Merganser.Core.Setup;
using Merganser.Core.Speed;
using Merganser.Core.Spine;
using Merganser.Core.Story;
using Merganser.Core.Trials;
using Merganser.Core.Tuning;
using Merganser.Core.Visits;
using Merganser.Core.Workshop;

namespace Merganser.Web.Words;

/// <summary>The words of every message, by the table of its feature.</summary>
public static class Wording
{
    /// <summary>The words of a message, its quantities in their places.</summary>
    /// <param name="message">The message.</param>
    /// <param name="hand">The hand that draws the bow: some adjusters turn with it.</param>
    public static FormattableString Of(Message message, Hand hand) =>
        message switch
        {
            Says says => Of(says.Code),
            BowMessage of => BowWords.Of(of, hand),
            PaperMessage of => PaperWords.Of(of),
            TuningMessage of => TuningWords.Of(of),
            SessionMessage of => SessionWords.Of(of),
            SetupMessage of => SetupWords.Of(of),
            TroubleMessage of => TroubleWords.Of(of),
            ArrowMessage of => ArrowWords.Of(of),
            DozenMessage of => DozenWords.Of(of),
            CatalogueMessage of => CatalogueWords.Of(of),
            RackMessage of => RackWords.Of(of),
            GroupMessage of => GroupWords.Of(of),
            WalkMessage of => WalkWords.Of(of),
            WayMessage of => WayWords.Of(of),
            RangeMessage of => WayWords.Of(of),
            SpeedMessage of => SpeedWords.Of(of),
            WorkshopMessage of => WorkshopWords.Of(of),
            FlightMessage of => FlightWords.Of(of),
            FinderMessage of => FinderWords.Of(of),
            TrialMessage of => TrialWords.Of(of),
            StoryMessage of => StoryWords.Of(of),
            PictureMessage of => PictureWords.Of(of),
            PlanMessage of => PlanWords.Of(of),
            VisitMessage of => VisitWords.Of(of),
            FirstMessage of => FirstWords.Of(of),
            _ => CommonWords.Of(message),
        };

    /// <summary>What is said without any quantity.</summary>
    public static FormattableString Of(Enum code) =>
        code switch
        {
            BowSays says => BowWords.Of(says),
            PaperSays says => PaperWords.Of(says),
            TuningSays says => TuningWords.Of(says),
            SessionSays says => SessionWords.Of(says),
            SetupSays says => SetupWords.Of(says),
            TroubleSays says => TroubleWords.Of(says),
            ArrowSays says => ArrowWords.Of(says),
            DozenSays says => DozenWords.Of(says),
            RackSays says => RackWords.Of(says),
            GroupSays says => GroupWords.Of(says),
            WalkSays says => WalkWords.Of(says),
            WaySays says => WayWords.Of(says),
            RangeSays says => WayWords.Of(says),
            SpeedSays says => SpeedWords.Of(says),
            WorkshopSays says => WorkshopWords.Of(says),
            FlightSays says => FlightWords.Of(says),
            FinderSays says => FinderWords.Of(says),
            TrialSays says => TrialWords.Of(says),
            StorySays says => StoryWords.Of(says),
            PictureSays says => PictureWords.Of(says),
            PlanSays says => PlanWords.Of(says),
            VisitSays says => VisitWords.Of(says),
            FirstSays says => FirstWords.Of(says),
            CatalogueSays says => CatalogueWords.Of(says),
            InputSays says => CommonWords.Of(says),
            _ => throw new ArgumentOutOfRangeException(nameof(code), code, "No words table has it."),
        };

    /// <summary>The name of one of a few things, inside a sentence.</summary>
    public static FormattableString NameOf(Enum word) =>
        word switch
        {
            AdjusterKind kind => BowWords.NameOf(kind),
            BowKind kind => BowWords.NameOf(kind),
            CheckKind kind => SetupWords.TitleOf(kind, BowKind.Compound),
            BowChange change => SetupWords.NameOf(change),
            FitBand band => ArrowWords.NameOf(band),
            ArrowPart part => ArrowWords.NameOf(part),
            FoundFigure figure => FinderWords.NameOf(figure),
            DirectionReason reason => TuningWords.NameOf(reason),
            Why why => CommonWords.Of(why),
            _ => $"{word.ToString().ToLowerInvariant()}",
        };
}
