import type { Db } from './connection';

export interface PieceRow {
  id: string;
  body: string;
  rest: string;
  goal: string | null;
  chosen: string | null;
  /** Hash of the file it came from; none for pieces that are older than the column. */
  met: string | null;
}
export interface ZoneRow {
  id: string;
  body: string;
  skipped_checks: string | null;
  defects: string | null;
}
export interface BodyRow {
  body: string;
}

export type Statements = ReturnType<typeof prepareStatements>;

/** Every query on pieces, prepared once. */
export function prepareStatements(db: Db) {
  return {
    changes: db.prepare(
      `SELECT id, changed_at AS changedAt FROM live_piece
       WHERE EXISTS (SELECT 1 FROM test WHERE piece_id = live_piece.id) OR json_array_length(rest, '$.outcomes') > 0
       ORDER BY changed_at DESC, id`,
    ),
    heads: db.prepare(
      'SELECT id, kind, name, changed_at AS changedAt FROM live_piece WHERE archived = ? ORDER BY changed_at DESC, id',
    ),
    page: db.prepare(
      'SELECT id, changed_at AS changedAt FROM live_piece WHERE archived = 0 ORDER BY changed_at DESC, id LIMIT @count OFFSET @from',
    ),
    changedSince: db.prepare(
      'SELECT id, changed_at AS changedAt FROM live_piece WHERE change_number > ? ORDER BY change_number DESC LIMIT ?',
    ),
    count: db.prepare('SELECT count(*) AS total FROM live_piece').pluck(),
    countKinds: db.prepare(
      'SELECT kind, count(*) AS count FROM live_piece GROUP BY kind ORDER BY count DESC, max(changed_at) DESC',
    ),
    countShown: db.prepare('SELECT count(*) AS total FROM live_piece WHERE archived = 0').pluck(),
    taken: db.prepare(
      'SELECT id, changed_at AS changedAt FROM live_piece WHERE chosen IS NOT NULL ORDER BY changed_at DESC, id',
    ),
    tested: db.prepare(
      `SELECT id FROM live_piece WHERE EXISTS (SELECT 1 FROM test WHERE piece_id = live_piece.id AND withdrawn_at IS NULL)
       ORDER BY changed_at DESC, id`,
    ),
    mixed: db
      .prepare(`SELECT id FROM live_piece WHERE json_array_length(rest, '$.mixes') > 0 ORDER BY changed_at DESC, id`)
      .pluck(),
    times: db.prepare(
      `SELECT piece_id AS piece, body FROM log_entry
       WHERE withdrawn_at IS NULL AND json_extract(body, '$.minutes') IS NOT NULL
         AND piece_id IN (SELECT id FROM live_piece) ORDER BY row DESC LIMIT ?`,
    ),
    ids: db.prepare('SELECT id FROM live_piece ORDER BY changed_at DESC, id'),
    dates: db.prepare('SELECT id, created_at AS made_at, changed_at, met FROM live_piece ORDER BY changed_at DESC, id'),
    setDates: db.prepare('UPDATE piece SET created_at = @made_at, changed_at = @changed_at, met = @met WHERE id = @id'),
    piece: db.prepare('SELECT id, body, rest, goal, chosen, met FROM live_piece WHERE id = ?'),
    insertPiece: db.prepare(
      `INSERT INTO piece (id, kind, name, body, met, created_at, changed_at)
       VALUES (@id, @kind, @name, '{}', @met, @now, @now)`,
    ),
    setPiece: db.prepare(
      'UPDATE piece SET kind = @kind, name = @name, archived = @archived, body = @body WHERE id = @id',
    ),
    exists: db.prepare('SELECT 1 FROM piece WHERE id = ?').pluck(),
    remove: db.prepare('UPDATE piece SET removed_at = ? WHERE id = ? AND removed_at IS NULL'),
    putBack: db.prepare('UPDATE piece SET removed_at = NULL, changed_at = ? WHERE id = ? AND removed_at IS NOT NULL'),
    removed: db.prepare(
      'SELECT id, kind, name, removed_at AS removedAt FROM piece WHERE removed_at IS NOT NULL ORDER BY removed_at DESC, id',
    ),
    removedSince: db.prepare('SELECT id FROM piece WHERE removed_at IS NOT NULL AND change_number > ?').pluck(),
    mark: db.prepare('SELECT change_number FROM live_piece WHERE id = ?').pluck(),
    counter: db.prepare('SELECT value FROM counter WHERE name = ?').pluck(),
    setCounter: db.prepare('UPDATE counter SET value = ? WHERE name = ?'),
    purgePieces: db.prepare('DELETE FROM piece WHERE removed_at < ?'),
    staleZones: db.prepare(
      `SELECT piece_id AS piece, id FROM zone WHERE removed_at < ? AND piece_id IN (SELECT id FROM live_piece)`,
    ),
    purgeZone: db.prepare('DELETE FROM zone WHERE piece_id = ? AND id = ? AND removed_at IS NOT NULL'),
    purgePhotos: db.prepare('DELETE FROM photo WHERE withdrawn_at < ?'),
    setGoal: db.prepare('UPDATE piece SET goal = ? WHERE id = ?'),
    setChosen: db.prepare('UPDATE piece SET chosen = ? WHERE id = ?'),
    setRest: db.prepare('UPDATE piece SET rest = ? WHERE id = ?'),
    touch: db.prepare('UPDATE piece SET changed_at = ? WHERE id = ?'),
    pictures: db.prepare('SELECT DISTINCT sha256 FROM photo'),
    shown: db.prepare('SELECT DISTINCT sha256 FROM photo WHERE withdrawn_at IS NULL'),
    photos: db.prepare('SELECT body FROM photo WHERE piece_id = ? AND withdrawn_at IS NULL ORDER BY position'),
    putPhoto: db.prepare(
      `INSERT INTO photo (piece_id, id, position, sha256, body)
       VALUES (@piece, @id, (SELECT COUNT(*) FROM photo WHERE piece_id = @piece), @sha256, @body)
       ON CONFLICT (piece_id, id) DO UPDATE SET sha256 = @sha256, body = @body, withdrawn_at = NULL`,
    ),
    withdrawPhoto: db.prepare(
      'UPDATE photo SET withdrawn_at = ? WHERE piece_id = ? AND id = ? AND withdrawn_at IS NULL',
    ),
    zones: db.prepare(
      'SELECT id, body, skipped_checks, defects FROM zone WHERE piece_id = ? AND removed_at IS NULL ORDER BY position',
    ),
    // A zone that comes back stands where a new one would, as in the core.
    putZone: db.prepare(
      `INSERT INTO zone (piece_id, id, position, role, area_m2, body)
       VALUES (@piece, @id, (SELECT COALESCE(MAX(position), -1) + 1 FROM zone WHERE piece_id = @piece), @role, @area, @body)
       ON CONFLICT (piece_id, id) DO UPDATE SET role = @role, area_m2 = @area, body = @body,
       position = IIF(removed_at IS NULL, position, (SELECT MAX(position) + 1 FROM zone WHERE piece_id = @piece)),
       removed_at = NULL`,
    ),
    removeZone: db.prepare('UPDATE zone SET removed_at = ? WHERE piece_id = ? AND id = ? AND removed_at IS NULL'),
    setSkips: db.prepare('UPDATE zone SET skipped_checks = ? WHERE piece_id = ? AND id = ?'),
    setDefects: db.prepare('UPDATE zone SET defects = ? WHERE piece_id = ? AND id = ?'),
    observations: db.prepare(
      'SELECT zone_id, body FROM observation WHERE piece_id = ? AND withdrawn_at IS NULL ORDER BY position',
    ),
    proposedObservations: db.prepare(
      `SELECT o.body FROM observation o JOIN live_piece p ON p.id = o.piece_id
       WHERE o.withdrawn_at IS NULL AND json_extract(o.body, '$.proposed') IS NOT NULL ORDER BY o.piece_id, o.position`,
    ),
    putObservation: db.prepare(
      `INSERT INTO observation (piece_id, zone_id, id, position, check_code, result, value, body)
       VALUES (@piece, @zone, @id, (SELECT COALESCE(MAX(position), -1) + 1 FROM observation WHERE piece_id = @piece),
               @check, @result, @value, @body)
       ON CONFLICT (piece_id, id) DO UPDATE
       SET zone_id = @zone, check_code = @check, result = @result, value = @value, body = @body,
       position = IIF(withdrawn_at IS NULL, position,
                      (SELECT MAX(position) + 1 FROM observation WHERE piece_id = @piece)),
       withdrawn_at = NULL`,
    ),
    withdrawObservation: db.prepare(
      'UPDATE observation SET withdrawn_at = ? WHERE piece_id = ? AND id = ? AND withdrawn_at IS NULL',
    ),
    tests: db.prepare('SELECT body FROM test WHERE piece_id = ? AND withdrawn_at IS NULL ORDER BY position'),
    putTest: db.prepare(
      `INSERT INTO test (piece_id, zone_id, id, position, kind, age_h, body)
       VALUES (@piece, @zone, @id, (SELECT COALESCE(MAX(position), -1) + 1 FROM test WHERE piece_id = @piece),
               @kind, @age, @body)
       ON CONFLICT (piece_id, id) DO UPDATE
       SET zone_id = @zone, kind = @kind, age_h = @age, body = @body,
       position = IIF(withdrawn_at IS NULL, position, (SELECT MAX(position) + 1 FROM test WHERE piece_id = @piece)),
       withdrawn_at = NULL`,
    ),
    withdrawTest: db.prepare('UPDATE test SET withdrawn_at = ? WHERE piece_id = ? AND id = ? AND withdrawn_at IS NULL'),
    overrides: db.prepare(
      'SELECT body FROM gate_override WHERE piece_id = ? AND withdrawn_at IS NULL ORDER BY position',
    ),
    putOverride: db.prepare(
      `INSERT INTO gate_override (piece_id, zone_id, id, position, gate, body)
       VALUES (@piece, @zone, @id, (SELECT COALESCE(MAX(position), -1) + 1 FROM gate_override WHERE piece_id = @piece),
               @gate, @body)
       ON CONFLICT (piece_id, id) DO UPDATE
       SET zone_id = @zone, gate = @gate, body = @body,
       position = IIF(withdrawn_at IS NULL, position,
                      (SELECT MAX(position) + 1 FROM gate_override WHERE piece_id = @piece)),
       withdrawn_at = NULL`,
    ),
    withdrawOverride: db.prepare(
      'UPDATE gate_override SET withdrawn_at = ? WHERE piece_id = ? AND id = ? AND withdrawn_at IS NULL',
    ),
  };
}
