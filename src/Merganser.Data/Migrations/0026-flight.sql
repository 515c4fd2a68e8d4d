-- What an archer says of a bow's range, as typed; the newest counts.
CREATE TABLE flight_wish (
  id TEXT PRIMARY KEY,
  bow_id TEXT NOT NULL REFERENCES bow (id),
  error TEXT NOT NULL CHECK (error IN ('usual', 'typed', 'guesses', 'measured')),
  error_typed TEXT NOT NULL CHECK (error <> 'typed' OR error_typed <> ''),
  circle_typed TEXT NOT NULL,
  spread TEXT NOT NULL CHECK (spread IN ('measured', 'typed', 'steady', 'usual', 'wide')),
  spread_typed TEXT NOT NULL CHECK (spread <> 'typed' OR spread_typed <> ''),
  height_typed TEXT NOT NULL,
  altitude_typed TEXT NOT NULL,
  temperature_typed TEXT NOT NULL,
  said_at TEXT NOT NULL
) STRICT;
CREATE INDEX flight_wish_of_bow ON flight_wish (bow_id);

CREATE TRIGGER flight_wish_is_kept BEFORE UPDATE ON flight_wish BEGIN SELECT RAISE (ABORT, 'flight wishes are only ever added'); END;
CREATE TRIGGER flight_wish_stays BEFORE DELETE ON flight_wish BEGIN SELECT RAISE (ABORT, 'flight wishes are only ever added'); END;
CREATE TRIGGER flight_wish_is_not_replaced BEFORE INSERT ON flight_wish
WHEN EXISTS (SELECT 1 FROM flight_wish WHERE id = NEW.id OR rowid = NEW.rowid)
BEGIN SELECT RAISE (IGNORE); END;
CREATE TRIGGER flight_wish_revises AFTER INSERT ON flight_wish
BEGIN UPDATE bow_revision SET number = number + 1 WHERE bow_id = NEW.bow_id; END;

-- A mark of the sight that was proven on the range with an arrow, or a speed read down range. The newest of an arrow, a
-- kind and a distance counts; one without a value says that it is given up.
CREATE TABLE proven_mark (
  id TEXT PRIMARY KEY,
  bow_id TEXT NOT NULL REFERENCES bow (id),
  arrow_version_id TEXT NOT NULL REFERENCES arrow_version (id),
  kind TEXT NOT NULL CHECK (kind IN ('mark', 'speed')),
  yards REAL NOT NULL CHECK (yards > 0),
  value REAL CHECK (kind = 'mark' OR value > 0),
  distance_typed TEXT NOT NULL,
  value_typed TEXT NOT NULL,
  proven_at TEXT NOT NULL
) STRICT;
CREATE INDEX proven_mark_of_bow ON proven_mark (bow_id);

CREATE TRIGGER proven_mark_is_kept BEFORE UPDATE ON proven_mark BEGIN SELECT RAISE (ABORT, 'proven marks are only ever added'); END;
CREATE TRIGGER proven_mark_stays BEFORE DELETE ON proven_mark BEGIN SELECT RAISE (ABORT, 'proven marks are only ever added'); END;
CREATE TRIGGER proven_mark_is_not_replaced BEFORE INSERT ON proven_mark
WHEN EXISTS (SELECT 1 FROM proven_mark WHERE id = NEW.id OR rowid = NEW.rowid)
BEGIN SELECT RAISE (IGNORE); END;
CREATE TRIGGER proven_mark_of_one_bow BEFORE INSERT ON proven_mark
WHEN NEW.bow_id IS NOT (SELECT a.bow_id FROM arrow_version v JOIN arrow a ON a.id = v.arrow_id WHERE v.id = NEW.arrow_version_id)
BEGIN SELECT RAISE (ABORT, 'proven_mark refers to another bow'); END;
CREATE TRIGGER proven_mark_revises AFTER INSERT ON proven_mark
BEGIN UPDATE bow_revision SET number = number + 1 WHERE bow_id = NEW.bow_id; END;
