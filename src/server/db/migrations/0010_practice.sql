-- Exercises the owner answered: what was shown, what was said, how sure.
CREATE TABLE practice (
  id TEXT PRIMARY KEY,
  at TEXT NOT NULL,
  body TEXT NOT NULL CHECK (json_valid(body))
) STRICT;
CREATE INDEX practice_at ON practice (at);
