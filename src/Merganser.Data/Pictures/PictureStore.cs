using Merganser.Core.Pictures;

namespace Merganser.Data;

/// <summary>A photograph, without its bytes.</summary>
/// <param name="Id">Its id.</param>
/// <param name="BowId">The bow.</param>
/// <param name="Of">What it shows.</param>
/// <param name="Caption">What is said of it; may be empty.</param>
/// <param name="Width">Pixels across.</param>
/// <param name="Height">Pixels down.</param>
/// <param name="Placed">Where the sheet lies in it; null while nobody said.</param>
/// <param name="AddedAt">When it was added.</param>
public sealed record Picture(
    string Id,
    string BowId,
    PictureOf Of,
    string Caption,
    int Width,
    int Height,
    SheetPresses? Placed,
    DateTimeOffset AddedAt
);

/// <summary>A photograph as it is kept: bounded, without anything but its pixels.</summary>
/// <param name="Width">Pixels across.</param>
/// <param name="Height">Pixels down.</param>
/// <param name="Image">JPEG.</param>
/// <param name="Thumbnail">JPEG, small.</param>
public sealed record PictureBytes(int Width, int Height, byte[] Image, byte[] Thumbnail);

/// <summary>A photograph to be kept.</summary>
/// <param name="Id">Made by the client.</param>
/// <param name="BowId">The bow.</param>
/// <param name="Of">What it shows.</param>
/// <param name="OfId">Which one; null for the bow itself.</param>
/// <param name="Caption">What is said of it.</param>
/// <param name="Bytes">It.</param>
public sealed record NewPicture(
    string Id,
    string BowId,
    PictureOf Of,
    string? OfId,
    string Caption,
    PictureBytes Bytes
);

/// <summary>Photographs of bows. One that is thrown away lies in the bin for some days.</summary>
public sealed class PictureStore(Database database, TimeProvider clock)
{
    private const int MostListed = 60;

    private const string Columns = """
        SELECT p.id, p.bow_id AS bowId, p.caption, p.width, p.height, p.placed, p.added_at AS addedAt,
          CASE WHEN p.set_id IS NOT NULL THEN 'set' WHEN p.check_id IS NOT NULL THEN 'check'
            WHEN p.note_id IS NOT NULL THEN 'note' WHEN p.visit_id IS NOT NULL THEN 'visit' ELSE 'bow' END AS "of"
        FROM picture p
        """;

    /// <summary>Keeps one; the same id again changes nothing.</summary>
    /// <exception cref="MissingException">There is no such bow, or nothing of it that the photograph shows.</exception>
    /// <exception cref="IdTakenException">The id is already that of a photograph of another bow.</exception>
    public Picture Keep(NewPicture picture) =>
        database.Write(sql =>
        {
            _ = BowStore.Get(sql, picture.BowId);
            if (Find(sql, picture.Id) is { } kept)
            {
                return kept.BowId == picture.BowId ? kept : throw new IdTakenException("picture");
            }

            if (picture.Of != PictureOf.Bow && !sql.Scalar<bool>(IsOfBow(picture.Of), picture))
            {
                throw new MissingException(FactsJson.Word(picture.Of));
            }

            sql.Execute(
                """
                INSERT INTO picture (id, bow_id, set_id, check_id, note_id, visit_id, caption, width, height, added_at)
                VALUES (@Id, @BowId, @set, @check, @note, @visit, @Caption, @Width, @Height, @now)
                """,
                new
                {
                    picture.Id,
                    picture.BowId,
                    set = picture.Of == PictureOf.Set ? picture.OfId : null,
                    check = picture.Of == PictureOf.Check ? picture.OfId : null,
                    note = picture.Of == PictureOf.Note ? picture.OfId : null,
                    visit = picture.Of == PictureOf.Visit ? picture.OfId : null,
                    picture.Caption,
                    picture.Bytes.Width,
                    picture.Bytes.Height,
                    now = Stamp.Of(clock.GetUtcNow()),
                }
            );
            sql.Execute(
                "INSERT INTO picture_bytes (picture_id, image, thumbnail) VALUES (@Id, @Image, @Thumbnail)",
                new
                {
                    picture.Id,
                    picture.Bytes.Image,
                    picture.Bytes.Thumbnail,
                }
            );
            return Get(sql, picture.Id);
        });

