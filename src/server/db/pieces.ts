import { createHash } from 'node:crypto';
import {
  applyChange,
  clampToNow,
  DOSSIER_FORMAT,
  emptyBin,
  findFuture,
  LIMITS,
  PIECE_CHANGES,
  tooMany,
  tryChange,
  type Dossier,
  type LogEntry,
  type Observation,
  type Photo,
  type PieceChange,
  type Zone,
} from '@/core/dossier';
import { rateLooks } from '@/core/survey';
import { bodyOf, fail, succeed, type Result } from '@/core/shared';
import type { KindCount } from '@/contract';
import type { Db } from './connection';
import { makeLogRows } from './log-rows';
import { takeInRecords } from './take-in';
import { prepareStatements, type BodyRow, type PieceRow, type Statements, type ZoneRow } from './piece-statements';

export interface PieceHead {
  id: string;
  kind: Dossier['piece']['kind'];
  name: string | null;
  changedAt: string;
}

export interface RemovedHead extends Omit<PieceHead, 'changedAt'> {
  removedAt: string;
}

/** When a piece came and last changed, and the hash of the file it came from. */
export interface PieceDates {
  id: string;
  made_at: string;
  changed_at: string;
  met?: string | undefined;
}

/** Up to where a device knows the shop: which life of its records, and the number of the last change. */
export interface ChangeMark {
  life: number;
  change: number;
}

export interface ChangedSince {
  pieces: { id: string; changedAt: string }[];
  gone: string[];
  mark: ChangeMark;
  whole: boolean;
}

/** All reading and writing of pieces. Every change is one synchronous transaction: all of it is stored, or none. */
export interface PieceStore {
  list: () => Dossier[];
  /** Pieces by what they are called, newest change first. */
  listHeads: (of: 'shown' | 'archived') => PieceHead[];
  /** A stretch of the pieces that are shown, newest change first. */
  listPage: (page: { from: number; count: number }) => { id: string; changedAt: string }[];
  /** All of them, and those that are not archived. */
  count: () => number;
  countShown: () => number;
  /** How many pieces of each kind, most first. */
  countKinds: () => KindCount[];
  /** Puts a piece in the bin as it is; false where there is none. */
  remove: (id: string, now: string) => boolean;
  /** Takes it out again; false where it is not in the bin. */
  putBack: (id: string, now: string) => boolean;
  listRemoved: () => RemovedHead[];
  /** Deletes for good the pieces, zones and pictures that lie in the bin since before a moment; gives the hashes no record has any more. */
  purge: (before: string, now: string) => string[];
  /**
   * What changed after the change of a number, the latest first, and what was put in the bin since. `whole` where that cannot
   * be told: the records came back from a copy, or pieces were deleted for good since.
   */
  listChangedSince: (mark: ChangeMark | null, most: number) => ChangedSince;
  /** The records came back from a copy: devices are to ask for everything anew. */
  beginLife: (life: number) => void;
  life: () => number;
  /** Whether an id is taken, by a piece that is here or in the bin. */
  isKnown: (id: string) => boolean;
  /** Takes over every piece of another file of records, and what is done along, or nothing. Their ids must be free. */
  takeIn: (file: string, along: () => void) => void;
  /** Pieces for which a system was taken, and those that were tested. */
  listTaken: () => { id: string; changedAt: string }[];
  listTested: () => string[];
  /** Logged work that was timed, the latest of all pieces, a list a piece. */
  /** Pieces that something was mixed for, the latest changed first. */
  listMixed: () => string[];
  listTimes: (most: number) => { log: LogEntry[] }[];
  /** Every piece that was tested or handed over, with the time of its last change. */
  listChanges: () => { id: string; changedAt: string }[];
  find: (id: string) => Dossier | undefined;
  /** The number of a piece's last change. */
  findMark: (id: string) => number | undefined;
  /** How often the owner misreads each check, as it is laid beside every piece that is found. */
  misreadings: () => Dossier['misreadings'];
  /** Stores a change and returns the piece as it now is. */
  apply: (pieceId: string, change: PieceChange, now: string) => Result<Dossier>;
  /** Records a picture whose file is stored already. */
  addPhoto: (pieceId: string, photo: Photo, now: string) => Result<Dossier>;
  /** When each piece came and changed, newest change first. */
  listDates: () => PieceDates[];
  /** Puts a piece back as it was, with its dates; its id must be free. */
  restore: (dossier: Dossier, dates: PieceDates) => void;
  /** Hashes of all pictures that a piece has or had. */
  listPictures: () => Set<string>;
  /** Hashes of the pictures that pieces have. */
  listShown: () => Set<string>;
}

