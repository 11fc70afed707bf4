import {
  applyChange,
  DOSSIER_FORMAT,
  takeChoice,
  type Choice,
  type Dossier,
  type Observation,
  type Override,
  type Photo,
  type PieceChange,
  type Test,
  type Zone,
} from '@/core/dossier';
import { assertNever, fail, succeed, type Result } from '@/core/shared';
import type { Db } from './connection';

/** All reading and writing of pieces. Every change is one synchronous transaction: all of it is stored, or none. */
export interface PieceStore {
  list: () => Dossier[];
  /** Every piece that was tested or handed over, with the time of its last change. */
  listChanges: () => { id: string; changedAt: string }[];
  find: (id: string) => Dossier | undefined;
  /** Stores a change and returns the piece as it now is. */
  apply: (pieceId: string, change: PieceChange, now: string) => Result<Dossier>;
  /** Records a picture whose file is stored already. */
  addPhoto: (pieceId: string, photo: Photo, now: string) => Result<Dossier>;
}

interface PieceRow {
  id: string;
  body: string;
  rest: string;
  goal: string | null;
  chosen: string | null;
}
interface ZoneRow {
  id: string;
  body: string;
  skipped_checks: string | null;
  defects: string | null;
}
interface BodyRow {
  zone_id: string;
  body: string;
}

export function makePieceStore(db: Db): PieceStore {
  const sql = prepareStatements(db);

  const find = (id: string): Dossier | undefined => {
    const piece = sql.piece.get(id) as PieceRow | undefined;
    if (!piece) return undefined;
    const bodies = <T>(rows: unknown[]): { zone: string; body: T }[] =>
      (rows as BodyRow[]).map((row) => ({ zone: row.zone_id, body: JSON.parse(row.body) as T }));
    const observations = bodies<Observation>(sql.observations.all(id));
    const zoneRows = sql.zones.all(id) as ZoneRow[];
    const zones = zoneRows.map((row): Zone => {
      const own = observations.filter(({ zone }) => zone === row.id).map(({ body }) => body);
      return {
        ...readZoneBody(row, zoneRows),
        ...(row.skipped_checks ? { skipped_checks: JSON.parse(row.skipped_checks) as string[] } : {}),
        ...(row.defects ? { defects: JSON.parse(row.defects) as Zone['defects'] } : {}),
        ...(own.length > 0 ? { observations: own } : {}),
      };
    });
    const tests = bodies<Test>(sql.tests.all(id)).map(({ body }) => body);
    const overrides = bodies<Override>(sql.overrides.all(id)).map(({ body }) => body);
    const photos = (sql.photos.all(id) as { body: string }[]).map(({ body }) => JSON.parse(body) as Photo);
    return {
      ...(JSON.parse(piece.rest) as object),
      format: DOSSIER_FORMAT,
      piece: JSON.parse(piece.body) as Dossier['piece'],
      zones,
      ...(piece.goal ? { goal: JSON.parse(piece.goal) as Dossier['goal'] } : {}),
      ...(piece.chosen ? { chosen: JSON.parse(piece.chosen) as Dossier['chosen'] } : {}),
      ...(tests.length > 0 ? { tests } : {}),
      ...(overrides.length > 0 ? { overrides } : {}),
      ...(photos.length > 0 ? { photos } : {}),
    };
  };

  const store = (pieceId: string, change: PieceChange, now: string): Result<Dossier> => {
    const exists = sql.piece.get(pieceId) !== undefined;
    if (change.type === 'piece_met') {
      // A retried write finds the piece there and changes nothing.
      if (!exists) insertPiece(sql, pieceId, change.dossier, now);
    } else {
      if (!exists) return fail('piece_not_found');
      if (zonesOf(change).some((zone) => sql.zone.get(pieceId, zone) === undefined)) return fail('zone_not_found');
      writeChange(sql, pieceId, change, now);
      sql.touch.run(now, pieceId);
    }
    return succeed(find(pieceId)!);
  };

  return {
    list: () => (sql.ids.all() as { id: string }[]).map(({ id }) => find(id)!),
    listChanges: () => sql.changes.all() as { id: string; changedAt: string }[],
    find,
    apply: db.transaction(store),
    addPhoto: db.transaction((pieceId: string, photo: Photo, now: string): Result<Dossier> => {
      if (sql.piece.get(pieceId) === undefined) return fail('piece_not_found');
      putPhoto(sql, pieceId, photo);
      sql.touch.run(now, pieceId);
      return succeed(find(pieceId)!);
    }),
  };
}

