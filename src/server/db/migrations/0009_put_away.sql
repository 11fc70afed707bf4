-- A piece that is done with is archived: out of the lists, with all it taught. One that was deleted lies in the bin for
-- thirty days, as it was, and is then gone with its files.
ALTER TABLE piece ADD COLUMN archived INTEGER NOT NULL DEFAULT 0 CHECK (archived IN (0, 1));
ALTER TABLE piece ADD COLUMN removed_at TEXT;
CREATE VIEW live_piece AS SELECT * FROM piece WHERE removed_at IS NULL;
-- The list, and how long it is, are read from here without looking at the pieces.
CREATE INDEX piece_shown ON piece (archived, changed_at DESC, id) WHERE removed_at IS NULL;
-- Zones and pictures that were taken away before there was a bin have their thirty days from now.
UPDATE zone SET removed_at = strftime('%Y-%m-%dT%H:%M:%fZ', 'now') WHERE removed_at IS NOT NULL;
UPDATE photo SET withdrawn_at = strftime('%Y-%m-%dT%H:%M:%fZ', 'now') WHERE withdrawn_at IS NOT NULL;
