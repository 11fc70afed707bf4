import type { Express } from 'express';
import path from 'node:path';
import type { Logger } from 'pino';
import type { VisitState } from './demo-visit';
import { makeApp } from './app';
import {
  checkHealth,
  makePieceStore,
  makeShelfStore,
  makeShopStore,
  makeTaken,
  makeWorkshopStore,
  openDatabase,
  type Db,
  type PieceStore,
  type ShopStore,
} from './db';
import { loadDemo } from './demo';
import type { Instruments } from './devices';
import { copyWhole, draftOf, removeDrafts } from './disk';
import {
  holdAlone,
  makeArrivals,
  makeKeeper,
  makeKeeping,
  removeRestores,
  removeSnapshots,
  type Backup,
  type ShopKeeping,
} from './keeping';
import type { Door, Pairing } from './opening';
import { emptiedBefore } from '@/core/keeping';
import type { Result } from '@/core/shared';
import type { Judge } from './judge';
import { makeLive, type Live } from './live';
import { linkPhotos, makePhotoFiles } from './photo-files';
import type { PictureDecoder } from './picture-decoder';
import { makeSeenClock } from './seen-clock';
import {
  adoptPictures,
  claimFolder,
  putInPlace,
  refuseLostRecords,
  shopFolder,
  takeOverOldFolder,
} from './shop-folder';

export interface ShopParts {
  file: string;
  migrations: string;
  /** Folder of the invented workshop's dossiers, where it is to be loaded. */
  demo?: string | undefined;
  webRoot?: string;
  decoder: PictureDecoder;
  /** The built program that reads files apart from the server. */
  keeperProgram: () => string;
  judge: Judge;
  planner: Judge;
  instruments: Instruments | null;
  door: Door;
  pairing: Pairing;
  log: Logger;
  now: () => string;
  visit: VisitState;
  prepareVisit: () => Result<unknown>;
}

/** A shop that is open: its application, for whatever listens, and the way to close it. */
export interface OpenShop {
  app: () => Express;
  shop: () => ShopStore;
  keeping: () => ShopKeeping;
  /** Deletes for good what has lain in the bin for its time, with its files. */
  emptyBin: () => void;
  /** Ends the lines on which pages listen: nothing else would. */
  hush: () => void;
  close: () => void;
}

interface Opened {
  db: Db;
  shop: ShopStore;
  store: PieceStore;
  keeping: ShopKeeping;
  live: Live;
  app: Express;
  emptyBin: () => void;
}

/** A picture that was written so long ago is named by its piece, or by none. */
const SETTLED_MS = 3_600_000;

/** Takes a folder for this server alone; whether nobody else has it. */
function isFree(folder: string): boolean {
  try {
    holdAlone(folder, folder)();
    return true;
  } catch {
    return false;
  }
}

/** Opens a shop for this server alone. When it comes back from a copy, all that reads its records is made anew. */
export function openShop(parts: ShopParts): OpenShop {
  const { file, migrations, demo, decoder, log, now } = parts;
  takeOverOldFolder(file, isFree);
  const folder = shopFolder(file);
  refuseLostRecords(file);
  const letGo = holdAlone(folder, file);
  for (const place of [path.dirname(file), folder]) removeDrafts(place);
  removeRestores(path.dirname(file));
  removeSnapshots(folder);
  const clock = makeSeenClock(folder, now);
  const photosFolder = path.join(folder, 'photos');
  const keeper = makeKeeper({ program: parts.keeperProgram, file, migrations, shop: () => opened.shop.id });

  const open = (): Opened => {
    const db = openDatabase(file, migrations);
    try {
      return openOn(db);
    } catch (error) {
      db.close();
      throw error;
    }
  };

  const openOn = (db: Db): Opened => {
    const shop = makeShopStore(db, now());
    claimFolder(file, shop.id);
    const [shelf, workshop] = [makeShelfStore(db), makeWorkshopStore(db)];
    const store = makePieceStore(db, workshop.misreadings);
    if (demo) loadDemo({ dossiers: demo, store, shelf, workshop, now: now() });
    const photos = makePhotoFiles(photosFolder, decoder);
    photos.bringBack(store.listPictures());
    adoptPictures(file, store.listPictures());
    const emptyBin = (before: number): void => {
      const at = now();
      // By a clock that may be wrong nothing is deleted.
      if (clock.doubted() === null) {
        photos.remove(store.purge(emptiedBefore(at), at));
        photos.emptyAside(at);
      }
      photos.setAside(store.listPictures(), before, { shop: shop.id, file: path.resolve(file), at });
    };
    // On the start nothing is being saved.
    emptyBin(Infinity);
    const keeping = makeKeeping({
      db,
      shop: shop.id,
      file,
      folder,
      photos,
      pictures: store.listPictures,
      keeper,
      clock,
      migrations,
      now,
      comeBack,
    });
    const arrivals = makeArrivals({ store, shelf, keeper, folder, now });
    const { door, pairing, instruments, webRoot } = parts;
    const live = makeLive();
    const app = makeApp({
      store,
      shelf,
      workshop,
      shop,
      taken: makeTaken(db, now()),
      door,
      pairing,
      photos,
      judge: parts.judge,
      planner: parts.planner,
      orderFile: path.join(folder, 'order.json'),
      instruments,
      keeping,
      arrivals,
      live,
      visit: parts.visit,
      prepareVisit: parts.prepareVisit,
      health: () => checkHealth(db),
      ...(webRoot === undefined ? {} : { webRoot }),
      log,
      now,
    });
    return { db, shop, store, keeping, live, app, emptyBin: () => emptyBin(Date.now() - SETTLED_MS) };
  };

  const comeBack = (backup: Backup): void => {
    const passphrase = opened.shop.passphrase();
    const life = opened.store.life() + 1;
    const draft = draftOf(file);
    // While nothing was changed yet: a disk may be full, a copy unreadable.
    linkPhotos(backup.photos, photosFolder);
    copyWhole(backup.file, draft);
    opened.live.close();
    opened.db.pragma('wal_checkpoint(TRUNCATE)');
    opened.db.close();
    let placed: ReturnType<typeof putInPlace> | null = null;
    try {
      placed = putInPlace(draft, file);
      opened = open();
    } catch (error) {
      placed?.undo();
      opened = open();
      throw error;
    }
    placed.settle();
    opened.store.beginLife(life);
    // Who was shut out since stays out, and the passphrase that holds now goes on holding.
    opened.shop.end(null, now());
    opened.shop.setPassphrase(passphrase);
  };

  let opened: Opened;
  try {
    opened = open();
  } catch (error) {
    keeper.close();
    letGo();
    throw error;
  }
  return {
    app: () => opened.app,
    shop: () => opened.shop,
    keeping: () => opened.keeping,
    emptyBin: () => opened.emptyBin(),
    hush: () => opened.live.close(),
    close: () => {
      keeper.close();
      opened.live.close();
      opened.db.close();
      letGo();
    },
  };
}