    /// <summary>One.</summary>
    /// <exception cref="MissingException">There is none of that id.</exception>
    public Picture Get(string id) => database.Read(sql => Get(sql, id));

    /// <summary>The newest of one thing, the oldest of them first; of a check with those of its go.</summary>
    public IReadOnlyList<Picture> Of(string bowId, PictureOf of, string? id) =>
        database.Read(sql =>
        {
            _ = BowStore.Get(sql, bowId);
            var which = of switch
            {
                PictureOf.Set => "p.set_id = @id",
                PictureOf.Check => $"""
                    p.check_id IN (SELECT e.id FROM check_finding k JOIN check_finding e ON {StoryKeys.OneGo}
                      WHERE k.id = @id)
                    """,
                PictureOf.Note => $"p.note_id IN (@id, replace(@id, '{BinStore.Again}', ''))",
                PictureOf.Visit => "p.visit_id = @id",
                _ => "p.set_id IS NULL AND p.check_id IS NULL AND p.note_id IS NULL AND p.visit_id IS NULL",
            };
            return sql.Query<Row>(
                    $"{Columns} WHERE p.bow_id = @bowId AND {which} ORDER BY p.rowid DESC LIMIT {MostListed}",
                    new { bowId, id }
                )
                .Select(r => r.Read())
                .Reverse()
                .ToArray();
        });

    /// <summary>Its pixels, whole or small, as JPEG; also of one in the bin.</summary>
    /// <exception cref="MissingException">There is none of that id.</exception>
    public byte[] Bytes(string id, bool small) =>
        database.Read(sql =>
            sql.Scalar<byte[]?>(
                $"SELECT {(small ? "thumbnail" : "image")} FROM picture_bytes WHERE picture_id = @id",
                new { id }
            ) ?? throw new MissingException("picture")
        );

    /// <summary>Says where the sheet lies in it.</summary>
    /// <exception cref="MissingException">There is none of that id.</exception>
    /// <exception cref="Merganser.Core.Figures.RefusedException">What was pressed makes no sheet to scale.</exception>
    public Picture Place(string id, SheetPresses pressed) =>
        database.Write(sql =>
        {
            var picture = Get(sql, id);
            _ = SheetInPhotograph.Of(picture.Width, picture.Height, pressed);
            sql.Execute("UPDATE picture SET placed = @placed WHERE id = @id", new { id, placed = Kept.Write(pressed) });
            return picture with { Placed = pressed };
        });

    /// <summary>Puts it in the bin.</summary>
    /// <exception cref="MissingException">There is none of that id.</exception>
    public void Bin(string id) =>
        database.Write(sql =>
        {
            var picture = Get(sql, id);
            return BinStore.Take(sql, BinKind.Picture, id, picture.Caption, picture.BowId, clock.GetUtcNow());
        });

    private static Picture Get(Sql sql, string id) => Find(sql, id) ?? throw new MissingException("picture");

    private static Picture? Find(Sql sql, string id) =>
        sql.First<Row>($"{Columns} WHERE p.id = @id", new { id })?.Read();

    private static string IsOfBow(PictureOf of) =>
        of switch
        {
            PictureOf.Set => """
                SELECT EXISTS (SELECT 1 FROM shot_set s JOIN paper p ON p.id = s.paper_id
                  WHERE s.id = @OfId AND p.bow_id = @BowId)
                """,
            PictureOf.Check => "SELECT EXISTS (SELECT 1 FROM check_finding WHERE id = @OfId AND bow_id = @BowId)",
            PictureOf.Note => "SELECT EXISTS (SELECT 1 FROM story_note WHERE id = @OfId AND bow_id = @BowId)",
            _ => "SELECT EXISTS (SELECT 1 FROM visit WHERE id = @OfId AND bow_id = @BowId)",
        };

    private sealed class Row
    {
        public string Id { get; init; } = "";
        public string BowId { get; init; } = "";
        public string Of { get; init; } = "";
        public string Caption { get; init; } = "";
        public int Width { get; init; }
        public int Height { get; init; }
        public string? Placed { get; init; }
        public string AddedAt { get; init; } = "";

        public Picture Read() =>
            new(
                Id,
                BowId,
                FactsJson.Enum<PictureOf>(Of),
                Caption,
                Width,
                Height,
                Placed is null ? null : Kept.Read<SheetPresses>(Placed),
                Stamp.Read(AddedAt)
            );
    }
}
