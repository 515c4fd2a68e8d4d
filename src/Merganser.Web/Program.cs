using System.IO.Compression;
using System.Reflection;
using Merganser.Data;
using Merganser.Data.Starter;
using Merganser.Web.Archers;
using Merganser.Web.Arrows;
using Merganser.Web.Ballistics;
using Merganser.Web.Bin;
using Merganser.Web.Bows;
using Merganser.Web.Catalogues;
using Merganser.Web.Chronograph;
using Merganser.Web.Copies;
using Merganser.Web.Demo;
using Merganser.Web.Dozens;
using Merganser.Web.DrawBoard;
using Merganser.Web.Finder;
using Merganser.Web.First;
using Merganser.Web.Guard;
using Merganser.Web.Instruments;
using Merganser.Web.Open;
using Merganser.Web.Paper;
using Merganser.Web.Pictures;
using Merganser.Web.Plans;
using Merganser.Web.Rack;
using Merganser.Web.Setup;
using Merganser.Web.Story;
using Merganser.Web.Trials;
using Merganser.Web.Ui;
using Merganser.Web.Visits;
using Merganser.Web.Words;
using Merganser.Web.Workshop;
using Microsoft.AspNetCore.Http.Json;
using Microsoft.AspNetCore.ResponseCompression;
using Serilog;

if (CopyCommands.Is(args))
{
    return CopyCommands.Run(args, TimeProvider.System, Console.Out);
}

var describing = Assembly.GetEntryAssembly()?.GetName().Name == "GetDocument.Insider";

// A package has its interface beside the program, wherever it is started from.
var isHere = args.Contains("--contentRoot") || Directory.Exists(Path.Combine(Environment.CurrentDirectory, "wwwroot"));
var builder = WebApplication.CreateBuilder(
    new WebApplicationOptions { Args = args, ContentRootPath = isHere ? null : AppContext.BaseDirectory }
);

var urls = builder.Configuration["urls"] ?? "http://127.0.0.1:5210";
if ((Loopback.Refusal(urls) ?? Loopback.RefusalOfEndpoints(builder.Configuration)) is { } refusal)
{
    Console.Error.WriteLine(refusal);
    return 2;
}

if (InstrumentEndpoints.Refusal(builder.Configuration["instrument"]) is { } noAddress)
{
    Console.Error.WriteLine(noAddress);
    return 2;
}

builder.WebHost.UseUrls(urls);
builder.WebHost.ConfigureKestrel(kestrel =>
{
    kestrel.Limits.MaxRequestBodySize = 256 * 1024;
    kestrel.AddServerHeader = false;
    kestrel.ConfigureEndpointDefaults(endpoint => endpoint.Use(RefusedByKestrel.Explain));
});

var demo = builder.Configuration.GetValue("demo", false);
var data =
    builder.Configuration["data"]
    ?? Path.Combine(
        Environment.GetFolderPath(
            Environment.SpecialFolder.LocalApplicationData,
            Environment.SpecialFolderOption.Create
        ),
        "merganser",
        demo ? "demo.db" : "merganser.db"
    );
builder.Services.AddSerilog(log => Journal.Configure(log, data), preserveStaticLogger: true);
builder.Services.AddSingleton<TimeProvider>(
    demo && builder.Configuration["clock"] is { } fixedClock
        ? new DemoClock(DateTimeOffset.Parse(fixedClock))
        : TimeProvider.System
);
builder
    .Services.AddSingleton(s => new Database(data, s.GetRequiredService<TimeProvider>()))
    .AddSingleton(_ => DataFile.Take(data, urls));
builder
    .Services.AddSingleton<ArcherStore>()
    .AddSingleton<BowStore>()
    .AddSingleton<ComponentStore>()
    .AddSingleton<ArrowStore>()
    .AddSingleton<ImportMappings>()
    .AddSingleton<GlueStore>()
    .AddSingleton<PaperStore>()
    .AddSingleton<SightStore>()
    .AddSingleton<RangeGuessStore>()
    .AddSingleton<HandStore>()
    .AddSingleton<SetupStore>()
    .AddSingleton<CrawlStore>()
    .AddSingleton<FlightStore>()
    .AddSingleton<DozenStore>()
    .AddSingleton<ChronographStore>()
    .AddSingleton<BoardStore>()
    .AddSingleton<ResponseStore>()
    .AddSingleton<StoryStore>()
    .AddSingleton<NoteStore>()
    .AddSingleton<PictureStore>()
    .AddSingleton<BinStore>()
    .AddSingleton<ReminderStore>()
    .AddSingleton<VisitStore>()
    .AddSingleton<CarriedStore>()
    .AddSingleton<OwnerStore>()
    .AddSingleton<DataCopies>()
    .AddSingleton<OpenExport>()
    .AddSingleton<OpenImport>()
    .AddSingleton<OpenSchema>()
    .AddSingleton<RackLines>();
