import { DOSSIER_FORMAT, type Dossier, type LogEntry, type ShelfItem, type Test } from '../dossier';
import { FINDING_CODES, type FindingCode } from '../knowledge';
import { auditAhead, auditPiece } from './audit';

/* Every finding both ways: a log that shows it, and one that differs in nothing else and does not. */
const DAY = 24;
const at = (hours: number): string => new Date(Date.parse('2026-03-02T08:00:00Z') + hours * 3_600_000).toISOString();
const AIR = { temperature_c: 20, humidity_pct: 50 };

interface Case {
  log: readonly (Partial<LogEntry> & { op: LogEntry['op'] })[];
  /** Ground and wishes: a slick pale laminate unless said otherwise. */
  stated?: NonNullable<NonNullable<Dossier['zones']>[number]['stated']>;
  observations?: NonNullable<NonNullable<Dossier['zones']>[number]['observations']>;
  role?: 'top' | 'door';
  colour?: string;
  steps?: readonly object[];
  shelf?: readonly ShelfItem[];
  tests?: readonly Test[];
  overrides?: Dossier['overrides'];
}

const LAMINATE = { substrate: 'hpl_laminate', finish: 'factory_film' } as const;
const PROVED: readonly Test[] = (['nail', 'cross_cut', 'bleed_watch'] as const).map((kind) => ({
  id: kind,
  zone: 'top',
  kind,
  treatment: { prep: 'scuff_150', primer: 'bonding_primer_wb', coats: 1 },
  age_h: 24 * 8,
  at: at(-DAY),
  reading:
    kind === 'nail'
      ? { score: 0 }
      : kind === 'cross_cut'
        ? { iso_class: 0 }
        : { at: '7d', de_mean: 0.1, de_worst: 0.2 },
}));

const step = (op: string, more: object = {}) => ({ op, label: op, minutes: 5, wait_h: 1, why: '', stage: 4, ...more });

function makeDossier({
  log,
  stated = LAMINATE,
  observations,
  role = 'top',
  colour = '#F3EFE6',
  steps,
  shelf = [],
  tests = PROVED,
  overrides,
}: Case): Dossier {
  const treatment = { prep: 'scuff_150', primer: 'bonding_primer_wb', coats: 1 } as const;
  return {
    format: DOSSIER_FORMAT,
    piece: { id: 'p', kind: 'desk', history: { era: 'since_2000' } },
    zones: [{ id: 'top', role, area_m2: 1, stated, ...(observations ? { observations } : {}) }],
    goal: { colour },
    shelf: [...shelf],
    ...(steps ? { chosen: { zones: [{ id: 'top', treatment, steps: steps as never }] } } : {}),
    tests: [...tests],
    ...(overrides ? { overrides } : {}),
    log: log.map((entry, i) => ({ zone: 'top', at: at(i * 10 * DAY), ...AIR, ...entry })),
  };
}

const clean = { op: 'degrease' } as const;
const prime = (more: Partial<LogEntry> = {}) => ({ op: 'prime', class: 'bonding_primer_wb', ...more }) as const;
const paint = (more: Partial<LogEntry> = {}) => ({ op: 'paint', class: 'wb_alkyd_enamel', ...more }) as const;
const clear = (more: Partial<LogEntry> = {}) => ({ op: 'topcoat', class: 'wb_clear', ...more }) as const;
const KNOTTY = { substrate: 'knotty_softwood', finish: 'bare' } as const;
const BLEEDS = [{ check: 'wet_rag', result: 'colour_on_rag' }];
const tin = (more: Record<string, unknown>): ShelfItem => ({ id: 't', class: 'wb_alkyd_enamel', ...more }) as ShelfItem;
const BLOCKER = 'shellac_primer';