/*
 * A change is made by the core, as in the client; the store writes the difference. What the core leaves alone stays the
 * same object, so that only what changed is written. What is taken away is marked and stays in the file.
 */
export function makePieceStore(db: Db, practised: () => Dossier['misreadings'] = () => undefined): PieceStore {
  const sql = prepareStatements(db);
  const log = makeLogRows(db);

  /** Rates of looks with the camera, until an answer changes; of all rates together, the same object as long as they stay so. */
  let looks: Record<string, number> | null = null;
  let laid: { practised: unknown; looks: string; rates: Dossier['misreadings'] } | null = null;
  const misreadings = (): Dossier['misreadings'] => {
    looks ??= rateLooks(
      (sql.proposedObservations.all() as BodyRow[]).map(({ body }) => JSON.parse(body) as Observation),
    );
    const [own, key] = [practised(), JSON.stringify(looks)];
    if (laid?.practised !== own || laid?.looks !== key)
      laid = { practised: own, looks: key, rates: own || key !== '{}' ? { ...own, ...looks } : undefined };
    return laid!.rates;
  };

  const counter = (name: 'change' | 'purged' | 'life'): number => sql.counter.get(name) as number;

  const find = (id: string): Dossier | undefined => {
    const piece = sql.piece.get(id) as PieceRow | undefined;
    if (!piece) return undefined;
    const readings = new Map<string, Observation[]>();
    for (const row of sql.observations.all(id) as (BodyRow & { zone_id: string })[]) {
      const own = readings.get(row.zone_id) ?? [];
      own.push(JSON.parse(row.body) as Observation);
      readings.set(row.zone_id, own);
    }
    const zones = (sql.zones.all(id) as ZoneRow[]).map((row): Zone => {
      const own = readings.get(row.id);
      return {
        ...(JSON.parse(row.body) as Zone),
        ...(row.skipped_checks ? { skipped_checks: JSON.parse(row.skipped_checks) as string[] } : {}),
        ...(row.defects ? { defects: JSON.parse(row.defects) as Zone['defects'] } : {}),
        ...(own ? { observations: own } : {}),
      };
    });
    const bodies = <T>(rows: unknown[]): T[] => (rows as BodyRow[]).map(({ body }) => JSON.parse(body) as T);
    const rates = misreadings();
    return dropEmpty({
      ...(JSON.parse(piece.rest) as object),
      format: DOSSIER_FORMAT,
      piece: JSON.parse(piece.body) as Dossier['piece'],
      zones: unlinkLost(zones),
      ...(piece.goal ? { goal: JSON.parse(piece.goal) as Dossier['goal'] } : {}),
      ...(piece.chosen ? { chosen: JSON.parse(piece.chosen) as Dossier['chosen'] } : {}),
      ...(rates ? { misreadings: rates } : {}),
      log: log.read(id),
      tests: bodies(sql.tests.all(id)),
      overrides: bodies(sql.overrides.all(id)),
      photos: bodies(sql.photos.all(id)),
    } as Dossier);
  };

  const store = (pieceId: string, asked: PieceChange, now: string): Result<Dossier> => {
    const future = findFuture(contentOf(asked), now);
    if (future) return { ok: false, problem: future };
    const change = clampToNow(asked, now);
    const before = find(pieceId);
    if (change.type === 'piece_met') return meet(pieceId, change, asked, before, now);
    if (!before) return fail('piece_not_found');
    const made = tryChange(before, change);
    if (!made.ok) return made;
    return succeed(write(pieceId, before, made.value, now));
  };

  /** The same file again is a retry and changes nothing; another one under an id that is taken is refused. */
  const meet = (
    id: string,
    change: Extract<PieceChange, { type: 'piece_met' }>,
    asked: PieceChange,
    before: Dossier | undefined,
    now: string,
  ): Result<Dossier> => {
    const met = createHash('sha256').update(JSON.stringify(asked)).digest('hex');
    if (before) {
      const known = (sql.piece.get(id) as PieceRow).met;
      return known === met ? succeed(before) : fail('id_taken', 'piece.id');
    }
    // One that lies in the bin keeps its id: it may come back.
    if (sql.exists.get(id) !== undefined) return fail('id_taken', 'piece.id');
    // How often a check is misread is the owner's here, not theirs who met it.
    const { misreadings: _theirs, ...own } = applyChange(undefined, change)!;
    const rates = misreadings();
    const dossier: Dossier = { ...own, ...(rates ? { misreadings: rates } : {}) };
    sql.insertPiece.run({ id, kind: dossier.piece.kind, name: dossier.piece.name ?? null, met, now });
    const empty: Dossier = { format: DOSSIER_FORMAT, piece: { kind: dossier.piece.kind } };
    return succeed(write(id, empty, { ...dossier, piece: { ...dossier.piece, id } }, now));
  };

  const write = (id: string, before: Dossier, after: Dossier, now: string): Dossier => {
    if (after.zones !== before.zones) looks = null;
    if (after !== before) {
      writeFacts(sql, id, before, after);
      writeZones(sql, id, before, after, now);
      writeRecords(sql, id, before, after, now);
      log.write(id, before.log ?? [], after.log ?? [], now);
    }
    sql.touch.run(now, id);
    return dropEmpty(after);
  };

  const addPhoto = (pieceId: string, photo: Photo, now: string): Result<Dossier> => {
    const before = find(pieceId);
    if (!before) return fail('piece_not_found');
    const others = (before.photos ?? []).filter(({ id }) => id !== photo.id);
    if (others.length >= LIMITS.photos) return { ok: false, problem: tooMany('photos', LIMITS.photos) };
    return succeed(write(pieceId, before, { ...before, photos: [...others, photo] }, now));
  };

  const restore = (dossier: Dossier, { id, made_at, changed_at, met: known }: PieceDates): void => {
    const met = known ?? null;
    const { kind, name = null } = dossier.piece;
    sql.insertPiece.run({ id, kind, name, met, now: made_at });
    write(id, { format: DOSSIER_FORMAT, piece: { kind } }, { ...dossier, piece: { ...dossier.piece, id } }, changed_at);
    sql.setDates.run({ id, made_at, changed_at, met });
  };

  return {
    misreadings,
    listDates: () =>
      (sql.dates.all() as (PieceDates & { met: string | null })[]).map(({ met, ...dates }) => ({
        ...dates,
        ...(met === null ? {} : { met }),
      })),
    restore: db.transaction(restore),
    list: () => (sql.ids.all() as { id: string }[]).map(({ id }) => find(id)!),
    listHeads: (of) => sql.heads.all(of === 'archived' ? 1 : 0) as PieceHead[],
    listPage: (page) => sql.page.all(page) as { id: string; changedAt: string }[],
    count: () => sql.count.get() as number,
    countKinds: () => sql.countKinds.all() as KindCount[],
    countShown: () => sql.countShown.get() as number,
    remove: (id, now) => {
      looks = null;
      return sql.remove.run(now, id).changes > 0;
    },
    putBack: (id, now) => {
      looks = null;
      return sql.putBack.run(now, id).changes > 0;
    },
    listRemoved: () => sql.removed.all() as RemovedHead[],
    purge: db.transaction((before: string, now: string) => {
      const had = hashesOf(sql.pictures.all());
      const stale = new Map<string, string[]>();
      for (const { piece, id } of sql.staleZones.all(before) as { piece: string; id: string }[])
        stale.set(piece, [...(stale.get(piece) ?? []), id]);
      for (const [piece, zones] of stale) {
        const dossier = find(piece)!;
        write(piece, dossier, emptyBin(dossier, zones), now);
        for (const zone of zones) sql.purgeZone.run(piece, zone);
      }
      sql.purgePhotos.run(before);
      sql.purgePieces.run(before);
      const left = hashesOf(sql.pictures.all());
      return [...had].filter((sha256) => !left.has(sha256));
    }),
    listChangedSince: (mark, most) => {
      const now: ChangeMark = { life: counter('life'), change: counter('change') };
      const known = mark?.life === now.life && mark.change <= now.change && mark.change >= counter('purged');
      const since = known ? mark.change : -1;
      return {
        pieces: sql.changedSince.all(since, most) as { id: string; changedAt: string }[],
        gone: known ? (sql.removedSince.all(since) as string[]) : [],
        mark: now,
        whole: !known,
      };
    },
    life: () => counter('life'),
    beginLife: (life) => void sql.setCounter.run(life, 'life'),
    isKnown: (id) => sql.exists.get(id) !== undefined,
    takeIn: (file, along) => {
      takeInRecords(db, file, along);
      looks = null;
    },
    listTaken: () => sql.taken.all() as { id: string; changedAt: string }[],
    listTested: () => (sql.tested.all() as { id: string }[]).map(({ id }) => id),
    listMixed: () => sql.mixed.all() as string[],
    listTimes: (most) => {
      const byPiece = new Map<string, LogEntry[]>();
      for (const { piece, body } of sql.times.all(most) as (BodyRow & { piece: string })[])
        byPiece.set(piece, [JSON.parse(body) as LogEntry, ...(byPiece.get(piece) ?? [])]);
      return [...byPiece.values()].map((log) => ({ log }));
    },
    listChanges: () => sql.changes.all() as { id: string; changedAt: string }[],
    find,
    findMark: (id) => sql.mark.get(id) as number | undefined,
    apply: db.transaction(store),
    addPhoto: db.transaction(addPhoto),
    listPictures: () => hashesOf(sql.pictures.all()),
    listShown: () => hashesOf(sql.shown.all()),
  };
}

