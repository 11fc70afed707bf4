import path from 'node:path';
import { makePieceStore, makeShelfStore, makeWorkshopStore, openDatabase } from '@/server/db';
import { loadDemo } from '@/server/demo';
import { isInWork, learnPace, planShop, readPieceWork, readToday } from '@/core/work';
import { MIGRATIONS } from './harness';

const open = (now: string) => {
  const db = openDatabase(':memory:', MIGRATIONS);
  const parts = { store: makePieceStore(db), shelf: makeShelfStore(db), workshop: makeWorkshopStore(db) };
  const load = (): void => loadDemo({ dossiers: path.resolve('demo/dossiers'), ...parts, now });
  load();
  return { ...parts, load };
};
const lastLog = (shop: ReturnType<typeof open>, id: string): string =>
  shop.store
    .find(id)!
    .log!.map(({ at }) => at!)
    .sort()
    .at(-1)!;

describe('the demo workshop', () => {
  it('is told for the day it is loaded, at the same time of day', () => {
    const [then, later] = [open('2026-11-28T09:10:00.000Z'), open('2027-03-06T14:00:00.000Z')];
    const [one, two] = [then, later].map((shop) => lastLog(shop, 'demo-lending-counter')) as [string, string];
    expect(two.slice(11)).toBe(one.slice(11));
    expect(Date.parse(two) - Date.parse(one)).toBe(98 * 86_400_000);
    expect(later.workshop.find().air.at(-1)!.at).toBe('2027-03-06T09:00:00.000Z');
    expect(later.store.find('demo-card-cabinet')!.goal!.due).toBe('2027-03-13');
  });

  it('loads once: what was changed since stays', () => {
    const shop = open('2026-11-28T09:10:00.000Z');
    shop.workshop.apply({ type: 'setup_set', setup: { places: { large: 9, small: 9 } } }, 'now');
    shop.store.apply('demo-lending-counter', { type: 'work_withdrawn', work: 'w8' }, 'now');
    const before = [shop.store.list(), shop.workshop.find(), shop.shelf.list()];
    shop.load();
    expect([shop.store.list(), shop.workshop.find(), shop.shelf.list()]).toEqual(before);
  });

  it('has a Saturday morning with something to do, something drying and something held back', () => {
    const shop = open('2026-11-28T09:10:00.000Z');
    const dossiers = shop.store.list().filter(isInWork);
    const facts = {
      workshop: shop.workshop.find(),
      tins: shop.shelf.list(),
      pace: learnPace(dossiers),
      now: '2026-11-28T09:12:00.000Z',
      timeZone: 'Europe/Lisbon',
    };
    const pieces = dossiers.map((dossier) => readPieceWork(dossier, facts));
    const today = readToday(pieces, planShop(pieces, facts, { tries: 0 }), facts);
    expect(today.doNow.length).toBeGreaterThan(4);
    expect(today.drying.map(({ piece }) => piece)).toEqual(
      expect.arrayContaining(['demo-lending-counter', 'demo-card-cabinet']),
    );
    expect(today.blocked.map(({ piece }) => piece)).toContain('demo-media-cupboard');
    expect(today.air.measuredAt).toBe('2026-11-28T09:00:00.000Z');
  });
});
