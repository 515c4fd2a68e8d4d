-- What is to be done, by date, by shots, or before a shoot. A list that is worked off: a line ends, it never goes away.
CREATE TABLE reminder (
  id TEXT PRIMARY KEY,
  bow_id TEXT REFERENCES bow (id),
  kind TEXT NOT NULL CHECK (kind IN ('byDate', 'byShots', 'shoot')),
  text TEXT NOT NULL CHECK (text <> ''),
  on_day TEXT,
  after_shots INTEGER CHECK (after_shots > 0),
  shots_before INTEGER NOT NULL CHECK (shots_before >= 0),
  made_at TEXT NOT NULL,
  state TEXT NOT NULL DEFAULT 'open' CHECK (state IN ('open', 'done', 'dropped')),
  ended_at TEXT,
  CHECK ((kind = 'byShots') = (after_shots IS NOT NULL)),
  CHECK ((kind = 'byShots') = (on_day IS NULL)),
  CHECK (kind <> 'byShots' OR bow_id IS NOT NULL),
  CHECK (kind <> 'shoot' OR bow_id IS NULL),
  CHECK ((state = 'open') = (ended_at IS NULL))
) STRICT;
CREATE INDEX reminder_of_bow ON reminder (bow_id, state);
CREATE INDEX reminder_by_state ON reminder (state, ended_at);
CREATE TRIGGER reminder_begins AFTER INSERT ON reminder
BEGIN UPDATE bow_revision SET number = number + 1 WHERE bow_id = NEW.bow_id; END;
CREATE TRIGGER reminder_ends AFTER UPDATE ON reminder
BEGIN UPDATE bow_revision SET number = number + 1 WHERE bow_id = NEW.bow_id; END;

-- A bow that is brought in: what its owner wants, as found, what went on it, and how it left.
CREATE TABLE visit (
  id TEXT PRIMARY KEY,
  bow_id TEXT NOT NULL REFERENCES bow (id),
  archer_id TEXT NOT NULL REFERENCES archer (id),
  number INTEGER NOT NULL CHECK (number > 0),
  wants TEXT NOT NULL,
  arrived_at TEXT NOT NULL,
  UNIQUE (bow_id, number)
) STRICT;
CREATE INDEX visit_by_arrival ON visit (arrived_at);
CREATE INDEX visit_of_archer ON visit (archer_id);

-- How the bow stood as it came and as it left: what is measured later changes none of it.
CREATE TABLE visit_state (
  visit_id TEXT NOT NULL REFERENCES visit (id),
  moment TEXT NOT NULL CHECK (moment IN ('found', 'left')),
  taken_at TEXT NOT NULL,
  string_shots INTEGER NOT NULL,
  string_put_on TEXT,
  arrow_version_id TEXT REFERENCES arrow_version (id),
  arrow_since TEXT,
  settling_left INTEGER NOT NULL CHECK (settling_left >= 0),
  check_in INTEGER,
  unsound INTEGER NOT NULL CHECK (unsound IN (0, 1)),
  PRIMARY KEY (visit_id, moment)
) STRICT;
CREATE TABLE visit_value (
  visit_id TEXT NOT NULL,
  moment TEXT NOT NULL,
  part TEXT NOT NULL CHECK (part IN ('check', 'adjuster')),
  kind TEXT NOT NULL,
  value REAL,
  choice TEXT,
  since TEXT,
  PRIMARY KEY (visit_id, moment, part, kind),
  FOREIGN KEY (visit_id, moment) REFERENCES visit_state (visit_id, moment),
  CHECK (value IS NOT NULL OR choice IS NOT NULL)
) STRICT;

-- Parts and labour; one that is taken back stays, and the entry that takes it back names it.
CREATE TABLE visit_line (
  id TEXT PRIMARY KEY,
  visit_id TEXT NOT NULL REFERENCES visit (id),
  kind TEXT NOT NULL CHECK (kind IN ('part', 'labour', 'carried')),
  text TEXT NOT NULL CHECK ((text = '') = (takes_back IS NOT NULL)),
  quantity REAL NOT NULL CHECK (quantity >= 0),
  price REAL CHECK (price >= 0),
  from_bow_id TEXT REFERENCES bow (id),
  takes_back TEXT UNIQUE REFERENCES visit_line (id),
  entered_at TEXT NOT NULL,
  CHECK (from_bow_id IS NULL OR kind = 'carried')
) STRICT;
CREATE INDEX visit_line_of_visit ON visit_line (visit_id);

-- It was handed over: what to watch at home in the technician's own words, and when it comes again.
CREATE TABLE visit_end (
  visit_id TEXT PRIMARY KEY REFERENCES visit (id),
  watch TEXT NOT NULL,
  reminder_id TEXT REFERENCES reminder (id),
  handed_over_at TEXT NOT NULL
) STRICT;

-- A bow that went to another owner, as it was.
CREATE TABLE bow_owner (
  id TEXT PRIMARY KEY,
  bow_id TEXT NOT NULL REFERENCES bow (id),
  from_archer_id TEXT NOT NULL REFERENCES archer (id),
  to_archer_id TEXT NOT NULL REFERENCES archer (id),
  handed_at TEXT NOT NULL,
  CHECK (from_archer_id <> to_archer_id)
) STRICT;
CREATE INDEX bow_owner_of_bow ON bow_owner (bow_id, handed_at);

