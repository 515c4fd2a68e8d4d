using Merganser.Core.Messages;
using Merganser.Core.Workshop;
using Merganser.Data;
using Merganser.Web.Dozens;

namespace Merganser.Web.Workshop;

/// <summary>A joint of the arrow with what is known of its glue.</summary>
public sealed record JointView(Joint Joint, Message Words, GlueSheet? Sheet);

/// <summary>What a dozen takes in the workshop.</summary>
/// <param name="CutList">How its shafts are cut.</param>
/// <param name="Fletching">How its vanes are set; null without vanes.</param>
/// <param name="Wrap">The template around the shaft.</param>
/// <param name="Joints">What is glued, with the glue's sheet.</param>
/// <param name="Shopping">What it needs against what is owned.</param>
/// <param name="Grids">Label sheets by name.</param>
public sealed record WorkshopView(
    CutList CutList,
    Fletching? Fletching,
    WrapTemplate Wrap,
    IReadOnlyList<JointView> Joints,
    ShoppingList Shopping,
    IReadOnlyDictionary<string, LabelGrid> Grids
);

/// <summary>Brings a dozen together with the bench's glues and what is in the drawer.</summary>
public sealed class WorkshopDesk(
    DozenStore dozens,
    DozenDesk desk,
    ArrowStore arrows,
    ComponentStore components,
    GlueStore glues
)
{
    public WorkshopView View(string id) => View(dozens.Get(id));

    public WorkshopView View(DozenRow row)
    {
        var dozen = desk.Of(row);
        var sheets = glues.All();
        var typed = arrows.Version(row.ArrowVersionId).Typed;
        return new WorkshopView(
            CutList.Of(dozen),
            Fletching.Of(dozen),
            WrapTemplate.Of(dozen.Arrow),
            [.. GlueSheet.Of(dozen.Arrow).Select(j => new JointView(j, new JointName(j), sheets.GetValueOrDefault(j)))],
            ShoppingList.Of(dozen, typed, components.Of(typed.Parts())),
            LabelGrid.Known
        );
    }
}
