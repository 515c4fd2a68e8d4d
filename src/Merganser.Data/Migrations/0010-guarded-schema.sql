-- What each act was: the same id again is the same act, or is refused.
CREATE TABLE act (
  id TEXT PRIMARY KEY,
  path TEXT NOT NULL,
  fingerprint TEXT NOT NULL,
  at TEXT NOT NULL
) STRICT;
CREATE TRIGGER act_is_kept BEFORE UPDATE ON act BEGIN SELECT RAISE (ABORT, 'acts are only ever added'); END;
CREATE TRIGGER act_stays BEFORE DELETE ON act BEGIN SELECT RAISE (ABORT, 'acts are only ever added'); END;
CREATE TRIGGER act_is_not_replaced BEFORE INSERT ON act
WHEN EXISTS (SELECT 1 FROM act WHERE id = NEW.id OR rowid = NEW.rowid)
BEGIN SELECT RAISE (IGNORE); END;

-- A withdrawal says what kind of entry it takes back, and refers to it.
CREATE TABLE taken_back (
  entry_id TEXT PRIMARY KEY,
  kind TEXT NOT NULL CHECK (kind IN ('finding', 'change', 'shots', 'goodState', 'reading', 'reset', 'note', 'dozenEntry')),
  withdrawn_at TEXT NOT NULL,
  of_check_finding TEXT GENERATED ALWAYS AS (CASE kind WHEN 'finding' THEN entry_id END) STORED REFERENCES check_finding (id),
  of_bow_change TEXT GENERATED ALWAYS AS (CASE kind WHEN 'change' THEN entry_id END) STORED REFERENCES bow_change (id),
  of_shots_fired TEXT GENERATED ALWAYS AS (CASE kind WHEN 'shots' THEN entry_id END) STORED REFERENCES shots_fired (id),
  of_good_state TEXT GENERATED ALWAYS AS (CASE kind WHEN 'goodState' THEN entry_id END) STORED REFERENCES good_state (id),
  of_chronograph_shot TEXT GENERATED ALWAYS AS (CASE kind WHEN 'reading' THEN entry_id END) STORED REFERENCES chronograph_shot (id),
  of_response_reset TEXT GENERATED ALWAYS AS (CASE kind WHEN 'reset' THEN entry_id END) STORED REFERENCES response_reset (id),
  of_paper_note TEXT GENERATED ALWAYS AS (CASE kind WHEN 'note' THEN entry_id END) STORED REFERENCES paper_note (id),
  of_dozen_entry TEXT GENERATED ALWAYS AS (CASE kind WHEN 'dozenEntry' THEN entry_id END) STORED REFERENCES dozen_entry (id)
) STRICT;
INSERT INTO taken_back (entry_id, kind, withdrawn_at)
SELECT entry_id, CASE
  WHEN EXISTS (SELECT 1 FROM check_finding e WHERE e.id = entry_id) THEN 'finding'
  WHEN EXISTS (SELECT 1 FROM bow_change e WHERE e.id = entry_id) THEN 'change'
  WHEN EXISTS (SELECT 1 FROM chronograph_shot e WHERE e.id = entry_id) THEN 'reading'
  WHEN EXISTS (SELECT 1 FROM shots_fired e WHERE e.id = entry_id) THEN 'shots'
  WHEN EXISTS (SELECT 1 FROM good_state e WHERE e.id = entry_id) THEN 'goodState'
  WHEN EXISTS (SELECT 1 FROM response_reset e WHERE e.id = entry_id) THEN 'reset'
  WHEN EXISTS (SELECT 1 FROM paper_note e WHERE e.id = entry_id) THEN 'note'
  WHEN EXISTS (SELECT 1 FROM dozen_entry e WHERE e.id = entry_id) THEN 'dozenEntry'
  END, withdrawn_at
