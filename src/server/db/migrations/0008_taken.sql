-- Every change that was taken, by the id its maker gave it: one that comes again, late and out of its turn, is not made
-- again. The server's time stands beside what the maker's clock said.
CREATE TABLE taken (
  change TEXT PRIMARY KEY,
  -- none for what belongs to the shop
  piece TEXT,
  at TEXT NOT NULL,
  made_at TEXT,
  device TEXT
) STRICT, WITHOUT ROWID;
CREATE INDEX taken_by_time ON taken (at);
