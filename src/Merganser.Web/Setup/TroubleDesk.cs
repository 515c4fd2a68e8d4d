using Merganser.Core.Figures;
using Merganser.Core.Messages;
using Merganser.Core.Sessions;
using Merganser.Core.Setup;
using Merganser.Data;

namespace Merganser.Web.Setup;

/// <summary>One thing to look at.</summary>
/// <param name="Title">What.</param>
/// <param name="Why">Why at this place.</param>
/// <param name="Stands">What it found last, or that nobody looked.</param>
/// <param name="State">How it stands.</param>
/// <param name="Button">The key that leads there.</param>
/// <param name="Action"><c>check:…</c>, <c>log:…</c> or a page of this bow.</param>
public sealed record TroubleStepView(
    Message Title,
    Message Why,
    Message? Stands,
    TroubleState State,
    Message Button,
    string Action
);

/// <summary>A trouble with what is looked at, in order.</summary>
/// <param name="Evidence">What the order goes by, where it goes by something that was shot.</param>
/// <param name="First">The place of what comes first, from 0.</param>
/// <param name="Next">The same as the one next step.</param>
public sealed record TroubleView(
    TroubleKind Kind,
    Message Name,
    Message Seen,
    Message? Evidence,
    IReadOnlyList<TroubleStepView> Steps,
    int First,
    Next Next
);

/// <summary>What may be wrong with a bow.</summary>
public sealed record TroublesView(IReadOnlyList<TroubleView> Troubles);

/// <summary>Puts together what is looked at first when something is wrong.</summary>
public sealed class TroubleDesk(BowStore bows, SetupStore setups, PaperStore papers, SetupDesk desk, TimeProvider clock)
{
    public TroublesView View(string bowId)
    {
        var row = bows.Get(bowId);
        var rows = setups.Of(bowId);
        var sheet = desk.Sheet(row, rows);
        var read = papers.Newest(bowId)?.Session.Sets.LastOrDefault(s => !s.Stage.AtTarget && s.Mean is not null);
        var now = clock.GetUtcNow();
        return new TroublesView([
            .. TroubleTable
                .Of(row.Bow.Kind)
                .Select(kind => View(Trouble.Of(kind, row.Bow, sheet, rows.Changes, read?.Mean?.Mean, now), row, read)),
        ]);
    }

    private static TroubleView View(Trouble trouble, BowRow bow, SessionSet? read)
    {
        TroubleStepView[] steps = [.. trouble.Steps.Select(s => View(trouble.Kind, s, bow))];
        Message? evidence = (trouble.Kind, read?.Reading) switch
        {
            (not TroubleKind.TearStays, _) => null,
            (_, { } reading) => new LastTearRead(reading),
            _ => TroubleSays.NoTearKnown,
        };
        return new TroubleView(
            trouble.Kind,
            new TroubleName(trouble.Kind),
            new TroubleSeen(trouble.Kind),
            evidence,
            steps,
            trouble.First,
            Unsound.Guard(bow.Unsound, Next(trouble, steps))
        );
    }

    private static Next Next(Trouble trouble, TroubleStepView[] steps)
    {
        var (first, step) = (trouble.Steps[trouble.First], steps[trouble.First]);
        return first.State switch
        {
            TroubleState.Found => new Next(
                new FirstLook(step.Title),
                new MendFirst(step.Title, step.Stands!),
                step.Action,
                step.Button
            ),
            TroubleState.InOrder => new Next(TroubleSays.AllLookedAt, step.Why, step.Action, step.Button),
            _ => new Next(
                new FirstLook(step.Title),
                step.Why,
                step.Action,
                step.Button,
                TroubleSays.ItIsInOrder,
                "next"
            ),
        };
    }

    private static TroubleStepView View(TroubleKind kind, TroubleStep step, BowRow bow)
    {
        if (step.Ask.Look is { } look)
        {
            return new TroubleStepView(
                new LookName(look),
                new LookWhy(look),
                null,
                step.State,
                new LookKey(look),
                PageOf(look)
            );
        }

        if (step.Ask.Log is { } log)
        {
            Message[] again = [.. ChangeTable.Follows(log, bow.Bow).Select(k => new CheckTitle(k, bow.Bow.Kind))];
            return new TroubleStepView(
                new LogIt(log),
                new LogAsks(again),
                null,
                step.State,
                TroubleSays.LogThis,
                $"log:{FactsJson.Word(log)}"
            );
        }

        var check = step.Line!.Fact.Kind;
        Message stands = step.Line is { Found: { } found, Last: { } last }
            ? new FoundOn(found, last.At)
            : TroubleSays.NotLookedAt;
        return new TroubleStepView(
            new CheckTitle(check, bow.Bow.Kind),
            new TroubleWhy(kind, check),
            stands,
            step.State,
            SetupSays.ToTheCheck,
            $"check:{FactsJson.Word(check)}"
        );
    }

    private static string PageOf(TroubleLook look) =>
        look switch
        {
            TroubleLook.Spin => "dozen?way=spin",
            TroubleLook.HeadWeights => "dozen?way=heads",
            TroubleLook.HeadGroups or TroubleLook.WalkBack or TroubleLook.TwoWays => "groups",
            TroubleLook.Speeds => "bow?way=speed",
            TroubleLook.ArrowFit => "arrow",
            TroubleLook.Settling => "bow?way=string",
            _ => "paper",
        };
}