FROM withdrawn ORDER BY rowid;
DROP TABLE withdrawn;
ALTER TABLE taken_back RENAME TO withdrawn;
CREATE TRIGGER withdrawn_is_kept BEFORE UPDATE ON withdrawn BEGIN SELECT RAISE (ABORT, 'withdrawals are only ever added'); END;
CREATE TRIGGER withdrawn_stays BEFORE DELETE ON withdrawn BEGIN SELECT RAISE (ABORT, 'withdrawals are only ever added'); END;
CREATE TRIGGER withdrawn_is_not_replaced BEFORE INSERT ON withdrawn
WHEN EXISTS (SELECT 1 FROM withdrawn WHERE entry_id = NEW.entry_id OR rowid = NEW.rowid)
BEGIN SELECT RAISE (IGNORE); END;
CREATE TRIGGER withdrawn_revises AFTER INSERT ON withdrawn
BEGIN
  UPDATE bow_revision SET number = number + 1 WHERE bow_id IN (
    SELECT bow_id FROM check_finding WHERE id = NEW.entry_id
    UNION ALL SELECT bow_id FROM bow_change WHERE id = NEW.entry_id
    UNION ALL SELECT bow_id FROM shots_fired WHERE id = NEW.entry_id
    UNION ALL SELECT bow_id FROM good_state WHERE id = NEW.entry_id
    UNION ALL SELECT bow_id FROM chronograph_shot WHERE id = NEW.entry_id
    UNION ALL SELECT bow_id FROM response_reset WHERE id = NEW.entry_id
    UNION ALL SELECT p.bow_id FROM paper_note n JOIN paper p ON p.id = n.paper_id WHERE n.id = NEW.entry_id
    UNION ALL SELECT d.bow_id FROM dozen_entry e JOIN dozen d ON d.id = e.dozen_id WHERE e.id = NEW.entry_id);
END;

-- A state that was shot well by accepting a paper names the paper; a paper names its dozen.
DROP TRIGGER good_state_is_kept;
ALTER TABLE good_state ADD COLUMN paper_id TEXT REFERENCES paper (id);
UPDATE good_state SET paper_id = (SELECT p.id FROM paper p WHERE good_state.id LIKE p.id || '-good-%');
CREATE TRIGGER good_state_is_kept BEFORE UPDATE ON good_state BEGIN SELECT RAISE (ABORT, 'good states are only ever added'); END;
CREATE INDEX good_state_of_paper ON good_state (paper_id) WHERE paper_id IS NOT NULL;

DROP TRIGGER paper_is_kept;
ALTER TABLE paper ADD COLUMN dozen_id TEXT REFERENCES dozen (id);
UPDATE paper SET dozen_id = plan ->> 'dozenId';
-- A stage was once kept with its words; they are said anew each time.
UPDATE paper SET plan = json_set(plan, '$.stages', (
  SELECT json_group_array(json_remove(s.value, '$.words')) FROM json_each(plan, '$.stages') s))
WHERE plan LIKE '%"words":%';
CREATE TRIGGER paper_is_kept BEFORE UPDATE OF id, bow_id, arrow_version_id, tolerance, started_at, plan, dozen_id ON paper
BEGIN SELECT RAISE (ABORT, 'papers are only ever added'); END;

-- Words that a column may hold, and which of its neighbours are there with it.
CREATE TRIGGER shot_says BEFORE INSERT ON shot
WHEN NOT (NEW.side IN ('shootingSide', 'targetSide'))
BEGIN SELECT RAISE (ABORT, 'shot cannot say that'); END;
CREATE TRIGGER shot_set_says BEFORE INSERT ON shot_set
WHEN NOT (NEW.purpose IN ('session', 'controlArrow', 'changedGrip', 'otherArcher', 'machine'))
BEGIN SELECT RAISE (ABORT, 'shot_set cannot say that'); END;
CREATE TRIGGER check_finding_says BEFORE INSERT ON check_finding
WHEN NOT (NEW.kind IN ('inspection', 'drawWeight', 'axleToAxle', 'braceHeight', 'tiller', 'limbAlignment', 'camLean', 'camTiming', 'centreShot', 'plungerTension', 'shelf', 'nockingPoint', 'nockSets', 'loop', 'nockFit', 'restTiming', 'clicker', 'peep', 'firstAxis', 'secondAxis', 'thirdAxis', 'paper', 'spine', 'sight')
  AND (NEW.value IS NOT NULL) + (NEW.choice IS NOT NULL) + (NEW.skip_reason IS NOT NULL) = 1)
