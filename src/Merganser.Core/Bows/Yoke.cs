namespace Merganser.Core.Bows;

/// <summary>
/// A yoke move as the technician makes it: half twists on each leg, + is shorter. What is equal and opposite is a step
/// of the pair; what is left is a one-sided twist of one leg, after which timing is looked at again.
/// </summary>
/// <param name="Left">Half twists put into the left leg; negative takes them out.</param>
/// <param name="Right">Half twists put into the right leg.</param>
public readonly record struct YokeTwists(int Left, int Right)
{
    /// <summary>Steps of the yoke pair: + is left shorter, right longer.</summary>
    public int Pair =>
        Math.Sign(Left) * Math.Sign(Right) < 0 ? Math.Sign(Left) * Math.Min(Math.Abs(Left), Math.Abs(Right)) : 0;

    /// <summary>Left over on the left leg alone.</summary>
    public int LeftAlone => Left - Pair;

    /// <summary>Left over on the right leg alone.</summary>
    public int RightAlone => Right + Pair;

    /// <summary>The moves to log, none when nothing was twisted.</summary>
    public IReadOnlyList<(AdjusterKind Kind, int Steps)> Moves =>
        [
            .. new[]
            {
                (AdjusterKind.YokePair, Pair),
                (AdjusterKind.YokeLeftLeg, LeftAlone),
                (AdjusterKind.YokeRightLeg, RightAlone),
            }.Where(m => m.Item2 != 0),
        ];
}

/// <summary>
/// The four seats of the cam spacers with the size of the piece in each. Sizes are coded in pairs: left and right of
/// one cam always add up to the same, so a pair is never mixed and the axle stays supported.
/// </summary>
public sealed record SpacerSeats(int TopLeft, int TopRight, int BottomLeft, int BottomRight)
{
    /// <summary>The usual middle pair, size 3 of 5.</summary>
    public static SpacerSeats Middle { get; } = new(3, 3, 3, 3);

    private const int Largest = 5;

    /// <summary>What the two pieces of a cam add up to.</summary>
    private const int Pair = 6;

    /// <summary>Sizes that the top cam stands left of the middle: a smaller piece on its left.</summary>
    public int TopShift => (TopRight - TopLeft) / 2;

    /// <summary>Sizes that the bottom cam stands left of the middle.</summary>
    public int BottomShift => (BottomRight - BottomLeft) / 2;

    /// <summary>
    /// The engine's step: the net shift in sizes; with only the top cam moved it counts the half toward nought.
    /// </summary>
    public int Step => (TopShift + BottomShift) / 2;

    /// <summary>
    /// The seats after a shift of each cam, + is to the left; the pair already fitted is swapped first.
    /// </summary>
    /// <exception cref="Figures.RefusedException">A piece would be smaller than 1 or larger than 5.</exception>
    public SpacerSeats Shifted(int top, int bottom)
    {
        var after = new SpacerSeats(TopLeft - top, TopRight + top, BottomLeft - bottom, BottomRight + bottom);
        return after.CanBe
            ? after
            : throw Figures.RefusedException.At("spacers", "spacers", new NoSuchSpacers(Largest));
    }

    /// <summary>The seats as somebody read them off.</summary>
    /// <exception cref="Figures.RefusedException">There is no such pair.</exception>
    public SpacerSeats Checked() =>
        CanBe && TopLeft + TopRight == Pair && BottomLeft + BottomRight == Pair
            ? this
            : throw Figures.RefusedException.At("seats", "spacers", new NoSuchSpacers(Largest));

    private bool CanBe => new[] { TopLeft, TopRight, BottomLeft, BottomRight }.All(p => p is >= 1 and <= Largest);
}
