import { DOSSIER_FORMAT, type Dossier } from '../dossier';
import { fromMinor, toMajor, toMinor } from '../money';
import { correctAccount } from './correct';
import { closeAccount, countMaterials, listAmounts } from './ledger';

type Money = NonNullable<Dossier['money']>;
const piece = (money: Money, more: Partial<Dossier> = {}): Dossier => ({
  format: DOSSIER_FORMAT,
  piece: { kind: 'desk' },
  money,
  ...more,
});
const sum = (dossier: Dossier): number =>
  closeAccount(dossier)!.lines.reduce((all, { amount }) => all + toMinor(amount), 0);

describe('the account of a piece that was sold', () => {
  // A worked example by hand (common practice): 320 − 19.50 − 15 − 40 − 10 − 38.50 − 6 − 24 = 167.00.
  const sold: Money = {
    currency: 'EUR',
    hour_rate: 15,
    bought: { amount: 40, at: '2026-03-01' },
    extras: [{ what: 'fetching', amount: 10 }],
    consumables: 6,
    hardware: 24,
    fees_pct: 6,
    fees_fixed: 0.3,
    sold: { amount: 320, at: '2026-04-11', transport: 15 },
    corrections: { materials: 38.5, hours: 9.5 },
  };
  it('adds up to what is earned, by the hour and after own time', () => {
    const earned = closeAccount(piece(sold))!;
    expect(toMajor(earned.beforeOwnTime)).toBe(167);
    expect(toMajor(earned.perHour!)).toBe(17.58);
    expect(toMajor(earned.afterOwnTime)).toBe(24.5);
    expect(earned.days).toBe(41);
    expect(listAmounts(earned)).toContainEqual({ what: 'fees', amount: -19.5 });
    expect(listAmounts(earned)).toContainEqual({ what: 'fetching', amount: -10 });
    expect(earned.lines.find(({ what }) => what === 'materials')!.from).toBe('corrected');
    expect(sum(piece(sold))).toBe(16700);
  });

  it('takes paint from the log at what the tin cost for each millilitre, else at its class', () => {
    const shelf = [
      { id: 'whole', class: 'wb_alkyd_enamel', price: 30, size_ml: 750 },
      { id: 'unknown', class: 'wb_alkyd_enamel', price: 30 },
    ];
    const log = [
      { zone: 'top', op: 'paint' as const, class: 'wb_alkyd_enamel', product: 'whole', ml: 100 },
      { zone: 'top', op: 'paint' as const, class: 'wb_alkyd_enamel', product: 'unknown', ml: 100 },
      { zone: 'top', op: 'paint' as const, class: 'wb_alkyd_enamel', product: 'whole', ml: 100, skipped: true },
    ];
    // With the 40 ml that stay in tray and roller.
    expect(countMaterials({ ...piece({}), shelf, log })).toBeCloseTo(140 * (30 / 750) + 140 * (34 / 1000), 6);
  });

  it('takes whole tins where none was on the shelf, and small things by the splash', () => {
    const coat = { zone: 'top', op: 'paint' as const, class: 'wb_alkyd_enamel', ml: 120 };
    const wash = { zone: 'top', op: 'degrease' as const, class: 'degreaser', ml: 60 };
    const cost = (log: Dossier['log']): number => countMaterials({ ...piece({}), log });
    // 280 ml with the tray want a tin of 250 and more: 750 ml at 1.2 times the litre's 34 is dearer than two of 250 at 1.6.
    expect(cost([coat, coat])).toBeCloseTo(Math.min(2 * 0.25 * 1.6 * 34, 0.75 * 1.2 * 34), 2);
    expect(cost([coat, coat, wash, wash]) - cost([coat, coat])).toBeCloseTo(1.6, 6);
  });

  it('counts paper, rollers and tape by zones and sittings, where the owner gives no figure', () => {
    const coat = (zone: string, code: string) => ({ zone, op: 'paint' as const, class: code, coats: 1 });
    const log = ['top', 'legs'].flatMap((zone) => [
      { zone, op: 'scuff' as const },
      coat(zone, 'wb_alkyd_enamel'),
      coat(zone, 'wb_alkyd_enamel'),
    ]);
    const line = (money: Money) =>
      closeAccount(piece({ sold: { amount: 100 }, ...money }, { log }))!.lines.find(
        ({ what }) => what === 'consumables',
      )!;
    // Two zones, two sittings that both share.
    expect(toMajor(line({}).amount)).toBe(-(2 * 1.5 + 2 * 2.5));
    expect(toMajor(line({ consumables: 6 }).amount)).toBe(-6);
  });

  it('counts hours of the log, and says none an hour where there are none', () => {
    const log = [{ zone: 'top', op: 'paint' as const, minutes: 90 }];
    expect(closeAccount(piece({ sold: { amount: 90 } }, { log }))!).toMatchObject({
      hours: 1.5,
      hoursFrom: 'worked_out',
    });
    expect(closeAccount(piece({ sold: { amount: 90 } }))!.perHour).toBeNull();
  });

  it('takes refunds off, and is none before the piece is sold', () => {
    expect(toMajor(closeAccount(piece({ sold: { amount: 100 }, refunds: [{ amount: 30 }] }))!.beforeOwnTime)).toBe(70);
    expect(closeAccount(piece({ bought: { amount: 10 } }))).toBeNull();
  });

  it.each([
    ['JPY', 320, 40, 280],
    ['EUR', 320.1, 40.07, 280.03],
    ['KWD', 320.123, 40.001, 280.122],
  ])('adds up exactly in %s', (currency, price, bought, left) => {
    const earned = closeAccount(piece({ currency, sold: { amount: price }, bought: { amount: bought } }))!;
    expect(toMajor(earned.beforeOwnTime)).toBe(left);
    expect(fromMinor(toMinor(earned.beforeOwnTime), currency)).toBeDefined();
  });
});

describe('what was worked out and put right', () => {
  it('keeps what stood there before, with when', () => {
    const first = correctAccount(undefined, { hours: 9 }, '2026-03-01T10:00:00Z');
    const second = correctAccount(first, { hours: undefined, materials: 20 }, '2026-03-02T10:00:00Z');
    expect(second).toEqual({
      materials: 20,
      earlier: [{ at: '2026-03-01T10:00:00Z' }, { hours: 9, at: '2026-03-02T10:00:00Z' }],
    });
    const earned = closeAccount(piece({ sold: { amount: 100 }, corrections: second }))!;
    expect(earned.lines.find(({ what }) => what === 'materials')!.from).toBe('corrected');
    expect(earned.hoursFrom).toBe('worked_out');
  });
});
