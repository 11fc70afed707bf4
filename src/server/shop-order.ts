import { readFileSync } from 'node:fs';
import { setTimeout as delay } from 'node:timers/promises';
import type { Logger } from 'pino';
import { z } from 'zod';
import { askedBy } from './asker';
import type { ShelfStore, PieceStore, WorkshopStore } from './db';
import { writeWhole } from './disk';
import type { Judge } from './judge';
import type { Live } from './live';
import type { PieceTexts } from './piece-texts';
import type { ShopLists } from './shop-lists';

/**
 * The order in which the shop's open jobs are best done. It is worked out apart, kept, and worked out anew when something
 * changed: whoever asks meanwhile has the one that is kept, so that what is shown first is what stays.
 */
export interface ShopOrder {
  read: () => Promise<readonly string[]>;
  /** Something changed: what is kept is worked out anew in a moment, once anybody has asked for it. */
  changed: () => void;
}

interface OrderParts {
  store: Pick<PieceStore, 'listTaken'>;
  shelf: Pick<ShelfStore, 'list'>;
  workshop: Pick<WorkshopStore, 'find'>;
  lists: Pick<ShopLists, 'listTimes'>;
  texts: PieceTexts;
  planner: Judge;
  live: Pick<Live, 'tell'>;
  /** Keeps the order over a restart. */
  file: string;
  log: Pick<Logger, 'error'>;
  /** Whether the records can be read: a shop that was closed meanwhile has no order. */
  isOpen: () => boolean;
  now: () => string;
}

const keptSchema = z.array(z.string());
/** What was changed in one go is planned in one go. */
const TOGETHER_MS = 250;
/** Without a change the order is looked at anew so often: the day goes on. */
const STALE_MS = 30 * 60_000;

export function makeShopOrder(parts: OrderParts): ShopOrder {
  const { store, shelf, workshop, lists, texts, planner, live, file, log, isOpen, now } = parts;
  let kept = recall(file);
  let madeAt = -Infinity;
  let making: Promise<readonly string[]> | null = null;
  let isStale = false;
  let isAsked = false;

  const make = async (): Promise<readonly string[]> => {
    const shop = workshop.find();
    const timeZone = shop.setup.time_zone ?? Intl.DateTimeFormat().resolvedOptions().timeZone;
    const facts = { workshop: shop, tins: shelf.list(), now: now(), timeZone };
    const pieces = await texts.listInWork(store.listTaken().map(({ id }) => id));
    const order = await planner.judge('order', pieces, facts, lists.listTimes(), kept);
    const isNew = order.join() !== kept?.join();
    kept = order;
    madeAt = Date.now();
    if (!isNew) return order;
    writeWhole(file, JSON.stringify(order));
    // Nobody's page did it: all ask for it anew.
    askedBy({}, () => live.tell({ order: true }));
    return order;
  };
  const tell = (err: unknown): void => {
    if (isOpen()) log.error({ err }, 'the order of the work could not be worked out');
  };
  const renew = (): Promise<readonly string[]> => {
    isStale = false;
    making ??= make().finally(() => {
      making = null;
      if (isStale) void renew().catch(tell);
    });
    return making;
  };
  let isDueSoon = false;
  return {
    read: async () => {
      isAsked = true;
      // At the first start of all somebody waits for it.
      if (kept === null) return renew();
      if (Date.now() - madeAt > STALE_MS) void renew().catch(tell);
      return kept;
    },
    changed: () => {
      isStale = true;
      if (!isAsked || isDueSoon) return;
      isDueSoon = true;
      void delay(TOGETHER_MS, undefined, { ref: false }).then(() => {
        isDueSoon = false;
        if (!making) void renew().catch(tell);
      });
    },
  };
}

/** What was kept; nothing where it cannot be read, for it can be worked out anew. */
function recall(file: string): readonly string[] | null {
  try {
    return keptSchema.parse(JSON.parse(readFileSync(file, 'utf8')));
  } catch {
    return null;
  }
}
