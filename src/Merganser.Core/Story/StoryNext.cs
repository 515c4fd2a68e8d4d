using Merganser.Core.Bows;
using Merganser.Core.Figures;
using Merganser.Core.Messages;

namespace Merganser.Core.Story;

/// <summary>The one next step of a story.</summary>
public static class StoryNext
{
    /// <summary>
    /// Where nothing is kept, the bow; without a good state, marking one; where arrow and bow both can have done what
    /// the paper shows, the control that tells them apart; else the way back, or a paper.
    /// </summary>
    /// <param name="things">Things in the story.</param>
    /// <param name="hasGood">True once a state was marked as shot well.</param>
    /// <param name="two">What is compared.</param>
    /// <param name="cannotTell">True where the record cannot tell which difference it was.</param>
    /// <param name="movesBack">Moves that lead back.</param>
    public static Next Of(int things, bool hasGood, TwoDates two, bool cannotTell, int movesBack)
    {
        if (things == 0)
        {
            return new Next(StorySays.BeginTheStory, StorySays.EverythingIsKept, "bow", StorySays.ToTheBow);
        }

        if (!hasGood)
        {
            return new Next(
                StorySays.MarkItGood,
                StorySays.WhatLaterIsHeldAgainst,
                "bow?way=history",
                StorySays.ToTheBow,
                BowSays.ToThePaper,
                "paper"
            );
        }

        if (cannotTell && two.Suspects.Any(s => s.Section == DifferenceSection.Arrow))
        {
            return new Next(
                StorySays.ShootEarlierArrows,
                StorySays.ArrowOrBow,
                "paper",
                BowSays.ToThePaper,
                movesBack > 0 ? StorySays.ShowTheWayBack : null,
                movesBack > 0 ? "back" : null
            );
        }

        if (two.Side is not null && movesBack > 0)
        {
            return new Next(
                new PutItBackTo(two.Then.At),
                StorySays.ThenThreeShots,
                "back",
                StorySays.ShowTheWayBack,
                BowSays.ToThePaper,
                "paper"
            );
        }

        return two.Differences.Count == 0
            ? new Next(StorySays.LooksTheSame, Message.Nothing, "paper", BowSays.ToThePaper)
            : new Next(StorySays.ShootAPaper, StorySays.TellsWhetherItMatters, "paper", BowSays.ToThePaper);
    }
}
