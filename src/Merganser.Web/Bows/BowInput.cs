using Merganser.Core.Bows;
using Merganser.Core.Figures;
using Merganser.Data;
using Merganser.Web.Archers;
using Merganser.Web.Guard;

namespace Merganser.Web.Bows;

/// <summary>A bow as sent.</summary>
/// <param name="Id">Made by the client for this one submission.</param>
/// <param name="ArcherId">Whose it is: an archer who is on the rack already.</param>
/// <param name="Entry">What was typed of the bow.</param>
/// <param name="Adjusters">What it has to adjust.</param>
/// <param name="Archer">With a new bow: a new archer, in place of <paramref name="ArcherId"/>. With a known bow: its
/// archer as edited.</param>
/// <param name="ArcherVersion">The version that an edit of the archer was made on.</param>
public sealed record BowInput(
    string? Id,
    string? ArcherId,
    BowEntry Entry,
    IReadOnlyList<AdjusterEntry> Adjusters,
    ArcherInput? Archer = null,
    int? ArcherVersion = null
)
{
    /// <summary>
    /// Whose a new bow is. A new archer draws with the hand of the bow; fields of bow and archer are refused together.
    /// </summary>
    /// <exception cref="RefusedException">Some field cannot be read; each is named.</exception>
    public NewOwner NewOwner()
    {
        if (Archer is null)
        {
            return new NewOwner(ArcherId ?? throw new MissingException("archer"), null);
        }

        var archer = Both(Archer with { Hand = Entry.Hand });
        return new NewOwner(ClientId.Checked(Archer.Id), archer);
    }

    /// <summary>The archer as edited with the bow, or null.</summary>
    public EditedArcher? EditedArcher() =>
        Archer is null
            ? null
            : new EditedArcher(ArcherVersion ?? throw new PreconditionMissingException(), Both(Archer));

    private Archer Both(ArcherInput archer)
    {
        List<FieldProblem> problems = [];
        Archer? read = null;
        Try(
            () => read = archer.Read(),
            problem => problem.Field == "name" ? problem with { Field = "archerName" } : problem
        );
        Try(() => _ = Entry.Read(), problem => problem);
        return problems.Count == 0 ? read! : throw RefusedException.Of(problems);

        void Try(Action act, Func<FieldProblem, FieldProblem> named)
        {
            try
            {
                act();
            }
            catch (RefusedException refused)
            {
                problems.AddRange(refused.Problems.Select(named));
            }
        }
    }
}
