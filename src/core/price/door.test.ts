import { DOSSIER_FORMAT, type Dossier } from '../dossier';
import { FILM_FACTS } from '../knowledge';
import { makeRandom, quantile } from '../shared';
import { judgeDoor, roundDown } from './door';
import { triangular } from './draws';
import { listSurfaces } from './surfaces';

type Money = NonNullable<Dossier['money']>;
const SALE = { low: 150, likely: 200, high: 260 };
const piece = (money: Money, more: Partial<Dossier> = {}): Dossier => ({
  format: DOSSIER_FORMAT,
  piece: { kind: 'sideboard', history: { era: 'since_2000' } },
  zones: [
    { id: 'top', role: 'top', area_m2: 0.6 },
    { id: 'sides', role: 'side', area_m2: 0.8 },
  ],
  money: { sale: SALE, hour_rate: 15, target: { profit: 20 }, ...money },
  ...more,
});
const known = (money: Money): Dossier =>
  piece(money, {
    zones: [
      {
        id: 'top',
        role: 'top',
        area_m2: 0.6,
        stated: { substrate: 'closed_grain_hardwood', finish: 'varnish_oil' },
        observations: [
          { check: 'bleed_probe', result: 'stays_white' },
          { check: 'damp_rag', result: 'clean' },
        ],
      },
    ],
  });

describe('the most to pay at the door', () => {
  it('is the sale less all costs and the target, exactly, where nothing is uncertain', () => {
    const door = judgeDoor(known({ spread: { hours_pct: 0, sale: 'exact' } }));
    const costs = Object.values(door.cost).reduce((sum, own) => sum + own, 0);
    expect(door.exact).toBeCloseTo(200 - costs - 20, 6);
    expect(door.walkAway).toBe(roundDown(door.exact));
    expect(door.hours.low).toBeCloseTo(door.hours.high, 9);
  });

  it('is met in four draws of five', () => {
    const door = judgeDoor(piece({ asking: 0 }));
    // What is left at a price of nothing, less the target, is at least the walk-away price in four of five.
    expect(door.profit.low).toBeLessThan(door.exact + 20);
    expect(door.profit.median).toBeGreaterThan(door.exact);
  });

  it('falls when the rate, the fees, the target or the spread of the sale rise', () => {
    const base = judgeDoor(piece({})).exact;
    for (const money of [
      { hour_rate: 25 },
      { fees_pct: 10 },
      { fees_fixed: 5 },
      { target: { profit: 60 } },
      { sale: { low: 90, likely: 200, high: 320 } },
    ])
      expect(judgeDoor(piece(money)).exact).toBeLessThan(base);
  });

  it('meets both targets where both stand', () => {
    const [byProfit, byHour] = [
      judgeDoor(piece({ target: { profit: 40 } })).exact,
      judgeDoor(piece({ target: { per_hour: 30 } })).exact,
    ];
    expect(judgeDoor(piece({ target: { profit: 40, per_hour: 30 } })).exact).toBeLessThanOrEqual(
      Math.min(byProfit, byHour) + 1e-9,
    );
  });

  it('does not change with what was paid already', () => {
    expect(judgeDoor(piece({ bought: { amount: 30 }, extras: [{ what: 'fetching', amount: 9 }] })).exact).toBe(
      judgeDoor(piece({})).exact,
    );
  });

  it('is the same for the same seed, and near it for another', () => {
    const [one, again, other] = [judgeDoor(piece({})), judgeDoor(piece({})), judgeDoor(piece({}), { seed: 7 })];
    expect(again).toEqual(one);
    expect(Math.abs(other.exact - one.exact)).toBeLessThan(8);
  });

  it('names gentle looks by what they are worth, never below nothing', () => {
    const { movesMost } = judgeDoor(piece({ asking: 75, sale: { low: 140, likely: 160, high: 190 } }));
    expect(movesMost.length).toBeGreaterThan(0);
    if (movesMost.length > 1) for (const { worth } of movesMost) expect(worth).toBeGreaterThan(0);
    expect(movesMost.map(({ worth }) => worth)).toEqual([...movesMost.map(({ worth }) => worth)].sort((a, b) => b - a));
  });

  it('is told as a verdict', () => {
    expect(judgeDoor(known({ asking: 10 })).verdict).toBe('take');
    expect(judgeDoor(known({})).verdict).toBe('take_below');
    expect(judgeDoor(known({ asking: 10, sale: { low: 10, likely: 12, high: 15 } })).verdict).toBe('leave');
    const lead = piece({ asking: 5 });
    expect(
      judgeDoor({
        ...lead,
        zones: lead.zones!.map((zone) => ({ ...zone, observations: [{ check: 'lead_test', result: 'positive' }] })),
      }),
    ).toMatchObject({ verdict: 'leave', walkAway: 0 });
  });
});

