-- Which way an adjuster's steps drive the tail: by the maker's sheet for pockets and spacers.
ALTER TABLE adjuster ADD COLUMN way TEXT NOT NULL DEFAULT 'agreed' CHECK (way IN ('agreed', 'reversed', 'notKnown'));
