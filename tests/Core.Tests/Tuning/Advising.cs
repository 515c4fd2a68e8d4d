using CsCheck;
using Merganser.Core.Bows;
using Merganser.Core.Paper;
using Merganser.Core.Sessions;
using Merganser.Core.Tuning;

namespace Merganser.Core.Tests.Tuning;

/// <summary>Advisers and shots that several tests begin with.</summary>
internal static class Advising
{
    public static readonly Stage Three = new(3, false, "arrow");
    public static readonly Adjuster[] All = [.. AdjusterTable.All.Take(7).Select(f => AdjusterTable.Fresh(f.Kind))];
    public static readonly Adjuster[] Finger =
    [
        .. new[]
        {
            AdjusterKind.NockingPoint,
            AdjusterKind.PlungerTension,
            AdjusterKind.PlungerPosition,
            AdjusterKind.PointWeight,
            AdjusterKind.DrawWeight,
            AdjusterKind.BraceHeight,
        }.Select(AdjusterTable.Fresh),
    ];

    public static Adviser AdviserOf(Adjuster[] adjusters, School school = School.CentreFirst, bool press = true) =>
        new(Release.ReleaseAid, school, press, RestType.DropAwayLate, adjusters);

    public static Adviser Fingers() => new(Release.Fingers, School.CentreFirst, false, RestType.Plunger, Finger);

    public static Advice Advise(Adviser adviser, Tear tear) =>
        adviser.Advise(adviser.Read(Three, Alike(tear, adviser.Adjusters)));

    public static ShotReading Shot(Tear tear, IReadOnlyList<Adjuster> adjusters, int set = 1) =>
        Shots.Of(Three, adjusters.ToDictionary(a => a.Kind, a => a.Position), tear, set);

    public static ShotReading[] Alike(Tear at, IReadOnlyList<Adjuster> adjusters, int set = 1) =>
        [
            .. new Tear[]
            {
                new(at.X - .03, at.Y),
                new(at.X + .03, at.Y),
                new(at.X, at.Y + .03),
                new(at.X, at.Y - .03),
            }.Select(t => Shot(t, adjusters, set)),
        ];
}
