namespace Merganser.Browser.Tests;

/// <summary>A bench in front of a browser that a class of tests shares.</summary>
public abstract class SharedBench(bool demo) : IDisposable
{
    public Bench Bench { get; } = new(demo);

    public void Dispose()
    {
        Bench.Dispose();
        GC.SuppressFinalize(this);
    }
}

public sealed class SharedDemo() : SharedBench(true);

public sealed class SharedEmpty() : SharedBench(false);

/// <summary>
/// Each state audits its own layout: no text struck, lying over another, cut or off the edge, no select that shows half of its words, no class that
/// no rule knows. One load a state; size and theme are switched in place.
/// </summary>
public abstract class LayoutAudit(SharedBench shared)
{
    private static readonly string Audit = "return " + string.Join('\n', File.ReadLines(Path.Combine(Bench.Root, "tests/Browser.Tests/layoutAudit.js")).SkipWhile(line => line.StartsWith("//", StringComparison.Ordinal)));

    private static readonly (int Width, int Height, string Theme)[] Ways = [(1280, 800, "shed"), (1280, 800, "sun"), (1280, 800, "dark"), (1024, 768, "shed"), (390, 844, "shed")];

    /// <summary>What the page itself finds wrong with its layout as it stands.</summary>
    public static IReadOnlyList<string> Found(Bench bench) => [.. ((IReadOnlyCollection<object>)bench.Driver.ExecuteScript(Audit)!).Cast<string>()];

    protected void Check(string name)
    {
        var bench = shared.Bench;
        bench.Size(1280, 800);
        bench.Go("/");
        bench.See(".rack h2");
        Views.Open(bench, Views.Of(name));
        List<string> found = [];
        foreach (var (width, height, theme) in Ways)
        {
            bench.Size(width, height);
            bench.Driver.ExecuteScript($"document.documentElement.dataset.theme = '{theme}'");
            bench.Settled();
            found.AddRange(Found(bench).Select(f => $"{width}x{height} {theme}: {f}"));
        }

        found.ShouldBeEmpty();
    }
}

public class LayoutTests(SharedDemo shared) : LayoutAudit(shared), IClassFixture<SharedDemo>
{
    public static TheoryData<string> Names => new(Views.Demo.Where((_, i) => i % 2 == 0).Select(v => v.Name));

    [Theory]
    [MemberData(nameof(Names))]
    public void No_text_is_struck_covered_cut_or_off_the_edge(string view) => Check(view);
}

public class MoreLayoutTests(SharedDemo shared) : LayoutAudit(shared), IClassFixture<SharedDemo>
{
    public static TheoryData<string> Names => new(Views.Demo.Where((_, i) => i % 2 == 1).Select(v => v.Name));

    [Theory]
    [MemberData(nameof(Names))]
    public void No_text_is_struck_covered_cut_or_off_the_edge(string view) => Check(view);
}

public class EmptyLayoutTests(SharedEmpty shared) : LayoutAudit(shared), IClassFixture<SharedEmpty>
{
    public static TheoryData<string> Names => new(Views.Empty.Select(v => v.Name));

    [Theory]
    [MemberData(nameof(Names))]
    public void No_text_is_struck_covered_cut_or_off_the_edge(string view) => Check(view);
}