/** A zone that was read like one that is gone stands on its own answers. */
function readZoneBody(row: ZoneRow, all: readonly ZoneRow[]): Zone {
  const { like, ...zone } = JSON.parse(row.body) as Zone;
  return like !== undefined && all.some(({ id }) => id === like) ? { ...zone, like } : zone;
}

type Statements = ReturnType<typeof prepareStatements>;

function prepareStatements(db: Db) {
  return {
    changes: db.prepare(
      `SELECT id, changed_at AS changedAt FROM piece
       WHERE EXISTS (SELECT 1 FROM test WHERE piece_id = piece.id) OR json_array_length(rest, '$.outcomes') > 0`,
    ),
    ids: db.prepare('SELECT id FROM piece ORDER BY changed_at DESC, id'),
    piece: db.prepare('SELECT id, body, rest, goal, chosen FROM piece WHERE id = ?'),
    insertPiece: db.prepare(
      `INSERT INTO piece (id, kind, name, body, rest, goal, chosen, created_at, changed_at)
       VALUES (@id, @kind, @name, @body, @rest, @goal, @chosen, @now, @now)`,
    ),
    setPiece: db.prepare('UPDATE piece SET kind = @kind, name = @name, body = @body WHERE id = @id'),
    setGoal: db.prepare('UPDATE piece SET goal = ? WHERE id = ?'),
    setChosen: db.prepare('UPDATE piece SET chosen = ? WHERE id = ?'),
    setEarlier: db.prepare("UPDATE piece SET rest = json_set(rest, '$.earlier_choices', json(?)) WHERE id = ?"),
    setRest: db.prepare('UPDATE piece SET rest = json_set(rest, ?, json(?)) WHERE id = ?'),
    setClimate: db.prepare("UPDATE piece SET rest = json_set(rest, '$.climate', json(?)) WHERE id = ?"),
    photos: db.prepare('SELECT body FROM photo WHERE piece_id = ? AND withdrawn_at IS NULL ORDER BY position'),
    putPhoto: db.prepare(
      `INSERT INTO photo (piece_id, id, position, sha256, body)
       VALUES (@piece, @id, (SELECT COUNT(*) FROM photo WHERE piece_id = @piece), @sha256, @body)
       ON CONFLICT (piece_id, id) DO UPDATE SET sha256 = @sha256, body = @body, withdrawn_at = NULL`,
    ),
    withdrawPhoto: db.prepare(
      'UPDATE photo SET withdrawn_at = ? WHERE piece_id = ? AND id = ? AND withdrawn_at IS NULL',
    ),
    touch: db.prepare('UPDATE piece SET changed_at = ? WHERE id = ?'),
    zone: db.prepare('SELECT id FROM zone WHERE piece_id = ? AND id = ? AND removed_at IS NULL'),
    zones: db.prepare(
      'SELECT id, body, skipped_checks, defects FROM zone WHERE piece_id = ? AND removed_at IS NULL ORDER BY position',
    ),
    putZone: db.prepare(
      `INSERT INTO zone (piece_id, id, position, role, area_m2, body)
       VALUES (@piece, @id, (SELECT COUNT(*) FROM zone WHERE piece_id = @piece), @role, @area, @body)
       ON CONFLICT (piece_id, id) DO UPDATE SET role = @role, area_m2 = @area, body = @body, removed_at = NULL`,
    ),
    removeZone: db.prepare('UPDATE zone SET removed_at = ? WHERE piece_id = ? AND id = ? AND removed_at IS NULL'),
    setSkips: db.prepare('UPDATE zone SET skipped_checks = ? WHERE piece_id = ? AND id = ?'),
    setDefects: db.prepare('UPDATE zone SET defects = ? WHERE piece_id = ? AND id = ?'),
    observations: db.prepare(
      'SELECT zone_id, body FROM observation WHERE piece_id = ? AND withdrawn_at IS NULL ORDER BY position',
    ),
    putObservation: db.prepare(
      `INSERT INTO observation (piece_id, zone_id, id, position, check_code, result, value, body)
       VALUES (@piece, @zone, @id, (SELECT COUNT(*) FROM observation WHERE piece_id = @piece), @check, @result, @value, @body)
       ON CONFLICT (piece_id, id) DO UPDATE
       SET zone_id = @zone, check_code = @check, result = @result, value = @value, body = @body, withdrawn_at = NULL`,
    ),
    withdrawObservation: db.prepare(
      'UPDATE observation SET withdrawn_at = ? WHERE piece_id = ? AND zone_id = ? AND id = ? AND withdrawn_at IS NULL',
    ),
    tests: db.prepare(
      `SELECT test.zone_id, test.body FROM test
       JOIN zone ON zone.piece_id = test.piece_id AND zone.id = test.zone_id AND zone.removed_at IS NULL
       WHERE test.piece_id = ? AND withdrawn_at IS NULL ORDER BY test.position`,
    ),
    putTest: db.prepare(
      `INSERT INTO test (piece_id, zone_id, id, position, kind, age_h, body)
       VALUES (@piece, @zone, @id, (SELECT COUNT(*) FROM test WHERE piece_id = @piece), @kind, @age, @body)
       ON CONFLICT (piece_id, id) DO UPDATE
       SET zone_id = @zone, kind = @kind, age_h = @age, body = @body, withdrawn_at = NULL`,
    ),
    withdrawTest: db.prepare('UPDATE test SET withdrawn_at = ? WHERE piece_id = ? AND id = ? AND withdrawn_at IS NULL'),
    overrides: db.prepare(
      `SELECT gate_override.zone_id, gate_override.body FROM gate_override
       JOIN zone ON zone.piece_id = gate_override.piece_id AND zone.id = gate_override.zone_id AND zone.removed_at IS NULL
       WHERE gate_override.piece_id = ? ORDER BY gate_override.position`,
    ),
    putOverride: db.prepare(
      `INSERT INTO gate_override (piece_id, zone_id, id, position, gate, body)
       VALUES (@piece, @zone, @id, (SELECT COUNT(*) FROM gate_override WHERE piece_id = @piece), @gate, @body)
       ON CONFLICT (piece_id, id) DO NOTHING`,
    ),
  };
}