builder
    .Services.AddSingleton<Hearers>()
    .AddSingleton<Listener>()
    .AddSingleton<InstrumentDesk>()
    .AddSingleton<DozenDesk>()
    .AddSingleton<WorkshopDesk>()
    .AddSingleton<ArrowTools>()
    .AddSingleton<ArrowExport>()
    .AddSingleton<ImportDesk>()
    .AddSingleton<SetupDesk>()
    .AddSingleton<FirstDesk>()
    .AddSingleton<TroubleDesk>()
    .AddSingleton<FlightDesk>()
    .AddSingleton<FinderDesk>()
    .AddSingleton<TrialDesk>()
    .AddSingleton<StoryDesk>()
    .AddSingleton<StoryPrint>()
    .AddSingleton<PlanDesk>()
    .AddSingleton<VisitDesk>()
    .AddSingleton<VisitPrint>()
    .AddSingleton<SetupCard>()
    .AddSingleton<ResponseDesk>()
    .AddSingleton<PaperDesk>()
    .AddSingleton<RackDesk>()
    .AddSingleton<DemoRack>()
    .AddSingleton<DemoStock>()
    .AddSingleton<DemoSheets>()
    .AddSingleton<DemoPapers>()
    .AddSingleton<DemoDozens>()
    .AddSingleton<DemoFlight>()
    .AddSingleton<DemoStory>()
    .AddSingleton<DemoClub>();
builder.Services.Configure<JsonOptions>(json =>
{
    MessageJson.Configure(json.SerializerOptions, Speaker.Trade);
    json.SerializerOptions.TypeInfoResolver = new LateJson(json.SerializerOptions, MessageJson.For(Speaker.Trade));
});
if (!demo && !describing)
{
    builder.Services.AddHostedService<DailyCopies>();
}

builder.Services.AddProblemDetails();
builder.Services.AddHealthChecks();
builder.Services.Configure<BrotliCompressionProviderOptions>(brotli => brotli.Level = CompressionLevel.Optimal);
builder.Services.AddResponseCompression(shrink =>
    shrink.MimeTypes = [
        .. ResponseCompressionDefaults.MimeTypes,
        "application/problem+json",
        "application/schema+json",
        "image/svg+xml",
        "text/csv",
    ]
);
builder.Services.AddExceptionHandler<ProblemMapping>();
builder.Services.AddOpenApi("v1", OpenApiShape.Configure);

var app = builder.Build();
if (!describing)
{
    try
    {
        app.Services.GetRequiredService<DataFile>();
    }
    catch (DataFileException unusable)
    {
        Console.Error.WriteLine(unusable.Message);
        UiPage.OpenFirst(unusable.HeldAt, app.Configuration);
        return 2;
    }

    var copy = app.Services.GetRequiredService<Database>().Migrate();
    if (copy is not null)
    {
        Console.WriteLine($"The data file was brought up to date; a copy of the old one is {copy}");
    }

    app.Services.GetRequiredService<ComponentStore>().StockIfEmpty(StarterCatalogue.Read());
    if (demo)
    {
        app.Services.GetRequiredService<DemoClub>().FillIfEmpty();
    }
}

app.UseSerilogRequestLogging(options => Journal.Requests(options, app.Services.GetRequiredService<Serilog.ILogger>()));
app.UseExceptionHandler();
app.UseStatusCodePages(ProblemMapping.WriteStatus);
app.UseMiddleware<PageHeaders>();
app.UseMiddleware<OriginGuard>();
app.UseMiddleware<StraightPath>();
app.UseMiddleware<Acceptable>();
app.UseMiddleware<StreamsEnd>();
app.UseResponseCompression();
app.UseMiddleware<EntityTags>();
app.UseMiddleware<Pressed>();
app.UseStaticFiles(UiPage.Assets);

app.MapOpenApi();
var api = app.MapGroup("/api")
    .AddEndpointFilter(
        (call, next) => call.HttpContext.RequestServices.GetRequiredService<Listener>().Answer(call, next)
    )
    .AddEndpointFilter(SameBench.Check)
    .AddEndpointFilter(NoHoles.Look)
    .AddEndpointFilter(OneAct.Note);
api.MapArchers();
api.MapRangeGuesses();
api.MapSizes();
api.MapBows();
api.MapArrows();
api.MapArrowTools();
api.MapCatalogue();
api.MapGet(
        "/schemas/arrow.json",
        () =>
            Results.Stream(
                typeof(Program).Assembly.GetManifestResourceStream("arrow.schema.json")!,
                "application/schema+json"
            )
    )
    .ExcludeFromDescription();
api.MapPaper();
api.MapRack();
api.MapSetup();
api.MapFirst();
api.MapCrawls();
api.MapFlight();
api.MapFinder();
api.MapTrials();
api.MapStory();
api.MapPictures();
api.MapBin();
api.MapPlan();
api.MapVisits();
api.MapCopies();
api.MapOpen();
api.MapDozens();
api.MapWorkshop();
api.MapDrawBoard();
api.MapChronograph();
api.MapInstruments();
app.MapHealthChecks("/health");
app.Map("/api/{**rest}", NoSuchAddress.Answer).ExcludeFromDescription();
app.MapGet("/index.html", () => Results.Redirect("/")).ExcludeFromDescription();
app.MapFallback(UiPage.Serve).ExcludeFromDescription();

if (!describing)
{
    app.Lifetime.ApplicationStarted.Register(() =>
    {
        // What is really listened to counts, wherever it came from.
        if (Loopback.Refusal(string.Join(';', app.Urls)) is { } open)
        {
            Console.Error.WriteLine(open);
            Environment.ExitCode = 2;
            app.Lifetime.StopApplication();
            return;
        }

        app.Services.GetRequiredService<DataFile>().ListensAt(app.Urls.First());
        Console.WriteLine($"Merganser is ready: {app.Urls.First()}  (data: {data})");
        if (app.Configuration.GetValue("open", false))
        {
            UiPage.Open(app.Urls.First());
        }
    });
}

app.Run();
return Environment.ExitCode;

/// <summary>Named so that the tests can start the application.</summary>
public partial class Program;
