using Merganser.Core.Bows;
using Merganser.Core.Figures;
using Merganser.Core.Story;
using Merganser.Core.Visits;
using Merganser.Data;
using Merganser.Web.Archers;
using Merganser.Web.Guard;
using Merganser.Web.Story;

namespace Merganser.Web.Visits;

/// <summary>A visit in a line.</summary>
/// <param name="Owner">Whose it was then.</param>
/// <param name="HandedOverAt">When it left; null while it is open.</param>
/// <param name="NextOn">When it comes again; null where nobody said.</param>
public sealed record VisitInLine(
    string Id,
    string BowId,
    string Bow,
    string Owner,
    int Number,
    string Wants,
    DateTimeOffset ArrivedAt,
    DateTimeOffset? HandedOverAt,
    DateOnly? NextOn
)
{
    /// <summary>As it is listed.</summary>
    public static VisitInLine Of(VisitRow row) =>
        new(row.Id, row.BowId, row.Bow, row.Owner, row.Number, row.Wants, row.ArrivedAt, row.HandedOverAt, row.NextOn);
}

/// <summary>A visit, whole.</summary>
/// <param name="Line">It in a line.</param>
/// <param name="Watch">What to watch at home, in the technician's own words.</param>
/// <param name="Rows">As found, and as it stands or left.</param>
/// <param name="Since">What differed, as it came, from how it had left the last time; empty for nothing.</param>
/// <param name="LastLeft">When it had left the last time; null for never.</param>
/// <param name="Events">What was found and done, the newest first.</param>
/// <param name="Lines">Parts and labour.</param>
/// <param name="Sum">What they come to; null where no price is said.</param>
/// <param name="HandOver">What goes home with it.</param>
public sealed record VisitView(
    VisitInLine Line,
    string Watch,
    IReadOnlyList<DifferenceRow> Rows,
    IReadOnlyList<DifferenceRow> Since,
    DateTimeOffset? LastLeft,
    IReadOnlyList<HappenedView> Events,
    IReadOnlyList<VisitLineView> Lines,
    double? Sum,
    HandOver HandOver
);

/// <summary>A line of parts or labour.</summary>
/// <param name="Brings">What its part would change on this bow while the visit is open; empty for nothing.</param>
public sealed record VisitLineView(
    string Id,
    VisitLineKind Kind,
    string Text,
    double Quantity,
    double? Price,
    double? Sum,
    string? FromBow,
    IReadOnlyList<CarriedFact> Brings
)
{
    /// <summary>As it is shown.</summary>
    public static VisitLineView Of(VisitLine l, IReadOnlyList<CarriedFact> brings) =>
        new(l.Id, l.Kind, l.Text, l.Quantity, l.Price, l.Sum, l.FromBow, brings);
}

/// <summary>Another bow that a part may have come from.</summary>
public sealed record OtherBow(string Id, string Name);

/// <summary>The visits of a bow.</summary>
/// <param name="Visits">The newest first.</param>
/// <param name="Shown">The one that is looked at; null where there is none.</param>
/// <param name="Owner">Whose the bow is now.</param>
/// <param name="OwnerId">That archer.</param>
/// <param name="OtherBows">Of this rack.</param>
/// <param name="Next">The one next step.</param>
public sealed record BowVisits(
    IReadOnlyList<VisitInLine> Visits,
    VisitView? Shown,
    string Owner,
    string OwnerId,
    IReadOnlyList<OtherBow> OtherBows,
    Next Next
);

/// <summary>A page of the visits of all bows.</summary>
/// <param name="Visits">Those that are open, then the newest.</param>
/// <param name="After">Asked for with <c>after</c>, the page that follows; null where there is none.</param>
public sealed record VisitPage(IReadOnlyList<VisitInLine> Visits, int? After);

/// <summary>A bow comes in.</summary>
/// <param name="Wants">What its owner wants.</param>
public sealed record VisitInput(string? Id, string? Wants);

/// <summary>A line of parts or labour as entered.</summary>
/// <param name="FromBowId">The bow that a part is carried over from.</param>
public sealed record VisitLineInput(
    string? Id,
    VisitLineKind Kind,
    string? Text,
    string? Quantity = "1",
    string? Price = null,
    string? FromBowId = null
);

/// <summary>A bow is handed over.</summary>
/// <param name="Watch">What to watch at home, in own words.</param>
/// <param name="NextOn">When it comes again.</param>
public sealed record HandOverInput(string? Watch = null, DateOnly? NextOn = null);

/// <summary>A bow goes to another owner.</summary>
/// <param name="Id">Made by the client; it is a new archer's id as well.</param>
/// <param name="ArcherId">Somebody on record; null for a new archer.</param>
/// <param name="Name">The new archer's name.</param>
public sealed record OwnerInput(string? Id, string? ArcherId = null, string? Name = null)
{
    /// <summary>Whose it is from now on.</summary>
    /// <param name="bow">The bow: a new archer draws with its hand.</param>
    public NewOwner To(Bow bow) =>
        ArcherId is { } known
            ? new NewOwner(known, null)
            : new NewOwner(ClientId.Checked(Id), new ArcherInput(Id, Name, bow.Hand, false, School.CentreFirst).Read());
}
