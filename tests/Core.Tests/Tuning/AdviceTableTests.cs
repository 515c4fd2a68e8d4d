using Merganser.Core.Bows;
using Merganser.Core.Paper;
using Merganser.Core.Sessions;
using Merganser.Core.Tuning;

namespace Merganser.Core.Tests.Tuning;

/// <summary>
/// What is advised in which state, as a technician would read it down a page: school, press, adjusters, what was shot
/// at which setting, and the order. Every row is tried on the mirrored tear too: sideways orders mirror, heights stay.
/// Reviewed by hand against the trade's case table (common practice, no source).
/// </summary>
public class AdviceTableTests
{
    private static readonly Stage Three = new(3, false, "arrow");

    /// <summary>A state and what is advised in it.</summary>
    /// <param name="School">cf, ladder, rest or walk; with "-" behind it there is no press; "fingers".</param>
    /// <param name="Has">The adjusters: r rest sideways, h rest height, n nocking point, y yokes, s spacers, p pockets,
    /// q pockets whose way nobody knows, b bottom bolt; "fingers" has its own.</param>
    /// <param name="Shot">Sets in order, each "x,y" tears with ";" between, moves as "r+4" between them with " |
    /// ".</param>
    /// <param name="Advised">Kind, then adjuster and steps where it is a move.</param>
    /// <param name="Words">Part of the order or the sentence.</param>
    public sealed record Row(string School, string Has, string Shot, string Advised, string Words)
    {
        public override string ToString() => $"{School} {Has}: {Shot} → {Advised}";
    }

    public static IEnumerable<object[]> Rows => Table.Select(row => new object[] { row });

