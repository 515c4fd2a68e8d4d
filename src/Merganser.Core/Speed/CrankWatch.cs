namespace Merganser.Core.Speed;

/// <summary>
/// Which of a draw board's readings are points of the curve: a still one, every so far along the stroke, once.
/// </summary>
public sealed class CrankWatch
{
    /// <summary>From one point to the next, inches.</summary>
    private const double Step = 0.4;

    /// <summary>The string is at rest before this, inches.</summary>
    private const double AtRest = 0.3;

    private double last;

    /// <summary>True for a reading that is taken now; a string let down to rest begins anew.</summary>
    public bool See(double travel, bool still)
    {
        if (travel < AtRest)
        {
            last = 0;
            return false;
        }

        if (!still || travel - last < Step)
        {
            return false;
        }

        last = travel;
        return true;
    }
}
