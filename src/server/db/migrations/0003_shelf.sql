-- The shop's tins. A tin taken off the shelf stays in the file, marked.
CREATE TABLE tin (
  id TEXT PRIMARY KEY,
  class TEXT NOT NULL,
  volume_ml REAL,
  body TEXT NOT NULL CHECK (json_valid(body)),
  created_at TEXT NOT NULL,
  removed_at TEXT
) STRICT;
