import jStat from 'jstat';
import { DOSSIER_FORMAT, type Dossier, type Experience, type Test } from '../dossier';
import { betaQuantile, betaShareBelow, chanceAbove } from './beta';
import { comparePosteriors } from './compare';
import { compareSurfaces, DISCOUNTS } from './discounts';
import { addUp, collectExperience, fileExperience, withoutPiece } from './experience';
import { findReadings } from './readings';
import { buildFindings } from './findings';
import { describePosterior, poolExperience, updateCounts } from './pool';
import { measureShops, USUAL_SPREAD } from './simulate';

describe('the Beta distribution', () => {
  const shapes = [0.05, 0.3, 1, 2, 6.5, 40, 800];

  it('has the shares and quantiles of an independent statistics library', () => {
    for (const a of shapes) {
      for (const b of shapes) {
        for (const x of [0.001, 0.1, 0.5, 0.93, 0.999]) {
          expect(betaShareBelow(x, a, b)).toBeCloseTo(jStat.beta.cdf(x, a, b), 7);
        }
      }
    }
    for (const a of [1, 2, 6.5, 40]) {
      for (const b of [1, 2, 6.5, 40]) {
        for (const share of [0.05, 0.5, 0.95]) {
          expect(betaQuantile(share, a, b)).toBeCloseTo(jStat.beta.inv(share, a, b), 6);
        }
      }
    }
  });

  it('ranks as closed forms do (Beta(2,1) above Beta(1,1) two times in three)', () => {
    expect(chanceAbove({ a: 2, b: 1 }, { a: 1, b: 1 })).toBeCloseTo(2 / 3, 3);
    expect(chanceAbove({ a: 5, b: 5 }, { a: 5, b: 5 })).toBeCloseTo(0.5, 6);
    // Nothing has failed on either side: the same twice is even, and five that held lead three by little.
    expect(chanceAbove({ a: 6.96, b: 0.04 }, { a: 6.96, b: 0.04 })).toBeCloseTo(0.5, 2);
    const [five, three] = [
      { a: 6.96, b: 0.04 },
      { a: 4.9, b: 0.1 },
    ];
    expect(chanceAbove(five, three)).toBeGreaterThan(0.5);
    expect(chanceAbove(five, three) + chanceAbove(three, five)).toBeCloseTo(1, 2);
    expect(chanceAbove({ a: 0.05, b: 4 }, { a: 0.05, b: 4 })).toBeCloseTo(0.5, 2);
  });
});

const MELAMINE = { substrate: 'melamine_board', finish: 'factory_film' } as const;
const LAMINATE = { substrate: 'hpl_laminate', finish: 'factory_film' } as const;
const OAK = { substrate: 'open_grain_hardwood', finish: 'varnish_oil' } as const;
const row = (more: Partial<Experience>): Experience => ({
  mode: 'adhesion',
  ...MELAMINE,
  prep: 'scuff_150',
  primer: 'shellac_primer',
  held: 8,
  failed: 0,
  tests: 8,
  tests_held: 8,
  ...more,
});
const ask = { mode: 'adhesion', ...MELAMINE, prep: 'scuff_150', primer: 'shellac_primer' } as const;

describe('what is near a question', () => {
  it('counts in full for the class on the surface, with any grit of the same kind of preparation', () => {
    expect(poolExperience(ask, [row({})])).toMatchObject({ held: 8, failed: 0, own: { tests: 8, held: 8 } });
    expect(poolExperience(ask, [row({ prep: 'scuff_220' })]).held).toBe(8);
    expect(poolExperience(ask, [row({ prep: 'liquid_degloss' })]).tests).toBe(0);
    expect(poolExperience(ask, [row({ primer: 'bonding_primer_wb' })]).tests).toBe(0);
    expect(poolExperience(ask, [row({ mode: 'bleed' })]).tests).toBe(0);
  });

  it('counts less for another tin of the class and for a neighbouring surface, and never over its cap', () => {
    const tin = { ...ask, product: 'tin-1' };
    const other = poolExperience(tin, [row({ product: 'tin-2' })]).held;
    const neighbour = poolExperience(ask, [row({ ...LAMINATE })]).held;
    expect(other).toBeLessThan(8);
    expect(neighbour).toBeLessThan(other);
    expect(neighbour).toBeGreaterThan(0);
    expect(poolExperience(ask, [row({ ...LAMINATE, held: 1e6, tests: 1e6 })]).held).toBeCloseTo(
      DISCOUNTS.neighbour.cap,
      3,
    );
    expect(poolExperience(ask, [row({ ...OAK })]).tests).toBe(0);
  });

  it('is the coat for grip and the wood for bleed', () => {
    const pine = { substrate: 'clear_softwood', finish: 'varnish_oil' } as const;
    const oakLacquer = { substrate: 'open_grain_hardwood', finish: 'nitro_lacquer' } as const;
    expect(compareSurfaces('adhesion', OAK, pine)).toBe('neighbour');
    expect(compareSurfaces('bleed', OAK, pine)).toBeNull();
    expect(compareSurfaces('bleed', OAK, oakLacquer)).toBe('neighbour');
    expect(compareSurfaces('adhesion', MELAMINE, OAK)).toBeNull();
  });
});

