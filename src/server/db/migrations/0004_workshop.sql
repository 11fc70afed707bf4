-- The owner's hours and places (one row), the air the shop was worked in, and jobs held to a time.
CREATE TABLE workshop (
  id INTEGER PRIMARY KEY CHECK (id = 1),
  body TEXT NOT NULL CHECK (json_valid(body))
) STRICT;

CREATE TABLE air (
  at TEXT PRIMARY KEY,
  temperature_c REAL NOT NULL,
  humidity_pct REAL NOT NULL,
  body TEXT NOT NULL CHECK (json_valid(body)),
  withdrawn_at TEXT
) STRICT;

CREATE TABLE pin (
  task TEXT PRIMARY KEY,
  body TEXT NOT NULL CHECK (json_valid(body))
) STRICT;
