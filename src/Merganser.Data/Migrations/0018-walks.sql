-- Walk-backs: a set says with which pins it is shot, a hit from how far; fletched arrows alone.
ALTER TABLE shot_set ADD COLUMN walk TEXT CHECK (walk IS NULL OR (walk IN ('own', 'one') AND at_target = 1 AND heads = 0));
-- A pin that is set by its hits: fletched arrows alone.
ALTER TABLE shot_set ADD COLUMN sighting INTEGER NOT NULL DEFAULT 0
  CHECK (sighting IN (0, 1) AND (sighting = 0 OR (at_target = 1 AND heads = 0 AND walk IS NULL)));
ALTER TABLE shot ADD COLUMN yards REAL CHECK (yards IS NULL OR (yards > 0 AND arrow_kind = 'fletched' AND tip IS NULL));

DROP TRIGGER shot_of_its_stage;
CREATE TRIGGER shot_of_its_stage BEFORE INSERT ON shot
WHEN (NEW.arrow_kind IS NOT NULL, NEW.tip IS NOT NULL, NEW.yards IS NOT NULL)
  <> (SELECT at_target, heads, walk IS NOT NULL FROM shot_set WHERE id = NEW.set_id)
BEGIN SELECT RAISE (ABORT, 'a shot at a target names its kind of arrow, one of a walk-back its distance, one at the paper neither'); END;

-- The sight is moved for heads alone, or for all arrows; nought is a sight that was levelled, or set by its hits.
ALTER TABLE head_mark RENAME TO sight_mark;
ALTER TABLE sight_mark ADD COLUMN heads INTEGER NOT NULL DEFAULT 1 CHECK (heads IN (0, 1));

DROP INDEX head_mark_of_paper;
CREATE INDEX sight_mark_of_paper ON sight_mark (paper_id);
DROP TRIGGER head_mark_is_kept;
DROP TRIGGER head_mark_stays;
DROP TRIGGER head_mark_is_not_replaced;
DROP TRIGGER head_mark_of_one_paper;
DROP TRIGGER head_mark_revises;
CREATE TRIGGER sight_mark_is_kept BEFORE UPDATE ON sight_mark BEGIN SELECT RAISE (ABORT, 'sight marks are only ever added'); END;
CREATE TRIGGER sight_mark_stays BEFORE DELETE ON sight_mark BEGIN SELECT RAISE (ABORT, 'sight marks are only ever added'); END;
CREATE TRIGGER sight_mark_is_not_replaced BEFORE INSERT ON sight_mark
WHEN EXISTS (SELECT 1 FROM sight_mark WHERE id = NEW.id OR rowid = NEW.rowid)
BEGIN SELECT RAISE (IGNORE); END;
CREATE TRIGGER sight_mark_of_one_paper BEFORE INSERT ON sight_mark
WHEN NOT (NEW.after_set_id IS NULL OR (SELECT paper_id FROM shot_set WHERE id = NEW.after_set_id) = NEW.paper_id)
BEGIN SELECT RAISE (ABORT, 'sight_mark refers to another paper'); END;
CREATE TRIGGER sight_mark_revises AFTER INSERT ON sight_mark
BEGIN UPDATE bow_revision SET number = number + 1 WHERE bow_id = (SELECT bow_id FROM paper WHERE id = NEW.paper_id); END;