    private static readonly Row[] Table =
    [
        new("cf", "rhny", "-1,0", "Move YokePair +2", "Left yoke leg 2 half twists shorter"),
        new("cf", "rhny", "-1,0;-1.05,.03", "Move YokePair +2", ""),
        new("cf", "rhny", "-1,0;-1.05,.03 | y+2 | -.2,.02", "ShootMore", "one more before anything is moved"),
        new(
            "cf",
            "rhny",
            "-1,0;-1.05,.03 | y+2 | -.2,.02;-.25,.05",
            "SmallTest RestSideways +10",
            "Some move the rest toward the tail, some away"
        ),
        new("cf", "rhny", "-1,0;-1.05,.03 | y+2 | .02,.02;-.05,.05", "ShootMore", ""),
        new("cf", "rhny", "-2.5,0", "Move YokePair +2", ""),
        new("cf", "rhny", "-.3,0;-.35,.05", "SmallTest RestSideways +12", ""),
        new("cf", "rhny", ".05,.02", "ShootMore", ""),
        new("cf", "rhny", ".05,.02;-.04,.0;.03,.04", "GoodEnough", "as you shot today"),
        new("cf-", "rhny", "-1,0;-1.05,.03", "SmallTest RestSideways +12", ""),
        new("cf-", "rhnp", "1,0;1.05,.03", "Move LimbPocket -3", "clockwise, top and bottom"),
        new("cf", "rhns", "1,0;1.05,.03", "Move CamSpacer -1", "Cams 1 size right, top cam first"),
        new("cf", "rhnys", "1,0;1.05,.03", "Move YokePair -2", ""),
        new("cf", "rhnp", ".6,0;.55,.03", "Move LimbPocket -3", ""),
        new(
            "cf",
            "rhnp",
            ".6,0;.55,.03 | p-2 | 1.1,.02;1.15,0",
            "Move LimbPocket +2",
            "if it was made the other way than logged, correct the log"
        ),
        new("cf", "rhnp", ".6,0;.55,.03 | p-2 | .58,.02;.55,0;.6,.02;.57,.04", "Move LimbPocket -2", ""),
        new(
            "cf",
            "rhnp",
            ".6,0;.55,.03 | p-2 | .58,.02;.55,0;.6,.02;.57,.04 | r-6 | .56,0;.6,.02;.58,.03;.55,0",
            "MovesDoNotHelp",
            "a control arrow first"
        ),
        new("cf", "rhnq", ".6,0;.55,.03", "SmallTest LimbPocket -2", "only 50 % likely"),
        new("cf", "rhny", "0,.6;.03,.65", "Move RestHeight -31", ""),
        new("cf", "rhny", "0,-.6;.03,-.65", "Move RestHeight +31", ""),
        new("cf", "hn", "0,1.2;.03,1.3", "Move RestHeight -33", ""),
        new("cf", "n", "0,.6;.03,.65", "Move NockingPoint -3", "Nocking point 3/16 in down"),
        new("cf", "rhny", "-.9,-.9;-.95,-.95", "Move RestHeight +33", ""),
        new("cf", "y", "-3,0;-3.1,0", "Move YokePair +2", ""),
        new("ladder", "rhny", "-.4,0;-.42,.03", "SmallTest RestSideways +12", "starts with the rest"),
        new("ladder", "rhny", "-.4,0;-.42,.03 | r+8 | -.7,.02;-.65,0", "SmallTest RestSideways -12", ""),
        new("ladder", "rhny", "-.4,0;-.42,.03 | r+8 | -.1,.02;-.08,0", "ShootMore", ""),
        new("ladder", "rhny", "-2,0;-2.1,.03", "Move YokePair +2", ""),
        new("ladder-", "rhny", "-1.6,0;-1.7,.03", "SmallTest RestSideways +12", ""),
        new("ladder", "hnb", "0,-.4;.02,-.45", "Move RestHeight +21", ""),
        new("ladder", "b", "0,-.35;.02,-.38", "Move BottomLimbBolt +1", "last resort"),
        new("ladder", "b", "0,.35;.02,.38", "NotReachable", "Out of travel"),
        new("rest", "rhn", "-.4,0;-.42,.03", "SmallTest RestSideways +12", "clicks right"),
        new("rest", "rhn", "1.5,0;1.55,.03;1.5,0", "SmallTest RestSideways -12", ""),
        new("rest", "rhny", "1.5,0;1.55,.03 | r-12 | 1.2,0;1.2,.04 | r-13 | .9,0;.92,.02;.9,.03", "ShootMore", ""),
        new("rest-", "rhn", "1.5,0;1.55,.03 | r-12 | 1.2,0;1.2,.04 | r-13 | .9,0;.92,.02;.9,.03", "ShootMore", ""),
        new("walk", "rhn", ".5,0;.55,.03", "SmallTest RestSideways -12", ""),
        new("walk", "rhn", ".05,.4;.0,.45", "Move RestHeight -21", ""),
        new("fingers", "fingers", ".8,0;.85,.03", "Move PlungerTension -4", "softer plunger cures stiff"),
        new("fingers", "fingers", "-.8,0;-.85,.03", "Move PlungerTension +4", ""),
        new("fingers", "fingers", "1.5,.5;1.5,.55", "Move NockingPoint -3", "comes before the sides"),
        new("fingers", "fingers", ".0,.5;.03,.55", "Move NockingPoint -3", ""),
        new("fingers", "fingers", ".03,.02;.05,.0;.02,.03", "GoodEnough", ""),
        new("fingers", "fingers", ".8,0;.85,.03 | t-4 | .3,0;.35,.02", "Move PlungerTension -3", ""),
        new("fingers", "fingers", ".8,0;.85,.03 | t-4 | .8,0;.82,.02;.83,.02;.8,0", "Move PlungerTension -4", ""),
        new("cf", "rhny", ".15,.0;.2,.05;.18,.0;.2,.0;.17,.02", "ShootMore", ""),
        new("cf", "rhny", ".31,.0;.28,.05;.3,.0;.33,.0;.3,.02;.31,.0;.28,.05;.3,.0", "SmallTest RestSideways -12", ""),
    ];

