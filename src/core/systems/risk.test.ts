import { DOSSIER_FORMAT, type Dossier, type Zone } from '../dossier';
import type { PrepCode, PrimerCode } from '../knowledge';
import { readGround, type Ground } from './ground';
import { computeRisk, listWarnings, type Risk } from './risk';
import { listSteps } from './steps';
import type { Candidate } from './candidates';

function ground(stated: NonNullable<Zone['stated']>, zone: Partial<Zone> = {}, goal: Dossier['goal'] = {}): Ground {
  const own: Zone = { id: 'z', name: 'Top', role: 'top', area_m2: 1, stated, ...zone };
  return readGround(
    { format: DOSSIER_FORMAT, piece: { kind: 'table', history: { era: 'since_2000' } }, zones: [own], goal },
    own,
  );
}
const candidate = (prep: PrepCode, primer: PrimerCode | null, coats = 1, more: Partial<Candidate> = {}): Candidate => ({
  prep,
  primers: primer ? [{ code: primer, coats }] : [],
  paint: 'wb_alkyd_enamel',
  paintCoats: 2,
  cover: null,
  topcoat: 'none',
  topcoats: 0,
  ...more,
});
const LAMINATE = ground({ substrate: 'hpl_laminate', finish: 'factory_film' });
const MAHOGANY = ground({ substrate: 'tannin_rich_wood', finish: 'varnish_oil' });
const risk = (own: Ground, prep: PrepCode, primer: PrimerCode | null, coats = 1): Risk =>
  computeRisk(candidate(prep, primer, coats), own);

describe('the chance of letting go', () => {
  it('on laminate, falls more by a scuff than by a primer, and most by both (common practice)', () => {
    const nothing = risk(LAMINATE, 'none', null).adhesion;
    const scuffed = risk(LAMINATE, 'scuff_150', null).adhesion;
    const primed = risk(LAMINATE, 'none', 'bonding_primer_wb').adhesion;
    const both = risk(LAMINATE, 'scuff_150', 'bonding_primer_wb').adhesion;
    expect(nothing).toBeGreaterThan(primed);
    expect(primed).toBeGreaterThan(scuffed);
    expect(scuffed).toBeGreaterThan(both);
  });

  it('on laminate, is least with a two-part primer and more with an all-purpose one', () => {
    const order = (
      [
        'bonding_primer_2k',
        'bonding_primer_wb',
        'shellac_primer',
        'stainblock_primer_wb',
        'allpurpose_primer_wb',
      ] as const
    ).map((primer) => risk(LAMINATE, 'scuff_150', primer).adhesion);
    expect([...order].sort((a, b) => a - b)).toEqual(order);
  });

  it('is not helped by deglosser on a factory film, but is on varnish', () => {
    expect(risk(LAMINATE, 'liquid_degloss', 'bonding_primer_wb').adhesion).toBeGreaterThan(
      0.9 * risk(LAMINATE, 'none', 'bonding_primer_wb').adhesion,
    );
    expect(risk(MAHOGANY, 'liquid_degloss', 'shellac_primer').adhesion).toBeLessThan(
      0.6 * risk(MAHOGANY, 'none', 'shellac_primer').adhesion,
    );
  });
});

describe('the chance of bleeding through', () => {
  it('falls with a better block and with a second coat', () => {
    const { bleed: none } = risk(MAHOGANY, 'scuff_180', 'bonding_primer_wb');
    const { bleed: wb } = risk(MAHOGANY, 'scuff_180', 'stainblock_primer_wb', 2);
    const { bleed: one } = risk(MAHOGANY, 'scuff_180', 'shellac_primer', 1);
    const { bleed: two } = risk(MAHOGANY, 'scuff_180', 'shellac_primer', 2);
    expect(none).toBeGreaterThan(0.7);
    expect(wb).toBeLessThan(none);
    expect(one).toBeLessThan(wb);
    expect(two).toBeLessThan(one);
  });

  it('is a tenth under dark paint', () => {
    const dark = ground({ substrate: 'tannin_rich_wood', finish: 'varnish_oil' }, {}, { colour: '#2B3A42' });
    expect(risk(dark, 'scuff_180', 'bonding_primer_wb').bleed).toBeCloseTo(
      risk(MAHOGANY, 'scuff_180', 'bonding_primer_wb').bleed / 10,
      3,
    );
  });
});

