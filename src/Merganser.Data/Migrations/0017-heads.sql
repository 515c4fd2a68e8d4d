-- Broadheads against field points at a target: a set says that it is shot with them, a shot which tip it carries. A bare
-- shaft never carries a broadhead.
ALTER TABLE shot_set ADD COLUMN heads INTEGER NOT NULL DEFAULT 0 CHECK (heads IN (0, 1) AND heads <= at_target);
ALTER TABLE shot ADD COLUMN tip TEXT CHECK (tip IS NULL OR (tip IN ('fieldPoint', 'broadhead') AND arrow_kind = 'fletched'));

DROP TRIGGER shot_of_its_stage;
CREATE TRIGGER shot_of_its_stage BEFORE INSERT ON shot
WHEN (NEW.arrow_kind IS NOT NULL, NEW.tip IS NOT NULL) <> (SELECT at_target, heads FROM shot_set WHERE id = NEW.set_id)
BEGIN SELECT RAISE (ABORT, 'a shot at a target names its kind of arrow, one at the paper does not'); END;

-- The sight of a bow as it was measured; the newest counts.
CREATE TABLE bow_sight (
  id TEXT PRIMARY KEY,
  bow_id TEXT NOT NULL REFERENCES bow (id),
  eye_to_pin REAL NOT NULL CHECK (eye_to_pin > 0),
  click REAL CHECK (click > 0),
  eye_to_pin_typed TEXT NOT NULL,
  click_typed TEXT NOT NULL,
  measured_at TEXT NOT NULL
) STRICT;
CREATE INDEX sight_of_bow ON bow_sight (bow_id);

CREATE TRIGGER bow_sight_is_kept BEFORE UPDATE ON bow_sight BEGIN SELECT RAISE (ABORT, 'sights are only ever added'); END;
CREATE TRIGGER bow_sight_stays BEFORE DELETE ON bow_sight BEGIN SELECT RAISE (ABORT, 'sights are only ever added'); END;
CREATE TRIGGER bow_sight_is_not_replaced BEFORE INSERT ON bow_sight
WHEN EXISTS (SELECT 1 FROM bow_sight WHERE id = NEW.id OR rowid = NEW.rowid)
BEGIN SELECT RAISE (IGNORE); END;

-- The sight moved for heads alone, in inches at the pin from their last mark, with the geometry it was computed with.
CREATE TABLE head_mark (
  id TEXT PRIMARY KEY,
  paper_id TEXT NOT NULL REFERENCES paper (id),
  after_set_id TEXT REFERENCES shot_set (id),
  pin_right REAL NOT NULL,
  pin_up REAL NOT NULL,
  eye_to_pin REAL NOT NULL CHECK (eye_to_pin > 0),
  click REAL CHECK (click > 0),
  moved_at TEXT NOT NULL
) STRICT;
CREATE INDEX head_mark_of_paper ON head_mark (paper_id);

CREATE TRIGGER head_mark_is_kept BEFORE UPDATE ON head_mark BEGIN SELECT RAISE (ABORT, 'head marks are only ever added'); END;
CREATE TRIGGER head_mark_stays BEFORE DELETE ON head_mark BEGIN SELECT RAISE (ABORT, 'head marks are only ever added'); END;
CREATE TRIGGER head_mark_is_not_replaced BEFORE INSERT ON head_mark
WHEN EXISTS (SELECT 1 FROM head_mark WHERE id = NEW.id OR rowid = NEW.rowid)
BEGIN SELECT RAISE (IGNORE); END;
CREATE TRIGGER head_mark_of_one_paper BEFORE INSERT ON head_mark
WHEN NOT (NEW.after_set_id IS NULL OR (SELECT paper_id FROM shot_set WHERE id = NEW.after_set_id) = NEW.paper_id)
BEGIN SELECT RAISE (ABORT, 'head_mark refers to another paper'); END;
CREATE TRIGGER bow_sight_revises AFTER INSERT ON bow_sight
BEGIN UPDATE bow_revision SET number = number + 1 WHERE bow_id = NEW.bow_id; END;
CREATE TRIGGER head_mark_revises AFTER INSERT ON head_mark
BEGIN UPDATE bow_revision SET number = number + 1 WHERE bow_id = (SELECT bow_id FROM paper WHERE id = NEW.paper_id); END;
