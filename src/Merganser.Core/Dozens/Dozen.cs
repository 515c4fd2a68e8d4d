using Merganser.Core.Arrows;
using Merganser.Core.Messages;

namespace Merganser.Core.Dozens;

/// <summary>
/// A dozen: what it is to be, the arrow it is built to, and the list of what was done for it. Everything else is read
/// off from these.
/// </summary>
public sealed class Dozen
{
    /// <summary>The class that every match begins with.</summary>
    public const string ShaftClass = "Shaft";

    /// <summary>Heads are weighed besides the classes of the plan.</summary>
    public const string HeadClass = "Head";

    private readonly Lazy<IReadOnlyList<TrayArrow>> tray;

    /// <param name="id">Its id.</param>
    /// <param name="plan">What it is to be.</param>
    /// <param name="arrow">The version of the arrow that it is built to.</param>
    /// <param name="events">What was done, in order, without what was taken back.</param>
    public Dozen(string id, DozenPlan plan, Arrow arrow, IReadOnlyList<DozenEvent> events)
    {
        (Id, Plan, Arrow, Events) = (id, plan, arrow, events);
        var perArrow = ClassesOf(arrow, plan.VanesInSets);
        Classes =
        [
            .. plan.Classes.Select(name => PieceClass.Of(name, perArrow.GetValueOrDefault(name, 1), plan, events)),
        ];
        Heads = PieceClass.Of(HeadClass, 1, plan, events);
        Shafts = SpunShaft.All(events);
        Check = events.LastOrDefault(e => e.Act is ScaleChecked);
        Match = events.LastOrDefault(e => e.Act is PiecesMatched);
        tray = new(() => TrayArrow.All(this));
    }

    /// <summary>Its id.</summary>
    public string Id { get; }

    /// <summary>What it is to be.</summary>
    public DozenPlan Plan { get; }

    /// <summary>The version of the arrow that it is built to.</summary>
    public Arrow Arrow { get; }

    /// <summary>What was done, in order.</summary>
    public IReadOnlyList<DozenEvent> Events { get; }

    /// <summary>What was weighed, in the order of the plan.</summary>
    public IReadOnlyList<PieceClass> Classes { get; }

    /// <summary>The heads that were weighed.</summary>
    public PieceClass Heads { get; }

    /// <summary>What was found of the shafts.</summary>
    public IReadOnlyList<SpunShaft> Shafts { get; }

    /// <summary>The last check of the scale, or null.</summary>
    public DozenEvent? Check { get; }

    /// <summary>The last match, or null.</summary>
    public DozenEvent? Match { get; }

    /// <summary>What was found by the last match, or null.</summary>
    public MatchResult? Found => (Match?.Act as PiecesMatched)?.Result;

    /// <summary>Every arrow of the last match.</summary>
    public IReadOnlyList<TrayArrow> Tray => tray.Value;

    /// <summary>Why the match does not hold any more; null while it does.</summary>
    public Message? Stale => Broken ?? (WeighedSince ? DozenSays.WeighedSince : null);

    /// <summary>
    /// What keeps a loose arrow of the match from being built: its shaft, or a piece that was taken back; or null.
    /// </summary>
    public Message? Broken
    {
        get
        {
            var loose = Found is null ? [] : Enumerable.Range(1, Found.Pieces.Count).Except(Begun).ToArray();
            var pieces = loose.SelectMany(n => Classes.Zip(Found!.Pieces[n - 1], (c, own) => (Class: c, Own: own)));
            foreach (var (of, own) in pieces)
            {
                if (of.Name == ShaftClass && own.Select(Shaft).FirstOrDefault(s => s is { Damaged: true }) is { } shaft)
                {
                    return new ShaftIsOut(shaft.Number, shaft.Finding!.Value);
                }

                if (own.Except(of.Pieces.Select(p => p.Number)).ToArray() is [var gone, ..])
                {
                    return new PieceIsOut(of.Name, gone);
                }
            }

            return null;
        }
    }

    /// <summary>
    /// Arrows of the last match that stay as they are: one has a tick, a built weight or a note, or was locked by hand.
    /// </summary>
    public IReadOnlyList<int> Begun =>
        Found is { } found ? [.. Enumerable.Range(1, found.Pieces.Count).Where(IsBegun)] : [];

    private bool WeighedSince => SinceMatch.Any(e => e.Act is PieceWeighed { Class: not HeadClass });

    /// <summary>True for an arrow that another match leaves as it is.</summary>
    public bool IsBegun(int number) =>
        NoteOf(number, ArrowNote.Locked) is not null
        || SinceBuilt(number)
            .Any(e => e.Act is ArrowAct act and not ArrowNoted { What: ArrowNote.Locked } && act.Arrow == number);

