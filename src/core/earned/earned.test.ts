import { DOSSIER_FORMAT, type Dossier, type ShelfItem } from '../dossier';
import { compareEarned } from './compare';
import { foreseeSale, readShopAccount, tellAccount, type PieceAccount } from './index';

const NOW = '2026-11-28T09:00:00Z';
let count = 0;
const account = (more: Partial<PieceAccount> & { perHour?: number; days?: number }): PieceAccount => {
  count += 1;
  const { perHour = 1500, days = 30, ...rest } = more;
  return {
    id: `p${count}`,
    name: `Piece ${count}`,
    kind: 'dresser',
    size: 'large',
    ground: 'wood_veneer',
    way: 'paint',
    system: 'wb_alkyd_enamel',
    source: 'house clearance',
    currency: 'EUR',
    boughtAt: '2026-03-01',
    soldAt: '2026-04-15',
    next: null,
    spent: 6000,
    payments: [{ at: '2026-03-01', amount: 4000 }],
    sold: { sale: 20_000, beforeOwnTime: perHour * 10, perHour, afterOwnTime: perHour * 10 - 15_000, hours: 10, days },
    refunds: 0,
    redo: [],
    savedMinutes: 0,
    savedFaces: 0,
    ...rest,
  };
};

describe('what a piece puts into the account of the shop', () => {
  const patch = (at: string) => ({
    id: 't',
    zone: 'top',
    kind: 'nail' as const,
    at,
    age_h: 60,
    treatment: { prep: 'scuff_150' as const, primer: 'bonding_primer_wb' as const, coats: 1 },
    reading: { score: 5 },
  });
  const piece: Dossier = {
    format: DOSSIER_FORMAT,
    piece: { id: 'a', kind: 'table', name: 'Ferry table' },
    zones: [
      { id: 'top', role: 'top', area_m2: 0.5, stated: { substrate: 'hpl_laminate', finish: 'factory_film' } },
      { id: 'legs', role: 'leg', area_m2: 0.3 },
    ],
    shelf: [{ id: 'tin', class: 'wb_alkyd_enamel', price: 30, size_ml: 750 }],
    log: [
      {
        zone: 'top',
        op: 'paint',
        class: 'wb_alkyd_enamel',
        product: 'tin',
        ml: 100,
        minutes: 120,
        at: '2026-03-20T10:00:00Z',
      },
    ],
    tests: [patch('2026-03-10T10:00:00Z')],
    money: {
      hour_rate: 15,
      bought: { amount: 40, at: '2026-03-01', from: 'House clearance' },
      extras: [{ what: 'van', amount: 10, at: '2026-03-02' }],
      sold: { amount: 120, at: '2026-04-01' },
      consumables: 6,
    },
  };

  it('is what it is made of, when and where it was bought, and what it earned, to the cent', () => {
    const told = tellAccount(piece)!;
    expect(told).toMatchObject({ ground: 'hpl_laminate', system: 'wb_alkyd_enamel', source: 'house clearance' });
    expect(told.spent).toBe(5560);
    // 100 ml and the 40 left in tray and roller, at 4 cents: 120 − 40 − 10 − 5.60 − 6 = 58.40 for two hours.
    expect(told.sold).toMatchObject({ beforeOwnTime: 5840, perHour: 2920, afterOwnTime: 2840, days: 31 });
  });

  it('counts a face that a patch saved only where the patch failed before anything was on it', () => {
    expect(tellAccount(piece)).toMatchObject({ savedFaces: 1, savedMinutes: 160 });
    expect(tellAccount({ ...piece, tests: [patch('2026-03-25T10:00:00Z')] })!.savedFaces).toBe(0);
  });

  it('is nothing where no money and no patch is on record', () => {
    expect(tellAccount({ format: DOSSIER_FORMAT, piece: { kind: 'desk' } })).toBeNull();
  });

  it('keeps what had to be done again apart, with what made it', () => {
    const chosen = {
      zones: [
        {
          id: 'top',
          treatment: { prep: 'strip' as const, primer: 'bonding_primer_wb' as const },
          recovery: { trouble: 'tr', remedy: 'strip' as const, at: '2026-03-15T00:00:00Z' },
        },
      ],
    };
    const troubles = [
      {
        id: 'tr',
        zone: 'top',
        symptom: 'scratches_off' as const,
        found: { causes: [{ code: 'no_key' as const, p: 0.8 }] },
      },
    ];
    const told = tellAccount({ ...piece, chosen, troubles } as unknown as Dossier)!;
    expect(told.redo).toEqual([{ cause: 'no_key', minutes: 120, materials: 560 }]);
  });
});

