import { STRIPPINGS, type FinishCode, type StrippingCode, type SubstrateCode } from '../knowledge';
import { DOSSIER_FORMAT, type Dossier, type Zone } from '../dossier';
import { planPiece } from './plan';
import { readMetGround } from './ground';
import {
  chooseStripping,
  faceOf,
  STRIP_RULES,
  STRIP_RULE_CODES,
  type StripFace,
  type StripRuleCode,
} from './stripping';

function makeFace(
  substrate: SubstrateCode,
  finish: FinishCode,
  more: Partial<StripFace> = {},
  zone: Partial<Zone> = {},
  piece: Partial<Dossier['piece']> = {},
  goal: Dossier['goal'] = {},
): StripFace {
  const own: Zone = { id: 'a', role: 'top', area_m2: 0.5, stated: { substrate, finish }, ...zone };
  const dossier: Dossier = {
    format: DOSSIER_FORMAT,
    piece: { kind: 'table', history: { era: 'since_2000' }, ...piece },
    zones: [own],
    goal,
  };
  return { ...faceOf(readMetGround(dossier, own)), ...more };
}
const methods = (face: StripFace): StrippingCode[] => chooseStripping(face).ways.map(({ method }) => method);
const rule = (face: StripFace, method: StrippingCode): StripRuleCode | undefined =>
  chooseStripping(face).ruledOut.find((own) => own.method === method)?.rule;

/* Each rule both ways (common practice): a face that it cuts a way on, and one that differs in nothing else. */
const OLD = { history: { era: 'before_1940' as const } };
const CASES: Record<StripRuleCode, { method: StrippingCode; cuts: StripFace; lets: StripFace }> = {
  lead_no_dust_no_heat: {
    method: 'sand',
    cuts: makeFace('closed_grain_hardwood', 'alkyd_paint', {}, {}, OLD),
    lets: makeFace('closed_grain_hardwood', 'alkyd_paint'),
  },
  heat_lifts_foil: {
    method: 'heat',
    cuts: makeFace('thermofoil', 'alkyd_paint', { thick: 0.9 }),
    lets: makeFace('clear_softwood', 'alkyd_paint', { thick: 0.9 }),
  },
  heat_opens_glue: {
    method: 'heat',
    cuts: makeFace('wood_veneer', 'alkyd_paint', { thick: 0.9 }),
    lets: makeFace('clear_softwood', 'alkyd_paint', { thick: 0.9 }),
  },
  heat_burns_shellac: {
    method: 'heat',
    cuts: makeFace('closed_grain_hardwood', 'shellac', { thick: 0.9 }),
    lets: makeFace('closed_grain_hardwood', 'alkyd_paint', { thick: 0.9 }),
  },
  heat_for_thick_on_wood: {
    method: 'heat',
    cuts: makeFace('clear_softwood', 'alkyd_paint', { thick: 0.1 }),
    lets: makeFace('clear_softwood', 'alkyd_paint', { thick: 0.9 }),
  },
  gel_eats_film: {
    method: 'gel',
    cuts: makeFace('hpl_laminate', 'factory_film'),
    lets: makeFace('clear_softwood', 'alkyd_paint'),
  },
  gel_wants_air: {
    method: 'gel',
    cuts: makeFace('clear_softwood', 'alkyd_paint', {}, {}, {}, { ventilation: 'none' }),
    lets: makeFace('clear_softwood', 'alkyd_paint'),
  },
  water_swells_board: {
    method: 'wash_off',
    cuts: makeFace('mdf', 'chalk_paint'),
    lets: makeFace('clear_softwood', 'chalk_paint'),
  },
  water_for_open_chalk: {
    method: 'wash_off',
    cuts: makeFace('clear_softwood', 'alkyd_paint'),
    lets: makeFace('clear_softwood', 'chalk_paint'),
  },
  sanding_wears_through: {
    method: 'sand',
    cuts: makeFace('paper_foil', 'latex_paint'),
    lets: makeFace('clear_softwood', 'latex_paint'),
  },
  scraper_for_small_flats: {
    method: 'scrape',
    cuts: makeFace('clear_softwood', 'alkyd_paint', { loose: false }, { area_m2: 2 }),
    lets: makeFace('clear_softwood', 'alkyd_paint', { loose: false }, { area_m2: 0.3 }),
  },
};

describe('getting an old coat off', () => {
  it.each(STRIP_RULE_CODES)('knows %s, both ways', (code) => {
    const { method, cuts, lets } = CASES[code];
    expect(rule(cuts, method)).toBe(code);
    expect(methods(lets)).toContain(method);
    expect(STRIP_RULES.some(({ id }) => id === code)).toBe(true);
  });

  it('names every way as allowed or ruled out, never both', () => {
    for (const { cuts } of Object.values(CASES)) {
      const { ways, ruledOut } = chooseStripping(cuts);
      expect([...ways, ...ruledOut].map(({ method }) => method).sort()).toEqual([...STRIPPINGS].sort());
    }
  });

  it('washes open chalk paint off in the least time', () => {
    expect(methods(makeFace('clear_softwood', 'chalk_paint'))[0]).toBe('wash_off');
  });

  it('takes longer where the coat gums, is thick or lies in mouldings', () => {
    const sand = (face: StripFace): number =>
      chooseStripping(face).ways.find(({ method }) => method === 'sand')!.minutes;
    const plain = sand(makeFace('clear_softwood', 'alkyd_paint', { thick: 0, chalky: 0 }));
    expect(sand(makeFace('clear_softwood', 'alkyd_paint', { thick: 0, chalky: 1 }))).toBeGreaterThan(plain);
    expect(sand(makeFace('clear_softwood', 'alkyd_paint', { thick: 1, chalky: 0 }))).toBeGreaterThan(plain);
    expect(sand(makeFace('clear_softwood', 'alkyd_paint', { thick: 0, chalky: 0 }, { moulded: true }))).toBeGreaterThan(
      plain,
    );
  });

  it('has its way on the step of every plan that strips, and says why not the others', () => {
    const zone: Zone = {
      id: 'a',
      role: 'front',
      area_m2: 0.4,
      stated: { substrate: 'clear_softwood', finish: 'alkyd_paint' },
      observations: [{ check: 'tape_pull', result: 'sheets' }],
    };
    const [system] = planPiece({
      format: DOSSIER_FORMAT,
      piece: { kind: 'table', history: { era: 'since_2000' } },
      zones: [zone],
    }).systems;
    const step = system!.zones[0]!.steps.find(({ op }) => op === 'strip')!;
    expect(STRIPPINGS).toContain(step.method);
    expect(step.why.find(({ code }) => code === 'strips_by')).toMatchObject({
      method: step.method,
      ruledOut: expect.arrayContaining([expect.objectContaining({ method: 'wash_off' })]),
    });
  });
});
