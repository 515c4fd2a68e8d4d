-- What the bench has of a part, and where more is bought.
ALTER TABLE component ADD COLUMN owned INTEGER CHECK (owned >= 0);
ALTER TABLE component ADD COLUMN price REAL CHECK (price >= 0);
ALTER TABLE component ADD COLUMN order_number TEXT;

-- A supplier's columns as they were mapped last, to be offered again for the same header.
CREATE TABLE import_mapping (
  class TEXT NOT NULL,
  header TEXT NOT NULL,
  mapping TEXT NOT NULL CHECK (json_valid(mapping)),
  PRIMARY KEY (class, header)
) STRICT;

-- What the maker's sheet of a glue says of a joint; the newest of a joint counts.
CREATE TABLE glue_sheet (
  id TEXT PRIMARY KEY,
  joint TEXT NOT NULL CHECK (joint IN ('insert', 'point', 'pin', 'wrap', 'vanes')),
  glue TEXT NOT NULL,
  handling_minutes REAL CHECK (handling_minutes >= 0),
  cure_hours REAL CHECK (cure_hours >= 0),
  note TEXT NOT NULL,
  entered_at TEXT NOT NULL
) STRICT;

CREATE TRIGGER glue_sheet_is_kept BEFORE UPDATE ON glue_sheet BEGIN SELECT RAISE (ABORT, 'glue sheets are only ever added'); END;
CREATE TRIGGER glue_sheet_stays BEFORE DELETE ON glue_sheet BEGIN SELECT RAISE (ABORT, 'glue sheets are only ever added'); END;
CREATE TRIGGER glue_sheet_is_not_replaced BEFORE INSERT ON glue_sheet
WHEN EXISTS (SELECT 1 FROM glue_sheet WHERE id = NEW.id OR rowid = NEW.rowid)
BEGIN SELECT RAISE (IGNORE); END;

-- What was read on a draw board: force at a travel of the string, or where a cam's stop touches; a curve is a number.
CREATE TABLE board_reading (
  id TEXT PRIMARY KEY,
  bow_id TEXT NOT NULL REFERENCES bow (id),
  curve INTEGER NOT NULL CHECK (curve > 0),
  mark TEXT NOT NULL CHECK (mark IN ('force', 'topStop', 'bottomStop', 'back')),
  travel REAL CHECK (travel >= 0),
  force REAL CHECK (force >= 0),
  source TEXT NOT NULL,
  takes_back TEXT UNIQUE REFERENCES board_reading (id),
  taken_at TEXT NOT NULL,
  CHECK ((mark = 'back') = (takes_back IS NOT NULL) AND (mark = 'force') = (force IS NOT NULL)
    AND (mark = 'back') = (travel IS NULL))
) STRICT;
CREATE INDEX board_of_bow ON board_reading (bow_id, curve);

CREATE TRIGGER board_reading_is_kept BEFORE UPDATE ON board_reading BEGIN SELECT RAISE (ABORT, 'board readings are only ever added'); END;
CREATE TRIGGER board_reading_stays BEFORE DELETE ON board_reading BEGIN SELECT RAISE (ABORT, 'board readings are only ever added'); END;
CREATE TRIGGER board_reading_is_not_replaced BEFORE INSERT ON board_reading
WHEN EXISTS (SELECT 1 FROM board_reading WHERE id = NEW.id OR rowid = NEW.rowid OR takes_back = NEW.takes_back)
BEGIN SELECT RAISE (IGNORE); END;
CREATE TRIGGER board_reading_of_one_bow BEFORE INSERT ON board_reading
WHEN NEW.takes_back IS NOT NULL AND (SELECT bow_id FROM board_reading WHERE id = NEW.takes_back) IS NOT NEW.bow_id
BEGIN SELECT RAISE (ABORT, 'a reading of another bow'); END;
CREATE TRIGGER board_reading_revises AFTER INSERT ON board_reading
BEGIN UPDATE bow_revision SET number = number + 1 WHERE bow_id = NEW.bow_id; END;
