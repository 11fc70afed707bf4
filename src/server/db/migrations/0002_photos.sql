-- Pictures lie as files beside the database, named by the hash of their bytes; a row says which piece and zone one shows.
CREATE TABLE photo (
  piece_id TEXT NOT NULL REFERENCES piece (id) ON DELETE CASCADE,
  id TEXT NOT NULL,
  position INTEGER NOT NULL,
  sha256 TEXT NOT NULL CHECK (length(sha256) = 64),
  body TEXT NOT NULL CHECK (json_valid(body)),
  withdrawn_at TEXT,
  PRIMARY KEY (piece_id, id)
) STRICT;