const CASES: Record<FindingCode, { faulty: Case; right: Case; numbers?: object }> = {
  not_cleaned: { faulty: { log: [{ ...clean, skipped: true }, prime()] }, right: { log: [clean, prime()] } },
  not_dewaxed: {
    faulty: { log: [clean, { op: 'dewax', skipped: true }, prime()] },
    right: { log: [clean, { op: 'dewax' }, prime()] },
  },
  not_dulled: {
    faulty: { steps: [step('scuff', { grit: 150 })], log: [{ op: 'scuff', grit: 220 } as never, prime()] },
    right: { steps: [step('scuff', { grit: 150 })], log: [{ op: 'scuff', grit: 150 } as never, prime()] },
    numbers: { was: 220, asked: 150, unit: 'grit' },
  },
  deglosser_on_film: {
    faulty: { log: [{ op: 'liquid_degloss' }, prime()] },
    right: { log: [{ op: 'liquid_degloss' }, { op: 'scuff' }, prime()] },
  },
  no_primer: { faulty: { log: [{ ...prime(), skipped: true }, paint()] }, right: { log: [prime(), paint()] } },
  wrong_primer_for_ground: {
    faulty: { log: [prime({ class: 'allpurpose_primer_wb' })] },
    right: { log: [prime({ class: 'bonding_primer_oil' })] },
  },
  no_stain_block: {
    faulty: {
      stated: KNOTTY,
      observations: BLEEDS,
      steps: [step('prime', { class: BLOCKER })],
      log: [prime({ class: 'allpurpose_primer_wb' })],
    },
    right: {
      stated: KNOTTY,
      observations: BLEEDS,
      steps: [step('prime', { class: BLOCKER })],
      log: [prime({ class: BLOCKER })],
    },
  },
  spots_not_sealed: {
    faulty: { log: [{ op: 'spot_seal', class: BLOCKER, skipped: true }, prime()] },
    right: { log: [{ op: 'spot_seal', class: BLOCKER }, prime()] },
  },
  one_coat_of_blocker: {
    faulty: {
      stated: KNOTTY,
      observations: BLEEDS,
      steps: [step('prime', { class: BLOCKER, coats: 2 })],
      log: [prime({ class: BLOCKER }), prime({ class: BLOCKER, skipped: true })],
    },
    right: {
      stated: KNOTTY,
      observations: BLEEDS,
      steps: [step('prime', { class: BLOCKER, coats: 2 })],
      log: [prime({ class: BLOCKER }), prime({ class: BLOCKER })],
    },
    numbers: { was: 1, asked: 2, unit: 'coats' },
  },
  thinned: {
    faulty: { log: [prime({ thinned_pct: 5 })] },
    right: { log: [prime(), paint({ thinned_pct: 5 })] },
    numbers: { was: 5, asked: 0, unit: '%' },
  },
  recoat_too_soon: {
    faulty: { log: [paint(), paint({ at: at(1.5) })] },
    right: { log: [paint(), paint({ at: at(17) })] },
    numbers: { was: 1.5, asked: 16, unit: 'h', severity: 'major' },
  },
  recoat_window_missed: {
    faulty: { shelf: [tin({ recoat_until_h: 48 })], log: [paint({ product: 't' }), paint({ product: 't' })] },
    right: {
      shelf: [tin({ recoat_until_h: 48 })],
      log: [paint({ product: 't' }), { op: 'scuff' }, paint({ product: 't' })],
    },
    numbers: { was: 240, asked: 48, unit: 'h', severity: 'unknown' },
  },
  clear_too_soon: {
    faulty: { log: [paint(), clear({ at: at(4) })] },
    right: { log: [paint(), clear({ at: at(30) })] },
    numbers: { was: 4, asked: 16, unit: 'h' },
  },
  too_cold: {
    faulty: { log: [paint({ temperature_c: 8, humidity_pct: 40 })] },
    right: { log: [paint()] },
    numbers: { was: 8, asked: 10, unit: '°C' },
  },
  too_hot: {
    faulty: { log: [paint({ temperature_c: 36, humidity_pct: 30 })] },
    right: { log: [paint({ temperature_c: 32, humidity_pct: 30 })] },
    numbers: { was: 36, asked: 32, unit: '°C' },
  },
  too_damp: {
    faulty: { log: [paint({ humidity_pct: 90 })] },
    right: { log: [paint()] },
    numbers: { was: 90, asked: 85, unit: '% RH' },
  },
  // 20 °C and 84 %: the dew point is 17.2 °C (Magnus, as in ISO 8502-4).
  below_dew_margin: {
    faulty: { log: [paint({ humidity_pct: 84 })] },
    right: { log: [paint()] },
    numbers: { was: 2.8, asked: 3, unit: '°C' },
  },
  filler_unsealed: {
    faulty: { log: [{ op: 'fill' }, { op: 'spot_seal', skipped: true }] },
    right: { colour: '#2B3A42', log: [{ op: 'fill' }, { op: 'spot_seal', skipped: true }] },
  },
  waterborne_over_filler: {
    faulty: { log: [{ op: 'grain_fill', class: 'grain_filler_wb' }, prime()] },
    right: { log: [{ op: 'grain_fill', class: 'grain_filler_wb' }, prime({ class: BLOCKER })] },
  },
  wb_clear_over_dark: { faulty: { colour: '#2B3A42', log: [paint(), clear()] }, right: { log: [paint(), clear()] } },
  oil_over_pale: {
    faulty: { log: [paint(), clear({ class: 'oil_polyurethane' })] },
    right: { colour: '#2B3A42', log: [paint(), clear({ class: 'oil_polyurethane' })] },
  },
  clear_over_oil: {
    faulty: { stated: { substrate: 'oily_tropical_wood', finish: 'oil' }, log: [clean, clear()] },
    right: {
      stated: { substrate: 'oily_tropical_wood', finish: 'oil' },
      log: [clean, clear({ class: 'wipe_on_oil' })],
    },
  },
  no_denib: { faulty: { log: [paint(), { op: 'denib', skipped: true }] }, right: { log: [paint(), { op: 'denib' }] } },
  too_thick: {
    faulty: { steps: [step('paint', { class: 'wb_alkyd_enamel', ml: 200, coats: 2 })], log: [paint({ ml: 200 })] },
    right: { steps: [step('paint', { class: 'wb_alkyd_enamel', ml: 200, coats: 2 })], log: [paint({ ml: 120 })] },
    numbers: { was: 200, asked: 100, unit: 'ml/m²' },
  },
  gate_not_asked: { faulty: { tests: [], log: [paint()] }, right: { log: [paint()] } },
  gate_overridden: {
    faulty: { overrides: [{ id: 'o', zone: 'top', gate: 'bleed', reason: 'in a hurry' }], log: [paint()] },
    right: { log: [paint()] },
  },
  used_before_cured: {
    faulty: { log: [paint(), { op: 'handover', at: at(5 * DAY) }] },
    right: { log: [paint(), { op: 'handover', at: at(31 * DAY) }] },
    numbers: { was: 5, asked: 30, unit: 'd' },
  },
  moved_before_cured: {
    faulty: { log: [paint(), { op: 'refit', at: at(12) }] },
    right: { log: [paint(), { op: 'refit', at: at(3 * DAY) }] },
    numbers: { was: 0.5, asked: 2, unit: 'd' },
  },
  shut_before_hard: {
    faulty: { role: 'door', log: [paint(), { op: 'refit', at: at(12) }] },
    right: { log: [paint(), { op: 'refit', at: at(12) }] },
    numbers: { was: 0.5, asked: 2, unit: 'd' },
  },
  not_logged: {
    faulty: {
      steps: [step('degrease'), step('scuff', { grit: 150 }), step('prime', { class: 'bonding_primer_wb' })],
      log: [clean, prime()],
    },
    right: {
      steps: [step('degrease'), step('scuff', { grit: 150 }), step('prime', { class: 'bonding_primer_wb' })],
      log: [clean],
    },
    numbers: { severity: 'unknown', op: 'scuff' },
  },
};

