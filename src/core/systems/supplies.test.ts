import { DOSSIER_FORMAT, type Dossier } from '../dossier';
import { listSupplies } from './supplies';
import { LABEL_CLIMATE } from '../climate';
import { planPiece } from './plan';
import { listProducts } from './product';
import { nameStep, sayPlanBlock, sayWhy } from '@/words';

const piece = (more: Partial<Dossier> = {}): Dossier => ({
  format: DOSSIER_FORMAT,
  piece: { kind: 'sideboard', history: { era: 'since_2000', painted_before: 'no' } },
  zones: [
    { id: 'top', role: 'top', area_m2: 0.8, stated: { substrate: 'tannin_rich_wood', finish: 'varnish_oil' } },
    { id: 'sides', role: 'side', area_m2: 1.1, stated: { substrate: 'tannin_rich_wood', finish: 'varnish_oil' } },
  ],
  ...more,
});
const cheapest = (dossier: Dossier): number =>
  planPiece({ ...dossier, goal: { ...dossier.goal, priority: 'cheapest' } }).systems[0]!.totalCost;
const tin = (code: string, volume_ml: number, more: object = {}) => ({
  id: `tin-${code}`,
  class: code,
  volume_ml,
  ...more,
});

describe('what a system uses', () => {
  it('is taken from the shelf first, and the rest bought in whole tins', () => {
    const shelf = [tin('wb_alkyd_enamel', 300)];
    const enamel = listProducts(shelf, LABEL_CLIMATE).find(({ class: code }) => code === 'wb_alkyd_enamel')!;
    const [supply] = listSupplies(new Map([[enamel, 700]]));
    // 700 ml and 40 ml that stay in tray and roller.
    expect(supply).toMatchObject({ neededMl: 740, fromShelf: [{ id: 'tin-wb_alkyd_enamel', ml: 300 }] });
    const bought = supply!.buy.tins.reduce((sum, { volumeMl, count }) => sum + volumeMl * count, 0);
    expect(bought - 440).toBe(supply!.buy.leftMl);
  });

  it('counts one tin for all zones, not one for each', () => {
    const { supplies, zones } = planPiece(piece()).systems[0]!;
    const paint = supplies.find(({ class: code }) => code === 'wb_alkyd_enamel')!;
    const millilitres = zones.flatMap(({ steps }) => steps).filter((step) => step.class === 'wb_alkyd_enamel');
    expect(millilitres).toHaveLength(2);
    expect(paint.neededMl).toBe(millilitres.reduce((sum, { ml }) => sum + ml!, 40));
  });

  it('never costs more for one tin more on the shelf', () => {
    const before = cheapest(piece());
    for (const code of ['shellac_primer', 'wb_alkyd_enamel', 'stainblock_primer_oil', 'chalk_paint', 'degreaser'])
      expect(cheapest(piece({ shelf: [tin(code, 750)] }))).toBeLessThanOrEqual(before + 1e-9);
  });

  it('follows the label of the owner’s own tin', () => {
    const shelf = [tin('wb_alkyd_enamel', 2500, { recoat_h: 24, coverage_m2_l: 8 })];
    const step = planPiece(piece({ shelf })).systems[0]!.zones[0]!.steps.find(({ op }) => op === 'paint')!;
    expect(step).toMatchObject({ product: 'tin-wb_alkyd_enamel', recoatH: 24 });
    // 0.8 m² ÷ 8 m²/L = 100 ml a coat, and 10 % lost.
    expect(step.ml).toBe(Math.round((110 * step.coats!) / 5) * 5);
  });
});

describe('coats and primer tint', () => {
  const painted = (colour: string) => planPiece(piece({ goal: { colour } })).systems[0]!.zones[0]!.stack;

  it('are at least two, and more where a colour hides badly', () => {
    expect(painted('#2B3A42').paintCoats).toBe(2);
    expect(painted('#F3EFE6').paintCoats).toBeGreaterThanOrEqual(2);
    expect(painted('#E8B400').paintCoats).toBeGreaterThanOrEqual(painted('#F3EFE6').paintCoats);
  });

  it('tint the primer where that saves a coat, and say so', () => {
    const plan = planPiece(piece({ goal: { colour: '#C03020' } })).systems[0]!.zones[0]!;
    expect(plan.stack.tint).not.toBe('white');
    expect(nameStep(plan.steps.find(({ op }) => op === 'prime')!)).toMatch(/tinted (grey|dark)/);
    expect(sayWhy(plan.steps.find(({ op }) => op === 'paint')!.why)).toMatch(/over white it would take \d/);
  });
});

describe('the air', () => {
  it('stretches waits beyond the label, never below it, and says so', () => {
    const waits = (temperature_c: number, humidity_pct: number): number =>
      planPiece(piece({ climate: { temperature_c, humidity_pct } })).systems[0]!.zones[0]!.steps.find(
        ({ op }) => op === 'paint',
      )!.recoatH!;
    expect(waits(12, 70)).toBeGreaterThan(waits(21, 50));
    expect(waits(30, 30)).toBe(waits(21, 50));
  });

  it.each([
    [6, 60, /Too cold/],
    [20, 90, /Too damp/],
    [20, 84, /dew point/],
  ])('at %d °C and %d %% holds coats back', (temperature_c, humidity_pct, words) => {
    const { blocked, systems } = planPiece(piece({ climate: { temperature_c, humidity_pct } }));
    expect(sayPlanBlock(blocked.find(({ gate }) => gate === 'climate')!)).toMatch(words);
    expect(systems.length).toBeGreaterThan(0);
  });
});
