-- What a dozen is called, and whether it is put away, are entries of it like any other.
DROP TRIGGER dozen_entry_says;
CREATE TRIGGER dozen_entry_says BEFORE INSERT ON dozen_entry
WHEN NOT (NEW.kind IN ('check', 'piece', 'spin', 'match', 'tick', 'made', 'nockShot', 'plan'))
BEGIN SELECT RAISE (ABORT, 'dozen_entry cannot say that'); END;
