namespace Merganser.Tests;

/// <summary>Where the repository stands; compiled into each test project that reads its files.</summary>
internal static class Repository
{
    /// <summary>The folder of the solution.</summary>
    public static string Root { get; } = Find();

    private static string Find()
    {
        var folder = new DirectoryInfo(AppContext.BaseDirectory);
        while (!File.Exists(Path.Combine(folder!.FullName, "Merganser.slnx")))
        {
            folder = folder.Parent;
        }

        return folder.FullName;
    }
}
