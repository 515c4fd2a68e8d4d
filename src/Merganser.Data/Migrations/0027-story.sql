-- A note in a bow's story. One that is taken back stays, and the entry that takes it back names it.
CREATE TABLE story_note (
  id TEXT PRIMARY KEY,
  bow_id TEXT NOT NULL REFERENCES bow (id),
  archer_id TEXT REFERENCES archer (id),
  text TEXT NOT NULL CHECK ((text = '') = (takes_back IS NOT NULL)),
  takes_back TEXT UNIQUE REFERENCES story_note (id),
  happened_at TEXT NOT NULL,
  noted_at TEXT NOT NULL
) STRICT;
CREATE INDEX story_note_of_bow ON story_note (bow_id, happened_at);

CREATE TRIGGER story_note_is_kept BEFORE UPDATE ON story_note BEGIN SELECT RAISE (ABORT, 'notes are only ever added'); END;
CREATE TRIGGER story_note_stays BEFORE DELETE ON story_note BEGIN SELECT RAISE (ABORT, 'notes are only ever added'); END;
CREATE TRIGGER story_note_is_not_replaced BEFORE INSERT ON story_note
WHEN EXISTS (SELECT 1 FROM story_note WHERE id = NEW.id OR rowid = NEW.rowid OR takes_back = NEW.takes_back)
BEGIN SELECT RAISE (IGNORE); END;
CREATE TRIGGER story_note_of_one_bow BEFORE INSERT ON story_note
WHEN NEW.takes_back IS NOT NULL AND (SELECT bow_id FROM story_note WHERE id = NEW.takes_back) IS NOT NEW.bow_id
BEGIN SELECT RAISE (ABORT, 'a note of another bow'); END;
CREATE TRIGGER story_note_revises AFTER INSERT ON story_note
BEGIN UPDATE bow_revision SET number = number + 1 WHERE bow_id = NEW.bow_id; END;
