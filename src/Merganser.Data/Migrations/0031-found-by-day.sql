-- What a story tells of a day is found by the day, after five years as in the first week.
CREATE INDEX finding_by_day ON check_finding (bow_id, found_at, kind, after_move, after_change, id);
CREATE INDEX entered_by_day ON shots_fired (bow_id, fired_at, id) WHERE source = 'entered';
CREATE INDEX good_by_day ON good_state (bow_id, marked_at, id);
CREATE INDEX move_by_day ON move (bow_id, happened_at, id);
CREATE INDEX match_of_dozen ON dozen_entry (dozen_id, at, id) WHERE kind = 'match';

-- Shots that were taken back are few among all that was.
CREATE INDEX taken_shots ON withdrawn (entry_id) WHERE kind = 'shots';

-- When something last happened on each paper: made from what was entered, and never handed out.
CREATE TABLE paper_day (
  paper_id TEXT PRIMARY KEY REFERENCES paper (id),
  bow_id TEXT NOT NULL REFERENCES bow (id),
  last_at TEXT NOT NULL
);

INSERT INTO paper_day (paper_id, bow_id, last_at)
SELECT p.id, p.bow_id, max(d.at) FROM paper p JOIN (
  SELECT paper_id, started_at AS at FROM shot_set
  UNION ALL SELECT paper_id, recorded_at FROM session_act
  UNION ALL SELECT paper_id, noted_at FROM paper_note
  UNION ALL SELECT paper_id, moved_at FROM sight_mark) d ON d.paper_id = p.id
GROUP BY p.id;

CREATE INDEX paper_by_day ON paper_day (bow_id, last_at);

CREATE TRIGGER set_dates_paper AFTER INSERT ON shot_set BEGIN
  INSERT INTO paper_day (paper_id, bow_id, last_at)
  SELECT id, bow_id, NEW.started_at FROM paper WHERE id = NEW.paper_id
  ON CONFLICT (paper_id) DO UPDATE SET last_at = max(last_at, excluded.last_at);
END;

CREATE TRIGGER act_dates_paper AFTER INSERT ON session_act BEGIN
  INSERT INTO paper_day (paper_id, bow_id, last_at)
  SELECT id, bow_id, NEW.recorded_at FROM paper WHERE id = NEW.paper_id
  ON CONFLICT (paper_id) DO UPDATE SET last_at = max(last_at, excluded.last_at);
END;

CREATE TRIGGER note_dates_paper AFTER INSERT ON paper_note BEGIN
  INSERT INTO paper_day (paper_id, bow_id, last_at)
  SELECT id, bow_id, NEW.noted_at FROM paper WHERE id = NEW.paper_id
  ON CONFLICT (paper_id) DO UPDATE SET last_at = max(last_at, excluded.last_at);
END;

CREATE TRIGGER sight_dates_paper AFTER INSERT ON sight_mark BEGIN
  INSERT INTO paper_day (paper_id, bow_id, last_at)
  SELECT id, bow_id, NEW.moved_at FROM paper WHERE id = NEW.paper_id
  ON CONFLICT (paper_id) DO UPDATE SET last_at = max(last_at, excluded.last_at);
END;
