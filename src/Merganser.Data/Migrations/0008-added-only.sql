-- What happened is only ever added: no row of it is changed, taken away or put in the place of another, whoever writes to the file.
-- The same id again changes nothing, as a retry must not; another row in the place of one that is there is refused.
DROP TRIGGER version_is_kept;
DROP TRIGGER shot_is_kept;
DROP TRIGGER shot_stays;
DROP TRIGGER move_is_kept;
DROP TRIGGER finding_is_kept;
DROP TRIGGER change_is_kept;
DROP TRIGGER shots_are_kept;
DROP TRIGGER dozen_entry_is_kept;
DROP TRIGGER chronograph_shot_is_kept;
DROP TRIGGER session_act_is_kept;

CREATE TRIGGER bow_state_is_kept BEFORE UPDATE ON bow_state BEGIN SELECT RAISE (ABORT, 'states are only ever added'); END;
CREATE TRIGGER bow_state_stays BEFORE DELETE ON bow_state BEGIN SELECT RAISE (ABORT, 'states are only ever added'); END;
CREATE TRIGGER bow_state_is_not_replaced BEFORE INSERT ON bow_state
WHEN EXISTS (SELECT 1 FROM bow_state WHERE id = NEW.id OR rowid = NEW.rowid)
BEGIN SELECT RAISE (IGNORE); END;

CREATE TRIGGER arrow_version_is_kept BEFORE UPDATE ON arrow_version BEGIN SELECT RAISE (ABORT, 'versions are only ever added'); END;
CREATE TRIGGER arrow_version_stays BEFORE DELETE ON arrow_version BEGIN SELECT RAISE (ABORT, 'versions are only ever added'); END;
CREATE TRIGGER arrow_version_is_not_replaced BEFORE INSERT ON arrow_version
WHEN EXISTS (SELECT 1 FROM arrow_version WHERE id = NEW.id OR rowid = NEW.rowid)
BEGIN SELECT RAISE (IGNORE); END;
CREATE TRIGGER arrow_version_keeps_its_place BEFORE INSERT ON arrow_version
WHEN EXISTS (SELECT 1 FROM arrow_version WHERE arrow_id = NEW.arrow_id AND number = NEW.number AND id <> NEW.id)
BEGIN SELECT RAISE (ABORT, 'versions are only ever added'); END;

-- Where and how a set is shot may still change while nothing was shot in it.
CREATE TRIGGER shot_set_is_kept BEFORE UPDATE ON shot_set
WHEN OLD.id <> NEW.id OR OLD.paper_id <> NEW.paper_id OR OLD.number <> NEW.number OR EXISTS (SELECT 1 FROM shot WHERE set_id = OLD.id)
BEGIN SELECT RAISE (ABORT, 'sets are only ever added'); END;
CREATE TRIGGER shot_set_stays BEFORE DELETE ON shot_set BEGIN SELECT RAISE (ABORT, 'sets are only ever added'); END;
CREATE TRIGGER shot_set_is_not_replaced BEFORE INSERT ON shot_set
WHEN EXISTS (SELECT 1 FROM shot_set WHERE id = NEW.id OR rowid = NEW.rowid)
BEGIN SELECT RAISE (IGNORE); END;
CREATE TRIGGER shot_set_keeps_its_place BEFORE INSERT ON shot_set
WHEN EXISTS (SELECT 1 FROM shot_set WHERE paper_id = NEW.paper_id AND number = NEW.number AND id <> NEW.id)
BEGIN SELECT RAISE (ABORT, 'sets are only ever added'); END;

CREATE TRIGGER shot_is_kept BEFORE UPDATE ON shot BEGIN SELECT RAISE (ABORT, 'shots are only ever added'); END;
CREATE TRIGGER shot_stays BEFORE DELETE ON shot BEGIN SELECT RAISE (ABORT, 'shots are only ever added'); END;
CREATE TRIGGER shot_is_not_replaced BEFORE INSERT ON shot
WHEN EXISTS (SELECT 1 FROM shot WHERE id = NEW.id OR rowid = NEW.rowid)
BEGIN SELECT RAISE (IGNORE); END;
CREATE TRIGGER shot_keeps_its_place BEFORE INSERT ON shot
WHEN EXISTS (SELECT 1 FROM shot WHERE set_id = NEW.set_id AND number = NEW.number AND id <> NEW.id)
BEGIN SELECT RAISE (ABORT, 'shots are only ever added'); END;

CREATE TRIGGER shot_mark_is_kept BEFORE UPDATE ON shot_mark BEGIN SELECT RAISE (ABORT, 'marks are only ever added'); END;
CREATE TRIGGER shot_mark_stays BEFORE DELETE ON shot_mark BEGIN SELECT RAISE (ABORT, 'marks are only ever added'); END;
CREATE TRIGGER shot_mark_is_not_replaced BEFORE INSERT ON shot_mark
WHEN EXISTS (SELECT 1 FROM shot_mark WHERE id = NEW.id OR rowid = NEW.rowid)
BEGIN SELECT RAISE (IGNORE); END;

