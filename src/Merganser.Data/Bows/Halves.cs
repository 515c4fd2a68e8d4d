namespace Merganser.Data;

/// <summary>
/// A position as the file keeps it: the whole step at or below it, and 1 where it stands half a step farther.
/// </summary>
internal static class Halves
{
    public static int Step(double position) => (int)Math.Floor(position);

    public static int Half(double position) => position == Math.Floor(position) ? 0 : 1;
}
