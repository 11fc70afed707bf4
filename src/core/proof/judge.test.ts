import { readDossier, type Dossier, type Test } from '../dossier';
import { PRIMERS, TEST_KIND_FACTS, TEST_KINDS } from '../knowledge';
import { estimateFilm, specifyCutOn } from './cut';
import { describeTreatment, sayTest } from '@/words';
import { countsFromHours, judgeTest } from './judge';

const TREATMENT = { prep: 'scuff_220', primer: 'stainblock_primer_oil', coats: 2 } as const;
const judge = (kind: Test['kind'], reading: Test['reading'], more: Partial<Test> = {}) =>
  judgeTest(
    { zone: 'top', kind, reading, treatment: TREATMENT, age_h: 200, ...more },
    { piece: { kind: 'desk' }, zones: [{ id: 'top', role: 'top' }] },
  );

const READINGS: Record<Test['kind'], { good: Test['reading']; bad: Test['reading'] }> = {
  nail: { good: { score: 1 }, bad: { score: 2 } },
  fork: { good: { score: 0 }, bad: { score: 3 } },
  coin: { good: { score: 1 }, bad: { score: 4 } },
  blade: { good: { score: 1 }, bad: { score: 5 } },
  tape: { good: { score: 1 }, bad: { score: 2 } },
  water: { good: { score: 0 }, bad: { score: 2 } },
  cross_cut: { good: { removed_pct: 4 }, bad: { removed_pct: 6 } },
  x_cut: { good: { astm: '4A' }, bad: { astm: '3A' } },
  solvent_rub: { good: { double_rubs: 60 }, bad: { double_rubs: 5 } },
  pencil: { good: { grade: 'H' }, bad: { grade: '4B' } },
  bleed_watch: { good: { at: '48h', de_mean: 0.6, de_worst: 1.1 }, bad: { at: '48h', de_mean: 2.3, de_worst: 4 } },
};

describe.each(TEST_KINDS)('a %s test', (kind) => {
  const { good, bad } = READINGS[kind];

  it('passes when it holds and fails when it does not', () => {
    expect(judge(kind, good)).toMatchObject({ verdict: 'pass', early: false });
    expect(judge(kind, bad)).toMatchObject({ verdict: 'fail' });
    expect(judge(kind, good).severity).toBeLessThan(judge(kind, bad).severity);
  });

  it('speaks in words, with its severity and age', () => {
    expect(sayTest(judge(kind, bad))).toContain(TEST_KIND_FACTS[kind].label);
    expect(sayTest(judge(kind, bad))).toMatch(/severity [2-5] of 5 at 200 h/);
  });

  it('is a reading that the format takes', () => {
    const dossier = (reading: unknown) => ({
      format: 'bricolage.dossier/1',
      piece: { kind: 'desk' },
      zones: [{ id: 'top', role: 'top' }],
      tests: [{ zone: 'top', kind, reading }],
    });
    expect(readDossier(dossier(good)).ok).toBe(true);
    expect(readDossier(dossier({ feeling: 'good' }))).toMatchObject({ problem: { code: 'wrong_reading' } });
  });
});

