import type { Dossier, Goal, Zone } from '../dossier';
import { tellTraits, type Sale } from '../earned';
import {
  CLEAR_FACTS,
  RECOAT_OVER,
  TOPCOATS,
  type ClearCode,
  type FinishCode,
  type SubstrateCode,
  type WayCode,
} from '../knowledge';
import { planPiece, type Step } from '../systems';
import { listWays } from './ways';

const piece = (
  stated: { substrate: SubstrateCode; finish: FinishCode },
  goal: Goal = {},
  zone: Partial<Zone> = {},
  more: Partial<Dossier['piece']> = {},
): Dossier => ({
  format: 'bricolage.dossier/1',
  piece: { kind: 'sideboard', history: { era: '1940_1977', painted_before: 'no' }, ...more },
  zones: [{ id: 'z', role: 'side', area_m2: 1, stated, ...zone }],
  goal,
  money: { currency: 'EUR', sale: { low: 150, likely: 200, high: 260 } },
});
const TEAK = { substrate: 'oily_tropical_wood', finish: 'oil' } as const;
const PINE = { substrate: 'clear_softwood', finish: 'varnish_oil' } as const;
const BOARD = { substrate: 'melamine_board', finish: 'factory_film' } as const;
const money = { sales: [], hourRate: 15 };