    /// <summary>
    /// What was done since an arrow lies in the tray as it does: a match that kept it changed nothing about it.
    /// </summary>
    public IEnumerable<DozenEvent> SinceBuilt(int number)
    {
        var match = Events.LastOrDefault(e => e.Act is PiecesMatched matched && matched.Kept?.Contains(number) != true);
        return match is null ? [] : Events.Where(e => e.Order > match.Order);
    }

    /// <summary>What was done after the last match; nothing without one.</summary>
    public IEnumerable<DozenEvent> SinceMatch => Match is null ? [] : Events.Where(e => e.Order > Match.Order);

    /// <summary>The classes that can be weighed, with what an arrow takes of each.</summary>
    public static IReadOnlyDictionary<string, int> ClassesOf(Arrow arrow, bool vanesInSets) =>
        arrow
            .Masses()
            .Select(m => m.Name)
            .Where(n => n != "Glue")
            .ToDictionary(n => n, n => n == "Vanes" && !vanesInSets ? arrow.VaneCount : 1);

    /// <summary>
    /// What an arrow has besides the classes that are weighed, by the catalogue, grains; with its glue.
    /// </summary>
    internal double NotWeighed => Rest.Sum(m => m.Grains);

    /// <summary>The same, mass by mass.</summary>
    internal IEnumerable<PlacedMass> Rest => Arrow.Masses().Where(m => Classes.All(c => c.Name != m.Name));

    /// <summary>Numbers of an arrow's pieces of a class in the last match; none without either of them.</summary>
    internal IReadOnlyList<int> PiecesOf(int number, string name)
    {
        var at = Classes.Select(c => c.Name).ToList().IndexOf(name);
        return at >= 0 && Found is { } found ? found.Pieces[number - 1][at] : [];
    }

    /// <summary>A shaft of which something was found, or null.</summary>
    public SpunShaft? Shaft(int number) => Shafts.FirstOrDefault(s => s.Number == number);

    /// <summary>Numbers of a class that are taken.</summary>
    public IReadOnlySet<int> Taken(string? name) =>
        Events.Select(e => e.Act).OfType<PieceWeighed>().Where(p => p.Class == name).Select(p => p.Number).ToHashSet();

    /// <summary>
    /// True for an arrow that is not shot: retired, or of a shaft that is to be destroyed. Before a match, arrow and
    /// shaft have one number.
    /// </summary>
    public bool OutOfUse(int number) =>
        Found is { } found
            ? number < 1 || number > found.Pieces.Count || WhyRetired(number) is not null
            : Shaft(number) is { Destroyed: true };

    /// <summary>Why an arrow is out of use: its shaft is to be destroyed, or somebody retired it; null for one in use.
    /// </summary>
    public Message? WhyRetired(int number)
    {
        if (
            PiecesOf(number, ShaftClass).Select(Shaft).FirstOrDefault(s => s is { Destroyed: true }) is
            { Finding: { } finding } shaft
        )
        {
            return new ShaftDestroyed(shaft.Number, finding);
        }

        return NoteOf(number, ArrowNote.Retired) is { } why ? new Verbatim(why) : null;
    }

    /// <summary>Since when an arrow is out of use; null for one in use.</summary>
    public DateTimeOffset? RetiredSince(int number)
    {
        var shafts = PiecesOf(number, ShaftClass);
        return WhyRetired(number) is null
            ? null
            : Events
                .LastOrDefault(e =>
                    (e.Act is ShaftInspected found && shafts.Contains(found.Shaft))
                    || (e.Act is ArrowNoted { What: ArrowNote.Retired } note && note.Arrow == number)
                )
                ?.At;
    }

    /// <summary>What was written last on an arrow of this match; null for nothing.</summary>
    public string? NoteOf(int number, ArrowNote what)
    {
        var from = what is ArrowNote.Nock or ArrowNote.Paper ? RepairOf(number) : 0;
        var words = SinceBuilt(number)
            .Where(e => e.Order > from)
            .Select(e => e.Act)
            .OfType<ArrowNoted>()
            .LastOrDefault(n => n.Arrow == number && n.What == what)
            ?.Words;
        return string.IsNullOrEmpty(words) ? null : words;
    }

    /// <summary>
    /// The order of an arrow's last repair: what was weighed, turned and verified before it does not count any more.
    /// </summary>
    internal int RepairOf(int number) =>
        SinceBuilt(number)
            .LastOrDefault(e =>
                e.Act is ArrowNoted { What: ArrowNote.Repaired, Words.Length: > 0 } repair && repair.Arrow == number
            )
            ?.Order
        ?? 0;

    /// <summary>A match that was sought stands only when nothing was entered meanwhile.</summary>
    /// <param name="sought">The dozen as it was when the search began.</param>
    /// <exception cref="Figures.RefusedException">Something was entered or taken back.</exception>
    public void CheckUnchanged(Dozen sought)
    {
        if (!Events.Select(e => e.Id).SequenceEqual(sought.Events.Select(e => e.Id)))
        {
            throw new Figures.RefusedException("changed", DozenSays.EnteredMeanwhile);
        }
    }
}
