-- Groups at a target are a stage of the same session: a set says that it is shot there, a shot with which kind of arrow, and how
-- it was seen to fly.
ALTER TABLE shot_set ADD COLUMN at_target INTEGER NOT NULL DEFAULT 0 CHECK (at_target IN (0, 1));
ALTER TABLE shot ADD COLUMN arrow_kind TEXT CHECK (arrow_kind IN ('fletched', 'bare'));
ALTER TABLE shot ADD COLUMN flight TEXT CHECK (flight IN ('clean', 'corkscrew', 'fishtail', 'porpoise'));

CREATE TRIGGER shot_of_its_stage BEFORE INSERT ON shot
WHEN (NEW.arrow_kind IS NOT NULL) <> (SELECT at_target FROM shot_set WHERE id = NEW.set_id)
BEGIN SELECT RAISE (ABORT, 'a shot at a target names its kind of arrow, one at the paper does not'); END;
