import { randomUUID } from 'node:crypto';
import { existsSync, readdirSync, rmSync, statSync } from 'node:fs';
import { mkdir, open, readFile } from 'node:fs/promises';
import path from 'node:path';
import type { Arrival, Clashes } from '@/contract';
import { LIMITS, parseDossier, tooMany, type Dossier, namePiece } from '@/core/dossier';
import { fail, isSame, succeed, type Result } from '@/core/shared';
import { makePieceStore, makeShelfStore, openDatabase, type Db, type PieceStore, type ShelfStore } from '../db';
import { shopFolder } from '../shop-folder';
import { linkAll } from './backups';
import { restoreShop } from './restore-shop';

/**
 * Pieces that are brought in from a file: a dossier, or a whole shop. What was sent is read whole into a draft beside the
 * shop, through the same doors as all else, and told; nothing of it is the shop's until its owner says so, and then all is.
 */
export interface Arrivals {
  /** A file to write what is being sent to. */
  begin: () => Promise<{ id: string; file: string }>;
  /** What has come, beside what is here; or what is wrong with it, by path. */
  look: (id: string) => Promise<Result<Arrival>>;
  /** Takes it in; pieces that are here otherwise are left out, or come beside ours under an id of their own. */
  take: (id: string, clashes: Clashes) => Result<{ pieces: string[] }>;
  drop: (id: string) => void;
}

interface ArrivalParts {
  db: Db;
  store: PieceStore;
  shelf: ShelfStore;
  /** Where what belongs to the shop lies. */
  folder: string;
  migrations: string;
  now: () => string;
}

/** What nobody decided on for so long is dropped. */
const KEPT_MS = 3_600_000;
/** A single dossier, as its own door takes it. */
const MOST_BYTES = 64 * 2 ** 20;
/** Names that are told; of more there is the number. */
const NAMED = 20;
/** Others are served between so many pieces. */
const AT_A_TIME = 25;

/** A name of ours, and no way to another folder. */
const ID = /^[0-9a-f-]{36}$/;

type Standing = 'new' | 'same' | 'clash';