CREATE TRIGGER visit_is_kept BEFORE UPDATE ON visit BEGIN SELECT RAISE (ABORT, 'visits are only ever added'); END;
CREATE TRIGGER visit_stays BEFORE DELETE ON visit BEGIN SELECT RAISE (ABORT, 'visits are only ever added'); END;
CREATE TRIGGER visit_is_not_replaced BEFORE INSERT ON visit
WHEN EXISTS (SELECT 1 FROM visit WHERE id = NEW.id OR rowid = NEW.rowid OR (bow_id = NEW.bow_id AND number = NEW.number))
BEGIN SELECT RAISE (IGNORE); END;
CREATE TRIGGER visit_state_is_kept BEFORE UPDATE ON visit_state
BEGIN SELECT RAISE (ABORT, 'states of visits are only ever added'); END;
CREATE TRIGGER visit_state_stays BEFORE DELETE ON visit_state
BEGIN SELECT RAISE (ABORT, 'states of visits are only ever added'); END;
CREATE TRIGGER visit_state_is_not_replaced BEFORE INSERT ON visit_state
WHEN EXISTS (SELECT 1 FROM visit_state WHERE rowid = NEW.rowid OR (visit_id = NEW.visit_id AND moment = NEW.moment))
BEGIN SELECT RAISE (IGNORE); END;
CREATE TRIGGER visit_value_is_kept BEFORE UPDATE ON visit_value
BEGIN SELECT RAISE (ABORT, 'values of visits are only ever added'); END;
CREATE TRIGGER visit_value_stays BEFORE DELETE ON visit_value
BEGIN SELECT RAISE (ABORT, 'values of visits are only ever added'); END;
CREATE TRIGGER visit_value_is_not_replaced BEFORE INSERT ON visit_value
WHEN EXISTS (
  SELECT 1 FROM visit_value WHERE rowid = NEW.rowid
    OR (visit_id = NEW.visit_id AND moment = NEW.moment AND part = NEW.part AND kind = NEW.kind))
BEGIN SELECT RAISE (IGNORE); END;
CREATE TRIGGER visit_line_is_kept BEFORE UPDATE ON visit_line
BEGIN SELECT RAISE (ABORT, 'lines of visits are only ever added'); END;
CREATE TRIGGER visit_line_stays BEFORE DELETE ON visit_line
BEGIN SELECT RAISE (ABORT, 'lines of visits are only ever added'); END;
CREATE TRIGGER visit_line_is_not_replaced BEFORE INSERT ON visit_line
WHEN EXISTS (SELECT 1 FROM visit_line WHERE id = NEW.id OR rowid = NEW.rowid OR takes_back = NEW.takes_back)
BEGIN SELECT RAISE (IGNORE); END;
CREATE TRIGGER visit_line_of_one_visit BEFORE INSERT ON visit_line
WHEN NEW.takes_back IS NOT NULL
  AND (SELECT visit_id FROM visit_line WHERE id = NEW.takes_back) IS NOT NEW.visit_id
BEGIN SELECT RAISE (ABORT, 'a line of another visit'); END;
CREATE TRIGGER visit_end_is_kept BEFORE UPDATE ON visit_end
BEGIN SELECT RAISE (ABORT, 'ends of visits are only ever added'); END;
CREATE TRIGGER visit_end_stays BEFORE DELETE ON visit_end
BEGIN SELECT RAISE (ABORT, 'ends of visits are only ever added'); END;
CREATE TRIGGER visit_end_is_not_replaced BEFORE INSERT ON visit_end
WHEN EXISTS (SELECT 1 FROM visit_end WHERE visit_id = NEW.visit_id OR rowid = NEW.rowid)
BEGIN SELECT RAISE (IGNORE); END;
CREATE TRIGGER bow_owner_is_kept BEFORE UPDATE ON bow_owner
BEGIN SELECT RAISE (ABORT, 'owners are only ever added'); END;
CREATE TRIGGER bow_owner_stays BEFORE DELETE ON bow_owner
BEGIN SELECT RAISE (ABORT, 'owners are only ever added'); END;
CREATE TRIGGER bow_owner_is_not_replaced BEFORE INSERT ON bow_owner
WHEN EXISTS (SELECT 1 FROM bow_owner WHERE id = NEW.id OR rowid = NEW.rowid)
BEGIN SELECT RAISE (IGNORE); END;

CREATE TRIGGER visit_revises AFTER INSERT ON visit
BEGIN UPDATE bow_revision SET number = number + 1 WHERE bow_id = NEW.bow_id; END;
CREATE TRIGGER visit_state_revises AFTER INSERT ON visit_state
BEGIN
  UPDATE bow_revision SET number = number + 1 WHERE bow_id = (SELECT v.bow_id FROM visit v WHERE v.id = NEW.visit_id);
END;
CREATE TRIGGER visit_value_revises AFTER INSERT ON visit_value
BEGIN
  UPDATE bow_revision SET number = number + 1 WHERE bow_id = (SELECT v.bow_id FROM visit v WHERE v.id = NEW.visit_id);
END;
CREATE TRIGGER visit_line_revises AFTER INSERT ON visit_line
BEGIN
  UPDATE bow_revision SET number = number + 1 WHERE bow_id = (SELECT v.bow_id FROM visit v WHERE v.id = NEW.visit_id);
END;
CREATE TRIGGER visit_end_revises AFTER INSERT ON visit_end
BEGIN
  UPDATE bow_revision SET number = number + 1 WHERE bow_id = (SELECT v.bow_id FROM visit v WHERE v.id = NEW.visit_id);
END;
CREATE TRIGGER bow_owner_revises AFTER INSERT ON bow_owner
BEGIN UPDATE bow_revision SET number = number + 1 WHERE bow_id = NEW.bow_id; END;