describe('the account of a shop', () => {
  it('of an empty shop is nothing everywhere', () => {
    const empty = readShopAccount([], 'EUR', NOW);
    expect(empty.sums).toEqual({ sold: 0, sale: 0, beforeOwnTime: 0, afterOwnTime: 0, hours: 0 });
    expect([empty.perHour, empty.days, empty.tied.overTime, empty.redo]).toEqual([null, null, [], []]);
    expect(empty.comparisons.kind.advice).toEqual({ code: 'too_few', count: 0 });
  });

  it('adds up in minor units, and leaves another currency out and says so', () => {
    const shop = readShopAccount([account({}), account({}), account({ currency: 'JPY' })], 'EUR', NOW);
    expect(shop.sums).toMatchObject({ sold: 2, sale: 40_000, beforeOwnTime: 30_000, hours: 20 });
    expect([shop.perHour, shop.foreign]).toEqual([1500, 1]);
  });

  it('has money tied up from when it was paid until the piece was sold', () => {
    const shop = readShopAccount(
      [
        account({}),
        account({
          sold: null,
          soldAt: null,
          boughtAt: '2026-05-10',
          payments: [{ at: '2026-05-10', amount: 700 }],
          spent: 900,
        }),
      ],
      'EUR',
      NOW,
    );
    const at = (month: string): number => shop.tied.overTime.find((own) => own.at.startsWith(month))!.amount;
    expect([at('2026-04-01'), at('2026-05-01'), at('2026-06-01')]).toEqual([4000, 0, 700]);
    expect(shop.tied.now).toBe(900);
    expect(shop.tied.overTime.at(-1)).toEqual({ at: NOW, amount: 700 });
  });

  it('counts what was left in tins that went off the shelf, where that is known', () => {
    const tin = (more: object) => ({ id: 't', class: 'wb_alkyd_enamel', ...more }) as ShelfItem;
    const { thrownAway } = readShopAccount([], 'EUR', NOW, [
      tin({ price: 30, size_ml: 750, volume_ml: 250, drawn: [{ work: 'w', ml: 100 }] }),
      tin({ price: 30, size_ml: 750, volume_ml: 0 }),
      tin({ price: 30, volume_ml: 500 }),
    ]);
    expect(thrownAway).toEqual({ tins: 1, amount: 600 });
  });

  it('says what an unsold piece waits for', () => {
    const waiting: Dossier = {
      format: DOSSIER_FORMAT,
      piece: { id: 'w', kind: 'table' },
      zones: [{ id: 'top', role: 'top' }],
      money: { bought: { amount: 5 } },
    };
    const shop = readShopAccount([tellAccount(waiting)!], 'EUR', NOW);
    expect(shop.tied.pieces[0]).toMatchObject({ id: 'w', spent: 500, next: { code: 'look', zoneName: 'top' } });
  });

  it('has the days from bought to sold', () => {
    const shop = readShopAccount(
      [10, 20, 90, 30].map((days) => account({ days })),
      'EUR',
      NOW,
    );
    expect(shop.days).toMatchObject({ median: 25, low: 10, high: 90 });
  });
});

describe('what earned most', () => {
  const of = (source: string, list: number[]): PieceAccount[] => list.map((perHour) => account({ source, perHour }));

  it('cannot be told under three of a group', () => {
    const { groups, advice } = compareEarned([...of('a', [900, 1100]), ...of('b', [2000, 2100, 2200])], 'source');
    expect(groups.find(({ key }) => key === 'a')!.expected).toBeNull();
    expect(advice).toEqual({ code: 'too_few', count: 5 });
  });

  it('cannot be told apart where groups lie over each other', () => {
    const list = [...of('a', [900, 2100, 1500]), ...of('b', [1000, 2300, 1700])];
    expect(compareEarned(list, 'source').advice.code).toBe('cannot_tell');
  });

  it('is the group that stands out, with what it stands on', () => {
    const list = [
      ...of('a', [900, 1000, 1100, 950]),
      ...of('b', [1000, 1050, 900]),
      ...of('c', [2400, 2500, 2300, 2450]),
    ];
    const { advice, groups } = compareEarned(list, 'source');
    expect(advice).toMatchObject({ code: 'buy_more', key: 'c', count: 4 });
    expect(groups[0]!.key).toBe('c');
    expect(
      compareEarned(
        list.filter(({ source }) => source !== 'b'),
        'source',
      ).advice.code,
    ).toBe('buy_more');
  });
});

describe('what a piece will sell for', () => {
  const traits = { kind: 'dresser', size: 'large', ground: 'wood_veneer', way: 'paint' } as const;
  const sales = (kind: 'dresser' | 'table', prices: number[]) => prices.map((price) => ({ ...traits, kind, price }));

  it('is what is typed where none of its kind was sold, and nothing where nothing is known', () => {
    const typed = { low: 100, likely: 150, high: 200 };
    expect(foreseeSale(sales('table', [90]), traits, typed)).toMatchObject({ ...typed, from: 'typed', ofKind: 0 });
    expect(foreseeSale(sales('table', [90]), traits)).toBeNull();
  });

  it('goes by own sales of the kind, drawn toward all', () => {
    const own = foreseeSale([...sales('dresser', [240, 260, 250, 255]), ...sales('table', [110, 120, 115])], traits)!;
    expect(own).toMatchObject({ from: 'own', ofKind: 4, inAll: 7 });
    expect(own.likely).toBeGreaterThan(230);
    expect(own.likely).toBeLessThan(252);
    expect(own.low).toBeLessThan(own.likely);
    expect(own.high).toBeGreaterThan(own.likely);
  });

  it('blends with what is typed, the more the fewer there are', () => {
    const typed = { low: 300, likely: 400, high: 500 };
    const one = foreseeSale([...sales('dresser', [200]), ...sales('table', [100, 110])], traits, typed)!;
    const many = foreseeSale([...sales('dresser', Array(12).fill(200)), ...sales('table', [100, 110])], traits, typed)!;
    expect(one.from).toBe('both');
    expect(one.likely).toBeGreaterThan(many.likely);
    expect(many.likely).toBeLessThan(240);
    const free = foreseeSale(sales('dresser', [200]), traits, { ...typed, low: 0 })!;
    expect(free.from).toBe('both');
    expect(free.low).toBeLessThan(one.low);
  });

  it('knows that pine sells for less than mahogany where the sales say so', () => {
    const on = (ground: 'knotty_softwood' | 'wood_veneer', prices: number[]) =>
      prices.map((price) => ({ ...traits, ground, price }));
    const list = [...on('knotty_softwood', [100, 105, 110, 95]), ...on('wood_veneer', [200, 210, 190, 205])];
    const pine = foreseeSale(list, { ...traits, ground: 'knotty_softwood' })!;
    const veneer = foreseeSale(list, traits)!;
    expect(pine.likely).toBeLessThan(0.7 * veneer.likely);
  });
});
