import { randomUUID } from 'node:crypto';
import { existsSync, mkdirSync, readdirSync, rmSync, statSync } from 'node:fs';
import path from 'node:path';
import type { Arrival, Clashes } from '@/contract';
import { LIMITS, tooMany } from '@/core/dossier';
import { fail, succeed, type Result } from '@/core/shared';
import type { PieceStore, ShelfStore } from '../db';
import { linkPhotos } from '../photo-files';
import { shopFolder } from '../shop-folder';
import type { Keeper } from './keeper';
import { comingOf, draftOf, isRead, sentOf } from './read-arrival';

/**
 * Pieces that are brought in from a file: a dossier, or a whole shop. What was sent is read whole into a draft beside the
 * shop, through the same doors as all else, and told; nothing of it is the shop's until its owner says so, and then all is.
 */
export interface Arrivals {
  /** A file to write what is being sent to. */
  begin: () => { id: string; file: string };
  /** What has come, beside what is here; or what is wrong with it, by path. */
  look: (id: string) => Promise<Result<Arrival>>;
  /** Takes it in; pieces that are here otherwise are left out, or come beside ours under an id of their own. */
  take: (id: string, clashes: Clashes) => Promise<Result<{ pieces: string[] }>>;
  drop: (id: string) => void;
}

interface ArrivalParts {
  store: PieceStore;
  shelf: ShelfStore;
  keeper: Keeper;
  /** Where what belongs to the shop lies. */
  folder: string;
  now: () => string;
}

/** What nobody decided on for so long is dropped. */
const KEPT_MS = 3_600_000;
/** So many wait to be decided on; when another comes the oldest goes, and can be sent again. */
const MOST_WAITING = 4;

/** A name of ours, and no way to another folder. */
const ID = /^[0-9a-f-]{36}$/;

export function makeArrivals({ store, shelf, keeper, folder, now }: ArrivalParts): Arrivals {
  const home = path.join(folder, 'arrivals');
  // Whatever lies here was of an earlier run.
  rmSync(home, { recursive: true, force: true });
  const folderOf = (id: string): string => path.join(home, id);
  const drop = (id: string): void => rmSync(folderOf(id), { recursive: true, force: true });
  /** What is being sent, read or taken: it is in somebody's hands and not dropped. */
  const busy = new Set<string>();
  const inHand = async <T>(id: string, work: () => Promise<T>): Promise<T> => {
    busy.add(id);
    try {
      return await work();
    } finally {
      busy.delete(id);
    }
  };
  const makeRoom = (): void => {
    const waiting = (existsSync(home) ? readdirSync(home) : [])
      .filter((id) => !busy.has(id))
      .map((id) => ({ id, at: statSync(folderOf(id)).mtimeMs }))
      .sort((a, b) => b.at - a.at);
    for (const [i, { id, at }] of waiting.entries()) if (i >= MOST_WAITING - 1 || at < Date.now() - KEPT_MS) drop(id);
  };

  return {
    begin: () => {
      makeRoom();
      const id = randomUUID();
      mkdirSync(folderOf(id), { recursive: true });
      busy.add(id);
      return { id, file: sentOf(folderOf(id)) };
    },
    look: (id) =>
      inHand(id, async () => {
        const read = await keeper.readArrival(folderOf(id), now());
        if (read.ok) return succeed({ id, ...read.value });
        drop(id);
        return read;
      }),
    take: async (id, clashes) => {
      if (!ID.test(id) || !isRead(folderOf(id)) || busy.has(id)) return fail('arrival_not_found');
      return inHand(id, async () => {
        const gathered = await keeper.gatherArrival(folderOf(id), clashes, now());
        if (!gathered.ok) return gathered;
        const { pieces, tins } = gathered.value;
        if (shelf.list().length + tins.length > LIMITS.shelf)
          return { ok: false, problem: tooMany('shelf', LIMITS.shelf) };
        // It may have come by another way since it was looked at.
        if (pieces.some(store.isKnown)) return fail('id_taken');
        // Pictures first: a piece is never without those it names.
        linkPhotos(path.join(shopFolder(draftOf(folderOf(id))), 'photos'), path.join(folder, 'photos'));
        store.takeIn(comingOf(folderOf(id)), () => shelf.restore(tins, now()));
        drop(id);
        return succeed({ pieces });
      });
    },
    drop: (id) => {
      if (!ID.test(id)) return;
      busy.delete(id);
      drop(id);
    },
  };
}
