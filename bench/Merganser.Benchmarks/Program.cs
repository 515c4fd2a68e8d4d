using Merganser.Benchmarks;

var benches = new (string Name, string What, Func<Task> Run)[]
{
    ("figures", "figures of one arrow, 10 clients x 20 a second", FiguresLoad.Run),
    ("route", "script of the first route, gzipped", FirstRoute.Run),
    ("catalogue", "50,000 rows imported and looked through", CatalogueLoad.Run),
    ("match", "matching twelve and a gross", MatchSpeed.Run),
    ("tuning", "the tuning engine beside a hand and an oracle, on seeded bows", TuningWorld.Run),
    ("advice", "what an advice costs; the end of tuning alone", TuningWorld.Cost),
    ("flight", "path, honest range, fitted marks, and the page", FlightSpeed.Run),
    ("finder", "every build of a catalogue as large as the starter one", FinderSpeed.Run),
    ("groups", "groups at 20 yd through the session, on seeded bows", GroupWorld.Run),
    ("walk", "walk-backs: false alarms over repeated looks, and power", WalkWorld.Run),
    ("ways", "two ways compared: false alarms over repeated looks, and power", WaysWorld.Run),
    ("growth", "what a request costs after 1,000, 20,000 and 200,000 shots", Growth.Run),
    ("typing", "typing to painted figure in Chromium", Typing.Run),
    ("hand", "first paint, echo of a key, figures and stops in Chromium, at full speed and slowed down", HandSpeed.Run),
};
var wanted = args.Where(a => !a.StartsWith('-')).ToArray();
if (wanted.FirstOrDefault(w => benches.All(b => b.Name != w)) is { } unknown)
{
    Console.Error.WriteLine(
        $"There is no benchmark \"{unknown}\". There are: {string.Join(", ", benches.Select(b => b.Name))}."
    );
    return 2;
}

try
{
    foreach (
        var (name, what, run) in benches.Where(b => wanted.Length == 0 ? b.Name != "advice" : wanted.Contains(b.Name))
    )
    {
        Console.WriteLine($"{name}: {what}");
        await run();
        Console.WriteLine();
    }
}
finally
{
    Merganser.Browser.Tests.Screen.End();
}

return 0;
