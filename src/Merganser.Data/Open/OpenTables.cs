namespace Merganser.Data;

/// <summary>A table as it is handed out.</summary>
/// <param name="Name">Its name.</param>
/// <param name="OfBow">Which of its rows belong to the bow <c>@bow</c>; null where they belong to none.</param>
/// <param name="Nested">Columns that hold JSON, written as such.</param>
/// <param name="Changes">True where a row may change after it was entered; what happened is only ever added to.</param>
/// <param name="Says">What it holds.</param>
public sealed record OpenTable(string Name, string? OfBow, string[] Nested, bool Changes, string Says);

/// <summary>
/// Every table that is handed out, in an order in which its rows can be entered. What the program makes by itself from
/// these (totals, revisions, kept lines, acts that were asked for) is not among them.
/// </summary>
public static class OpenTables
{
    private const string ByBow = "bow_id = @bow";
    private const string ByPaper = "paper_id IN (SELECT id FROM paper WHERE bow_id = @bow)";
    private const string ByVisit = "visit_id IN (SELECT id FROM visit WHERE bow_id = @bow)";
    private const string BySet =
        "set_id IN (SELECT s.id FROM shot_set s JOIN paper p ON p.id = s.paper_id WHERE p.bow_id = @bow)";

    /// <summary>What belongs to no single bow.</summary>
    public static IReadOnlyList<OpenTable> Shared { get; } =
    [
        new("archer", null, ["facts"], true, "People, their units, tools and habits"),
        new("component", null, ["facts"], true, "Parts that arrows are built from"),
        new("glue_sheet", null, [], false, "What a glue's maker says of it"),
        new("import_mapping", null, ["mapping"], true, "How columns of pasted tables were read"),
        new("range_guess", null, [], false, "Distances that were guessed and measured"),
        new("reminder", null, [], true, "What is to be done, of the bench and of bows"),
    ];

    /// <summary>What belongs to one bow, the bow first.</summary>
    public static IReadOnlyList<OpenTable> OfBow { get; } =
    [
        new("bow", "id = @bow", ["facts", "typed", "string_plan"], true, "The bow as it is and as it was typed"),
        new("adjuster", ByBow, ["seats"], true, "Where its adjusters stand"),
        new("arrow", ByBow, ["draft"], true, "Its arrows, each with the draft in work"),
        new(
            "arrow_version",
            "arrow_id IN (SELECT id FROM arrow WHERE bow_id = @bow)",
            ["facts", "typed"],
            false,
            "Arrows as they were kept"
        ),
        new("bow_state", ByBow, ["facts", "positions"], false, "The bow as it stood when something was shot"),
        new("dozen", ByBow, ["plan"], false, "Sets of arrows"),
        new(
            "dozen_entry",
            "dozen_id IN (SELECT id FROM dozen WHERE bow_id = @bow)",
            ["facts"],
            false,
            "What was weighed, spun, matched and made"
        ),
        new("paper", ByBow, ["plan"], false, "Sessions at paper and target"),
        new("shot_set", ByPaper, [], false, "Sets of shots"),
        new("shot", BySet, [], false, "Shots: holes in paper, hits on a target; inches"),
        new(
            "shot_mark",
            "shot_id IN (SELECT h.id FROM shot h JOIN shot_set s ON s.id = h.set_id JOIN paper p ON p.id = s.paper_id "
                + "WHERE p.bow_id = @bow)",
            [],
            false,
            "Shots that were voided, doubted or taken in again"
        ),
        new("move", ByBow, ["seats", "seats_before"], false, "Moves of adjusters, from and to, in steps"),
        new("check_finding", ByBow, [], false, "What the checks of the set-up sheet found"),
        new("bow_change", ByBow, [], false, "Changes that were entered by hand"),
        new("shots_fired", ByBow, [], false, "Shots on the string"),
        new("chronograph_shot", ByBow, [], false, "Speeds that were read"),
        new("good_state", ByBow, ["readings", "stage"], false, "States that were marked as shot well"),
        new("response_reset", ByBow, ["kinds"], false, "When what was learned was set aside"),
        new("paper_note", ByPaper, [], false, "Notes of a session, and steps of its ladder"),
        new("session_act", ByPaper, ["facts"], false, "Acts of a session"),
        new("crawl_mark", ByBow, [], false, "Crawls by distance"),
        new("bow_sight", ByBow, [], false, "The sight's geometry"),
        new("sight_mark", ByPaper, [], false, "How the sight was moved"),
        new("board_reading", ByBow, [], false, "Readings at the draw board"),
        new("flight_wish", ByBow, [], false, "What the honest range is asked with"),
        new("proven_mark", ByBow, [], false, "Sight marks and speeds that were proven"),
        new("story_note", ByBow, [], false, "Notes"),
        new("visit", ByBow, [], false, "Visits to the bench"),
        new("visit_state", ByVisit, [], false, "How the bow came, and how it left"),
        new("visit_value", ByVisit, [], false, "Its checks and adjusters then"),
        new("visit_line", ByVisit, [], false, "Parts and labour"),
        new("visit_end", ByVisit, [], false, "Hand-overs"),
        new("picture", ByBow, ["placed"], true, "Photographs, and where a sheet lies in them"),
        new(
            "picture_bytes",
            "picture_id IN (SELECT id FROM picture WHERE bow_id = @bow)",
            [],
            false,
            "Photographs as JPEG: base64, or the name of a file beside"
        ),
        new("bow_owner", ByBow, [], false, "Owners, from and to"),
        new(
            "withdrawn",
            """
            coalesce(of_check_finding, of_bow_change, of_shots_fired, of_good_state, of_chronograph_shot,
              of_response_reset, of_paper_note, of_dozen_entry) IN (
              SELECT id FROM check_finding WHERE bow_id = @bow UNION ALL SELECT id FROM bow_change WHERE bow_id = @bow
              UNION ALL SELECT id FROM shots_fired WHERE bow_id = @bow
              UNION ALL SELECT id FROM good_state WHERE bow_id = @bow
              UNION ALL SELECT id FROM chronograph_shot WHERE bow_id = @bow
              UNION ALL SELECT id FROM response_reset WHERE bow_id = @bow
              UNION ALL SELECT n.id FROM paper_note n JOIN paper p ON p.id = n.paper_id WHERE p.bow_id = @bow
              UNION ALL SELECT e.id FROM dozen_entry e JOIN dozen d ON d.id = e.dozen_id WHERE d.bow_id = @bow)
            """,
            [],
            false,
            "Entries that were taken back"
        ),
    ];

    /// <summary>All of them.</summary>
    public static IEnumerable<OpenTable> All => Shared.Concat(OfBow);

    /// <summary>Of the shared rows, those that one bow needs.</summary>
    internal static string NeededBy(OpenTable table) =>
        table.Name switch
        {
            "archer" => """
                id IN (SELECT archer_id FROM bow WHERE id = @bow UNION SELECT archer_id FROM visit WHERE bow_id = @bow
                  UNION SELECT archer_id FROM story_note WHERE bow_id = @bow
                  UNION SELECT from_archer_id FROM bow_owner WHERE bow_id = @bow
                  UNION SELECT to_archer_id FROM bow_owner WHERE bow_id = @bow)
                """,
            "component" => """
                id IN (SELECT j.value FROM arrow_version v JOIN arrow a ON a.id = v.arrow_id, json_each(v.typed) j
                    WHERE a.bow_id = @bow
                  UNION SELECT j.value FROM arrow a, json_each(a.draft) j WHERE a.bow_id = @bow)
                """,
            "reminder" => ByBow,
            _ => "FALSE",
        };
}