describe('draws of a small belief', () => {
  const open: Dossier = {
    ...piece({ spread: { hours_pct: 0, sale: 'exact' } }),
    zones: [{ id: 'top', role: 'top', area_m2: 0.6 }],
  };
  const count = 20_000;
  const { surfaces } = listSurfaces(open).zones[0]!;
  const expected = (value: (surface: (typeof surfaces)[number]) => number): number =>
    surfaces.reduce((sum, own) => sum + own.p * value(own), 0);

  /** The cheapest tins that hold so much, by trying: a litre costs 1.6 times as much in 250 ml, 1.2 in 750, 0.9 in 2500. */
  const tins = (perLitre: number, ml: number): number => {
    let least = Infinity;
    for (let small = 0; small < 4; small += 1)
      for (let medium = 0; medium < 4; medium += 1)
        for (let large = 0; large < 3; large += 1)
          if (250 * small + 750 * medium + 2500 * large >= ml)
            least = Math.min(least, perLitre * (0.25 * 1.6 * small + 0.75 * 1.2 * medium + 2.5 * 0.9 * large));
    return least;
  };
  type Own = (typeof surfaces)[number];
  const countMaterials = ({ splashes, uses }: Own): number =>
    uses.reduce((sum, { product, ml }) => sum + tins(FILM_FACTS[product.class].pricePerLitre, ml + 40), splashes);
  // Each sitting once, and what a step has once: the zone stands alone.
  const countMinutes = ({ minutes, shared }: Own): number => shared.reduce((sum, own) => sum + own.minutes, minutes);

  it('have the means that counting every surface out gives', () => {
    const door = judgeDoor(open, { draws: count });
    const mean = expected(countMaterials);
    const spread = Math.sqrt(expected((own) => (countMaterials(own) - mean) ** 2));
    expect(surfaces.length).toBeGreaterThan(2);
    expect(Math.abs(door.cost.materials - mean)).toBeLessThan((4 * spread) / Math.sqrt(count) + 1e-9);
  });

  it('have the price that is met with four in five of what may be found', () => {
    const door = judgeDoor(open, { draws: count });
    // Counted out: the chance of the surfaces with which a little less than the price is still met, and a little more is not.
    const left = surfaces.map((own) => {
      const hours = countMinutes(own) / 60;
      const redo = own.risk * (((60 + 200 * 0.6 + own.minutes) / 60) * 15 + own.again);
      // Paper and tape for the zone, a roller for each sitting.
      const small = 1.5 + 2.5 * own.coats.reduce((sum, { coats }) => sum + coats, 0);
      return { p: own.p, most: 200 - countMaterials(own) - small - hours * 15 - redo - 20 };
    });
    const met = (price: number): number => left.reduce((sum, own) => sum + (own.most >= price - 1e-6 ? own.p : 0), 0);
    expect(met(door.exact)).toBeGreaterThan(0.79);
    expect(met(door.exact + 1)).toBeLessThan(0.81);
  });

  it('spread the hours as a lognormal does', () => {
    const door = judgeDoor(
      { ...open, money: { ...open.money, sale: SALE, spread: { hours_pct: 30, sale: 'exact' } } },
      { draws: count },
    );
    const sure = expected((own) => countMinutes(own) / 60) * 15;
    // Mean of a lognormal about 1: exp(σ² / 2) (textbook).
    expect(door.cost.ownTime / sure).toBeCloseTo(Math.exp(Math.log(1.3) ** 2 / 2), 1);
  });
});

describe('draws', () => {
  it('of a triangular range have its mean and its ends', () => {
    const random = makeRandom(3);
    const drawn = Array.from({ length: 20_000 }, () => triangular(random(), 10, 20, 60));
    // Mean of a triangular distribution: a third of low, likely and high (textbook).
    expect(drawn.reduce((sum, own) => sum + own, 0) / drawn.length).toBeCloseTo(30, 0);
    expect([triangular(0, 10, 20, 60), triangular(1, 10, 20, 60), triangular(0.5, 20, 20, 20)]).toEqual([10, 60, 20]);
  });
  it('are haggled in whole units below fifty and in fives above', () =>
    expect([-3, 0.9, 42.7, 49.99, 50, 64.9, 123].map(roundDown)).toEqual([0, 0, 42, 49, 50, 60, 120]));
  it('have quantiles', () =>
    expect([0, 0.2, 0.5, 1].map((share) => quantile([5, 1, 4, 2, 3], share))).toEqual([1, 2, 3, 5]));
});
