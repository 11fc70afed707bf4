-- The work log gets rows of its own: a tap writes its own entries and leaves the others alone. `met` is the hash of the
-- file a piece came from, by which the same file sent again is told from another under the same id.
CREATE TABLE log_entry (
  row INTEGER PRIMARY KEY,
  piece_id TEXT NOT NULL REFERENCES piece (id) ON DELETE CASCADE,
  position REAL NOT NULL,
  body TEXT NOT NULL CHECK (json_valid(body)),
  withdrawn_at TEXT
) STRICT;
CREATE INDEX log_by_piece ON log_entry (piece_id, withdrawn_at, position);

INSERT INTO log_entry (piece_id, position, body)
SELECT piece.id, entry.key, entry.value FROM piece, json_each(piece.rest, '$.log') AS entry;
UPDATE piece SET rest = json_remove(rest, '$.log');

ALTER TABLE piece ADD COLUMN met TEXT;
-- A reason goes with its zone when that is removed, and comes back with it.
ALTER TABLE gate_override ADD COLUMN withdrawn_at TEXT;

-- Zones that were removed become records of the piece with all they had, as the core keeps them now; their rows stay,
-- marked, and are written anew when a zone comes back.
UPDATE piece SET rest = json_set(rest, '$.removed_zones', json((
  SELECT json_group_array(json_object(
    'zone', json_set(
      json(zone.body),
      '$.observations', json((SELECT json_group_array(json(body)) FROM observation
        WHERE piece_id = zone.piece_id AND zone_id = zone.id AND withdrawn_at IS NULL)),
      '$.skipped_checks', json(COALESCE(zone.skipped_checks, '[]')),
      '$.defects', json(COALESCE(zone.defects, '[]'))
    ),
    'tests', json((SELECT json_group_array(json(body)) FROM test
      WHERE piece_id = zone.piece_id AND zone_id = zone.id AND withdrawn_at IS NULL)),
    'overrides', json((SELECT json_group_array(json(body)) FROM gate_override
      WHERE piece_id = zone.piece_id AND zone_id = zone.id))
  )) FROM zone WHERE zone.piece_id = piece.id AND zone.removed_at IS NOT NULL
)))
WHERE EXISTS (SELECT 1 FROM zone WHERE zone.piece_id = piece.id AND zone.removed_at IS NOT NULL);

-- What lay on zones removed before stays out of sight.
UPDATE test SET withdrawn_at = (SELECT removed_at FROM zone WHERE piece_id = test.piece_id AND id = test.zone_id)
WHERE withdrawn_at IS NULL
AND EXISTS (SELECT 1 FROM zone WHERE piece_id = test.piece_id AND id = test.zone_id AND removed_at IS NOT NULL);
UPDATE gate_override SET withdrawn_at = (SELECT removed_at FROM zone WHERE piece_id = gate_override.piece_id AND id = gate_override.zone_id)
WHERE EXISTS (SELECT 1 FROM zone WHERE piece_id = gate_override.piece_id AND id = gate_override.zone_id AND removed_at IS NOT NULL);
UPDATE observation SET withdrawn_at = (SELECT removed_at FROM zone WHERE piece_id = observation.piece_id AND id = observation.zone_id)
WHERE withdrawn_at IS NULL
AND EXISTS (SELECT 1 FROM zone WHERE piece_id = observation.piece_id AND id = observation.zone_id AND removed_at IS NOT NULL);
