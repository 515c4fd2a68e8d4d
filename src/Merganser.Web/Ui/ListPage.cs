namespace Merganser.Web.Ui;

/// <summary>A page of a list that grows with the years; what is older is asked for.</summary>
public static class ListPage
{
    /// <summary>
    /// Lines on a page: about as many as a screen of the bench shows, so that the first page of a bow with years behind
    /// it costs little more than that of a new one.
    /// </summary>
    public const int Length = 10;
}