const findOf = (code: FindingCode, own: Case) =>
  auditPiece(makeDossier(own)).filter((finding) => finding.code === code);

describe('the log of a piece', () => {
  it.each(FINDING_CODES)('shows %s where it was so, with its numbers, and nowhere else', (code) => {
    const { faulty, right, numbers = {} } = CASES[code];
    const found = findOf(code, faulty);
    expect(found).toHaveLength(1);
    expect(found[0]).toMatchObject({ zone: 'top', ...numbers });
    expect(findOf(code, right)).toEqual([]);
  });

  it('convicts nobody by what is not in it', () => {
    const silent = auditPiece(makeDossier({ log: [paint()], steps: CASES.not_logged.faulty.steps! }));
    expect(silent.filter(({ code }) => code.startsWith('no_') || code.startsWith('not_'))).toEqual([]);
    const [first] = findOf('not_logged', CASES.not_logged.faulty);
    expect(first!.severity).toBe('unknown');
    // The air of a coat is its own or was read near it; what was expected says nothing of what was.
    const unknown = { ...paint(), temperature_c: undefined, humidity_pct: undefined };
    const cold = { ...makeDossier({ log: [unknown as never] }), climate: { temperature_c: 4, humidity_pct: 95 } };
    expect(auditPiece(cold).filter(({ unit }) => unit === '°C' || unit === '% RH')).toEqual([]);
    const read = [{ at: at(1), temperature_c: 4, humidity_pct: 50 }];
    expect(auditPiece(cold, read).map(({ code }) => code)).toContain('too_cold');
  });

  it('finds one coat of a class that holds colour back only with two where it was painted over, without a plan too', () => {
    const log = (coats: number) => [prime({ class: 'stainblock_primer_wb', coats }), paint()];
    const knotty = { stated: KNOTTY, observations: BLEEDS };
    expect(findOf('one_coat_of_blocker', { ...knotty, log: log(1) })).toMatchObject([{ was: 1, asked: 2, entry: 0 }]);
    expect(findOf('one_coat_of_blocker', { ...knotty, log: log(2) })).toEqual([]);
    expect(findOf('one_coat_of_blocker', { ...knotty, log: [prime({ class: 'stainblock_primer_wb' })] })).toEqual([]);
    const under = [prime({ class: 'stainblock_primer_wb' }), prime({ class: BLOCKER }), paint()];
    expect(findOf('one_coat_of_blocker', { ...knotty, log: under })).toEqual([]);
  });

  it('takes classes that hold back too little for none', () => {
    const log = [prime({ class: 'bonding_primer_oil' }), paint()];
    expect(findOf('no_stain_block', { stated: KNOTTY, observations: BLEEDS, log })).toMatchObject([{ entry: 0 }]);
  });

  it('finds filler under paint where the primer that would have sealed it was left out', () => {
    const log = [{ op: 'fill' } as const, prime({ skipped: true }), paint()];
    expect(findOf('filler_unsealed', { log })).toMatchObject([{ entry: 1, op: 'prime' }]);
    expect(findOf('filler_unsealed', { log: [{ op: 'fill' }, prime(), paint()] })).toEqual([]);
  });

  it('judges no foil that was taken off', () => {
    const thinned = prime({ class: 'shellac_primer', thinned_pct: 5 });
    const remove = step('repair', { repair: 'remove_foil', stage: 3 });
    const steps = [remove, step('prime', { class: 'shellac_primer', stage: 8 })];
    const foil = { substrate: 'paper_foil', finish: 'factory_film' } as const;
    const off = { op: 'repair', task: '3-repair-remove_foil-1' } as const;
    expect(findOf('thinned', { stated: foil, steps, log: [thinned] })).toHaveLength(1);
    expect(findOf('thinned', { stated: foil, steps, log: [off, thinned] })).toEqual([]);
  });

  it('counts a coat that was stripped off no more, and a step that was done after all as done', () => {
    const log = [paint(), paint({ at: at(1) }), { op: 'strip', at: at(20) } as const, paint({ at: at(300) })];
    expect(findOf('recoat_too_soon', { log })).toEqual([]);
    expect(findOf('not_cleaned', { log: [{ ...clean, skipped: true }, clean, prime()] })).toEqual([]);
  });

  it('is warned of before it is made, and not twice of what has to dry first', () => {
    const piece = makeDossier({ log: [paint()] });
    const next = {
      zone: 'top',
      op: 'paint',
      class: 'wb_alkyd_enamel',
      at: at(2),
      temperature_c: 20,
      humidity_pct: 90,
    } as const;
    const codes = (waiting: boolean) => auditAhead(piece, [next], { air: [], waiting }).map(({ code }) => code);
    expect(codes(false)).toEqual(['recoat_too_soon', 'too_damp', 'below_dew_margin']);
    expect(codes(true)).toEqual(['too_damp', 'below_dew_margin']);
    expect(auditAhead(piece, [{ ...next, at: at(30), humidity_pct: 50 }], { air: [], waiting: false })).toEqual([]);
  });

  it('is lesser where only the air asked for more than the label', () => {
    const found = findOf('recoat_too_soon', {
      log: [paint({ temperature_c: 12, humidity_pct: 75 }), paint({ at: at(18) })],
    });
    expect(found).toMatchObject([{ was: 18, severity: 'minor' }]);
    expect(found[0]!.asked).toBeGreaterThan(18);
  });

  it('is told the gravest first, then in its order', () => {
    const findings = auditPiece(
      makeDossier({
        log: [paint(), paint({ at: at(1) }), { op: 'denib', skipped: true }, paint({ at: at(500), humidity_pct: 90 })],
      }),
    );
    expect(findings.map(({ severity, entry }) => [severity, entry])).toEqual([
      ['major', 1],
      ['major', 3],
      ['major', 3],
      ['minor', 2],
    ]);
  });
});

describe('wax that was stated', () => {
  const waxed = { substrate: 'clear_softwood', finish: 'wax' } as const;
  it('is washed off, or its washing is not written down: nobody is convicted by that', () => {
    expect(findOf('not_logged', { stated: waxed, log: [clean, prime()] })).toMatchObject([{ op: 'dewax' }]);
    expect(findOf('not_logged', { stated: waxed, log: [clean, { op: 'dewax' }, prime()] })).toEqual([]);
    expect(
      findOf('not_dewaxed', { stated: waxed, log: [clean, { op: 'dewax', skipped: true }, prime()] }),
    ).toHaveLength(1);
    expect(findOf('not_logged', { log: [clean, prime()] })).toEqual([]);
  });
});
