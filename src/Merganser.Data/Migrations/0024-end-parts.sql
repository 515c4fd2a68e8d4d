-- Pins, bushings, collars, outserts and front weights: a class of the catalogue, with a joint of their own.
DROP TRIGGER component_says;
CREATE TRIGGER component_says BEFORE INSERT ON component
WHEN NOT (NEW.class IN ('shaft', 'insert', 'point', 'nock', 'vane', 'wrap', 'endPart'))
BEGIN SELECT RAISE (ABORT, 'component cannot say that'); END;

DROP TRIGGER glue_sheet_is_kept;
DROP TRIGGER glue_sheet_stays;
DROP TRIGGER glue_sheet_is_not_replaced;
ALTER TABLE glue_sheet RENAME TO glue_sheet_before;
CREATE TABLE glue_sheet (
  id TEXT PRIMARY KEY,
  joint TEXT NOT NULL CHECK (joint IN ('insert', 'point', 'collar', 'pin', 'wrap', 'vanes')),
  glue TEXT NOT NULL,
  handling_minutes REAL CHECK (handling_minutes >= 0),
  cure_hours REAL CHECK (cure_hours >= 0),
  note TEXT NOT NULL,
  entered_at TEXT NOT NULL
) STRICT;
INSERT INTO glue_sheet SELECT id, joint, glue, handling_minutes, cure_hours, note, entered_at FROM glue_sheet_before ORDER BY rowid;
DROP TABLE glue_sheet_before;

CREATE TRIGGER glue_sheet_is_kept BEFORE UPDATE ON glue_sheet BEGIN SELECT RAISE (ABORT, 'glue sheets are only ever added'); END;
CREATE TRIGGER glue_sheet_stays BEFORE DELETE ON glue_sheet BEGIN SELECT RAISE (ABORT, 'glue sheets are only ever added'); END;
CREATE TRIGGER glue_sheet_is_not_replaced BEFORE INSERT ON glue_sheet
WHEN EXISTS (SELECT 1 FROM glue_sheet WHERE id = NEW.id OR rowid = NEW.rowid)
BEGIN SELECT RAISE (IGNORE); END;