describe('paint, refresh or refinish', () => {
  it('stand side by side for wood, each with hands, days, money and chance; board is only painted', () => {
    const { ways } = listWays(piece(TEAK), money);
    expect(ways.map(({ way }) => way)).toEqual(['paint', 'refresh', 'refinish']);
    for (const { system } of ways) expect(system).not.toBeNull();
    const [paint, refresh, refinish] = ways;
    expect(refresh!.system!.handsOnMin).toBeLessThan(refinish!.system!.handsOnMin);
    expect(refresh!.system!.handsOnMin).toBeLessThanOrEqual(120);
    expect(refinish!.system!.risk.overall).toBeLessThan(refresh!.system!.risk.overall);
    expect(paint!.system!.zones[0]!.stack.paint).not.toBeNull();
    expect(listWays(piece(BOARD), money).ways).toEqual([]);
  });

  // Common practice: teak painted × 0.75, refreshed × 1, refinished × 1.15; pine × 1.1, 0.9, 1.
  it('bring what the wood is liked for: teak more as wood, pine more painted', () => {
    const sells = (own: Dossier): (number | null)[] => listWays(own, money).ways.map((way) => way.sells);
    expect(sells(piece(TEAK)).map((price) => Math.round(price!))).toEqual([150, 200, 230]);
    expect(sells(piece(PINE)).map((price) => Math.round(price!))).toEqual([220, 180, 200]);
    expect(listWays(piece(TEAK), money).best!.way).not.toBe('paint');
    const { money: _money, ...unpriced } = piece(TEAK);
    expect(listWays(unpriced, money).best).toBeNull();
  });

  const clearSteps = (topcoat: 'wb_clear' | 'wipe_on_oil', wishes: Goal): readonly Step[] => {
    const own = piece({ substrate: 'closed_grain_hardwood', finish: 'bare' }, { look: 'clear', ...wishes });
    const stack = { prep: 'sand_bare' as const, primers: [], paint: null, paint_coats: 0, topcoat };
    const treatment = { prep: 'sand_bare' as const, primer: 'none' as const, coats: 0, clear: topcoat };
    const chosen = { at: '2026-01-01T00:00:00Z', zones: [{ id: 'z', treatment, stack }] };
    return planPiece({ ...own, chosen }).taken!.system!.zones[0]!.steps;
  };

  it('are priced by own sales of such pieces made so, before any usual share', () => {
    const own = piece(TEAK);
    const sold = (way: WayCode, price: number): Sale => ({ ...tellTraits(own), way, price });
    const { money: _money, ...unpriced } = own;
    const of = (dossier: Dossier, sales: Sale[]) =>
      listWays(dossier, { ...money, sales }).ways.map(({ sells, bySales }) => [Math.round(sells!), bySales]);
    // Three painted ones alone: the others by what admired wood brings against that, 0.75 : 1 : 1.15.
    expect(
      of(
        unpriced,
        [150, 150, 150].map((price) => sold('paint', price)),
      ),
    ).toEqual([
      [150, true],
      [200, false],
      [230, false],
    ]);
    // Six refreshed ones at 300 count twice what is typed does, which stands for three.
    const [paint, refresh] = of(
      own,
      Array.from({ length: 6 }, () => sold('refresh', 300)),
    );
    expect(paint).toEqual([150, false]);
    expect(refresh).toEqual([Math.round(300 ** (2 / 3) * 200 ** (1 / 3)), true]);
  });

  it('are sprayed where a gun is used, but oil is rubbed in', () => {
    const minutes = (topcoat: 'wb_clear' | 'wipe_on_oil', application: 'brush_roll' | 'spray'): number =>
      clearSteps(topcoat, { application }).find(({ op }) => op === 'topcoat')!.minutes;
    expect(minutes('wb_clear', 'spray')).toBeLessThan(minutes('wb_clear', 'brush_roll') * 0.7);
    expect(minutes('wipe_on_oil', 'spray')).toBe(minutes('wipe_on_oil', 'brush_roll'));
  });

  it('sand clear coats as the owner sands all: between each, or only where it is rough', () => {
    const minutes = (between: 'denib_every' | 'only_if_rough'): number =>
      clearSteps('wb_clear', { schools: { between } }).find(({ name }) => name === 'sand_between')!.minutes;
    expect(minutes('only_if_rough')).toBeLessThan(minutes('denib_every'));
  });

  it('know a wood top over a painted body, and the owner’s own wish', () => {
    const own = piece(TEAK, { zones: { top: { look: 'clear', keep: 'refinish' } } });
    const mixed: Dossier = {
      ...own,
      zones: [...own.zones!, { id: 'top', role: 'top', area_m2: 0.5, stated: TEAK }],
    };
    const { ways } = listWays(mixed, money);
    const top = ways.filter(({ zone }) => zone === 'top');
    expect(top.map(({ way }) => way)).toEqual(['refresh', 'refinish']);
    const stacks = top[1]!.system!.zones.map(({ stack }) => [stack.paint !== null, stack.topcoat !== 'none']);
    expect(stacks).toEqual([
      [true, false],
      [false, true],
    ]);
    expect(ways.filter(({ wished }) => wished)).toEqual([top[1]]);
  });

  it('plan each way as a plan with that wish does', () => {
    for (const stated of [TEAK, PINE])
      for (const priority of [undefined, 'surest'] as const) {
        const own = piece(stated, priority ? { priority } : {});
        for (const { goal, system } of listWays(own, money).ways) {
          const [planned] = planPiece({ ...own, goal }).systems;
          expect(system!.zones.map(({ stack }) => stack)).toEqual(planned!.zones.map(({ stack }) => stack));
          expect(system).toMatchObject({ handsOnMin: planned!.handsOnMin, risk: planned!.risk });
        }
      }
  });

  it('say what speaks against showing the wood', () => {
    const burnt = piece(PINE, { colour: '#1E2A30' }, { defects: [{ code: 'burn' }] });
    expect(listWays(burnt, money).against).toEqual([{ code: 'fault', defect: 'burn' }, { code: 'colour_asked' }]);
    expect(listWays(piece(PINE), money).against).toEqual([]);
  });
});

