using Dapper;

namespace Merganser.Web.Tests;

/// <summary>A story finds its days by the last day of each paper, which is made as things happen.</summary>
public class StoryDayTests
{
    [Fact]
    public async Task What_is_said_of_the_oldest_paper_today_stands_first()
    {
        using var app = new App();
        var oldest = (string)(await app.Papers())[^1]!["id"]!;
        var said = await app.Post($"/api/papers/{oldest}/notes", new { id = App.NewId(), note = "the loop was worn" });
        said.Status.ShouldBe(200);
        var story = (await app.Get($"/api/bows/{App.Brindle}/story"))["events"]!.AsArray();
        ((string)story[0]!["words"]!).ShouldBe("the loop was worn");
    }

    [Fact]
    public void The_last_day_of_each_paper_is_that_of_the_last_thing_on_it()
    {
        using var app = new App();
        using var file = app.Database.Open();
        var made = file.Query<(string, string, string)>("SELECT paper_id, bow_id, last_at FROM paper_day ORDER BY 1");
        made.ShouldBe(
            file.Query<(string, string, string)>(
                """
                SELECT p.id, p.bow_id, (SELECT max(at) FROM (
                  SELECT started_at AS at FROM shot_set WHERE paper_id = p.id
                  UNION ALL SELECT recorded_at FROM session_act WHERE paper_id = p.id
                  UNION ALL SELECT noted_at FROM paper_note WHERE paper_id = p.id
                  UNION ALL SELECT moved_at FROM sight_mark WHERE paper_id = p.id))
                FROM paper p ORDER BY 1
                """
            )
        );
        made.Count().ShouldBeGreaterThan(10);
    }
}