BEGIN SELECT RAISE (ABORT, 'check_finding cannot say that'); END;
CREATE TRIGGER bow_change_says BEFORE INSERT ON bow_change
WHEN NOT (NEW.change IN ('newString', 'newCable', 'newServing', 'newLoop', 'newPeep', 'newRest', 'stringTwists', 'oneSidedTwist', 'opposedYokeTwists', 'drawWeight', 'drawLength', 'limbBolt', 'camSpacer', 'braceHeight', 'nockingPoint', 'sight'))
BEGIN SELECT RAISE (ABORT, 'bow_change cannot say that'); END;
CREATE TRIGGER shots_fired_says BEFORE INSERT ON shots_fired
WHEN NOT (NEW.source IN ('entered', 'paper', 'chronograph') AND NEW.count > 0 AND NEW.settling IN (0, 1))
BEGIN SELECT RAISE (ABORT, 'shots_fired cannot say that'); END;
CREATE TRIGGER chronograph_shot_says BEFORE INSERT ON chronograph_shot
WHEN NOT (NEW.grains > 0 AND NEW.speed > 0)
BEGIN SELECT RAISE (ABORT, 'chronograph_shot cannot say that'); END;
CREATE TRIGGER dozen_entry_says BEFORE INSERT ON dozen_entry
WHEN NOT (NEW.kind IN ('check', 'piece', 'spin', 'match', 'tick', 'made', 'nockShot'))
BEGIN SELECT RAISE (ABORT, 'dozen_entry cannot say that'); END;
CREATE TRIGGER paper_note_says BEFORE INSERT ON paper_note
WHEN NOT (NEW.rung IS NULL OR (NEW.rung IN ('controlArrow', 'grip', 'face', 'archer', 'screws', 'draw', 'clearance', 'timing', 'tiller', 'spine', 'plunger') AND NEW.outcome IS NOT NULL))
BEGIN SELECT RAISE (ABORT, 'paper_note cannot say that'); END;
CREATE TRIGGER paper_says BEFORE INSERT ON paper
WHEN NOT (NEW.plan IS NULL OR NEW.plan ->> 'kind' IN ('tune', 'trial'))
BEGIN SELECT RAISE (ABORT, 'paper cannot say that'); END;
CREATE TRIGGER move_says BEFORE INSERT ON move
WHEN NOT (NEW.adjuster IN ('restSideways', 'restHeight', 'nockingPoint', 'yokePair', 'camSpacer', 'limbPocket', 'bottomLimbBolt', 'plungerTension', 'plungerPosition', 'braceHeight', 'drawWeight', 'pointWeight', 'tiller', 'yokeLeftLeg', 'yokeRightLeg', 'topCable', 'bottomCable', 'stringTwists', 'limbBolts', 'drawModule', 'letOffModule')
  AND (NEW.kind = 'correction') = (NEW.corrects IS NOT NULL))
BEGIN SELECT RAISE (ABORT, 'move cannot say that'); END;
CREATE TRIGGER adjuster_says BEFORE INSERT ON adjuster
WHEN NOT (NEW.kind IN ('restSideways', 'restHeight', 'nockingPoint', 'yokePair', 'camSpacer', 'limbPocket', 'bottomLimbBolt', 'plungerTension', 'plungerPosition', 'braceHeight', 'drawWeight', 'pointWeight', 'tiller', 'yokeLeftLeg', 'yokeRightLeg', 'topCable', 'bottomCable', 'stringTwists', 'limbBolts', 'drawModule', 'letOffModule') AND NEW.lower < NEW.upper AND NEW.needs_press IN (0, 1))
BEGIN SELECT RAISE (ABORT, 'adjuster cannot say that'); END;
CREATE TRIGGER component_says BEFORE INSERT ON component
WHEN NOT (NEW.class IN ('shaft', 'insert', 'point', 'nock', 'vane', 'wrap'))
BEGIN SELECT RAISE (ABORT, 'component cannot say that'); END;
CREATE TRIGGER shot_mark_says BEFORE INSERT ON shot_mark
WHEN NOT (NEW.void IN (0, 1) AND NEW.doubt IN (0, 1) AND NOT (NEW.void = 1 AND NEW.doubt = 1))
BEGIN SELECT RAISE (ABORT, 'shot_mark cannot say that'); END;

-- What belongs together belongs to one bow.
CREATE TRIGGER dozen_of_one_bow BEFORE INSERT ON dozen
WHEN NOT ((SELECT a.bow_id FROM arrow_version v JOIN arrow a ON a.id = v.arrow_id WHERE v.id = NEW.arrow_version_id) = NEW.bow_id)
BEGIN SELECT RAISE (ABORT, 'dozen refers to another bow'); END;
CREATE TRIGGER paper_of_one_bow BEFORE INSERT ON paper
WHEN NOT ((SELECT a.bow_id FROM arrow_version v JOIN arrow a ON a.id = v.arrow_id WHERE v.id = NEW.arrow_version_id) = NEW.bow_id
  AND (NEW.dozen_id IS NULL OR (SELECT bow_id FROM dozen WHERE id = NEW.dozen_id) = NEW.bow_id)
  AND NEW.dozen_id IS (NEW.plan ->> 'dozenId'))