describe('what is believed', () => {
  it('is the class table before any test, and the tests after many', () => {
    expect(describePosterior(updateCounts(0.12, { held: 0, failed: 0 })).mean).toBeCloseTo(0.88, 12);
    const { mean, lo, hi } = describePosterior(updateCounts(0.12, { held: 3000, failed: 1000 }));
    expect(mean).toBeCloseTo(0.75, 2);
    expect(hi - lo).toBeLessThan(0.03);
  });

  it('ranks two treatments only when it can, and says how many strips it would take', () => {
    expect(comparePosteriors({ a: 40, b: 1 }, { a: 10, b: 20 }).verdict).toBe('first');
    expect(comparePosteriors({ a: 10, b: 20 }, { a: 40, b: 1 }).verdict).toBe('second');
    const open = comparePosteriors({ a: 6, b: 1 }, { a: 5, b: 2 });
    expect(open).toMatchObject({ verdict: 'unknown' });
    const strips = open.verdict === 'unknown' ? open.strips! : 0;
    const after = (counts: { a: number; b: number }) => {
      const mean = counts.a / (counts.a + counts.b);
      return { a: counts.a + strips * mean, b: counts.b + strips * (1 - mean) };
    };
    expect(strips).toBeGreaterThan(1);
    expect(chanceAbove(after({ a: 6, b: 1 }), after({ a: 5, b: 2 }))).toBeGreaterThan(0.9);
    expect(comparePosteriors({ a: 9, b: 1 }, { a: 9, b: 1 })).toMatchObject({ verdict: 'unknown', strips: null });
  });
});

const nail = (score: number, more: Partial<Test> = {}): Test => ({
  zone: 'top',
  kind: 'nail',
  age_h: 48,
  treatment: { prep: 'scuff_150', primer: 'shellac_primer', coats: 1 },
  reading: { score },
  ...more,
});
const piece = (tests: Test[], more: Partial<Dossier> = {}): Dossier => ({
  format: DOSSIER_FORMAT,
  piece: { kind: 'desk' },
  zones: [{ id: 'top', role: 'top', stated: MELAMINE }],
  tests,
  ...more,
});

describe('what a piece teaches', () => {
  it('is one patch for all readings of a strip, failed if one of them failed', () => {
    const strip = { panel: 'p', strip: 'A1' };
    const tests = [nail(0, strip), nail(0, { ...strip, kind: 'fork' }), nail(4, { ...strip, age_h: 200 })];
    expect(collectExperience(piece(tests))).toEqual([
      expect.objectContaining({ ...MELAMINE, held: 0, failed: 1, tests: 3, tests_held: 0 }),
    ]);
  });

  it('is two patches for two thumbnails of one age, one for a thumbnail and a fork', () => {
    expect(collectExperience(piece([nail(0), nail(1)]))[0]).toMatchObject({ held: 2, tests: 2 });
    expect(collectExperience(piece([nail(0), nail(0, { kind: 'fork' })]))[0]).toMatchObject({ held: 1, tests: 2 });
  });

  it('leaves early and incomplete readings out', () => {
    expect(collectExperience(piece([nail(5, { age_h: 0.2 }), { ...nail(5), age_h: undefined }]))).toEqual([]);
  });

  it('count what failed in use as far as the treatment was to blame, and what mended it', () => {
    const blames = {
      mode: 'adhesion' as const,
      prep: 'scuff_150' as const,
      primer: 'allpurpose_primer_wb' as const,
      p: 0.75,
    };
    const stack = { prep: 'scuff_150' as const, primers: [], paint: null, paint_coats: 0, topcoat: 'none' as const };
    const treatment = { prep: 'scuff_150' as const, primer: 'shellac_primer' as const, coats: 1 };
    const recovery = { trouble: 'x', remedy: 'strip' as const, at: '2026-05-01T08:00:00Z' };
    const zone = piece([]).zones![0]!.id;
    const taught = (settled?: { how: 'mended' | 'came_back' }) =>
      collectExperience(
        piece([], {
          chosen: { zones: [{ id: zone, treatment, stack, recovery }] },
          troubles: [
            { id: 'x', zone, symptom: 'scratches_off', found: { causes: [], blames }, ...(settled ? { settled } : {}) },
          ],
        }),
      ).map(({ primer, held, failed }) => ({ primer, held, failed }));
    const failed = { primer: 'allpurpose_primer_wb', held: 0, failed: 1.5 };
    expect(taught()).toEqual([failed]);
    expect(taught({ how: 'came_back' })).toEqual([failed]);
    expect(taught({ how: 'mended' })).toEqual([failed, { primer: 'shellac_primer', held: 2, failed: 0 }]);
  });

  it('counts what came back, and what did not, for the system that was taken', () => {
    const chosen = {
      zones: [{ id: 'top', treatment: { prep: 'scuff_150', primer: 'shellac_primer', coats: 1 } as const }],
    };
    const taught = (outcome: NonNullable<Dossier['outcomes']>[number]) =>
      collectExperience(piece([], { chosen, outcomes: [outcome] }));
    expect(taught({ id: 'o', outcome: 'fine' })).toEqual([
      expect.objectContaining({ mode: 'adhesion', held: 2, failed: 0 }),
    ]);
    expect(taught({ id: 'o', outcome: 'came_back', mode: 'adhesion' })[0]).toMatchObject({ held: 0, failed: 2 });
  });
});