    [Theory]
    [MemberData(nameof(Rows))]
    public void What_is_advised_is_what_a_technician_would_do(Row row)
    {
        var advice = Advise(row, mirrored: false);
        Said(advice).ShouldBe(row.Advised, advice.Sentence.Said());
        $"{advice.Sentence.Said()} {advice.Reason.Said()} {advice.Disputed?.Said()}".ShouldContain(row.Words);
        Said(Advise(row, mirrored: true)).ShouldBe(Mirrored(row.Advised), "the mirrored tear");
    }

    [Fact]
    public void No_state_stands_twice() => Table.Select(r => (r.School, r.Has, r.Shot)).ShouldBeUnique();

    internal static string Said(Advice advice) =>
        advice.Move is { } move ? $"{advice.Kind} {move.Kind} {move.To - move.From:+0;-0}" : $"{advice.Kind}";

    private static string Mirrored(string advised)
    {
        var parts = advised.Split(' ');
        return parts.Length == 3 && AdjusterTable.Of(Enum.Parse<AdjusterKind>(parts[1])).Axis == TearAxis.Sideways
            ? $"{parts[0]} {parts[1]} {-int.Parse(parts[2]):+0;-0}"
            : advised;
    }

    internal static Advice Advise(Row row, bool mirrored)
    {
        var adjusters = AdjustersOf(row.Has);
        List<ShotReading> shots = [];
        var set = 1;
        foreach (var part in row.Shot.Split(" | "))
        {
            if (char.IsLetter(part[0]))
            {
                var kind = KindOf(part[0]);
                var steps = int.Parse(part[1..]);
                var way = mirrored && AdjusterTable.Of(kind).Axis == TearAxis.Sideways ? -1 : 1;
                adjusters =
                [
                    .. adjusters.Select(a => a.Kind == kind ? a with { Position = a.Position + (way * steps) } : a),
                ];
                set++;
                continue;
            }

            foreach (var hole in part.Split(';'))
            {
                double[] xy = [.. hole.Split(',').Select(double.Parse)];
                var tear = new Tear(mirrored ? -xy[0] : xy[0], xy[1]);
                shots.Add(Shots.Of(Three, adjusters.ToDictionary(a => a.Kind, a => a.Position), tear, set));
            }
        }

        var adviser = AdviserOf(row, adjusters);
        return adviser.Advise(adviser.Read(Three, shots));
    }

    private static Adviser AdviserOf(Row row, Adjuster[] adjusters)
    {
        var fingers = row.School == "fingers";
        var school = row.School.TrimEnd('-') switch
        {
            "ladder" => School.Ladder,
            "rest" => School.RestOnly,
            "walk" => School.WalkBack,
            _ => School.CentreFirst,
        };
        return new Adviser(
            fingers ? Release.Fingers : Release.ReleaseAid,
            school,
            !row.School.EndsWith('-'),
            fingers ? RestType.Plunger : RestType.DropAwayLate,
            adjusters
        );
    }

    private static Adjuster[] AdjustersOf(string has) =>
        has == "fingers"
            ? Advising.Finger
            :
            [
                .. has.Select(c =>
                    AdjusterTable.Fresh(KindOf(c)) with
                    {
                        Way = c == 'q' ? AdjusterWay.NotKnown : AdjusterWay.Agreed,
                    }
                ),
            ];

    private static AdjusterKind KindOf(char letter) =>
        letter switch
        {
            'r' => AdjusterKind.RestSideways,
            'h' => AdjusterKind.RestHeight,
            'n' => AdjusterKind.NockingPoint,
            'y' => AdjusterKind.YokePair,
            's' => AdjusterKind.CamSpacer,
            'p' or 'q' => AdjusterKind.LimbPocket,
            'b' => AdjusterKind.BottomLimbBolt,
            't' => AdjusterKind.PlungerTension,
            'o' => AdjusterKind.PlungerPosition,
            'w' => AdjusterKind.PointWeight,
            'd' => AdjusterKind.DrawWeight,
            _ => AdjusterKind.BraceHeight,
        };
}
