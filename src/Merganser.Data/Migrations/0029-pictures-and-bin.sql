-- A photograph of a bow: of a set, a check, a note or a visit, or of the bow as it is.
CREATE TABLE picture (
  id TEXT PRIMARY KEY,
  bow_id TEXT NOT NULL REFERENCES bow (id),
  set_id TEXT REFERENCES shot_set (id),
  check_id TEXT REFERENCES check_finding (id),
  note_id TEXT REFERENCES story_note (id),
  visit_id TEXT REFERENCES visit (id),
  caption TEXT NOT NULL,
  width INTEGER NOT NULL CHECK (width > 0),
  height INTEGER NOT NULL CHECK (height > 0),
  placed TEXT,
  added_at TEXT NOT NULL,
  CHECK ((set_id IS NOT NULL) + (check_id IS NOT NULL) + (note_id IS NOT NULL) + (visit_id IS NOT NULL) <= 1)
) STRICT;
CREATE INDEX picture_of_bow ON picture (bow_id, added_at);
CREATE INDEX picture_of_set ON picture (set_id) WHERE set_id IS NOT NULL;
CREATE INDEX picture_of_check ON picture (check_id) WHERE check_id IS NOT NULL;
CREATE INDEX picture_of_note ON picture (note_id) WHERE note_id IS NOT NULL;
CREATE INDEX picture_of_visit ON picture (visit_id) WHERE visit_id IS NOT NULL;
CREATE TRIGGER picture_of_its_bow BEFORE INSERT ON picture
WHEN NEW.bow_id IS NOT coalesce(
  (SELECT p.bow_id FROM shot_set s JOIN paper p ON p.id = s.paper_id WHERE s.id = NEW.set_id),
  (SELECT bow_id FROM check_finding WHERE id = NEW.check_id),
  (SELECT bow_id FROM story_note WHERE id = NEW.note_id),
  (SELECT bow_id FROM visit WHERE id = NEW.visit_id),
  NEW.bow_id)
BEGIN SELECT RAISE (ABORT, 'a picture of another bow'); END;
CREATE TRIGGER picture_revises AFTER INSERT ON picture
BEGIN UPDATE bow_revision SET number = number + 1 WHERE bow_id = NEW.bow_id; END;
CREATE TRIGGER picture_changes AFTER UPDATE ON picture
BEGIN UPDATE bow_revision SET number = number + 1 WHERE bow_id = NEW.bow_id; END;
CREATE TRIGGER picture_goes AFTER DELETE ON picture
BEGIN UPDATE bow_revision SET number = number + 1 WHERE bow_id = OLD.bow_id; END;

-- Its bytes stay while it is in the bin: they refer to no row.
CREATE TABLE picture_bytes (
  picture_id TEXT PRIMARY KEY,
  image BLOB NOT NULL,
  thumbnail BLOB NOT NULL
) STRICT;

-- What was thrown away and can be put back for some days: the row as it was.
CREATE TABLE bin (
  id TEXT PRIMARY KEY,
  kind TEXT NOT NULL CHECK (kind IN ('component', 'arrow', 'picture')),
  name TEXT NOT NULL,
  bow_id TEXT REFERENCES bow (id),
  facts TEXT NOT NULL,
  binned_at TEXT NOT NULL
) STRICT;
CREATE INDEX bin_by_age ON bin (binned_at);
