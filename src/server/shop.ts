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
  type ShopStore,
} from './db';
import { loadDemo } from './demo';
import type { Instruments } from './devices';
import { holdAlone, linkAll, makeArrivals, makeKeeping, type Backup, type ShopKeeping } from './keeping';
import type { Door, Pairing } from './opening';
import { emptiedBefore } from '@/core/keeping';
import { makeLive, type Live } from './live';
import { makePhotoFiles } from './photo-files';
import type { PictureDecoder } from './picture-decoder';
import { adoptPictures, putInPlace, shopFolder } from './shop-folder';

export interface ShopParts {
  file: string;
  migrations: string;
  /** Folder of the invented workshop's dossiers, where it is to be loaded. */
  demo?: string | undefined;
  webRoot?: string;
  decoder: PictureDecoder;
  instruments: Instruments;
  door: Door;
  pairing: Pairing;
  log: Logger;
  now: () => string;
  visit: VisitState;
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
  keeping: ShopKeeping;
  live: Live;
  app: Express;
  emptyBin: () => void;
}

/** A picture that was written so long ago is named by its piece, or by none. */
const SETTLED_MS = 3_600_000;

/** Opens a shop for this server alone. When it comes back from a copy, all that reads its records is made anew. */
export function openShop(parts: ShopParts): OpenShop {
  const { file, migrations, demo, decoder, log, now } = parts;
  const folder = shopFolder(file);
  const letGo = holdAlone(folder, file);

  const open = (): Opened => {
    const db = openDatabase(file, migrations);
    const [shelf, workshop] = [makeShelfStore(db), makeWorkshopStore(db)];
    const store = makePieceStore(db, workshop.misreadings);
    if (demo) loadDemo({ dossiers: demo, store, shelf, workshop, now: now() });
    const photos = makePhotoFiles(path.join(folder, 'photos'), decoder);
    adoptPictures(file, photos, store.listPictures());
    const emptyBin = (before: number): void => {
      const at = now();
      store.purge(emptiedBefore(at), at);
      photos.sweep(store.listPictures(), before);
    };
    // On the start nothing is being saved.
    emptyBin(Infinity);
    const shop = makeShopStore(db, now());
    const keeping = makeKeeping({ db, folder, photos, migrations, now, comeBack });
    const arrivals = makeArrivals({ db, store, shelf, folder, migrations, now });
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
      instruments,
      keeping,
      arrivals,
      live,
      visit: parts.visit,
      health: () => checkHealth(db),
      ...(webRoot === undefined ? {} : { webRoot }),
      log,
      now,
    });
    return { db, shop, keeping, live, app, emptyBin: () => emptyBin(Date.now() - SETTLED_MS) };
  };

  const comeBack = (backup: Backup): void => {
    const passphrase = opened.shop.passphrase();
    opened.live.close();
    opened.db.close();
    putInPlace(backup.file, file);
    linkAll(backup.photos, path.join(folder, 'photos'));
    opened = open();
    // Who was shut out since stays out, and the passphrase that holds now goes on holding.
    opened.shop.end(null, now());
    opened.shop.setPassphrase(passphrase);
  };

  let opened: Opened;
  try {
    opened = open();
  } catch (error) {
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
      opened.live.close();
      opened.db.close();
      letGo();
    },
  };
}