const hashesOf = (rows: unknown[]): Set<string> => new Set((rows as { sha256: string }[]).map(({ sha256 }) => sha256));

/** What a change brings, whose paths are those of the request that carries it. */
const contentOf = (change: PieceChange): unknown =>
  change.type === 'piece_met' ? change.dossier : bodyOf(PIECE_CHANGES[change.type], change);

/** A zone whose leader was removed by an older version stands on its own. */
function unlinkLost(zones: Zone[]): Zone[] {
  const ids = new Set(zones.map(({ id }) => id));
  return zones.map(({ like, ...zone }) => (like !== undefined && ids.has(like) ? { ...zone, like } : zone) as Zone);
}

const LISTS = ['tests', 'overrides', 'photos', 'log'] as const;

/** An empty list and a missing one mean the same: it is left out. */
function dropEmpty(dossier: Dossier): Dossier {
  const next = { ...dossier };
  for (const list of LISTS) if (next[list]?.length === 0) delete next[list];
  next.zones = (next.zones ?? []).map((zone) => {
    if (zone.observations?.length !== 0) return zone;
    const { observations: _none, ...rest } = zone;
    return rest as Zone;
  });
  return next;
}

function writeFacts(sql: Statements, id: string, before: Dossier, after: Dossier): void {
  if (after.piece !== before.piece) {
    const { kind, name, archived } = after.piece;
    const head = { id, kind, name: name ?? null, archived: archived ? 1 : 0 };
    sql.setPiece.run({ ...head, body: JSON.stringify(after.piece) });
  }
  if (after.goal !== before.goal) sql.setGoal.run(after.goal ? JSON.stringify(after.goal) : null, id);
  if (after.chosen !== before.chosen) sql.setChosen.run(after.chosen ? JSON.stringify(after.chosen) : null, id);
  const [was, is] = [restOf(before), restOf(after)];
  const same = Object.keys({ ...was, ...is }).every((key) => was[key] === is[key]);
  if (!same) sql.setRest.run(JSON.stringify(is), id);
}

