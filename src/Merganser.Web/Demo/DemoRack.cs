using Merganser.Core.Bows;
using Merganser.Core.Catalogues;
using Merganser.Data;
using static Merganser.Web.Demo.DemoIds;

namespace Merganser.Web.Demo;

/// <summary>The demo's archers, their bows and arrows.</summary>
public sealed class DemoRack(ArcherStore archers, BowStore bows, ArrowStore arrows)
{
    public void Fill()
    {
        HangBows();
        BuildArrows();
    }

    private void HangBows()
    {
        var field = Archer(
            1,
            new Archer(
                "Maren Holmsund",
                Hand.Right,
                true,
                School.CentreFirst,
                null,
                Practice.Often,
                Experience.Keen,
                true,
                true,
                true
            )
        );
        var target = Archer(
            2,
            new Archer(
                "Tove Askerlund",
                Hand.Right,
                false,
                School.Ladder,
                null,
                Practice.Weekly,
                Experience.Technician,
                false,
                true
            )
        );
        var beginner = Archer(
            3,
            new Archer("Ilo Vantrey", Hand.Left, false, School.RestOnly, null, Practice.Rarely, Experience.Beginner)
        );
        var hunter = Archer(4, new Archer("Bram Oskerby", Hand.Right, false, School.WalkBack));
        Hang(
            Brindle,
            field,
            new BowEntry(
                "Brindle",
                BowKind.Compound,
                Hand.Right,
                Release.ReleaseAid,
                "65",
                "65.5",
                "29",
                "33 1/16",
                "6 1/2",
                "330",
                RestType.DropAwayLate,
                CamSystem.TwinYoke,
                CamDraw.Medium,
                "",
                "",
                "",
                "",
                "70",
                "33",
                "6 1/2",
                ""
            )
        );
        Hang(
            TallOsk,
            target,
            Fingers("Tall Osk", BowKind.Recurve, Hand.Right, "38", "38.2", "28 1/2", "68", "8 3/4", RestType.Plunger)
        );
        Hang(
            Tansel,
            beginner,
            Fingers("Tansel", BowKind.Barebow, Hand.Left, "30", "", "27", "66", "8 1/4", RestType.Plunger)
        );
        Hang(
            Hearthwood,
            hunter,
            Fingers("Hearthwood", BowKind.Longbow, Hand.Right, "45", "47.5", "28", "67", "7", RestType.Shelf)
        );
        HangTidewrack(hunter);
    }

    /// <summary>The compound that the hunter takes to the islet.</summary>
    private void HangTidewrack(string hunter) =>
        Hang(
            Tidewrack,
            hunter,
            new BowEntry(
                "Tidewrack",
                BowKind.Compound,
                Hand.Right,
                Release.ReleaseAid,
                "60",
                "60.5",
                "28 1/2",
                "32",
                "6 1/4",
                "325",
                RestType.DropAwayEarly,
                CamSystem.Hybrid,
                CamDraw.Medium,
                "",
                "",
                "",
                "",
                "",
                "",
                "",
                ""
            )
        );

    private void BuildArrows()
    {
        Arrow(
            1,
            Brindle,
            "Island 340",
            "shaft-wrackline-340",
            "28 1/2",
            "insert-limpet-25",
            "point-pebble-100",
            "nock-barnock-5",
            "vane-sandeel-2",
            3,
            "wrap-plain-4"
        );
        Arrow(
            2,
            Brindle,
            "Spindrift light",
            "shaft-spindrift-350",
            "28 1/2",
            "insert-limpet-12",
            "point-pebble-75",
            "nock-barnock-small",
            "vane-spinner-175",
            3,
            null
        );
        Arrow(
            3,
            Brindle,
            "Ballast heavy",
            "shaft-ballast-250",
            "29",
            "insert-limpet-100",
            "point-pebble-125",
            "nock-barnock-5",
            "vane-sandeel-3",
            4,
            null
        );
        Arrow(
            4,
            TallOsk,
            "Osk 500",
            "shaft-marram-500",
            "28 1/4",
            null,
            "point-quill-100",
            "nock-barnock-pin",
            "vane-spinner-175",
            3,
            null
        );
        Arrow(
            5,
            Tansel,
            "First 700",
            "shaft-marram-700",
            "27 1/2",
            null,
            "point-quill-80",
            "nock-barnock-pin",
            "vane-spinner-175",
            3,
            null
        );
        Arrow(
            6,
            Hearthwood,
            "Goat cull",
            "shaft-wrackline-400",
            "28 1/2",
            "insert-limpet-50",
            "point-shear-200",
            "nock-barnock-5",
            "vane-feather-4",
            3,
            null
        );
        Arrow(
            7,
            Tidewrack,
            "Islet 340",
            "shaft-wrackline-340",
            "28 1/4",
            "insert-limpet-50",
            "point-pebble-125",
            "nock-barnock-5",
            "vane-sandeel-3",
            4,
            null
        );
    }

    private static BowEntry Fingers(
        string name,
        BowKind kind,
        Hand hand,
        string marked,
        string measured,
        string draw,
        string length,
        string brace,
        RestType rest
    ) =>
        new(
            name,
            kind,
            hand,
            Release.Fingers,
            marked,
            measured,
            draw,
            length,
            brace,
            "",
            rest,
            CamSystem.None,
            CamDraw.Medium,
            "",
            "",
            "",
            ""
        );

    private string Archer(int number, Archer archer) =>
        archers.Add($"11111111-0000-4000-8000-{number:000000000000}", archer).Id;

    private void Hang(string id, string archerId, BowEntry entry) =>
        bows.Add(
            id,
            new NewOwner(archerId, null),
            entry,
            [.. AdjusterTable.Usual(entry.Kind, entry.CamSystem).Select(AdjusterTable.Fresh)]
        );

    private void Arrow(
        int number,
        string bowId,
        string name,
        string shaft,
        string length,
        string? insert,
        string point,
        string nock,
        string? vane,
        int count,
        string? wrap
    )
    {
        var id = $"33333333-0000-4000-8000-{number:000000000000}";
        arrows.Add(id, bowId, new ArrowDraft(name, shaft, length, insert, point, nock, vane, count, "", wrap, "0"));
        arrows.Keep(id, Version(number));
    }
}