export function makeArrivals({ db, store, shelf, folder, migrations, now }: ArrivalParts): Arrivals {
  const home = path.join(folder, 'arrivals');
  // Whatever lies here was of an earlier run.
  rmSync(home, { recursive: true, force: true });
  const folderOf = (id: string): string => path.join(home, id);
  const sentOf = (id: string): string => path.join(folderOf(id), 'sent');
  const draftOf = (id: string): string => path.join(folderOf(id), 'shop.sqlite');
  const drop = (id: string): void => rmSync(folderOf(id), { recursive: true, force: true });
  const sweep = (): void => {
    for (const name of existsSync(home) ? readdirSync(home) : [])
      if (statSync(path.join(home, name)).mtimeMs < Date.now() - KEPT_MS) drop(name);
  };
  const isHere = (id: string): boolean => ID.test(id) && existsSync(draftOf(id));

  const readInto = async (id: string): Promise<Result<'piece' | 'shop'>> => {
    const [sent, draft] = [sentOf(id), draftOf(id)];
    const handle = await open(sent, 'r');
    const { buffer } = await handle.read(Buffer.alloc(2), 0, 2, 0).finally(() => handle.close());
    if (buffer.toString('latin1') === 'PK') {
      const restored = await restoreShop({ zip: sent, file: draft, migrations, now: now() });
      return restored.ok ? succeed('shop') : restored;
    }
    if (statSync(sent).size > MOST_BYTES) return fail('body_too_large', '', { max: '64 MB' });
    const dossier = parseDossier(await readFile(sent, 'utf8'), now());
    if (!dossier.ok) return dossier;
    const own = dossier.value.piece.id ?? randomUUID();
    const opened = openDatabase(draft, migrations);
    const piece = { ...dossier.value.piece, id: own };
    const met = makePieceStore(opened).apply(own, { type: 'piece_met', dossier: { ...dossier.value, piece } }, now());
    opened.close();
    return met.ok ? succeed('piece') : met;
  };

  const binned = (): Set<string> => new Set(store.listRemoved().map(({ id }) => id));
  const standing = (theirs: Dossier, id: string, inBin: ReadonlySet<string>): Standing => {
    const ours = store.find(id);
    if (!ours) return inBin.has(id) ? 'clash' : 'new';
    return isSame(asPiece(ours), asPiece(theirs)) ? 'same' : 'clash';
  };

  const look = async (id: string): Promise<Result<Arrival>> => {
    const from = await readInto(id);
    rmSync(sentOf(id), { force: true });
    if (!from.ok) {
      drop(id);
      return from;
    }
    const opened = openDatabase(draftOf(id), migrations);
    try {
      const theirs = makePieceStore(opened);
      const inBin = binned();
      const sorted: Record<Standing, string[]> = { new: [], same: [], clash: [] };
      for (const [i, head] of theirs.listDates().entries()) {
        if (i % AT_A_TIME === AT_A_TIME - 1) await new Promise(setImmediate);
        const dossier = theirs.find(head.id)!;
        sorted[standing(dossier, head.id, inBin)].push(namePiece(dossier.piece));
      }
      const tins = listNewTins(shelf, makeShelfStore(opened));
      const told = (names: string[]) => ({ count: names.length, names: names.slice(0, NAMED) });
      return succeed({
        id,
        from: from.value,
        fresh: told(sorted.new),
        same: told(sorted.same),
        clashes: told(sorted.clash),
        tins: tins.length,
        pictures: theirs.listShown().size,
      });
    } finally {
      opened.close();
    }
  };

  const take = (id: string, clashes: Clashes): Result<{ pieces: string[] }> => {
    if (!isHere(id)) return fail('arrival_not_found');
    const opened = openDatabase(draftOf(id), migrations);
    try {
      const theirs = makePieceStore(opened);
      const tins = listNewTins(shelf, makeShelfStore(opened));
      if (shelf.list().length + tins.length > LIMITS.shelf)
        return { ok: false, problem: tooMany('shelf', LIMITS.shelf) };
      const inBin = binned();
      // Pictures first: a piece is never without those it names.
      const pictures = path.join(shopFolder(draftOf(id)), 'photos');
      if (existsSync(pictures)) linkAll(pictures, path.join(folder, 'photos'));
      const pieces: string[] = [];
      db.transaction(() => {
        for (const { met, ...dates } of theirs.listDates()) {
          const dossier = theirs.find(dates.id)!;
          const state = standing(dossier, dates.id, inBin);
          if (state === 'same' || (state === 'clash' && clashes === 'leave')) continue;
          if (state === 'new') store.restore(dossier, { ...dates, met });
          else {
            const own = randomUUID();
            const piece = { ...dossier.piece, id: own, name: `${namePiece(dossier.piece).slice(0, 60)}, brought in` };
            store.restore({ ...dossier, piece }, { ...dates, id: own });
          }
          pieces.push(dates.id);
        }
        shelf.restore(tins, now());
      })();
      drop(id);
      return succeed({ pieces });
    } finally {
      opened.close();
    }
  };

  return {
    begin: async () => {
      sweep();
      const id = randomUUID();
      await mkdir(folderOf(id), { recursive: true });
      return { id, file: sentOf(id) };
    },
    look,
    take,
    drop: (id) => (ID.test(id) ? drop(id) : undefined),
  };
}

/** A piece alone: tins, what other pieces taught and how often checks are misread are laid beside it when it goes out. */
const asPiece = ({ shelf: _shelf, experience: _experience, misreadings: _own, ...piece }: Dossier): unknown => piece;

/** Tins that are not on our shelf; of a tin that is, ours is what was measured here. */
function listNewTins(ours: ShelfStore, theirs: ShelfStore): ReturnType<ShelfStore['list']> {
  const known = new Set(ours.list().map(({ id }) => id));
  return theirs.list().filter(({ id }) => !known.has(id));
}