/** Dossier fields that have no table of their own. */
function restOf(dossier: Dossier): Record<string, unknown> {
  const {
    format: _f,
    piece: _p,
    zones: _z,
    goal: _g,
    chosen: _c,
    tests: _t,
    overrides: _o,
    photos: _ph,
    log: _l,
    // The owner's, laid beside a piece as it goes out.
    misreadings: _m,
    ...rest
  } = dossier;
  return rest;
}

function writeZones(sql: Statements, piece: string, before: Dossier, after: Dossier, now: string): void {
  const known = new Map(before.zones?.map((zone) => [zone.id, zone]));
  for (const zone of after.zones ?? []) {
    const old = known.get(zone.id);
    known.delete(zone.id);
    if (old === zone) continue;
    const { observations = [], skipped_checks, defects, ...facts } = zone;
    sql.putZone.run({ piece, id: zone.id, role: zone.role, area: zone.area_m2 ?? null, body: JSON.stringify(facts) });
    if (skipped_checks !== old?.skipped_checks)
      sql.setSkips.run(skipped_checks ? JSON.stringify(skipped_checks) : null, piece, zone.id);
    if (defects !== old?.defects) sql.setDefects.run(defects ? JSON.stringify(defects) : null, piece, zone.id);
    writeChanged(old?.observations ?? [], observations, {
      put: (observation) => {
        const { check, result, value } = observation;
        const body = JSON.stringify(observation);
        const row = {
          piece,
          zone: zone.id,
          id: observation.id,
          check,
          result: result ?? null,
          value: value ?? null,
          body,
        };
        sql.putObservation.run(row);
      },
      withdraw: (id) => sql.withdrawObservation.run(now, piece, id),
    });
  }
  for (const [id, zone] of known) {
    sql.removeZone.run(now, piece, id);
    for (const { id: reading } of zone.observations ?? []) sql.withdrawObservation.run(now, piece, reading);
  }
}

