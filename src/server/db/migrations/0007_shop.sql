-- The shop is one thing with a name of its own: what a browser keeps belongs to it and goes to no other.
CREATE TABLE shop (
  one INTEGER PRIMARY KEY CHECK (one = 1),
  id TEXT NOT NULL,
  made_at TEXT NOT NULL,
  -- whether phones are let in over the network of the house
  open INTEGER NOT NULL DEFAULT 0 CHECK (open IN (0, 1)),
  -- scrypt of the passphrase with its salt and cost; none until the owner sets one
  passphrase TEXT
) STRICT;

-- A device that was let in. Only a hash of its token is kept; what has ended stays, so that it can be told.
CREATE TABLE session (
  id TEXT PRIMARY KEY,
  token_sha256 TEXT NOT NULL UNIQUE,
  device TEXT NOT NULL,
  made_at TEXT NOT NULL,
  seen_at TEXT NOT NULL,
  ended_at TEXT
) STRICT;
