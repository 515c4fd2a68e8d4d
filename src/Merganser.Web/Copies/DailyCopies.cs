using Merganser.Data;

namespace Merganser.Web.Copies;

/// <summary>
/// Makes a copy of the data file each day on which the program runs, and takes out of the bin what is old.
/// </summary>
public sealed partial class DailyCopies(DataCopies copies, BinStore bin, TimeProvider clock, ILogger<DailyCopies> log)
    : BackgroundService
{
    /// <summary>The first reads come first.</summary>
    private static readonly TimeSpan AfterStart = TimeSpan.FromMinutes(1);

    private static readonly TimeSpan Between = TimeSpan.FromHours(1);

    /// <inheritdoc/>
    protected override async Task ExecuteAsync(CancellationToken stoppingToken)
    {
        var wait = AfterStart;
        while (!stoppingToken.IsCancellationRequested)
        {
            await Task.Delay(wait, clock, stoppingToken);
            wait = Between;
            try
            {
                copies.MakeDaily();
                bin.Empty();
            }
            catch (DataFileException trouble)
            {
                NotMade(log, trouble.Message);
            }
        }
    }

    [LoggerMessage(Level = LogLevel.Error, Message = "The daily copy was not made: {Trouble}")]
    private static partial void NotMade(ILogger log, string trouble);
}