function writeRecords(sql: Statements, piece: string, before: Dossier, after: Dossier, now: string): void {
  writeChanged(before.tests ?? [], after.tests ?? [], {
    put: (test) => {
      const { id, zone, kind, age_h } = test;
      sql.putTest.run({ piece, zone, id, kind, age: age_h ?? null, body: JSON.stringify(test) });
    },
    withdraw: (id) => sql.withdrawTest.run(now, piece, id),
  });
  writeChanged(before.overrides ?? [], after.overrides ?? [], {
    put: (override) => {
      const { id, zone, gate } = override;
      sql.putOverride.run({ piece, zone, id, gate, body: JSON.stringify(override) });
    },
    withdraw: (id) => sql.withdrawOverride.run(now, piece, id),
  });
  writeChanged(before.photos ?? [], after.photos ?? [], {
    put: (photo) => sql.putPhoto.run({ piece, id: photo.id, sha256: photo.sha256, body: JSON.stringify(photo) }),
    withdraw: (id) => sql.withdrawPhoto.run(now, piece, id),
  });
}

/** Writes the records that are not the same objects as before, and withdraws those that are gone. */
function writeChanged<T extends { id?: string | undefined }>(
  before: readonly T[],
  after: readonly T[],
  to: { put: (record: T) => unknown; withdraw: (id: string) => unknown },
): void {
  if (before === after) return;
  const known = new Set(before);
  const left = new Set(after.map(({ id }) => id));
  for (const { id } of before) if (id !== undefined && !left.has(id)) to.withdraw(id);
  for (const record of after) if (!known.has(record)) to.put(record);
}
