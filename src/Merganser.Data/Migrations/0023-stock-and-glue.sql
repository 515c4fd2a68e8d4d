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
