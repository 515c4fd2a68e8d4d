namespace Merganser.Tests;

/// <summary>Folders of a test's own; compiled into each test project that has servers.</summary>
internal static class Folders
{
    private const int Tries = 20;
    private static readonly TimeSpan Between = TimeSpan.FromMilliseconds(100);

    /// <summary>
    /// Takes one away with all that is in it. A server that ends may still be writing there: that is waited for, two
    /// seconds at most.
    /// </summary>
    /// <exception cref="IOException">Something is still written there.</exception>
    public static void Remove(string folder)
    {
        for (var tried = 1; ; tried++)
        {
            try
            {
                Directory.Delete(folder, true);
                return;
            }
            catch (IOException) when (tried < Tries && Directory.Exists(folder))
            {
                Thread.Sleep(Between);
            }
        }
    }
}