describe('other failures', () => {
  const oak = ground({ substrate: 'open_grain_hardwood', finish: 'bare' }, {}, { grain: 'hide' });

  it('let the grain show more under a primer that wets the filler again', () => {
    expect(risk(oak, 'scuff_180', 'stainblock_primer_wb').grain_show).toBeGreaterThan(
      3 * risk(oak, 'scuff_180', 'shellac_primer').grain_show,
    );
    expect(listWarnings(candidate('scuff_180', 'stainblock_primer_wb'), oak).map(({ rule }) => rule)).toContain(
      'waterborne_over_filler',
    );
  });

  it('haze a waterborne clear over dark, and yellow an oil clear over pale', () => {
    const dark = ground({ substrate: 'mdf' }, {}, { colour: '#2B3A42' });
    const clear = (own: Ground, topcoat: Candidate['topcoat']): number =>
      computeRisk(candidate('scuff_180', 'shellac_primer', 1, { topcoat, topcoats: 1 }), own).haze_or_yellow;
    expect(clear(dark, 'wb_clear')).toBeGreaterThan(clear(MAHOGANY, 'wb_clear'));
    expect(clear(MAHOGANY, 'oil_polyurethane')).toBeGreaterThan(clear(dark, 'oil_polyurethane'));
  });

  it('stick wall paint to itself on doors', () => {
    const door = ground({ substrate: 'mdf' }, { role: 'door' });
    expect(
      computeRisk(candidate('scuff_180', 'shellac_primer', 1, { paint: 'latex_wall_paint' }), door).blocking,
    ).toBeGreaterThan(0.1);
    expect(computeRisk(candidate('scuff_180', 'shellac_primer'), door).blocking).toBeLessThan(0.05);
  });

  it('are warned of where they can be smelled', () => {
    expect(listWarnings(candidate('scuff_180', 'shellac_primer'), MAHOGANY).map(({ rule }) => rule)).toContain(
      'strong_fumes',
    );
    expect(listWarnings(candidate('scuff_180', 'bonding_primer_2k'), MAHOGANY).map(({ rule }) => rule)).toContain(
      'two_part_needs_mask',
    );
  });
});

describe('the steps of a zone', () => {
  const ops = (own: Ground, prep: PrepCode = 'scuff_180'): string[] =>
    listSteps(candidate(prep, 'shellac_primer', 2), own).map(({ op }) => op);

  it('take off wax, dry out, glue and fill what was found, before dulling', () => {
    const own = ground(
      { substrate: 'wood_veneer', finish: 'wax' },
      {
        defects: [{ code: 'lifting_veneer' }, { code: 'old_holes', count: 6 }],
        observations: [
          { check: 'moisture_meter', value: 18 },
          { check: 'spirit_rub', result: 'waxy_film' },
        ],
      },
    );
    const order = ops(own);
    for (const op of ['dry_out', 'degrease', 'dewax', 'reglue', 'fill']) {
      expect(order).toContain(op);
      expect(order.indexOf(op)).toBeLessThan(order.indexOf('scuff'));
    }
    // Six holes at two minutes each.
    expect(listSteps(candidate('scuff_180', 'shellac_primer'), own).find(({ op }) => op === 'fill')?.minutes).toBe(12);
  });

  it('seal raw edges with shellac, or with a sealer where there is no air', () => {
    const raw = { defects: [{ code: 'raw_mdf_edge' as const }] };
    const seal = (own: Ground) =>
      listSteps(candidate('scuff_180', 'shellac_primer'), own).find(({ op }) => op === 'edge_seal')?.class;
    expect(seal(ground({ substrate: 'mdf' }, raw))).toBe('shellac_primer');
    expect(seal(ground({ substrate: 'mdf' }, raw, { ventilation: 'none' }))).toBe('mdf_sealer');
  });

  it('take twice as long to dull on mouldings', () => {
    const minutes = (moulded: boolean): number =>
      listSteps(
        candidate('scuff_180', 'shellac_primer'),
        ground({ substrate: 'closed_grain_hardwood' }, { moulded }),
      ).find(({ op }) => op === 'scuff')!.minutes;
    // 8 min/m² on one square metre (common practice).
    expect(minutes(false)).toBe(8);
    expect(minutes(true)).toBe(16);
  });

  it('fill the grain only where it is to be hidden', () => {
    expect(ops(ground({ substrate: 'open_grain_hardwood' }, {}, { grain: 'hide' }))).toContain('grain_fill');
    expect(ops(ground({ substrate: 'open_grain_hardwood' }))).not.toContain('grain_fill');
  });

  it('strip before anything is put on a coat that comes off', () => {
    expect(ops(MAHOGANY, 'strip').slice(0, 4)).toEqual(expect.arrayContaining(['degrease', 'strip', 'sand']));
  });
});
