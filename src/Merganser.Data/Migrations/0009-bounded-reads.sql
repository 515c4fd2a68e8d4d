-- What is asked for by each screen is found by an index, however long the history is.
CREATE INDEX move_of_adjuster ON move (bow_id, adjuster, ordinal);
CREATE INDEX move_correcting ON move (corrects, ordinal) WHERE corrects IS NOT NULL;
CREATE INDEX finding_of_kind ON check_finding (bow_id, kind, ordinal);
CREATE INDEX set_of_version ON shot_set (arrow_version_id);

-- Sums of shots are read from these alone.
DROP INDEX shots_of_bow;
CREATE INDEX shots_of_bow ON shots_fired (bow_id, after_change, after_move, settling, count, id);
CREATE INDEX entered_of_bow ON shots_fired (bow_id) WHERE source = 'entered';

DROP INDEX good_state_of_bow;
CREATE INDEX good_state_of_bow ON good_state (bow_id, arrow_version_id);

-- A bow's revision counts whatever is written about it: what was made of a revision holds as long as it is the same.
CREATE TABLE bow_revision (
  bow_id TEXT PRIMARY KEY REFERENCES bow (id),
  number INTEGER NOT NULL
) STRICT;
INSERT INTO bow_revision (bow_id, number) SELECT id, 1 FROM bow;

-- A bow's line on the rack as it was made of a revision, by which program, and until when it holds by itself.
CREATE TABLE rack_line (
  bow_id TEXT PRIMARY KEY REFERENCES bow (id),
  revision INTEGER NOT NULL,
  made_by TEXT NOT NULL,
  holds_until TEXT,
  line TEXT NOT NULL CHECK (json_valid(line))
) STRICT;

CREATE TRIGGER bow_begins AFTER INSERT ON bow BEGIN INSERT INTO bow_revision (bow_id, number) VALUES (NEW.id, 1); END;
CREATE TRIGGER bow_revised AFTER UPDATE ON bow BEGIN UPDATE bow_revision SET number = number + 1 WHERE bow_id = NEW.id; END;
CREATE TRIGGER archer_revised AFTER UPDATE ON archer
BEGIN UPDATE bow_revision SET number = number + 1 WHERE bow_id IN (SELECT id FROM bow WHERE archer_id = NEW.id); END;
CREATE TRIGGER arrow_revises AFTER INSERT ON arrow
BEGIN UPDATE bow_revision SET number = number + 1 WHERE bow_id = NEW.bow_id; END;
CREATE TRIGGER arrow_revises_again AFTER UPDATE ON arrow
BEGIN UPDATE bow_revision SET number = number + 1 WHERE bow_id = NEW.bow_id; END;
CREATE TRIGGER dozen_revises AFTER INSERT ON dozen
BEGIN UPDATE bow_revision SET number = number + 1 WHERE bow_id = NEW.bow_id; END;
CREATE TRIGGER paper_revises AFTER INSERT ON paper
BEGIN UPDATE bow_revision SET number = number + 1 WHERE bow_id = NEW.bow_id; END;
CREATE TRIGGER move_revises AFTER INSERT ON move
BEGIN UPDATE bow_revision SET number = number + 1 WHERE bow_id = NEW.bow_id; END;
CREATE TRIGGER check_finding_revises AFTER INSERT ON check_finding
BEGIN UPDATE bow_revision SET number = number + 1 WHERE bow_id = NEW.bow_id; END;
CREATE TRIGGER bow_change_revises AFTER INSERT ON bow_change
BEGIN UPDATE bow_revision SET number = number + 1 WHERE bow_id = NEW.bow_id; END;
CREATE TRIGGER shots_fired_revises AFTER INSERT ON shots_fired
BEGIN UPDATE bow_revision SET number = number + 1 WHERE bow_id = NEW.bow_id; END;
CREATE TRIGGER good_state_revises AFTER INSERT ON good_state
BEGIN UPDATE bow_revision SET number = number + 1 WHERE bow_id = NEW.bow_id; END;
CREATE TRIGGER chronograph_shot_revises AFTER INSERT ON chronograph_shot
BEGIN UPDATE bow_revision SET number = number + 1 WHERE bow_id = NEW.bow_id; END;
CREATE TRIGGER response_reset_revises AFTER INSERT ON response_reset
BEGIN UPDATE bow_revision SET number = number + 1 WHERE bow_id = NEW.bow_id; END;
CREATE TRIGGER adjuster_revises AFTER INSERT ON adjuster
BEGIN UPDATE bow_revision SET number = number + 1 WHERE bow_id = NEW.bow_id; END;
CREATE TRIGGER adjuster_revises_again AFTER UPDATE ON adjuster
BEGIN UPDATE bow_revision SET number = number + 1 WHERE bow_id = NEW.bow_id; END;
CREATE TRIGGER arrow_version_revises AFTER INSERT ON arrow_version
BEGIN UPDATE bow_revision SET number = number + 1 WHERE bow_id = (SELECT bow_id FROM arrow WHERE id = NEW.arrow_id); END;
CREATE TRIGGER dozen_entry_revises AFTER INSERT ON dozen_entry
BEGIN UPDATE bow_revision SET number = number + 1 WHERE bow_id = (SELECT bow_id FROM dozen WHERE id = NEW.dozen_id); END;
CREATE TRIGGER shot_set_revises AFTER INSERT ON shot_set
BEGIN UPDATE bow_revision SET number = number + 1 WHERE bow_id = (SELECT bow_id FROM paper WHERE id = NEW.paper_id); END;
CREATE TRIGGER shot_set_revises_again AFTER UPDATE ON shot_set
BEGIN UPDATE bow_revision SET number = number + 1 WHERE bow_id = (SELECT bow_id FROM paper WHERE id = NEW.paper_id); END;
CREATE TRIGGER paper_note_revises AFTER INSERT ON paper_note
BEGIN UPDATE bow_revision SET number = number + 1 WHERE bow_id = (SELECT bow_id FROM paper WHERE id = NEW.paper_id); END;
CREATE TRIGGER session_act_revises AFTER INSERT ON session_act
BEGIN UPDATE bow_revision SET number = number + 1 WHERE bow_id = (SELECT bow_id FROM paper WHERE id = NEW.paper_id); END;
CREATE TRIGGER shot_revises AFTER INSERT ON shot
BEGIN UPDATE bow_revision SET number = number + 1 WHERE bow_id = (SELECT p.bow_id FROM shot_set s JOIN paper p ON p.id = s.paper_id WHERE s.id = NEW.set_id); END;
CREATE TRIGGER shot_mark_revises AFTER INSERT ON shot_mark
BEGIN UPDATE bow_revision SET number = number + 1 WHERE bow_id = (SELECT p.bow_id FROM shot h JOIN shot_set s ON s.id = h.set_id JOIN paper p ON p.id = s.paper_id WHERE h.id = NEW.shot_id); END;
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