/** The zones a change needs to find there; `zone_set` may make one, and removing twice is removing once. */
function zonesOf(change: PieceChange): string[] {
  switch (change.type) {
    case 'observation_recorded':
    case 'skips_set':
    case 'defects_set':
      return [change.zoneId];
    case 'test_logged':
      return [change.test.zone];
    case 'gate_overridden':
      return [change.override.zone];
    case 'panel_set':
      return [change.panel.zone];
    case 'outcome_recorded':
      return change.outcome.zone === undefined ? [] : [change.outcome.zone];
    case 'work_logged':
      return change.entries.map(({ zone }) => zone);
    case 'parts_set':
      return change.parts.map(({ zone }) => zone);
    case 'hardware_set':
      return change.hardware.map(({ zone }) => zone);
    default:
      return [];
  }
}

function insertPiece(sql: Statements, id: string, dossier: Dossier, now: string): void {
  const {
    format: _format,
    piece,
    zones = [],
    goal,
    chosen,
    tests = [],
    overrides = [],
    photos = [],
    ...rest
  } = dossier;
  sql.insertPiece.run({
    id,
    kind: piece.kind,
    name: piece.name ?? null,
    body: JSON.stringify({ ...piece, id }),
    rest: JSON.stringify(rest),
    goal: goal ? JSON.stringify(goal) : null,
    chosen: chosen ? JSON.stringify(chosen) : null,
    now,
  });
  for (const zone of zones) {
    const { id: zoneId, observations = [], skipped_checks, defects, ...facts } = zone;
    putZone(sql, id, zoneId, facts);
    if (skipped_checks) sql.setSkips.run(JSON.stringify(skipped_checks), id, zoneId);
    if (defects) sql.setDefects.run(JSON.stringify(defects), id, zoneId);
    observations.forEach((observation, i) => putObservation(sql, id, zoneId, observation, `${zoneId}.o${i + 1}`));
  }
  tests.forEach((test, i) => putTest(sql, id, test, `t${i + 1}`));
  overrides.forEach((override, i) => putOverride(sql, id, override, `g${i + 1}`));
  photos.forEach((photo) => putPhoto(sql, id, photo));
}

