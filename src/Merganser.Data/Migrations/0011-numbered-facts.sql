-- Facts say the number of their shape. Those written before are of number 1; a list stands beside its number.
-- The tables of what happened are opened for this alone.

DROP TRIGGER bow_state_is_kept;
DROP TRIGGER move_is_kept;
DROP TRIGGER good_state_is_kept;
DROP TRIGGER arrow_version_is_kept;
DROP TRIGGER paper_is_kept;
DROP TRIGGER session_act_is_kept;
DROP TRIGGER response_reset_is_kept;
DROP TRIGGER dozen_is_kept;
DROP TRIGGER dozen_entry_is_kept;

UPDATE archer SET
  facts = CASE facts WHEN '{}' THEN '{"schema":1}' ELSE '{"schema":1,' || substr(facts, 2) END;
UPDATE bow SET
  facts = CASE facts WHEN '{}' THEN '{"schema":1}' ELSE '{"schema":1,' || substr(facts, 2) END,
  typed = CASE typed WHEN '{}' THEN '{"schema":1}' ELSE '{"schema":1,' || substr(typed, 2) END,
  string_plan = CASE string_plan WHEN '{}' THEN '{"schema":1}' ELSE '{"schema":1,' || substr(string_plan, 2) END;
UPDATE bow_state SET
  facts = CASE facts WHEN '{}' THEN '{"schema":1}' ELSE '{"schema":1,' || substr(facts, 2) END,
  positions = '{"schema":1,"items":' || positions || '}';
UPDATE adjuster SET
  seats = CASE seats WHEN '{}' THEN '{"schema":1}' ELSE '{"schema":1,' || substr(seats, 2) END;
UPDATE move SET
  seats = CASE seats WHEN '{}' THEN '{"schema":1}' ELSE '{"schema":1,' || substr(seats, 2) END;
UPDATE good_state SET
  readings = '{"schema":1,"items":' || readings || '}',
  stage = CASE stage WHEN '{}' THEN '{"schema":1}' ELSE '{"schema":1,' || substr(stage, 2) END;
UPDATE arrow SET
  draft = CASE draft WHEN '{}' THEN '{"schema":1}' ELSE '{"schema":1,' || substr(draft, 2) END;
UPDATE arrow_version SET
  facts = CASE facts WHEN '{}' THEN '{"schema":1}' ELSE '{"schema":1,' || substr(facts, 2) END,
  typed = CASE typed WHEN '{}' THEN '{"schema":1}' ELSE '{"schema":1,' || substr(typed, 2) END;
UPDATE component SET
  facts = CASE facts WHEN '{}' THEN '{"schema":1}' ELSE '{"schema":1,' || substr(facts, 2) END;
UPDATE paper SET
  plan = CASE plan WHEN '{}' THEN '{"schema":1}' ELSE '{"schema":1,' || substr(plan, 2) END;
UPDATE session_act SET
  facts = CASE facts WHEN '{}' THEN '{"schema":1}' ELSE '{"schema":1,' || substr(facts, 2) END;
UPDATE response_reset SET
  kinds = '{"schema":1,"items":' || kinds || '}';
UPDATE dozen SET
  plan = CASE plan WHEN '{}' THEN '{"schema":1}' ELSE '{"schema":1,' || substr(plan, 2) END;
UPDATE dozen_entry SET
  facts = CASE facts WHEN '{}' THEN '{"schema":1}' ELSE '{"schema":1,' || substr(facts, 2) END;

CREATE TRIGGER bow_state_is_kept BEFORE UPDATE ON bow_state BEGIN SELECT RAISE (ABORT, 'states are only ever added'); END;
CREATE TRIGGER move_is_kept BEFORE UPDATE ON move BEGIN SELECT RAISE (ABORT, 'moves are only ever added'); END;
CREATE TRIGGER good_state_is_kept BEFORE UPDATE ON good_state BEGIN SELECT RAISE (ABORT, 'good states are only ever added'); END;
CREATE TRIGGER arrow_version_is_kept BEFORE UPDATE ON arrow_version BEGIN SELECT RAISE (ABORT, 'versions are only ever added'); END;
CREATE TRIGGER paper_is_kept BEFORE UPDATE OF id, bow_id, arrow_version_id, tolerance, started_at, plan, dozen_id ON paper
BEGIN SELECT RAISE (ABORT, 'papers are only ever added'); END;
CREATE TRIGGER session_act_is_kept BEFORE UPDATE ON session_act BEGIN SELECT RAISE (ABORT, 'acts are only ever added'); END;
CREATE TRIGGER response_reset_is_kept BEFORE UPDATE ON response_reset BEGIN SELECT RAISE (ABORT, 'forgets are only ever added'); END;
CREATE TRIGGER dozen_is_kept BEFORE UPDATE ON dozen BEGIN SELECT RAISE (ABORT, 'dozens are only ever added'); END;
CREATE TRIGGER dozen_entry_is_kept BEFORE UPDATE ON dozen_entry BEGIN SELECT RAISE (ABORT, 'entries are only ever added'); END;
