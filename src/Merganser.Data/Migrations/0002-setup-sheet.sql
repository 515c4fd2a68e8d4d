ALTER TABLE bow ADD COLUMN archived_at TEXT;
ALTER TABLE bow ADD COLUMN string_plan TEXT CHECK (string_plan IS NULL OR json_valid(string_plan));
ALTER TABLE adjuster ADD COLUMN inches_per_step REAL;
ALTER TABLE adjuster ADD COLUMN seats TEXT CHECK (seats IS NULL OR json_valid(seats));
ALTER TABLE move ADD COLUMN seats TEXT CHECK (seats IS NULL OR json_valid(seats));

-- What was found at a check. The order of the bench is kept in counts, since clocks differ: moves, changes and shots entered before it.
CREATE TABLE check_finding (
  id TEXT PRIMARY KEY,
  bow_id TEXT NOT NULL REFERENCES bow (id),
  ordinal INTEGER NOT NULL,
  kind TEXT NOT NULL,
  value REAL,
  typed TEXT NOT NULL,
  choice TEXT,
  skip_reason TEXT,
  after_move INTEGER NOT NULL,
  after_change INTEGER NOT NULL,
  after_shots INTEGER NOT NULL,
  found_at TEXT NOT NULL,
  UNIQUE (bow_id, ordinal)
) STRICT;

CREATE TABLE bow_change (
  id TEXT PRIMARY KEY,
  bow_id TEXT NOT NULL REFERENCES bow (id),
  ordinal INTEGER NOT NULL,
  change TEXT NOT NULL,
  note TEXT NOT NULL,
  after_shots INTEGER NOT NULL,
  happened_at TEXT NOT NULL,
  recorded_at TEXT NOT NULL,
  UNIQUE (bow_id, ordinal)
) STRICT;

-- An entry that was made wrongly stays, with a line beside it that takes it back.
CREATE TABLE withdrawn (
  entry_id TEXT PRIMARY KEY,
  withdrawn_at TEXT NOT NULL
) STRICT;

CREATE TABLE shots_fired (
  id TEXT PRIMARY KEY,
  bow_id TEXT NOT NULL REFERENCES bow (id),
  count INTEGER NOT NULL,
  settling INTEGER NOT NULL,
  source TEXT NOT NULL,
  after_move INTEGER NOT NULL,
  after_change INTEGER NOT NULL,
  fired_at TEXT NOT NULL
) STRICT;

CREATE TABLE good_state (
  id TEXT PRIMARY KEY,
  bow_id TEXT NOT NULL REFERENCES bow (id),
  bow_state_id TEXT NOT NULL REFERENCES bow_state (id),
  arrow_version_id TEXT REFERENCES arrow_version (id),
  readings TEXT NOT NULL CHECK (json_valid(readings)),
  note TEXT NOT NULL,
  marked_at TEXT NOT NULL
) STRICT;

CREATE TRIGGER finding_is_kept BEFORE UPDATE ON check_finding BEGIN SELECT RAISE (ABORT, 'findings are only ever added'); END;
CREATE TRIGGER change_is_kept BEFORE UPDATE ON bow_change BEGIN SELECT RAISE (ABORT, 'changes are only ever added'); END;
CREATE TRIGGER shots_are_kept BEFORE UPDATE ON shots_fired BEGIN SELECT RAISE (ABORT, 'shots are only ever added'); END;

CREATE INDEX finding_of_bow ON check_finding (bow_id, ordinal);
CREATE INDEX change_of_bow ON bow_change (bow_id, ordinal);
CREATE INDEX shots_of_bow ON shots_fired (bow_id);
CREATE INDEX good_state_of_bow ON good_state (bow_id);