function writeChange(
  sql: Statements,
  piece: string,
  change: Exclude<PieceChange, { type: 'piece_met' }>,
  now: string,
): void {
  switch (change.type) {
    case 'piece_facts_set': {
      const { kind, name } = change.piece;
      sql.setPiece.run({ id: piece, kind, name: name ?? null, body: JSON.stringify({ ...change.piece, id: piece }) });
      return;
    }
    case 'zone_set':
      return putZone(sql, piece, change.zoneId, change.facts);
    case 'zone_removed':
      sql.removeZone.run(now, piece, change.zoneId);
      return writeRest(sql, piece, change);
    case 'observation_recorded':
      return putObservation(sql, piece, change.zoneId, change.observation, change.observation.id);
    case 'observation_withdrawn':
      return void sql.withdrawObservation.run(now, piece, change.zoneId, change.observationId);
    case 'skips_set':
      return void sql.setSkips.run(JSON.stringify(change.checks), piece, change.zoneId);
    case 'defects_set':
      return void sql.setDefects.run(JSON.stringify(change.defects), piece, change.zoneId);
    case 'goal_set':
      return void sql.setGoal.run(JSON.stringify(change.goal), piece);
    case 'climate_set':
      return void sql.setClimate.run(JSON.stringify(change.climate), piece);
    case 'photo_withdrawn':
      return void sql.withdrawPhoto.run(now, piece, change.photoId);
    case 'choice_taken':
      return putChoice(sql, piece, change.choice);
    case 'test_logged':
      return putTest(sql, piece, change.test, change.test.id);
    case 'test_withdrawn':
      return void sql.withdrawTest.run(now, piece, change.testId);
    case 'gate_overridden':
      return putOverride(sql, piece, change.override, change.override.id);
    case 'panel_set':
    case 'panel_removed':
    case 'outcome_recorded':
    case 'work_logged':
    case 'work_withdrawn':
    case 'parts_set':
    case 'hardware_set':
    case 'mix_set':
    case 'mix_removed':
      return writeRest(sql, piece, change);
    default:
      return assertNever(change);
  }
}

/** Lists that lie with what a piece has beside its tables; a change of them is the core's own. */
const REST_LISTS = ['panels', 'outcomes', 'log', 'parts', 'hardware', 'mixes'] as const;

function writeRest(sql: Statements, piece: string, change: PieceChange): void {
  const row = sql.piece.get(piece) as PieceRow;
  const rest = JSON.parse(row.rest) as Partial<Dossier>;
  const before = Object.fromEntries(REST_LISTS.map((list) => [list, rest[list]])) as Partial<Dossier>;
  const stored = { format: DOSSIER_FORMAT, piece: JSON.parse(row.body) as Dossier['piece'], ...before } as Dossier;
  const after = applyChange(stored, change);
  for (const list of REST_LISTS)
    if (after?.[list] !== before[list]) sql.setRest.run(`$.${list}`, JSON.stringify(after?.[list] ?? []), piece);
}

function putChoice(sql: Statements, piece: string, choice: Choice): void {
  const row = sql.piece.get(piece) as PieceRow;
  const before = JSON.parse(row.rest) as Pick<Dossier, 'earlier_choices'>;
  const { chosen, earlier_choices: earlier = [] } = takeChoice(
    { ...before, ...(row.chosen ? { chosen: JSON.parse(row.chosen) as Choice } : {}) },
    choice,
  );
  sql.setChosen.run(JSON.stringify(chosen), piece);
  if (earlier.length > 0) sql.setEarlier.run(JSON.stringify(earlier), piece);
}

function putZone(sql: Statements, piece: string, id: string, facts: Omit<Zone, 'id'>): void {
  const { observations: _o, skipped_checks: _s, defects: _d, ...own } = facts;
  const body = JSON.stringify({ ...own, id });
  sql.putZone.run({ piece, id, role: facts.role, area: facts.area_m2 ?? null, body });
}

function putObservation(
  sql: Statements,
  piece: string,
  zone: string,
  observation: Observation,
  fallbackId: string,
): void {
  const id = observation.id ?? fallbackId;
  const { check, result, value } = observation;
  const body = JSON.stringify({ ...observation, id });
  sql.putObservation.run({ piece, zone, id, check, result: result ?? null, value: value ?? null, body });
}

function putTest(sql: Statements, piece: string, test: Test, fallbackId: string): void {
  const id = test.id ?? fallbackId;
  const body = JSON.stringify({ ...test, id });
  sql.putTest.run({ piece, zone: test.zone, id, kind: test.kind, age: test.age_h ?? null, body });
}

function putPhoto(sql: Statements, piece: string, photo: Photo): void {
  sql.putPhoto.run({ piece, id: photo.id, sha256: photo.sha256, body: JSON.stringify(photo) });
}

function putOverride(sql: Statements, piece: string, override: Override, fallbackId: string): void {
  const id = override.id ?? fallbackId;
  sql.putOverride.run({
    piece,
    zone: override.zone,
    id,
    gate: override.gate,
    body: JSON.stringify({ ...override, id }),
  });
}