describe('a patch', () => {
  it('counts its film from its coats, or as measured', () => {
    // Oil stain-block 2 × 35 µm and one coat of enamel 40 µm (class films).
    expect(estimateFilm({ treatment: { ...TREATMENT, paint: 'wb_alkyd_enamel' } })).toBe(110);
    expect(estimateFilm({ treatment: { ...TREATMENT, dft_um: 93 } })).toBe(93);
    expect(estimateFilm({})).toBe(0);
  });

  it('of paint over primer counts from the slower of the two', () => {
    expect(judge('nail', { score: 0 }, { age_h: 23 }).verdict).toBe('early');
    expect(judge('nail', { score: 0 }, { age_h: 24 }).verdict).toBe('pass');
    const painted = { treatment: { ...TREATMENT, paint: 'oil_enamel' as const } };
    expect(judge('nail', { score: 0 }, { ...painted, age_h: 30 })).toMatchObject({ verdict: 'early', countsFromH: 48 });
  });

  it('tells the form and the verdict the same hour', () => {
    for (const primer of PRIMERS) {
      const treatment = { primer, coats: 1 };
      const hours = countsFromHours(treatment);
      expect(judge('nail', { score: 0 }, { treatment, age_h: hours }).verdict).toBe('pass');
      expect(judge('nail', { score: 0 }, { treatment, age_h: hours - 0.1 }).verdict).toBe('early');
    }
    expect(countsFromHours()).toBe(12);
  });

  it('without primer is read next morning', () => {
    expect(judge('nail', { score: 0 }, { treatment: { primer: 'none' }, age_h: 11 }).verdict).toBe('early');
    expect(judge('nail', { score: 0 }, { treatment: { primer: 'none' }, age_h: 12 }).verdict).toBe('pass');
  });

  it('on metal is cut finer than on wood (ISO 2409)', () => {
    const test: Test = {
      zone: 'top',
      kind: 'cross_cut',
      reading: { iso_class: 0 },
      treatment: { ...TREATMENT, coats: 1 },
      age_h: 48,
    };
    const on = (substrate: 'metal_ferrous' | 'closed_grain_hardwood') =>
      judgeTest(test, { piece: { kind: 'desk' }, zones: [{ id: 'top', role: 'top', stated: { substrate } }] }).cut
        ?.spacing_mm;
    expect(on('metal_ferrous')).toBe(1);
    expect(on('closed_grain_hardwood')).toBe(2);
  });

  it('is cut as its form asked for it: by what is believed of the ground, stated or seen', () => {
    const rusty: Dossier['zones'] = [
      { id: 'top', role: 'leg', observations: [], defects: [{ code: 'rust' }], stated: { substrate: 'metal_ferrous' } },
    ];
    for (const zones of [rusty, [{ id: 'top', role: 'leg' as const }]]) {
      const piece = { piece: { kind: 'chair' as const }, zones };
      const treatment = { ...TREATMENT, coats: 1 };
      const { cut } = judgeTest({ zone: 'top', kind: 'cross_cut', reading: { iso_class: 0 }, treatment }, piece);
      expect(cut).toEqual(specifyCutOn(piece, 'top', treatment));
    }
  });

  it('read from a picture with too little confidence is incomplete, however well it looks', () => {
    const read = (confidence: number) => judge('cross_cut', { removed_pct: 0, by: 'photo', confidence }).verdict;
    expect(read(0.01)).toBe('incomplete');
    expect(read(0.49)).toBe('incomplete');
    expect(read(0.5)).toBe('pass');
    expect(sayTest(judge('cross_cut', { removed_pct: 0, confidence: 0 }))).toContain('a guess');
  });

  it('is named by what was done to it', () => {
    expect(describeTreatment(TREATMENT)).toBe('Scuff 220, oil stain-block primer ×2');
    expect(describeTreatment(undefined)).toBe('Not dulled, no primer');
  });
});

describe('a patch of a clear finish', () => {
  const treatment = { prep: 'sand_bare', primer: 'none', coats: 0, clear: 'wb_clear' } as const;
  const verdict = (looks: string[], more: Partial<Test> = {}) =>
    judge('nail', { score: 0, looks }, { treatment, ...more }).verdict;

  it('fails by its looks at any age: what wrinkles or turns white is not waited for', () => {
    expect(verdict([])).toBe('pass');
    expect(verdict(['wrinkled'])).toBe('fail');
    expect(verdict(['blushed'], { age_h: 2 })).toBe('fail');
    expect(verdict([], { age_h: 2 })).toBe('early');
    expect(verdict(['wrinkled'], { age_h: undefined })).toBe('fail');
    expect(verdict(['wrinkled'], { treatment: undefined })).toBe('incomplete');
  });

  it('is not failed by blotches, but they are told', () => {
    const judged = judge('nail', { score: 0, looks: ['blotchy'] }, { treatment });
    expect(judged).toMatchObject({ verdict: 'pass', looks: ['blotchy'] });
    expect(sayTest(judged)).toMatch(/It holds\. Blotchy\. Stain looks blotchy/);
    expect(sayTest(judge('nail', { score: 0, looks: ['wrinkled'] }, { treatment }))).toMatch(/as it looks\. Wrinkled/);
  });

  it('is refused with a look that is none, and the record says which there are', () => {
    const read = readDossier({
      format: 'bricolage.dossier/1',
      piece: { kind: 'desk' },
      zones: [{ id: 'top', role: 'top' }],
      tests: [{ zone: 'top', kind: 'nail', reading: { score: 0, looks: ['purple'] } }],
    });
    expect(read).toMatchObject({ ok: false, problem: { params: { allowed: ['wrinkled', 'blushed', 'blotchy'] } } });
  });
});
