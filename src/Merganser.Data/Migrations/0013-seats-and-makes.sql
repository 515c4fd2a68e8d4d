-- What stood in the spacers' seats before a move, beside what stands there after it.
ALTER TABLE move ADD COLUMN seats_before TEXT;

-- Seats that nobody read off were written as the usual middle pair: they are not known.
UPDATE adjuster SET seats = NULL
WHERE kind = 'camSpacer' AND NOT EXISTS (
  SELECT 1 FROM move m WHERE m.bow_id = adjuster.bow_id AND m.adjuster = 'camSpacer');

-- Bows of one make share what their adjusters were seen to do, until somebody sets it aside.
ALTER TABLE bow ADD COLUMN make TEXT NOT NULL DEFAULT '';
ALTER TABLE bow ADD COLUMN borrows INTEGER NOT NULL DEFAULT 1 CHECK (borrows IN (0, 1));
CREATE INDEX bow_by_make ON bow (make) WHERE make <> '';

-- The plate that a longbow's arrow lies against is an adjuster.
DROP TRIGGER move_says;
DROP TRIGGER adjuster_says;
CREATE TRIGGER move_says BEFORE INSERT ON move
WHEN NOT (NEW.adjuster IN ('restSideways', 'restHeight', 'nockingPoint', 'yokePair', 'camSpacer', 'limbPocket', 'bottomLimbBolt', 'plungerTension', 'plungerPosition', 'braceHeight', 'drawWeight', 'pointWeight', 'tiller', 'yokeLeftLeg', 'yokeRightLeg', 'topCable', 'bottomCable', 'stringTwists', 'limbBolts', 'drawModule', 'letOffModule', 'strikePlate')
  AND (NEW.kind = 'correction') = (NEW.corrects IS NOT NULL))
BEGIN SELECT RAISE (ABORT, 'move cannot say that'); END;
CREATE TRIGGER adjuster_says BEFORE INSERT ON adjuster
WHEN NOT (NEW.kind IN ('restSideways', 'restHeight', 'nockingPoint', 'yokePair', 'camSpacer', 'limbPocket', 'bottomLimbBolt', 'plungerTension', 'plungerPosition', 'braceHeight', 'drawWeight', 'pointWeight', 'tiller', 'yokeLeftLeg', 'yokeRightLeg', 'topCable', 'bottomCable', 'stringTwists', 'limbBolts', 'drawModule', 'letOffModule', 'strikePlate') AND NEW.lower < NEW.upper AND NEW.needs_press IN (0, 1))
BEGIN SELECT RAISE (ABORT, 'adjuster cannot say that'); END;

-- What was chosen or with what it was measured, in the words of whoever measured.
ALTER TABLE check_finding ADD COLUMN note TEXT NOT NULL DEFAULT '';

-- Another let-off is a change of its own.
DROP TRIGGER bow_change_says;
CREATE TRIGGER bow_change_says BEFORE INSERT ON bow_change
WHEN NOT (NEW.change IN ('newString', 'newCable', 'newServing', 'newLoop', 'newPeep', 'newRest', 'stringTwists', 'oneSidedTwist', 'opposedYokeTwists', 'drawWeight', 'drawLength', 'limbBolt', 'camSpacer', 'braceHeight', 'nockingPoint', 'sight', 'letOff'))
BEGIN SELECT RAISE (ABORT, 'bow_change cannot say that'); END;