/* The table of what may go over what (common practice), every pair both ways, through the search itself. */
describe('a clear coat without stripping', () => {
  const CLEARS = TOPCOATS.filter((code): code is ClearCode => code !== 'none');
  const OVER = [
    'shellac',
    'nitro_lacquer',
    'varnish_oil',
    'waterborne_clear',
    'catalysed_lacquer',
    'oil',
    'hardwax_oil',
  ] as const;
  const recoated = (finish: FinishCode, clear: ClearCode, barred: boolean): boolean => {
    const own = piece({ substrate: 'closed_grain_hardwood', finish }, { look: 'clear', keep: 'refinish' });
    const primers = barred ? [{ code: 'shellac_clear' as const, coats: 1 }] : [];
    const stack = { prep: 'scuff_220' as const, primers, paint: null, paint_coats: 0, topcoat: clear };
    const treatment = { prep: 'scuff_220' as const, primer: 'none' as const, coats: 0, clear };
    const chosen = { at: '2026-01-01T00:00:00Z', zones: [{ id: 'z', treatment, stack }] };
    return planPiece({ ...own, chosen } as Dossier).taken!.system !== null;
  };

  it.each(OVER.flatMap((finish) => CLEARS.map((clear) => [finish, clear] as const)))('over %s: %s', (finish, clear) => {
    expect(recoated(finish, clear, false)).toBe(RECOAT_OVER[finish].includes(clear));
    // Dewaxed shellac parts a film from any film; oiled wood takes none.
    const film = CLEAR_FACTS[clear].lies === 'on';
    expect(recoated(finish, clear, true)).toBe(film && finish !== 'oil' && finish !== 'hardwax_oil');
  });

  it('is asked for by name in the published pairs: shellac on shellac, lacquer, varnish; the same oil on oil; no film on oil', () => {
    expect(recoated('shellac', 'shellac_clear', false)).toBe(true);
    expect(recoated('shellac', 'wb_clear', false)).toBe(false);
    expect(recoated('varnish_oil', 'oil_polyurethane', false)).toBe(true);
    expect(recoated('oil', 'oil_polyurethane', false)).toBe(false);
    expect(recoated('oil', 'wipe_on_oil', false)).toBe(true);
    expect(recoated('hardwax_oil', 'wb_polyurethane', false)).toBe(false);
  });
});

describe('where a clear finish stands', () => {
  const clears = (own: Dossier): string[] => planPiece(own).systems.map(({ zones }) => zones[0]!.stack.topcoat);
  const bare = { substrate: 'open_grain_hardwood', finish: 'bare' } as const;

  it('a top in daily use takes hardwax oil or a film, three coats of waterborne', () => {
    const { systems } = planPiece(piece(bare, { look: 'clear' }, { role: 'top' }));
    for (const { zones } of systems) {
      const { topcoat, topcoats } = zones[0]!.stack;
      expect(['hardwax_oil', 'oil_polyurethane', 'wb_clear', 'wb_polyurethane']).toContain(topcoat);
      if (topcoat.startsWith('wb_')) expect(topcoats).toBe(3);
    }
    const oiled = planPiece(piece(TEAK, { look: 'clear', keep: 'refinish' }, { role: 'top' })).systems[0]!;
    expect(oiled.zones[0]!.stack.topcoat).toBe('wipe_on_oil');
  });

  it('over a radiator no wax and no shellac; outdoors nothing', () => {
    for (const topcoat of clears(piece(bare, { look: 'clear' }, { heat: true })))
      expect(['wax', 'shellac_clear']).not.toContain(topcoat);
    const out = planPiece(piece(bare, { look: 'clear', room: 'outdoors' }));
    expect(out.systems).toEqual([]);
    expect(out.blocked.map(({ gate }) => gate)).toContain('outdoors');
    expect(planPiece(piece(bare, { look: 'clear', room: 'hall' })).systems.length).toBeGreaterThan(0);
  });

  it('veneer is never sanded coarser than 150, and every grit is a step', () => {
    const grits = (substrate: SubstrateCode): (number | undefined)[] => {
      const { systems } = planPiece(piece({ substrate, finish: 'bare' }, { look: 'stain' }));
      return systems[0]?.zones[0]!.steps.filter(({ op }) => op === 'sand').map(({ grit }) => grit) ?? [];
    };
    expect(grits('closed_grain_hardwood')).toEqual([100, 120, 150, 180]);
    const veneer = planPiece(
      piece({ substrate: 'wood_veneer', finish: 'varnish_oil' }, { look: 'clear', keep: 'refinish' }),
    ).systems.flatMap(({ zones }) => zones[0]!.steps.flatMap(({ op, grit }) => (op === 'sand' && grit ? [grit] : [])));
    for (const grit of veneer) expect(grit).toBeGreaterThanOrEqual(150);
  });
});
