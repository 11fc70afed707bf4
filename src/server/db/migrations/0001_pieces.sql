-- One row a record. `body` holds the record as the open format has it, so fields this version does not know survive;
-- the columns beside it are what queries ask for. Withdrawn readings stay, out of sight: history is kept.
CREATE TABLE piece (
  id TEXT PRIMARY KEY,
  kind TEXT NOT NULL,
  name TEXT,
  body TEXT NOT NULL CHECK (json_valid(body)),
  -- dossier fields beside piece, zones, tests and overrides: climate, shelf, log and what is not known here
  rest TEXT NOT NULL DEFAULT '{}' CHECK (json_valid(rest)),
  goal TEXT CHECK (goal IS NULL OR json_valid(goal)),
  chosen TEXT CHECK (chosen IS NULL OR json_valid(chosen)),
  created_at TEXT NOT NULL,
  changed_at TEXT NOT NULL
) STRICT;

CREATE TABLE zone (
  piece_id TEXT NOT NULL REFERENCES piece (id) ON DELETE CASCADE,
  id TEXT NOT NULL,
  position INTEGER NOT NULL,
  role TEXT NOT NULL,
  area_m2 REAL CHECK (area_m2 IS NULL OR area_m2 > 0),
  body TEXT NOT NULL CHECK (json_valid(body)),
  skipped_checks TEXT CHECK (skipped_checks IS NULL OR json_valid(skipped_checks)),
  defects TEXT CHECK (defects IS NULL OR json_valid(defects)),
  removed_at TEXT,
  PRIMARY KEY (piece_id, id)
) STRICT;

CREATE TABLE observation (
  piece_id TEXT NOT NULL,
  zone_id TEXT NOT NULL,
  id TEXT NOT NULL,
  position INTEGER NOT NULL,
  check_code TEXT NOT NULL,
  result TEXT,
  value REAL,
  body TEXT NOT NULL CHECK (json_valid(body)),
  withdrawn_at TEXT,
  PRIMARY KEY (piece_id, id),
  FOREIGN KEY (piece_id, zone_id) REFERENCES zone (piece_id, id) ON DELETE CASCADE
) STRICT;
CREATE INDEX observation_by_zone ON observation (piece_id, zone_id, position);

CREATE TABLE test (
  piece_id TEXT NOT NULL,
  zone_id TEXT NOT NULL,
  id TEXT NOT NULL,
  position INTEGER NOT NULL,
  kind TEXT NOT NULL,
  age_h REAL CHECK (age_h IS NULL OR age_h >= 0),
  body TEXT NOT NULL CHECK (json_valid(body)),
  withdrawn_at TEXT,
  PRIMARY KEY (piece_id, id),
  FOREIGN KEY (piece_id, zone_id) REFERENCES zone (piece_id, id) ON DELETE CASCADE
) STRICT;

CREATE TABLE gate_override (
  piece_id TEXT NOT NULL,
  zone_id TEXT NOT NULL,
  id TEXT NOT NULL,
  position INTEGER NOT NULL,
  gate TEXT NOT NULL,
  body TEXT NOT NULL CHECK (json_valid(body)),
  PRIMARY KEY (piece_id, id),
  FOREIGN KEY (piece_id, zone_id) REFERENCES zone (piece_id, id) ON DELETE CASCADE
) STRICT;
