-- A session has a plan; a set says what it was shot for and after how many moves of the bow; a shot says which arrow, and in whose words.
ALTER TABLE paper ADD COLUMN plan TEXT CHECK (plan IS NULL OR json_valid(plan));
ALTER TABLE shot_set ADD COLUMN purpose TEXT NOT NULL DEFAULT 'session';
ALTER TABLE shot_set ADD COLUMN after_move INTEGER NOT NULL DEFAULT 0;
UPDATE shot_set SET after_move = (
  SELECT count(*) FROM move m JOIN paper p ON p.bow_id = m.bow_id WHERE p.id = shot_set.paper_id AND m.recorded_at <= shot_set.started_at);
ALTER TABLE shot ADD COLUMN arrow_number TEXT;
ALTER TABLE shot ADD COLUMN words TEXT;
ALTER TABLE shot_mark ADD COLUMN doubt INTEGER NOT NULL DEFAULT 0;

-- What was looked at beside the bow's adjusters, and notes: a rung of the ladder with its answer, or words alone.
CREATE TABLE paper_note (
  id TEXT PRIMARY KEY,
  paper_id TEXT NOT NULL REFERENCES paper (id),
  after_set_id TEXT REFERENCES shot_set (id),
  rung TEXT,
  outcome TEXT,
  note TEXT NOT NULL,
  noted_at TEXT NOT NULL
) STRICT;

-- What was learned before this is forgotten; the shots stay.
CREATE TABLE response_reset (
  id TEXT PRIMARY KEY,
  bow_id TEXT NOT NULL REFERENCES bow (id),
  kinds TEXT NOT NULL CHECK (json_valid(kinds)),
  reason TEXT NOT NULL,
  after_change INTEGER NOT NULL,
  after_paper INTEGER NOT NULL,
  after_shot INTEGER NOT NULL,
  reset_at TEXT NOT NULL
) STRICT;

CREATE INDEX note_of_paper ON paper_note (paper_id);
CREATE INDEX reset_of_bow ON response_reset (bow_id);
