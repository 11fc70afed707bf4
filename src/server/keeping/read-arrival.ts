import { randomUUID } from 'node:crypto';
import { existsSync, readFileSync, rmSync, statSync } from 'node:fs';
import { open } from 'node:fs/promises';
import path from 'node:path';
import Database from 'better-sqlite3';
import type { Arrival } from '@/contract';
import { namePiece, parseDossier, type Dossier } from '@/core/dossier';
import { fail, isSame, succeed, type Result } from '@/core/shared';
import { makePieceStore, makeShelfStore, openDatabase, type PieceStore, type ShelfStore } from '../db';
import type { PictureDecoder } from '../picture-decoder';
import type { Coming, KeeperQuestion } from './keeper';
import { restoreShop } from './restore-shop';

/* What is done with a file that was sent, apart from the server (`keep-apart`). */

/** Files of an arrival in its folder: what was sent, what was read of it, and what is to be taken in. */
export const sentOf = (folder: string): string => path.join(folder, 'sent');
export const draftOf = (folder: string): string => path.join(folder, 'shop.sqlite');
export const comingOf = (folder: string): string => path.join(folder, 'coming.sqlite');

/** A single dossier, as its own door takes it. */
const MOST_BYTES = 64 * 2 ** 20;
/** Names that are told; of more there is the number. */
const NAMED = 20;

type Standing = 'new' | 'same' | 'clash';
type Question<Is> = Extract<KeeperQuestion, { is: Is }>;

/** Reads what was sent into a draft, and tells what it holds beside what is here. */
export async function readArrival(
  question: Question<'read'>,
  decoder: PictureDecoder,
): Promise<Result<Omit<Arrival, 'id'>>> {
  const from = await readInto(question, decoder);
  rmSync(sentOf(question.folder), { force: true });
  if (!from.ok) return from;
  return within(question, (theirs, ours) => {
    const sorted: Record<Standing, string[]> = { new: [], same: [], clash: [] };
    for (const { id } of theirs.store.listDates()) {
      const dossier = theirs.store.find(id)!;
      sorted[ours.standing(dossier, id)].push(namePiece(dossier.piece));
    }
    const told = (names: string[]) => ({ count: names.length, names: names.slice(0, NAMED) });
    return succeed({
      from: from.value,
      fresh: told(sorted.new),
      same: told(sorted.same),
      clashes: told(sorted.clash),
      tins: listNewTins(ours.shelf, theirs.shelf).length,
      pictures: theirs.store.listShown().size,
    });
  });
}

async function readInto(
  { folder, migrations, now }: Question<'read'>,
  decoder: PictureDecoder,
): Promise<Result<'piece' | 'shop'>> {
  const [sent, draft] = [sentOf(folder), draftOf(folder)];
  const handle = await open(sent, 'r');
  const { buffer } = await handle.read(Buffer.alloc(2), 0, 2, 0).finally(() => handle.close());
  if (buffer.toString('latin1') === 'PK') {
    const restored = await restoreShop({ zip: sent, file: draft, migrations, decoder, now });
    return restored.ok ? succeed('shop') : restored;
  }
  if (statSync(sent).size > MOST_BYTES) return fail('body_too_large', '', { max: '64 MB' });
  const dossier = parseDossier(readFileSync(sent), now);
  if (!dossier.ok) return dossier;
  const own = dossier.value.piece.id ?? randomUUID();
  const opened = openDatabase(draft, migrations);
  const piece = { ...dossier.value.piece, id: own };
  const met = makePieceStore(opened).apply(own, { type: 'piece_met', dossier: { ...dossier.value, piece } }, now);
  opened.close();
  return met.ok ? succeed('piece') : met;
}

/**
 * Writes what is to be taken in to a file of its own: pieces that are new, and on wish those that are here otherwise, beside
 * ours under an id of their own. The server takes it over row by row.
 */
export async function gatherArrival(question: Question<'gather'>): Promise<Result<Coming>> {
  return within(question, (theirs, ours) => {
    const file = comingOf(question.folder);
    for (const ending of ['', '-wal', '-shm']) rmSync(file + ending, { force: true });
    const coming = openDatabase(file, question.migrations);
    const store = makePieceStore(coming);
    const pieces: string[] = [];
    coming.transaction(() => {
      for (const { met, ...dates } of theirs.store.listDates().reverse()) {
        const dossier = theirs.store.find(dates.id)!;
        const state = ours.standing(dossier, dates.id);
        if (state === 'same' || (state === 'clash' && question.clashes === 'leave')) continue;
        const id = state === 'new' ? dates.id : randomUUID();
        if (state === 'new') store.restore(dossier, { ...dates, met });
        else {
          const piece = { ...dossier.piece, id, name: `${namePiece(dossier.piece).slice(0, 60)}, brought in` };
          store.restore({ ...dossier, piece }, { ...dates, id });
        }
        pieces.push(id);
      }
    })();
    coming.pragma('journal_mode = DELETE');
    coming.close();
    return succeed({ pieces: pieces.reverse(), tins: listNewTins(ours.shelf, theirs.shelf) });
  });
}

interface Theirs {
  store: PieceStore;
  shelf: ShelfStore;
}
interface Ours {
  shelf: ShelfStore;
  standing: (theirs: Dossier, id: string) => Standing;
}

/** Works on what was read beside what is here, of which nothing is written. */
function within<T>(
  { folder, ours: file, migrations }: Pick<Question<'read'>, 'folder' | 'ours' | 'migrations'>,
  work: (theirs: Theirs, ours: Ours) => T,
): T {
  const theirs = openDatabase(draftOf(folder), migrations);
  const ours = new Database(file, { readonly: true });
  try {
    const store = makePieceStore(ours);
    const inBin = new Set(store.listRemoved().map(({ id }) => id));
    const standing = (dossier: Dossier, id: string): Standing => {
      const own = store.find(id);
      if (!own) return inBin.has(id) ? 'clash' : 'new';
      return isSame(asPiece(own), asPiece(dossier)) ? 'same' : 'clash';
    };
    return work(
      { store: makePieceStore(theirs), shelf: makeShelfStore(theirs) },
      { shelf: makeShelfStore(ours), standing },
    );
  } finally {
    theirs.close();
    ours.close();
  }
}

/** A piece alone: tins, what other pieces taught and how often checks are misread are laid beside it when it goes out. */
const asPiece = ({ shelf: _shelf, experience: _experience, misreadings: _own, ...piece }: Dossier): unknown => piece;

/** Tins that are not on our shelf; of a tin that is, ours is what was measured here. */
function listNewTins(ours: ShelfStore, theirs: ShelfStore): ReturnType<ShelfStore['list']> {
  const known = new Set(ours.list().map(({ id }) => id));
  return theirs.list().filter(({ id }) => !known.has(id));
}

/** Whether a file was read and waits to be taken in. */
export const isRead = (folder: string): boolean => existsSync(draftOf(folder));
