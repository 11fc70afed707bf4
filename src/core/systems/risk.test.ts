import { LABEL_CLIMATE } from '../climate';
import { DOSSIER_FORMAT, type Dossier, type Test, type Zone } from '../dossier';
import type { PaintCode, PrepCode, PrimerCode, TopcoatCode } from '../knowledge';
import type { Ground } from './ground';
import { readGround } from './take-up';
import { listProducts } from './product';
import { estimateAdhesion, estimateBleed } from './risk';
import { UNTOUCHED } from './surface-state';
import { describeZone, type ZonePlan } from './system';
import { searchStack } from './taken';
import { nameStep } from '@/words';

function ground(stated: NonNullable<Zone['stated']>, zone: Partial<Zone> = {}, goal: Dossier['goal'] = {}): Ground {
  const own: Zone = { id: 'z', name: 'Top', role: 'side', area_m2: 1, stated, ...zone };
  return readGround(
    { format: DOSSIER_FORMAT, piece: { kind: 'table', history: { era: 'since_2000' } }, zones: [own], goal },
    own,
  );
}

interface Layers {
  prep?: PrepCode;
  primer: PrimerCode;
  coats?: number;
  paint?: PaintCode;
  topcoat?: TopcoatCode;
}

/** The plan of a zone kept to some layers. */
/** A hard film takes the coarser grit, everything that is thin the finer. */
const usualPrep = ({ pFilm, pFoil }: Ground): PrepCode => (pFilm >= 0.5 && pFoil < 0.1 ? 'scuff_150' : 'scuff_220');

function plan(own: Ground, { prep = usualPrep(own), primer, coats = 1, paint, topcoat = 'none' }: Layers): ZonePlan {
  const stack = {
    prep,
    primers: [{ code: primer, coats }],
    paint: paint ?? 'wb_alkyd_enamel',
    paint_coats: 2,
    topcoat,
  };
  const { goals, cuts } = searchStack(own, listProducts([], LABEL_CLIMATE), stack);
  if (!goals[0]) throw new Error(`no way: ${cuts.at(-1)?.rule.id}`);
  return describeZone(goals[0], own);
}

const LAMINATE = ground({ substrate: 'hpl_laminate', finish: 'factory_film' });
const MAHOGANY = ground({ substrate: 'tannin_rich_wood', finish: 'varnish_oil' });
const adhesion = (own: Ground, prep: PrepCode, primer: PrimerCode | null): number =>
  estimateAdhesion({ prep, primer }, own);
const bleed = (own: Ground, prep: PrepCode, primer: PrimerCode, coats = 1): number =>
  estimateBleed({ ...UNTOUCHED, prep, primers: [{ code: primer, coats }] }, own);

describe('the chance of letting go', () => {
  it('on laminate, falls by a scuff and by a primer that grips, and most by both (common practice)', () => {
    const nothing = adhesion(LAMINATE, 'none', null);
    const scuffed = adhesion(LAMINATE, 'scuff_150', null);
    const primed = adhesion(LAMINATE, 'none', 'bonding_primer_wb');
    const both = adhesion(LAMINATE, 'scuff_150', 'bonding_primer_wb');
    expect(nothing).toBeGreaterThan(primed);
    expect(nothing).toBeGreaterThan(scuffed);
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
    ).map((primer) => adhesion(LAMINATE, 'scuff_150', primer));
    expect([...order].sort((a, b) => a - b)).toEqual(order);
  });

  it('is not helped by deglosser on a factory film, but is on varnish', () => {
    expect(adhesion(LAMINATE, 'liquid_degloss', 'bonding_primer_wb')).toBeGreaterThan(
      0.9 * adhesion(LAMINATE, 'none', 'bonding_primer_wb'),
    );
    expect(adhesion(MAHOGANY, 'liquid_degloss', 'shellac_primer')).toBeLessThan(
      0.6 * adhesion(MAHOGANY, 'none', 'shellac_primer'),
    );
  });
});