CREATE TRIGGER move_is_kept BEFORE UPDATE ON move BEGIN SELECT RAISE (ABORT, 'moves are only ever added'); END;
CREATE TRIGGER move_stays BEFORE DELETE ON move BEGIN SELECT RAISE (ABORT, 'moves are only ever added'); END;
CREATE TRIGGER move_is_not_replaced BEFORE INSERT ON move
WHEN EXISTS (SELECT 1 FROM move WHERE id = NEW.id OR rowid = NEW.rowid)
BEGIN SELECT RAISE (IGNORE); END;
CREATE TRIGGER move_keeps_its_place BEFORE INSERT ON move
WHEN EXISTS (SELECT 1 FROM move WHERE bow_id = NEW.bow_id AND ordinal = NEW.ordinal AND id <> NEW.id)
BEGIN SELECT RAISE (ABORT, 'moves are only ever added'); END;

CREATE TRIGGER check_finding_is_kept BEFORE UPDATE ON check_finding BEGIN SELECT RAISE (ABORT, 'findings are only ever added'); END;
CREATE TRIGGER check_finding_stays BEFORE DELETE ON check_finding BEGIN SELECT RAISE (ABORT, 'findings are only ever added'); END;
CREATE TRIGGER check_finding_is_not_replaced BEFORE INSERT ON check_finding
WHEN EXISTS (SELECT 1 FROM check_finding WHERE id = NEW.id OR rowid = NEW.rowid)
BEGIN SELECT RAISE (IGNORE); END;
CREATE TRIGGER check_finding_keeps_its_place BEFORE INSERT ON check_finding
WHEN EXISTS (SELECT 1 FROM check_finding WHERE bow_id = NEW.bow_id AND ordinal = NEW.ordinal AND id <> NEW.id)
BEGIN SELECT RAISE (ABORT, 'findings are only ever added'); END;

CREATE TRIGGER bow_change_is_kept BEFORE UPDATE ON bow_change BEGIN SELECT RAISE (ABORT, 'changes are only ever added'); END;
CREATE TRIGGER bow_change_stays BEFORE DELETE ON bow_change BEGIN SELECT RAISE (ABORT, 'changes are only ever added'); END;
CREATE TRIGGER bow_change_is_not_replaced BEFORE INSERT ON bow_change
WHEN EXISTS (SELECT 1 FROM bow_change WHERE id = NEW.id OR rowid = NEW.rowid)
BEGIN SELECT RAISE (IGNORE); END;
CREATE TRIGGER bow_change_keeps_its_place BEFORE INSERT ON bow_change
WHEN EXISTS (SELECT 1 FROM bow_change WHERE bow_id = NEW.bow_id AND ordinal = NEW.ordinal AND id <> NEW.id)
BEGIN SELECT RAISE (ABORT, 'changes are only ever added'); END;

CREATE TRIGGER withdrawn_is_kept BEFORE UPDATE ON withdrawn BEGIN SELECT RAISE (ABORT, 'withdrawals are only ever added'); END;
CREATE TRIGGER withdrawn_stays BEFORE DELETE ON withdrawn BEGIN SELECT RAISE (ABORT, 'withdrawals are only ever added'); END;
CREATE TRIGGER withdrawn_is_not_replaced BEFORE INSERT ON withdrawn
WHEN EXISTS (SELECT 1 FROM withdrawn WHERE entry_id = NEW.entry_id OR rowid = NEW.rowid)
BEGIN SELECT RAISE (IGNORE); END;

CREATE TRIGGER shots_fired_is_kept BEFORE UPDATE ON shots_fired BEGIN SELECT RAISE (ABORT, 'shots are only ever added'); END;
CREATE TRIGGER shots_fired_stays BEFORE DELETE ON shots_fired BEGIN SELECT RAISE (ABORT, 'shots are only ever added'); END;
CREATE TRIGGER shots_fired_is_not_replaced BEFORE INSERT ON shots_fired
WHEN EXISTS (SELECT 1 FROM shots_fired WHERE id = NEW.id OR rowid = NEW.rowid)
BEGIN SELECT RAISE (IGNORE); END;

CREATE TRIGGER good_state_is_kept BEFORE UPDATE ON good_state BEGIN SELECT RAISE (ABORT, 'good states are only ever added'); END;
CREATE TRIGGER good_state_stays BEFORE DELETE ON good_state BEGIN SELECT RAISE (ABORT, 'good states are only ever added'); END;
CREATE TRIGGER good_state_is_not_replaced BEFORE INSERT ON good_state
WHEN EXISTS (SELECT 1 FROM good_state WHERE id = NEW.id OR rowid = NEW.rowid)
BEGIN SELECT RAISE (IGNORE); END;

