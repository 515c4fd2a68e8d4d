-- What the bow's own record said before a finding took its place: an entry that was wrong gives it back.
ALTER TABLE check_finding ADD COLUMN replaced TEXT;
CREATE INDEX mark_of_shot ON shot_mark (shot_id);