describe('the chance of bleeding through', () => {
  it('falls with a better block and with a second coat', () => {
    const none = bleed(MAHOGANY, 'scuff_180', 'bonding_primer_wb');
    const wb = bleed(MAHOGANY, 'scuff_180', 'stainblock_primer_wb', 2);
    const one = bleed(MAHOGANY, 'scuff_180', 'shellac_primer', 1);
    const two = bleed(MAHOGANY, 'scuff_180', 'shellac_primer', 2);
    expect(none).toBeGreaterThan(0.5);
    expect(wb).toBeLessThan(none);
    expect(one).toBeLessThan(wb);
    expect(two).toBeLessThan(one);
  });

  it('is a tenth under dark paint', () => {
    const dark = ground({ substrate: 'tannin_rich_wood', finish: 'varnish_oil' }, {}, { colour: '#2B3A42' });
    expect(bleed(dark, 'scuff_180', 'bonding_primer_wb')).toBeCloseTo(
      bleed(MAHOGANY, 'scuff_180', 'bonding_primer_wb') / 10,
      3,
    );
  });
});

describe('other failures', () => {
  const oak = ground({ substrate: 'open_grain_hardwood', finish: 'bare' }, {}, { grain: 'hide' });
  const warnings = (own: Ground, layers: Layers): string[] => plan(own, layers).warnings.map(({ rule }) => rule);

  it('let the grain show more under a primer that wets the filler again', () => {
    expect(plan(oak, { primer: 'stainblock_primer_wb', coats: 2 }).risk.grain_show).toBeGreaterThan(
      3 * plan(oak, { primer: 'shellac_primer' }).risk.grain_show,
    );
    expect(warnings(oak, { primer: 'stainblock_primer_wb', coats: 2 })).toContain('waterborne_over_filler');
    expect(warnings(oak, { primer: 'shellac_primer' })).not.toContain('waterborne_over_filler');
  });

  it('haze a waterborne clear over dark, and yellow an oil clear over pale', () => {
    const wishes = { schools: { topcoat: 'always' as const } };
    const pale = ground({ substrate: 'mdf' }, {}, wishes);
    const dark = ground({ substrate: 'mdf' }, {}, { ...wishes, colour: '#2B3A42' });
    const clear = (own: Ground, topcoat: TopcoatCode): number =>
      plan(own, { primer: 'shellac_primer', topcoat }).risk.haze_or_yellow;
    expect(clear(dark, 'wb_clear')).toBeGreaterThan(clear(pale, 'wb_clear'));
    expect(clear(pale, 'oil_polyurethane')).toBeGreaterThan(clear(dark, 'oil_polyurethane'));
  });

  it('stick wall paint to itself on doors', () => {
    const door = ground({ substrate: 'mdf' }, { role: 'door' });
    const named = ground({ substrate: 'mdf' }, { role: 'door' }, { paint: 'latex_wall_paint' });
    const { risk } = plan(named, { primer: 'shellac_primer', paint: 'latex_wall_paint' });
    expect(risk.blocking).toBeGreaterThan(0.1);
    expect(plan(door, { primer: 'shellac_primer' }).risk.blocking).toBeLessThan(0.05);
  });

  it('are warned of where they can be smelled', () => {
    expect(warnings(MAHOGANY, { primer: 'shellac_primer' })).toContain('strong_fumes');
    expect(warnings(LAMINATE, { primer: 'bonding_primer_2k' })).toContain('two_part_needs_mask');
    expect(warnings(LAMINATE, { primer: 'bonding_primer_wb' })).not.toContain('strong_fumes');
  });
});

