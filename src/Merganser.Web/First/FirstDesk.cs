using System.Security.Cryptography;
using System.Text;
using Merganser.Core.Arrows;
using Merganser.Core.Bows;
using Merganser.Core.Catalogues;
using Merganser.Core.First;
using Merganser.Core.Paper;
using Merganser.Core.Sessions;
using Merganser.Core.Units;
using Merganser.Data;

namespace Merganser.Web.First;

/// <summary>
/// Keeps first answers: an archer, a bow with its bands, the parts of an arrow, the arrow, and a paper with the first
/// hole. Every id follows from the one that the client made, so that the same submission again finishes what a stop in
/// the middle left out, and adds nothing twice.
/// </summary>
public sealed class FirstDesk(BowStore bows, ComponentStore components, ArrowStore arrows, PaperStore papers)
{
    private const double PaperYards = 3;

    /// <summary>Keeps them.</summary>
    /// <exception cref="Core.Figures.RefusedException">An answer cannot be read.</exception>
    public FirstKept Keep(string id, FirstInput input, IReadOnlyList<Shaft> shafts)
    {
        var build = input.Answers.Read(shafts);
        var marked = input.Hole is { } said
            ? new Marked(new Hole(0, 0), null, null, SheetSide.ShootingSide, said)
            : null;
        // Before anything is kept: a word that is not known is refused by itself.
        _ = marked?.Read("");
        var bowId = Part(id, "bow");
        // Who can't tell a cam from a yoke is told of rest and nocking point alone, and never of a press.
        var archer = new Archer(
            "First archer",
            input.Answers.Hand,
            HasPress: false,
            School.RestOnly,
            Experience: Experience.Beginner
        );
        Adjuster[] adjusters =
        [
            .. AdjusterTable
                .Usual(build.Bow.Kind, build.Bow.CamSystem)
                .Select(AdjusterTable.Fresh)
                .Where(a => !a.NeedsPress),
        ];
        _ = bows.Add(bowId, new NewOwner(Part(id, "archer"), archer), build.Entry, adjusters);
        var arrowId = Part(id, "arrow");
        var kept = arrows.Add(arrowId, bowId, Draft(id, build));
        if (ArrowReading.Of(build.Bow, build.Arrow).Refused)
        {
            return new FirstKept(bowId, arrowId, null);
        }

        kept = arrows.Keep(arrowId, Part(id, "version"));
        return new FirstKept(bowId, arrowId, marked is null ? null : Paper(id, bowId, kept.Kept!.Id, marked));
    }

    private ArrowDraft Draft(string id, FirstBuild build)
    {
        var parts = build.Parts;
        return new ArrowDraft(
            "First arrow",
            Add("shaft", parts.Shaft),
            build.CutLength,
            Add("insert", parts.Insert),
            Add("point", parts.Point),
            Add("nock", parts.Nock),
            Add("vane", parts.Vane),
            FirstParts.Vanes,
            "",
            null,
            ""
        );

        string Add(string role, IComponent part) => components.Add(Part(id, role), part, Stock.None).Id;
    }

    private string Paper(string id, string bowId, string versionId, Marked marked)
    {
        var paperId = Part(id, "paper");
        var plan = new SessionPlan(
            SessionKind.Tune,
            null,
            [new PlannedStage(PaperYards, Fletched: true)],
            SessionPlan.UntilClear,
            ByMachine: false,
            null
        );
        var distance = new Entry($"{PaperYards} yd", PaperYards);
        var paper = papers.Start(new NewPaper(paperId, bowId, versionId, Tolerances.Usual, plan, distance));
        _ = papers.Mark($"{paper.Id}-1", Part(id, "shot"), marked);
        return paperId;
    }

    private static string Part(string id, string role) =>
        new Guid(SHA256.HashData(Encoding.UTF8.GetBytes($"{id} {role}")).AsSpan(0, 16)).ToString();
}
