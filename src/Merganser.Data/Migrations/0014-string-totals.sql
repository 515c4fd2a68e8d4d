-- The shots of a string are added up as they come, by the change they came after: reading them costs the same after
-- years. Those that were taken back are taken off.
CREATE TABLE shots_total (
  bow_id TEXT NOT NULL REFERENCES bow (id),
  after_change INTEGER NOT NULL,
  settling INTEGER NOT NULL CHECK (settling IN (0, 1)),
  count INTEGER NOT NULL,
  PRIMARY KEY (bow_id, after_change, settling)
) STRICT;
INSERT INTO shots_total (bow_id, after_change, settling, count)
SELECT bow_id, after_change, settling, sum(count) FROM shots_fired f
WHERE NOT EXISTS (SELECT 1 FROM withdrawn w WHERE w.entry_id = f.id)
GROUP BY bow_id, after_change, settling;

CREATE TRIGGER shots_fired_add_up AFTER INSERT ON shots_fired
BEGIN
  INSERT INTO shots_total (bow_id, after_change, settling, count)
  VALUES (NEW.bow_id, NEW.after_change, NEW.settling, NEW.count)
  ON CONFLICT (bow_id, after_change, settling) DO UPDATE SET count = count + NEW.count;
END;
CREATE TRIGGER shots_taken_back AFTER INSERT ON withdrawn WHEN NEW.kind = 'shots'
BEGIN
  UPDATE shots_total SET count = count - (SELECT f.count FROM shots_fired f WHERE f.id = NEW.entry_id)
  WHERE (bow_id, after_change, settling) =
    (SELECT f.bow_id, f.after_change, f.settling FROM shots_fired f WHERE f.id = NEW.entry_id);
END;

-- The newest of a bow, in the order in which they were fired.
CREATE INDEX newest_shots_of_bow ON shots_fired (bow_id);