CREATE TRIGGER dozen_is_kept BEFORE UPDATE ON dozen BEGIN SELECT RAISE (ABORT, 'dozens are only ever added'); END;
CREATE TRIGGER dozen_stays BEFORE DELETE ON dozen BEGIN SELECT RAISE (ABORT, 'dozens are only ever added'); END;
CREATE TRIGGER dozen_is_not_replaced BEFORE INSERT ON dozen
WHEN EXISTS (SELECT 1 FROM dozen WHERE id = NEW.id OR rowid = NEW.rowid)
BEGIN SELECT RAISE (IGNORE); END;

CREATE TRIGGER dozen_entry_is_kept BEFORE UPDATE ON dozen_entry BEGIN SELECT RAISE (ABORT, 'entries are only ever added'); END;
CREATE TRIGGER dozen_entry_stays BEFORE DELETE ON dozen_entry BEGIN SELECT RAISE (ABORT, 'entries are only ever added'); END;
CREATE TRIGGER dozen_entry_is_not_replaced BEFORE INSERT ON dozen_entry
WHEN EXISTS (SELECT 1 FROM dozen_entry WHERE id = NEW.id OR rowid = NEW.rowid)
BEGIN SELECT RAISE (IGNORE); END;
CREATE TRIGGER dozen_entry_keeps_its_place BEFORE INSERT ON dozen_entry
WHEN EXISTS (SELECT 1 FROM dozen_entry WHERE dozen_id = NEW.dozen_id AND ordinal = NEW.ordinal AND id <> NEW.id)
BEGIN SELECT RAISE (ABORT, 'entries are only ever added'); END;

CREATE TRIGGER chronograph_shot_is_kept BEFORE UPDATE ON chronograph_shot BEGIN SELECT RAISE (ABORT, 'shots are only ever added'); END;
CREATE TRIGGER chronograph_shot_stays BEFORE DELETE ON chronograph_shot BEGIN SELECT RAISE (ABORT, 'shots are only ever added'); END;
CREATE TRIGGER chronograph_shot_is_not_replaced BEFORE INSERT ON chronograph_shot
WHEN EXISTS (SELECT 1 FROM chronograph_shot WHERE id = NEW.id OR rowid = NEW.rowid)
BEGIN SELECT RAISE (IGNORE); END;

-- The version of a paper counts what was done to it.
CREATE TRIGGER paper_is_kept BEFORE UPDATE OF id, bow_id, arrow_version_id, tolerance, started_at, plan ON paper BEGIN SELECT RAISE (ABORT, 'papers are only ever added'); END;
CREATE TRIGGER paper_stays BEFORE DELETE ON paper BEGIN SELECT RAISE (ABORT, 'papers are only ever added'); END;
CREATE TRIGGER paper_is_not_replaced BEFORE INSERT ON paper
WHEN EXISTS (SELECT 1 FROM paper WHERE id = NEW.id OR rowid = NEW.rowid)
BEGIN SELECT RAISE (IGNORE); END;

CREATE TRIGGER paper_note_is_kept BEFORE UPDATE ON paper_note BEGIN SELECT RAISE (ABORT, 'notes are only ever added'); END;
CREATE TRIGGER paper_note_stays BEFORE DELETE ON paper_note BEGIN SELECT RAISE (ABORT, 'notes are only ever added'); END;
CREATE TRIGGER paper_note_is_not_replaced BEFORE INSERT ON paper_note
WHEN EXISTS (SELECT 1 FROM paper_note WHERE id = NEW.id OR rowid = NEW.rowid)
BEGIN SELECT RAISE (IGNORE); END;

CREATE TRIGGER response_reset_is_kept BEFORE UPDATE ON response_reset BEGIN SELECT RAISE (ABORT, 'forgets are only ever added'); END;
CREATE TRIGGER response_reset_stays BEFORE DELETE ON response_reset BEGIN SELECT RAISE (ABORT, 'forgets are only ever added'); END;
CREATE TRIGGER response_reset_is_not_replaced BEFORE INSERT ON response_reset
WHEN EXISTS (SELECT 1 FROM response_reset WHERE id = NEW.id OR rowid = NEW.rowid)
BEGIN SELECT RAISE (IGNORE); END;

CREATE TRIGGER session_act_is_kept BEFORE UPDATE ON session_act BEGIN SELECT RAISE (ABORT, 'acts are only ever added'); END;
CREATE TRIGGER session_act_stays BEFORE DELETE ON session_act BEGIN SELECT RAISE (ABORT, 'acts are only ever added'); END;
CREATE TRIGGER session_act_is_not_replaced BEFORE INSERT ON session_act
WHEN EXISTS (SELECT 1 FROM session_act WHERE id = NEW.id OR rowid = NEW.rowid)
BEGIN SELECT RAISE (IGNORE); END;

-- What a UNIQUE already finds needs no index of its own.
DROP INDEX move_of_bow;
DROP INDEX finding_of_bow;
DROP INDEX change_of_bow;
DROP INDEX entry_of_dozen;
DROP INDEX shot_of_set;

CREATE INDEX state_of_bow ON bow_state (bow_id);
CREATE INDEX move_of_paper ON move (paper_id) WHERE paper_id IS NOT NULL;