BEGIN SELECT RAISE (ABORT, 'paper refers to another bow'); END;
CREATE TRIGGER shot_set_of_one_bow BEFORE INSERT ON shot_set
WHEN NOT ((SELECT a.bow_id FROM arrow_version v JOIN arrow a ON a.id = v.arrow_id WHERE v.id = NEW.arrow_version_id) = (SELECT bow_id FROM paper WHERE id = NEW.paper_id)
  AND (SELECT bow_id FROM bow_state WHERE id = NEW.bow_state_id) = (SELECT bow_id FROM paper WHERE id = NEW.paper_id))
BEGIN SELECT RAISE (ABORT, 'shot_set refers to another bow'); END;
CREATE TRIGGER good_state_of_one_bow BEFORE INSERT ON good_state
WHEN NOT ((SELECT bow_id FROM bow_state WHERE id = NEW.bow_state_id) = NEW.bow_id
  AND (NEW.arrow_version_id IS NULL OR (SELECT a.bow_id FROM arrow_version v JOIN arrow a ON a.id = v.arrow_id WHERE v.id = NEW.arrow_version_id) = NEW.bow_id)
  AND (NEW.paper_id IS NULL OR (SELECT bow_id FROM paper WHERE id = NEW.paper_id) = NEW.bow_id))
BEGIN SELECT RAISE (ABORT, 'good_state refers to another bow'); END;
CREATE TRIGGER move_of_one_bow BEFORE INSERT ON move
WHEN NOT ((NEW.paper_id IS NULL OR (SELECT bow_id FROM paper WHERE id = NEW.paper_id) = NEW.bow_id)
  AND (NEW.after_set_id IS NULL OR (SELECT paper_id FROM shot_set WHERE id = NEW.after_set_id) IS NEW.paper_id)
  AND (NEW.corrects IS NULL OR (SELECT bow_id FROM move WHERE id = NEW.corrects) = NEW.bow_id)
  AND (NEW.turns_back IS NULL OR (SELECT bow_id FROM move WHERE id = NEW.turns_back) = NEW.bow_id))
BEGIN SELECT RAISE (ABORT, 'move refers to another bow'); END;
CREATE TRIGGER paper_note_of_one_bow BEFORE INSERT ON paper_note
WHEN NOT (NEW.after_set_id IS NULL OR (SELECT paper_id FROM shot_set WHERE id = NEW.after_set_id) = NEW.paper_id)
BEGIN SELECT RAISE (ABORT, 'paper_note refers to another bow'); END;
CREATE TRIGGER session_act_of_one_bow BEFORE INSERT ON session_act
WHEN NOT (NEW.after_set_id IS NULL OR (SELECT paper_id FROM shot_set WHERE id = NEW.after_set_id) = NEW.paper_id)
BEGIN SELECT RAISE (ABORT, 'session_act refers to another bow'); END;

-- What people ask of the past: every number that was measured, and every move that was really made, by its date.
CREATE VIEW measured AS
SELECT b.name AS bow, f.kind, f.value, f.typed, f.found_at AS at
FROM check_finding f JOIN bow b ON b.id = f.bow_id
WHERE f.value IS NOT NULL AND NOT EXISTS (SELECT 1 FROM withdrawn w WHERE w.entry_id = f.id);

CREATE VIEW moved AS
SELECT b.name AS bow, m.adjuster, m.from_step, coalesce(
    (SELECT c.to_step FROM move c WHERE c.corrects = m.id ORDER BY c.ordinal DESC LIMIT 1), m.to_step) AS to_step,
  m.happened_at AS at
FROM move m JOIN bow b ON b.id = m.bow_id
WHERE m.corrects IS NULL;

CREATE VIEW speeds AS
SELECT b.name AS bow, s.grains, s.speed, s.shot_at AS at
FROM chronograph_shot s JOIN bow b ON b.id = s.bow_id
WHERE NOT EXISTS (SELECT 1 FROM withdrawn w WHERE w.entry_id = s.id);