describe('what is filed for the shop', () => {
  it('waits while the board is believed below one in two, and moves when it is read', () => {
    const unread = piece([nail(0), nail(4)], { zones: [{ id: 'top', role: 'top' }] });
    expect(fileExperience(unread)).toEqual({
      filed: [],
      open: [{ piece: '', pieceName: null, zone: 'top', zoneName: 'top', tests: 2 }],
    });
    // For the piece itself its own patch speaks, whatever it is made of.
    expect(collectExperience(unread)).toHaveLength(1);
    const read = piece([nail(0), nail(4)]);
    expect(fileExperience(read)).toEqual({ filed: collectExperience(read), open: [] });
    const asked = { ...MELAMINE, primer: 'shellac_primer', mode: 'adhesion', prep: 'scuff' } as const;
    expect([findReadings([unread], asked), findReadings([read], asked)].map(({ length }) => length)).toEqual([0, 2]);
  });
});

describe('what the others taught', () => {
  it('is what all taught less what this one did, row by row', () => {
    const [one, other] = [piece([nail(0), nail(5)]), piece([nail(0), nail(0, { kind: 'fork' }), nail(1)])];
    const whole = addUp([one, other].flatMap(collectExperience));
    expect(withoutPiece(whole, one)).toEqual(collectExperience(other));
    expect(withoutPiece(collectExperience(one), one)).toEqual([]);
    expect(withoutPiece(whole, piece([]))).toEqual(whole);
  });
});

describe('findings', () => {
  it('are empty without tests, and rank surely only what was tested', () => {
    expect(buildFindings([], { mode: 'adhesion', prep: 'scuff' })).toEqual([]);
    const rows = buildFindings(
      [row({}), row({ primer: 'allpurpose_primer_wb', held: 1, failed: 9, tests: 10, tests_held: 1 })],
      {
        mode: 'adhesion',
        prep: 'scuff',
      },
    );
    expect(rows[0]!.cells.map(({ primer }) => primer)).toEqual(['shellac_primer', 'allpurpose_primer_wb']);
    expect(rows[0]!.leaders?.comparison.verdict).toBe('first');
  });
});

describe('simulated shops', () => {
  const seeds = Array.from({ length: 120 }, (_, i) => i + 1);

  it.each([4, 12, 40])(
    'with up to %p tests a treatment: intervals hold what they promise, pooling ranks better',
    (most) => {
      const pooled = measureShops(seeds, USUAL_SPREAD, most, true);
      const alone = measureShops(seeds, USUAL_SPREAD, most, false);
      expect(pooled.coverage).toBeGreaterThan(0.85);
      expect(pooled.coverage).toBeLessThan(0.95);
      expect(pooled.regret).toBeLessThan(alone.regret);
    },
  );
});

describe('what was tested of clear finishes', () => {
  const OAK_BARE = { substrate: 'open_grain_hardwood', finish: 'bare' } as const;
  const wood = (tests: Test[]): Dossier => piece(tests, { zones: [{ id: 'top', role: 'top', stated: OAK_BARE }] });
  const oiled = (score: number): Test =>
    nail(score, { treatment: { prep: 'sand_bare', primer: 'none', coats: 0, clear: 'hardwax_oil' } });
  const painted = nail(0, { treatment: { prep: 'sand_bare', primer: 'none', coats: 0, paint: 'wb_alkyd_enamel' } });

  it('is told apart by the finish, and from paint without a primer', () => {
    const rows = collectExperience(wood([oiled(0), painted]));
    expect(rows.map(({ clear, held }) => [clear, held])).toEqual([
      ['hardwax_oil', 1],
      [undefined, 1],
    ]);
    const asked = { ...OAK_BARE, mode: 'adhesion', prep: 'sand_bare', primer: 'none' } as const;
    expect(poolExperience({ ...asked, clear: 'hardwax_oil' }, rows).own.patches).toBe(1);
    expect(poolExperience({ ...asked, clear: 'wb_clear' }, rows).tests).toBe(0);
    expect(poolExperience(asked, rows).own.patches).toBe(1);
  });

  it('stands in the findings beside other finishes of that surface, starting from what is usual of it', () => {
    const rows = collectExperience(wood([oiled(5), oiled(5)]));
    const [own] = buildFindings(rows, { mode: 'adhesion', prep: 'bare' });
    expect(own!.cells.map(({ clear, patches, patchesHeld }) => [clear, patches, patchesHeld])).toEqual([
      ['hardwax_oil', 2, 0],
    ]);
    // Two that failed end it: the usual 3 % counts two patches.
    expect(own!.cells[0]!.mean).toBeCloseTo((2 * 0.97) / 4, 2);
  });
});
