-- Two ways compared: a set names what differs and what each way is called, a hit which way it was shot. A range error:
-- a set says how wrong the sight is set, a hit for which distance. Fletched arrows alone in both.
ALTER TABLE shot_set ADD COLUMN way_kind TEXT CHECK (way_kind IS NULL OR (
  way_kind IN ('grip', 'facePressure', 'nockFit', 'arrow', 'shooter', 'other')
  AND at_target = 1 AND heads = 0 AND walk IS NULL AND sighting = 0));
ALTER TABLE shot_set ADD COLUMN way_first TEXT CHECK ((way_first IS NULL) = (way_kind IS NULL));
ALTER TABLE shot_set ADD COLUMN way_second TEXT CHECK ((way_second IS NULL) = (way_kind IS NULL));
ALTER TABLE shot_set ADD COLUMN range_error REAL CHECK (range_error IS NULL OR (
  range_error > 0 AND at_target = 1 AND heads = 0 AND walk IS NULL AND sighting = 0 AND way_kind IS NULL));
ALTER TABLE shot ADD COLUMN way TEXT CHECK (way IS NULL OR (way IN ('first', 'second') AND arrow_kind = 'fletched' AND tip IS NULL));
ALTER TABLE shot ADD COLUMN sight_for REAL CHECK (sight_for IS NULL OR (sight_for > 0 AND arrow_kind = 'fletched' AND tip IS NULL));

DROP TRIGGER shot_of_its_stage;
CREATE TRIGGER shot_of_its_stage BEFORE INSERT ON shot
WHEN (NEW.arrow_kind IS NOT NULL, NEW.tip IS NOT NULL, NEW.yards IS NOT NULL, NEW.way IS NOT NULL, NEW.sight_for IS NOT NULL)
  <> (SELECT at_target, heads, walk IS NOT NULL, way_kind IS NOT NULL, range_error IS NOT NULL FROM shot_set WHERE id = NEW.set_id)
BEGIN SELECT RAISE (ABORT, 'a shot says what its stage asks for: its kind of arrow, distance, way or setting of the sight'); END;

-- Distances that an archer guessed and then measured. One that is taken back stays, and the entry that takes it back
-- names it.
CREATE TABLE range_guess (
  id TEXT PRIMARY KEY,
  archer_id TEXT NOT NULL REFERENCES archer (id),
  guessed REAL CHECK (guessed > 0),
  measured REAL CHECK (measured > 0),
  guessed_typed TEXT NOT NULL,
  measured_typed TEXT NOT NULL,
  takes_back TEXT UNIQUE REFERENCES range_guess (id),
  guessed_at TEXT NOT NULL,
  CHECK ((guessed IS NULL) = (takes_back IS NOT NULL) AND (measured IS NULL) = (takes_back IS NOT NULL))
) STRICT;
CREATE INDEX guess_of_archer ON range_guess (archer_id);

CREATE TRIGGER range_guess_is_kept BEFORE UPDATE ON range_guess BEGIN SELECT RAISE (ABORT, 'guesses are only ever added'); END;
CREATE TRIGGER range_guess_stays BEFORE DELETE ON range_guess BEGIN SELECT RAISE (ABORT, 'guesses are only ever added'); END;
CREATE TRIGGER range_guess_is_not_replaced BEFORE INSERT ON range_guess
WHEN EXISTS (SELECT 1 FROM range_guess WHERE id = NEW.id OR rowid = NEW.rowid OR takes_back = NEW.takes_back)
BEGIN SELECT RAISE (IGNORE); END;
CREATE TRIGGER range_guess_of_one_archer BEFORE INSERT ON range_guess
WHEN NEW.takes_back IS NOT NULL AND (SELECT archer_id FROM range_guess WHERE id = NEW.takes_back) IS NOT NEW.archer_id
BEGIN SELECT RAISE (ABORT, 'a guess of another archer'); END;

-- The nock end of a bare shaft beside its point in a near target, marked as at the paper.
ALTER TABLE shot_set ADD COLUMN nock_end INTEGER NOT NULL DEFAULT 0 CHECK (nock_end IN (0, 1) AND (nock_end = 0 OR (at_target = 0 AND fletched = 0)));
