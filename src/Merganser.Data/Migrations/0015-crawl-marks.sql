-- A string walker's marks: how far below the nock the hand goes for a distance, and where the nocking point stood. The
-- newest of a distance counts; one without a crawl says that the mark is given up.
CREATE TABLE crawl_mark (
  id TEXT PRIMARY KEY,
  bow_id TEXT NOT NULL REFERENCES bow (id),
  ordinal INTEGER NOT NULL,
  yards REAL NOT NULL CHECK (yards > 0),
  crawl REAL CHECK (crawl >= 0),
  distance_typed TEXT NOT NULL,
  crawl_typed TEXT NOT NULL,
  nocking_point INTEGER,
  note TEXT NOT NULL,
  shot_at TEXT NOT NULL,
  UNIQUE (bow_id, ordinal)
) STRICT;
CREATE INDEX newest_crawl ON crawl_mark (bow_id, yards, ordinal);

CREATE TRIGGER crawl_mark_is_kept BEFORE UPDATE ON crawl_mark BEGIN SELECT RAISE (ABORT, 'crawl marks are only ever added'); END;
CREATE TRIGGER crawl_mark_stays BEFORE DELETE ON crawl_mark BEGIN SELECT RAISE (ABORT, 'crawl marks are only ever added'); END;
CREATE TRIGGER crawl_mark_is_not_replaced BEFORE INSERT ON crawl_mark
WHEN EXISTS (SELECT 1 FROM crawl_mark WHERE id = NEW.id OR rowid = NEW.rowid OR (bow_id, ordinal) = (NEW.bow_id, NEW.ordinal))
BEGIN SELECT RAISE (IGNORE); END;
CREATE TRIGGER crawl_mark_revises AFTER INSERT ON crawl_mark
BEGIN UPDATE bow_revision SET number = number + 1 WHERE bow_id = NEW.bow_id; END;
