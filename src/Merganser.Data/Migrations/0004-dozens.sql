-- A dozen is the list of what was done for it, in order: weighed, spun, matched, ticked. Each entry is durable when it is acknowledged.
CREATE TABLE dozen (
  id TEXT PRIMARY KEY,
  bow_id TEXT NOT NULL REFERENCES bow (id),
  arrow_version_id TEXT NOT NULL REFERENCES arrow_version (id),
  plan TEXT NOT NULL CHECK (json_valid(plan)),
  started_at TEXT NOT NULL
) STRICT;

CREATE TABLE dozen_entry (
  id TEXT PRIMARY KEY,
  dozen_id TEXT NOT NULL REFERENCES dozen (id),
  ordinal INTEGER NOT NULL,
  kind TEXT NOT NULL,
  facts TEXT NOT NULL CHECK (json_valid(facts)),
  at TEXT NOT NULL,
  UNIQUE (dozen_id, ordinal)
) STRICT;

CREATE TABLE chronograph_shot (
  id TEXT PRIMARY KEY,
  bow_id TEXT NOT NULL REFERENCES bow (id),
  grains REAL NOT NULL,
  speed REAL NOT NULL,
  source TEXT NOT NULL,
  shot_at TEXT NOT NULL
) STRICT;

CREATE TRIGGER dozen_entry_is_kept BEFORE UPDATE ON dozen_entry BEGIN SELECT RAISE (ABORT, 'entries are only ever added'); END;
CREATE TRIGGER chronograph_shot_is_kept BEFORE UPDATE ON chronograph_shot BEGIN SELECT RAISE (ABORT, 'shots are only ever added'); END;

CREATE INDEX dozen_of_bow ON dozen (bow_id);
CREATE INDEX entry_of_dozen ON dozen_entry (dozen_id, ordinal);
CREATE INDEX chronograph_of_bow ON chronograph_shot (bow_id);
