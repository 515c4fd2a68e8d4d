CREATE TABLE archer (
  id TEXT PRIMARY KEY,
  name TEXT NOT NULL,
  facts TEXT NOT NULL CHECK (json_valid(facts)),
  created_at TEXT NOT NULL,
  version INTEGER NOT NULL DEFAULT 1
) STRICT;

CREATE TABLE bow (
  id TEXT PRIMARY KEY,
  archer_id TEXT NOT NULL REFERENCES archer (id),
  name TEXT NOT NULL,
  facts TEXT NOT NULL CHECK (json_valid(facts)),
  typed TEXT NOT NULL CHECK (json_valid(typed)),
  created_at TEXT NOT NULL,
  version INTEGER NOT NULL DEFAULT 1
) STRICT;

CREATE TABLE adjuster (
  bow_id TEXT NOT NULL REFERENCES bow (id),
  kind TEXT NOT NULL,
  position INTEGER NOT NULL,
  lower INTEGER NOT NULL,
  upper INTEGER NOT NULL,
  needs_press INTEGER NOT NULL,
  fitted INTEGER NOT NULL DEFAULT 1,
  PRIMARY KEY (bow_id, kind),
  CHECK (position BETWEEN lower AND upper)
) STRICT;

CREATE TABLE bow_state (
  id TEXT PRIMARY KEY,
  bow_id TEXT NOT NULL REFERENCES bow (id),
  facts TEXT NOT NULL CHECK (json_valid(facts)),
  positions TEXT NOT NULL CHECK (json_valid(positions)),
  taken_at TEXT NOT NULL
) STRICT;

CREATE TABLE component (
  id TEXT PRIMARY KEY,
  class TEXT NOT NULL,
  maker TEXT NOT NULL,
  name TEXT NOT NULL,
  facts TEXT NOT NULL CHECK (json_valid(facts)),
  version INTEGER NOT NULL DEFAULT 1
) STRICT;

CREATE TABLE arrow (
  id TEXT PRIMARY KEY,
  bow_id TEXT NOT NULL REFERENCES bow (id),
  name TEXT NOT NULL,
  draft TEXT NOT NULL CHECK (json_valid(draft)),
  created_at TEXT NOT NULL,
  changed_at TEXT NOT NULL,
  version INTEGER NOT NULL DEFAULT 1
) STRICT;

-- A version keeps its components' own values: a later change in the catalogue does not rewrite it.
CREATE TABLE arrow_version (
  id TEXT PRIMARY KEY,
  arrow_id TEXT NOT NULL REFERENCES arrow (id),
  number INTEGER NOT NULL,
  facts TEXT NOT NULL CHECK (json_valid(facts)),
  typed TEXT NOT NULL CHECK (json_valid(typed)),
  kept_at TEXT NOT NULL,
  UNIQUE (arrow_id, number)
) STRICT;

CREATE TABLE paper (
  id TEXT PRIMARY KEY,
  bow_id TEXT NOT NULL REFERENCES bow (id),
  arrow_version_id TEXT NOT NULL REFERENCES arrow_version (id),
  tolerance REAL NOT NULL,
  started_at TEXT NOT NULL,
  accepted_at TEXT,
  version INTEGER NOT NULL DEFAULT 1
) STRICT;

CREATE TABLE shot_set (
  id TEXT PRIMARY KEY,
  paper_id TEXT NOT NULL REFERENCES paper (id),
  number INTEGER NOT NULL,
  arrow_version_id TEXT NOT NULL REFERENCES arrow_version (id),
  bow_state_id TEXT NOT NULL REFERENCES bow_state (id),
  distance REAL NOT NULL,
  distance_typed TEXT NOT NULL,
  fletched INTEGER NOT NULL,
  started_at TEXT NOT NULL,
  UNIQUE (paper_id, number)
) STRICT;

-- Shots are only ever added: the raw holes as they were read, and the face of the sheet they were read from.
CREATE TABLE shot (
  id TEXT PRIMARY KEY,
  set_id TEXT NOT NULL REFERENCES shot_set (id),
  number INTEGER NOT NULL,
  point_x REAL NOT NULL,
  point_y REAL NOT NULL,
  tail_x REAL NOT NULL,
  tail_y REAL NOT NULL,
  side TEXT NOT NULL,
  shot_at TEXT NOT NULL,
  UNIQUE (set_id, number)
) STRICT;

CREATE TABLE shot_mark (
  id TEXT PRIMARY KEY,
  shot_id TEXT NOT NULL REFERENCES shot (id),
  void INTEGER NOT NULL,
  reason TEXT NOT NULL,
  marked_at TEXT NOT NULL
) STRICT;

CREATE TABLE move (
  id TEXT PRIMARY KEY,
  bow_id TEXT NOT NULL REFERENCES bow (id),
  paper_id TEXT REFERENCES paper (id),
  after_set_id TEXT REFERENCES shot_set (id),
  adjuster TEXT NOT NULL,
  from_step INTEGER NOT NULL,
  to_step INTEGER NOT NULL,
  kind TEXT NOT NULL CHECK (kind IN ('move', 'correction')),
  corrects TEXT REFERENCES move (id),
  note TEXT NOT NULL,
  happened_at TEXT NOT NULL,
  recorded_at TEXT NOT NULL,
  ordinal INTEGER NOT NULL,
  UNIQUE (bow_id, ordinal)
) STRICT;

CREATE TRIGGER shot_is_kept BEFORE UPDATE ON shot BEGIN SELECT RAISE (ABORT, 'shots are only ever added'); END;
CREATE TRIGGER shot_stays BEFORE DELETE ON shot BEGIN SELECT RAISE (ABORT, 'shots are only ever added'); END;
CREATE TRIGGER version_is_kept BEFORE UPDATE ON arrow_version BEGIN SELECT RAISE (ABORT, 'a version is never rewritten'); END;
CREATE TRIGGER move_is_kept BEFORE UPDATE ON move BEGIN SELECT RAISE (ABORT, 'moves are only ever added'); END;

CREATE INDEX bow_of_archer ON bow (archer_id);
CREATE INDEX arrow_of_bow ON arrow (bow_id);
CREATE INDEX paper_of_bow ON paper (bow_id, started_at);
CREATE INDEX shot_of_set ON shot (set_id);
CREATE INDEX move_of_bow ON move (bow_id, ordinal);
CREATE INDEX component_of_class ON component (class, maker, name);
