-- A rest stands between two clicks as well: the whole step below it is kept as before, and whether half a click is added.
ALTER TABLE adjuster ADD COLUMN half INTEGER NOT NULL DEFAULT 0 CHECK (half = 0 OR (
  half = 1 AND kind IN ('restSideways', 'restHeight') AND position < upper));
ALTER TABLE move ADD COLUMN from_half INTEGER NOT NULL DEFAULT 0 CHECK (from_half = 0 OR (
  from_half = 1 AND adjuster IN ('restSideways', 'restHeight')));
ALTER TABLE move ADD COLUMN to_half INTEGER NOT NULL DEFAULT 0 CHECK (to_half = 0 OR (
  to_half = 1 AND adjuster IN ('restSideways', 'restHeight')));

DROP VIEW moved;
CREATE VIEW moved AS
SELECT b.name AS bow, m.adjuster, m.from_step + m.from_half / 2.0 AS from_step, coalesce(
    (SELECT c.to_step + c.to_half / 2.0 FROM move c WHERE c.corrects = m.id ORDER BY c.ordinal DESC LIMIT 1),
    m.to_step + m.to_half / 2.0) AS to_step,
  m.happened_at AS at
FROM move m JOIN bow b ON b.id = m.bow_id
WHERE m.corrects IS NULL;
