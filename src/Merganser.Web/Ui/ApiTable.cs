namespace Merganser.Web.Ui;

/// <summary>What is said of an operation in the API's document.</summary>
/// <param name="Tag">Its feature.</param>
/// <param name="Summary">What it does, in a few words.</param>
/// <param name="NamesVersion">True for an edit that names the version it was made on.</param>
internal sealed record ApiOperation(string Tag, string Summary, bool NamesVersion = false);

/// <summary>Every operation of the API, by method and path.</summary>
internal static class ApiTable
{
    public static IReadOnlyDictionary<string, ApiOperation> Operations { get; } =
        new Dictionary<string, ApiOperation>
        {
            ["GET /api/archers"] = new("archers", "Every archer"),
            ["POST /api/archers"] = new("archers", "Adds an archer"),
            ["PUT /api/archers/{id}"] = new("archers", "Changes an archer", NamesVersion: true),
            ["POST /api/bows/{id}/units"] = new("archers", "The units in which the archer of a bow reads"),
            ["GET /api/archers/{id}/range-guesses"] = new("archers", "Distances an archer guessed and measured, read"),
            ["POST /api/archers/{id}/range-guesses"] = new("archers", "Keeps a guessed distance and what it was"),
            ["DELETE /api/archers/{id}/range-guesses/{guessId}"] = new("archers", "Takes a guessed distance back"),
            ["GET /api/bows/{id}"] = new("bows", "A bow with its adjusters and its newest moves"),
            ["PUT /api/bows/{id}"] = new("bows", "Changes a bow, and its archer beside it", NamesVersion: true),
            ["POST /api/bows"] = new("bows", "Adds a bow, and its archer where that one is new"),
            ["POST /api/bows/{id}/archive"] = new("bows", "Takes a bow off the rack, or hangs it up again"),
            ["GET /api/bows/{id}/moves"] = new("bows", "A page of a bow's moves"),
            ["POST /api/bows/{id}/moves"] = new("bows", "Logs a move away from any paper"),
            ["POST /api/bows/{id}/moves/{moveId}/undo"] = new(
                "bows",
                "Takes a move back, as a wrong entry or as a real move"
            ),
            ["GET /api/adjusters"] = new("bows", "The adjusters that a kind of bow may have"),
            ["GET /api/components"] = new("arrows", "The parts that an arrow is built from"),
            ["GET /api/bows/{bowId}/arrows"] = new("arrows", "The arrows of a bow"),
            ["POST /api/arrows"] = new("arrows", "Begins an arrow"),
            ["PUT /api/arrows/{id}/draft"] = new("arrows", "Keeps the draft of an arrow as typed", NamesVersion: true),
            ["POST /api/arrows/{id}/versions"] = new("arrows", "Keeps the draft as the next version"),
            ["GET /api/arrows/{id}/versions"] = new("arrows", "A page of an arrow's kept versions"),
            ["POST /api/figures"] = new("arrows", "The figures of a draft on a bow"),
            ["GET /api/bows/{bowId}/arrow-suggestion"] = new("arrows", "An arrow that fits a bow, to begin with"),
            ["GET /api/bows/{bowId}/beside"] = new("arrows", "The kept arrows of a bow, to lay beside another"),
            ["POST /api/figures/ask"] = new("arrows", "The value that a wanted figure asks for"),
            ["POST /api/figures/chart"] = new("arrows", "Needed and chosen spine over the length"),
            ["GET /api/bows/{id}/weights"] = new("arrows", "Light, middle and heavy arrows on a bow"),
            ["GET /api/bows/{id}/compare"] = new("arrows", "Two to four arrows beside each other"),
            ["GET /api/arrows/{id}/export.json"] = new("arrows", "An arrow as JSON"),
            ["GET /api/arrows/{id}/export.csv"] = new("arrows", "An arrow as comma-separated text"),
            ["GET /api/arrows/{id}/export.svg"] = new("arrows", "An arrow drawn to scale"),
            ["GET /api/arrows/{id}/card.pdf"] = new("arrows", "An arrow's card to print"),
            ["GET /api/component-fields"] = new("catalogue", "The fields of each class of parts"),
            ["GET /api/catalogue"] = new("catalogue", "A page of the parts of a class"),
            ["POST /api/catalogue"] = new("catalogue", "Adds a part"),
            ["GET /api/catalogue/{id}"] = new("catalogue", "A part of the catalogue"),
            ["PUT /api/catalogue/{id}"] = new("catalogue", "Changes a part", NamesVersion: true),
            ["DELETE /api/catalogue/{id}"] = new("catalogue", "Deletes a part that no arrow uses", NamesVersion: true),
            ["POST /api/catalogue/{id}/retire"] = new(
                "catalogue",
                "Retires a part, or puts it back",
                NamesVersion: true
            ),
            ["GET /api/catalogue/export.csv"] = new("catalogue", "The parts of a class as comma-separated text"),
            ["GET /api/catalogue/export.json"] = new("catalogue", "The whole catalogue as JSON"),
            ["POST /api/catalogue/import.json"] = new("catalogue", "Takes in a catalogue that was exported as JSON"),
            ["POST /api/imports/{id}"] = new(
                "catalogue",
                "Begins an import: the table is read and checked, nothing is written"
            ),
            ["GET /api/imports/{id}"] = new("catalogue", "An import as it stands"),
            ["PUT /api/imports/{id}/mapping"] = new("catalogue", "Says which column is what, and checks again"),
            ["POST /api/imports/{id}/confirm"] = new("catalogue", "Writes the rows that can be written"),
            ["POST /api/imports/{id}/cancel"] = new("catalogue", "Ends an import; nothing is written"),
            ["GET /api/bows/{bowId}/paper-choices"] = new("papers", "What a plan and a marking are picked from"),
            ["GET /api/bows/{bowId}/papers"] = new("papers", "A page of a bow's papers, in a line each"),
            ["GET /api/bows/{bowId}/papers/newest"] = new("papers", "The paper that was begun last, whole"),
            ["GET /api/bows/{id}/group-sizes"] = new("papers", "How well the archer of a bow shoots it, day by day"),
            ["GET /api/bows/{bowId}/tolerated"] = new("papers", "What trials found of the points that shafts tolerate"),
            ["GET /api/papers/{id}"] = new("papers", "A paper, whole"),
            ["POST /api/papers"] = new("papers", "Begins a paper with its first set"),
            ["POST /api/papers/{id}/sets"] = new("papers", "Begins the next set"),
            ["POST /api/sets/{id}/shots"] = new("papers", "Marks a shot"),
            ["POST /api/sets/{id}/hits"] = new("papers", "Marks where an arrow struck a target"),
            ["POST /api/hits/table/{id}/void"] = new("papers", "Voids the hits of a table at once"),
            ["POST /api/sets/{id}/hits/table"] = new("papers", "Marks a table of hits at once, all of them or none"),
            ["GET /api/papers/{id}/hits.csv"] = new("papers", "Every hit of a paper as comma-separated text"),
            ["POST /api/papers/{id}/sight-marks"] = new(
                "papers",
                "Moves the sight: for heads alone, or in a walk-back for all arrows"
            ),
            ["POST /api/papers/{id}/conditions"] = new("papers", "Notes how it is shot from here on: wind, seat"),
            ["POST /api/papers/{id}/sight"] = new("papers", "Keeps a bow's sight: eye to pin, and one click"),
            ["POST /api/shots/{id}/marks"] = new("papers", "Voids a shot, doubts it, or counts it again"),
            ["POST /api/papers/{id}/moves"] = new("papers", "Logs a move between sets, or corrects one"),
            ["POST /api/papers/{id}/accept"] = new("papers", "Accepts what was shot, or opens the paper again"),
            ["POST /api/papers/{id}/notes"] = new("papers", "Adds a note, or the answer of a rung"),
            ["DELETE /api/papers/{id}/notes/{noteId}"] = new("papers", "Takes a note back"),
            ["GET /api/bows/{bowId}/response"] = new("papers", "What a bow's adjusters have been seen to do"),
            ["POST /api/bows/{bowId}/response/resets"] = new("papers", "Forgets what was learned"),
            ["POST /api/bows/{bowId}/response/borrowing"] = new(
                "papers",
                "Takes over what bows of the same make taught, or sets it aside"
            ),
            ["DELETE /api/bows/{bowId}/response/resets/{id}"] = new("papers", "Takes a forgetting back"),
            ["GET /api/rack"] = new("rack", "Every bow with how it stands and what is next"),
            ["GET /api/bows/{id}/setup"] = new("setup", "The set-up of a bow"),
            ["POST /api/bows/{id}/checks"] = new("setup", "Enters a finding"),
            ["GET /api/bows/{id}/changes"] = new("setup", "A page of the changes that were entered"),
            ["POST /api/bows/{id}/changes"] = new("setup", "Enters a change to the bow"),
            ["POST /api/bows/{id}/withdrawals/{entryId}"] = new("setup", "Takes an entry back"),
            ["POST /api/bows/{id}/shots"] = new("setup", "Counts shots away from the papers"),
            ["PUT /api/bows/{id}/string-plan"] = new(
                "setup",
                "Says how the string is looked after",
                NamesVersion: true
            ),
            ["POST /api/bows/{id}/good-states"] = new("setup", "Marks the bow as shot well as it stands"),
            ["POST /api/bows/{id}/caliper"] = new("setup", "What a caliper on the riser asks of the rest"),
            ["GET /api/bows/{id}/cants"] = new("setup", "What a degree off the level costs"),
            ["GET /api/bows/{id}/crawls"] = new("setup", "A string walker's marks, and the crawl for a distance"),
            ["POST /api/bows/{id}/crawls"] = new("setup", "Keeps a crawl for a distance, or gives the mark up"),
            ["GET /api/bows/{id}/card.pdf"] = new("setup", "The set-up card to print"),
            ["GET /api/bows/{bowId}/dozens"] = new("dozens", "A page of a bow's dozens, in a line each"),
            ["POST /api/bows/{bowId}/dozens"] = new("dozens", "Starts a dozen"),
            ["GET /api/dozens/{id}"] = new("dozens", "A dozen, whole"),
            ["POST /api/dozens/{id}/entries"] = new("dozens", "Enters what was weighed, measured, done or seen"),
            ["POST /api/dozens/{id}/weights"] = new("dozens", "Enters a table of weights"),
            ["POST /api/dozens/{id}/weights/preview"] = new("dozens", "A table of weights as it would be taken"),
            ["POST /api/dozens/{id}/withdrawals/{entryId}"] = new("dozens", "Takes an entry of a dozen back"),
            ["POST /api/dozens/{id}/match"] = new("dozens", "Seeks the best match of the pieces"),
            ["GET /api/dozens/{id}/tray.pdf"] = new("dozens", "The build list to print"),
            ["GET /api/dozens/{id}/labels.pdf"] = new("dozens", "The labels of the arrows to print"),
            ["GET /api/dozens/{id}/export.csv"] = new("dozens", "The arrows as comma-separated text"),
            ["GET /api/dozens/{id}/nocks"] = new("dozens", "The nock round of a dozen"),
            ["POST /api/dozens/{id}/nocks"] = new("dozens", "Marks a shot of the nock round"),
            ["DELETE /api/dozens/{id}/nocks/{shotId}"] = new("dozens", "Takes a shot of the nock round back"),
            ["GET /api/bows/{bowId}/chronograph"] = new("chronograph", "The newest readings and what they teach"),
            ["POST /api/bows/{bowId}/chronograph"] = new("chronograph", "Takes a reading"),
            ["POST /api/bows/{bowId}/chronograph/{id}/withdraw"] = new("chronograph", "Takes a reading back"),
            ["POST /api/instruments/{kind}/orders"] = new("instruments", "Gives an instrument an order"),
        };
}