describe('the steps of a zone', () => {
  const ops = (own: Ground, prep: PrepCode = usualPrep(own)): string[] =>
    plan(own, { prep, primer: 'shellac_primer' }).steps.map(({ op }) => op);
  const steps = (own: Ground) => plan(own, { primer: 'shellac_primer' }).steps;

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
    // Six holes at four minutes each, in two passes.
    expect(steps(own).find(({ op }) => op === 'fill')?.minutes).toBe(24);
  });

  it('fill after the primer, and prime the fills again, where the owner follows that school', () => {
    const own = ground(
      { substrate: 'closed_grain_hardwood', finish: 'varnish_oil' },
      { defects: [{ code: 'old_holes', count: 6 }] },
      { schools: { fill: 'after_prime' } },
    );
    const order = ops(own);
    expect(order.indexOf('fill')).toBeGreaterThan(order.indexOf('prime'));
    expect(steps(own).map(nameStep)).toContain('Spot-prime the fills');
  });

  it('seal raw edges with shellac, or with a sealer where there is no air', () => {
    const raw = { defects: [{ code: 'raw_mdf_edge' as const }] };
    const sealers = (ventilation: 'good' | 'none'): unknown[] => {
      const own = ground({ substrate: 'mdf' }, raw, { ventilation });
      const stack = {
        prep: 'scuff_220' as const,
        primers: [{ code: 'stainblock_primer_wb' as const, coats: 2 }],
        paint: 'wb_alkyd_enamel' as const,
        paint_coats: 2,
        topcoat: 'none' as const,
      };
      const { goals } = searchStack(own, listProducts([], LABEL_CLIMATE), stack);
      return goals.map((goal) => describeZone(goal, own).steps.find(({ op }) => op === 'edge_seal')?.class).sort();
    };
    expect(sealers('good')).toEqual(['mdf_sealer', 'shellac_primer']);
    expect(sealers('none')).toEqual(['mdf_sealer']);
  });

  it('take twice as long to dull on mouldings with paper, and less with deglosser in them', () => {
    const moulded = (dulling: 'scuff' | 'mix'): number[] => {
      const own = ground(
        { substrate: 'closed_grain_hardwood', finish: 'varnish_oil' },
        { moulded: true },
        { schools: { dulling } },
      );
      return steps(own)
        .filter(({ op }) => op === 'scuff' || op === 'liquid_degloss')
        .map(({ minutes }) => minutes);
    };
    // 9 min a m² on one square metre, twice in mouldings, 0.4 along each of four metres of a flat one; deglosser 6, longer on what is carved; the half that is over half a square metre by machine (common practice).
    expect(moulded('scuff')).toEqual([18]);
    expect([[18], [11, 9]]).toContainEqual(moulded('mix'));
    expect(steps(ground({ substrate: 'closed_grain_hardwood' })).find(({ op }) => op === 'scuff')!.minutes).toBe(9);
  });

  it('fill the grain only where it is to be hidden', () => {
    expect(ops(ground({ substrate: 'open_grain_hardwood' }, {}, { grain: 'hide' }))).toContain('grain_fill');
    expect(ops(ground({ substrate: 'open_grain_hardwood' }))).not.toContain('grain_fill');
  });

  it('strip before anything is put on a coat that comes off', () => {
    const flaking = ground(
      { substrate: 'closed_grain_hardwood', finish: 'varnish_oil' },
      { defects: [{ code: 'flaking' }] },
    );
    expect(ops(flaking, 'strip').slice(0, 4)).toEqual(['degrease', 'dewax', 'strip', 'proof']);
    expect(() => plan(flaking, { primer: 'shellac_primer' })).toThrow('failing_coat_stays');
  });

  it('prove on a patch what the treatment has not shown there yet', () => {
    expect(ops(LAMINATE)).toContain('proof');
    const zone: Zone = {
      id: 'z',
      role: 'side',
      area_m2: 1,
      stated: { substrate: 'hpl_laminate', finish: 'factory_film' },
    };
    const treatment = { prep: 'scuff_150' as const, primer: 'shellac_primer' as const, coats: 1 };
    const after = (...kinds: Test['kind'][]) =>
      readGround(
        {
          format: DOSSIER_FORMAT,
          piece: { kind: 'table', history: { era: 'since_2000' } },
          zones: [zone],
          tests: kinds.map((kind) => ({
            zone: 'z',
            kind,
            treatment,
            age_h: 48,
            reading: kind === 'cross_cut' ? { iso_class: 0 } : { score: 0 },
          })),
        },
        zone,
      );
    // One tape says nothing of a thumbnail, nor a thumbnail of a cut.
    expect(plan(after('tape'), { primer: 'shellac_primer' }).steps.find(({ op }) => op === 'proof')?.tests).toEqual([
      'nail',
      'cross_cut',
    ]);
    expect(plan(after('nail'), { primer: 'shellac_primer' }).steps.find(({ op }) => op === 'proof')?.tests).toEqual([
      'cross_cut',
    ]);
    expect(ops(after('nail', 'cross_cut'))).not.toContain('proof');
  });
});
