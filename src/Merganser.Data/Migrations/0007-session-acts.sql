-- What happens to a session beside its sets, shots, moves and notes: accepted, opened again, how it is shot. Only ever added.
CREATE TABLE session_act (
  id TEXT PRIMARY KEY,
  paper_id TEXT NOT NULL REFERENCES paper (id),
  after_set_id TEXT REFERENCES shot_set (id),
  kind TEXT NOT NULL CHECK (kind IN ('accepted', 'reopened', 'conditions')),
  facts TEXT CHECK (facts IS NULL OR json_valid(facts)),
  recorded_at TEXT NOT NULL
) STRICT;

INSERT INTO session_act (id, paper_id, after_set_id, kind, recorded_at)
SELECT p.id || '-accepted', p.id, (SELECT s.id FROM shot_set s WHERE s.paper_id = p.id ORDER BY s.number DESC LIMIT 1), 'accepted', p.accepted_at
FROM paper p WHERE p.accepted_at IS NOT NULL;

ALTER TABLE paper DROP COLUMN accepted_at;

-- A state that was shot well by accepting a paper knows at which stage.
ALTER TABLE good_state ADD COLUMN stage TEXT CHECK (stage IS NULL OR json_valid(stage));

-- A move that was turned back on the bow names the one it turned back.
ALTER TABLE move ADD COLUMN turns_back TEXT REFERENCES move (id);

-- What a paper taught, under a fingerprint of all that it was computed from. It is computed anew when the fingerprint differs.
CREATE TABLE paper_learned (
  paper_id TEXT PRIMARY KEY REFERENCES paper (id),
  fingerprint TEXT NOT NULL,
  fits TEXT NOT NULL CHECK (json_valid(fits))
) STRICT;

CREATE TRIGGER session_act_is_kept BEFORE UPDATE ON session_act BEGIN SELECT RAISE (ABORT, 'acts are only ever added'); END;
CREATE INDEX act_of_paper ON session_act (paper_id);
