-- Which bench a file is: what a browser keeps for itself is kept for one bench and sent to no other.
CREATE TABLE bench (id TEXT PRIMARY KEY CHECK (length(id) = 32), made_at TEXT NOT NULL) STRICT;
INSERT INTO bench (id, made_at) VALUES (lower(hex(randomblob(16))), strftime('%Y-%m-%dT%H:%M:%SZ', 'now'));

CREATE TRIGGER bench_is_kept BEFORE UPDATE ON bench BEGIN SELECT RAISE (ABORT, 'a bench is only ever added'); END;
CREATE TRIGGER bench_stays BEFORE DELETE ON bench BEGIN SELECT RAISE (ABORT, 'a bench is only ever added'); END;
CREATE TRIGGER bench_is_one BEFORE INSERT ON bench
WHEN EXISTS (SELECT 1 FROM bench)
BEGIN SELECT RAISE (IGNORE); END;
