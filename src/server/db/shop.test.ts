import { openDatabase } from './connection';
import { IDLE_DAYS, LONGEST_DAYS, makeShopStore } from './shop';

const DAY_MS = 86_400_000;
const BORN = Date.UTC(2026, 0, 1);
const after = (days: number): string => new Date(BORN + days * DAY_MS).toISOString();
const openShop = () => makeShopStore(openDatabase(':memory:', 'src/server/db/migrations'), after(0));

describe('the shop', () => {
  it('has one id for life, and two shops have two', () => {
    const db = openDatabase(':memory:', 'src/server/db/migrations');
    expect(makeShopStore(db, after(1)).id).toBe(makeShopStore(db, after(0)).id);
    expect(makeShopStore(db, after(0)).id).not.toBe(openShop().id);
  });

  it('ends a pass that was not used for thirty days, and any after a hundred and eighty', () => {
    const shop = openShop();
    const { token } = shop.begin('Phone', after(0));
    expect(shop.find(token, after(IDLE_DAYS - 1))?.device).toBe('Phone');
    // Its use was written down: the thirty days start again.
    expect(shop.find(token, after(2 * IDLE_DAYS - 2))).toBeDefined();
    expect(shop.find(token, after(3 * IDLE_DAYS))).toBeUndefined();
    const used = shop.begin('Tablet', after(0)).token;
    for (let day = 20; day < LONGEST_DAYS; day += 20) expect(shop.find(used, after(day))).toBeDefined();
    expect(shop.find(used, after(LONGEST_DAYS))).toBeUndefined();
    expect(shop.list(after(LONGEST_DAYS))).toEqual([]);
  });

  it('ends one pass or all, once', () => {
    const shop = openShop();
    const [one, two] = [shop.begin('One', after(0)), shop.begin('Two', after(0))];
    expect(shop.end(one.session.id, after(1))).toBe(true);
    expect(shop.end(one.session.id, after(1))).toBe(false);
    expect(shop.find(two.token, after(1))).toBeDefined();
    expect(shop.end(null, after(1))).toBe(true);
    expect(shop.find(two.token, after(1))).toBeUndefined();
  });
});
