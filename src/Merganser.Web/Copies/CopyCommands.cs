using Merganser.Data;

namespace Merganser.Web.Copies;

/// <summary>What the launcher does to a data file without a server: a copy, a check, a copy put back.</summary>
public static class CopyCommands
{
    private const int Refused = 2;

    /// <summary>True for a command that needs no server.</summary>
    public static bool Is(string[] args) => args is ["backup" or "restore" or "check", ..];

    /// <summary>Carries one out and says what it did.</summary>
    /// <param name="args">The command, the copy, and where the data file is.</param>
    /// <param name="clock">Names copies.</param>
    /// <param name="say">Hears what was done.</param>
    /// <returns>The exit status: 0 when it was done.</returns>
    public static int Run(string[] args, TimeProvider clock, TextWriter say)
    {
        var data = args.SkipWhile(a => a != "--data").Skip(1).FirstOrDefault() ?? "";
        var other = args.Skip(1).TakeWhile(a => a != "--data").FirstOrDefault();
        try
        {
            switch (args[0])
            {
                case "backup":
                    var to = other ?? $"{data}.{clock.GetUtcNow().UtcDateTime:yyyyMMdd-HHmmss}.bak";
                    CopyFile.Write(data, to);
                    say.WriteLine($"A whole copy of {data} is {to}");
                    return 0;
                case "check":
                    var (bows, shots) = CopyFile.Check(other ?? data);
                    say.WriteLine($"{other ?? data} is whole: {bows} bows, {shots} shots marked.");
                    return 0;
                default:
                    if (other is null)
                    {
                        say.WriteLine("Name the copy: restore COPY");
                        return Refused;
                    }

                    var kept = CopyFile.Restore(other, data, clock.GetUtcNow());
                    say.WriteLine($"{data} is now as {other} was.");
                    say.WriteLine(kept is null ? "Nothing was there before." : $"What was there is {kept}");
                    return 0;
            }
        }
        catch (DataFileException unusable)
        {
            say.WriteLine(unusable.Message);
            return Refused;
        }
    }
}
