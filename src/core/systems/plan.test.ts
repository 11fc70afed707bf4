import { DOSSIER_FORMAT, type Dossier, type Observation, type Zone } from '../dossier';
import { FILM_FACTS, PRIMER_FACTS, PRIMERS } from '../knowledge';
import { listConsidered } from './considered';
import { freezeSystem } from './freeze';
import { mergeJobs } from './jobs';
import { listTurningPoints } from './turning-points';
import { computeLightness } from '../proof';
import { HARD_RULES } from './hard-rules';
import { planPiece } from './plan';
import { PHRASES, sayAssumption, sayConsidered, sayFact, sayPlanBlock, sayRuledOut, sayThen, sayWhy } from '@/words';
import { reportPlan } from '@/cli/reports/plan';

const NOW = '2026-05-01T08:00:00Z';

const LAMINATE: Observation[] = [
  { check: 'edge_line', result: 'dark_line' },
  { check: 'pattern_repeat', result: 'repeats' },
  { check: 'corner_lift', result: 'brittle_chip' },
  { check: 'spirit_rub', result: 'clean' },
];
const MAHOGANY: Observation[] = [
  { check: 'edge_line', result: 'grain_continues' },
  { check: 'pores', result: 'medium_felt' },
  { check: 'damp_rag', result: 'red_pink' },
  { check: 'spirit_rub', result: 'clean' },
  { check: 'tape_pull', result: 'nothing' },
];
const make = (zone: Partial<Zone>, more: Partial<Dossier> = {}): Dossier => ({
  format: DOSSIER_FORMAT,
  piece: { kind: 'sideboard', history: { era: 'since_2000', painted_before: 'no' } },
  zones: [{ id: 'top', name: 'Top', role: 'top', area_m2: 0.8, ...zone }],
  ...more,
});
const first = (dossier: Dossier) => planPiece(dossier).systems[0]!;
const primer = (dossier: Dossier) => first(dossier).zones[0]!.treatment.primer;
const rejectedCodes = (dossier: Dossier): Record<string, string> =>
  Object.fromEntries(planPiece(dossier).rejected.map(({ code, finding }) => [code, finding.rule]));

describe('the recommended system', () => {
  it('scuffs laminate and gives it a primer that grips', () => {
    const { zones } = first(make({ observations: LAMINATE }));
    expect(zones[0]!.treatment.prep).toMatch(/^scuff/);
    expect(['good', 'very_good', 'best']).toContain(PRIMER_FACTS[zones[0]!.treatment.primer as 'shellac_primer'].slick);
  });

  it('blocks the colour of mahogany under pale paint', () => {
    expect(['good', 'very_good', 'best']).toContain(
      PRIMER_FACTS[primer(make({ observations: MAHOGANY })) as 'shellac_primer'].block,
    );
  });

  it('has its steps in the order of work, each with a reason', () => {
    const ops = first(make({ observations: MAHOGANY })).zones[0]!.steps.map(({ op }) => op);
    // The patch comes first, and dries while the rest is washed and dulled.
    const order = ['proof', 'degrease', 'scuff', 'dust', 'prime', 'denib', 'paint'];
    expect(order.map((op) => ops.indexOf(op as (typeof ops)[number]))).toEqual(
      [...order.map((op) => ops.indexOf(op as (typeof ops)[number]))].sort((a, b) => a - b),
    );
    for (const step of first(make({ observations: MAHOGANY })).zones[0]!.steps)
      expect(sayWhy(step.why).length).toBeGreaterThan(10);
  });

  it('watches for bleed for two days where bleed is to be feared', () => {
    const proof = first(make({ observations: MAHOGANY })).zones[0]!.steps.find(({ op }) => op === 'proof');
    expect(proof).toMatchObject({ tests: ['nail', 'cross_cut', 'bleed_watch'], waitH: 48 });
  });

  it('never proposes a treatment that failed the shop’s own test there', () => {
    const dossier = make({ observations: LAMINATE });
    const { treatment } = first(dossier).zones[0]!;
    const failed: Dossier = {
      ...dossier,
      tests: [{ zone: 'top', kind: 'nail', treatment, age_h: 48, reading: { score: 4 } }],
    };
    const systems = planPiece(failed).systems;
    expect(systems.length).toBeGreaterThan(0);
    for (const system of systems) {
      const own = system.zones[0]!.treatment;
      expect([own.prep, own.primer]).not.toEqual([treatment.prep, treatment.primer]);
    }
  });
});

describe('layer rules', () => {
  it('cut deglosser and stripping on a factory film', () => {
    expect(rejectedCodes(make({ observations: LAMINATE }))).toMatchObject({
      liquid_degloss: 'deglosser_on_film',
      strip: 'nothing_to_strip',
    });
  });

  it('never count a bonding primer as a stain block', () => {
    expect(rejectedCodes(make({ observations: MAHOGANY }))).toMatchObject({
      bonding_primer_wb: 'no_stain_block_on_bleed',
      none: 'no_stain_block_on_bleed',
    });
  });

  it('keep all-purpose primer off a slick film, unless patches of it held there', () => {
    const zone = { observations: LAMINATE };
    const treatment = { prep: 'scuff_150', primer: 'allpurpose_primer_wb', coats: 1 } as const;
    const held = (['nail', 'cross_cut'] as const).map((kind) => ({
      zone: 'top',
      kind,
      treatment,
      age_h: 30,
      reading: kind === 'nail' ? { score: 0 } : { iso_class: 0 },
    }));
    expect(rejectedCodes(make(zone)).allpurpose_primer_wb).toMatch(/too_weak_for_ground|film_needs_grip/);
    expect(rejectedCodes(make(zone, { tests: held })).allpurpose_primer_wb).toBeUndefined();
  });

  it('take what holds some of a smell only with a warning and a chance', () => {
    const smell: Zone['defects'] = [{ code: 'smoke_odour' }];
    const [system] = planPiece(
      make({ observations: MAHOGANY, defects: smell }, { goal: { ventilation: 'none' } }),
    ).systems;
    const zone = system!.zones[0]!;
    expect(zone.stack.primers.every(({ code }) => PRIMER_FACTS[code].odour === 'some')).toBe(true);
    expect(system!.warnings.map(({ rule }) => rule)).toContain('smell_half_sealed');
    const aired = planPiece(make({ observations: MAHOGANY, defects: smell }, { goal: { ventilation: 'good' } }))
      .systems[0]!;
    expect(aired.warnings.map(({ rule }) => rule)).not.toContain('smell_half_sealed');
    expect(aired.risk.overall).toBeLessThan(system!.risk.overall);
  });

  it('shut no door before its paint is hard, and say how long it cures', () => {
    const door = make({ observations: LAMINATE, role: 'door' });
    const { steps } = planPiece(door).systems[0]!.zones[0]!;
    const paint = steps.findLast(({ op }) => op === 'paint' || op === 'topcoat')!;
    const { handleH, cureDays } = FILM_FACTS[paint.class as keyof typeof FILM_FACTS];
    expect(steps.find(({ op }) => op === 'refit')).toMatchObject({ afterH: handleH });
    expect(steps.find(({ op }) => op === 'cure')).toMatchObject({ cureDays });
  });

  it('scuff a hard film with 150, and foil softly with 220', () => {
    expect(rejectedCodes(make({ observations: LAMINATE })).scuff_220).toBe('fine_grit_on_film');
  });

  it('keep clear blockers from under pale paint', () => {
    expect(rejectedCodes(make({ observations: LAMINATE }))).toMatchObject({
      shellac_clear: 'clear_blocker_under_pale',
    });
  });

  it('let dark paint go without a stain block', () => {
    expect(rejectedCodes(make({ observations: MAHOGANY }, { goal: { colour: '#2B3A42' } })).bonding_primer_wb).not.toBe(
      'no_stain_block_on_bleed',
    );
  });

  it('refuse strong fumes without ventilation', () => {
    const { systems } = planPiece(make({ observations: MAHOGANY }, { goal: { ventilation: 'none' } }));
    expect(systems.length).toBeGreaterThan(0);
    for (const system of systems) expect(system.fumes).toBe('low');
  });

  it('say so when they leave nothing, with the way out', () => {
    const craters: Observation[] = [...MAHOGANY, { check: 'crawl_dab', result: 'crawls' }];
    const plan = planPiece(make({ observations: craters }, { goal: { ventilation: 'none' } }));
    expect(plan.systems).toEqual([]);
    expect(plan.blocked[0]).toMatchObject({ gate: 'no_system', zone: 'top' });
    expect(sayPlanBlock(plan.blocked[0]!)).toContain('ventilation');
  });

  it('take coarse paper off foil and veneer', () => {
    const foil: Observation[] = [
      { check: 'edge_line', result: 'wraps_no_line' },
      { check: 'corner_lift', result: 'plastic_skin' },
    ];
    expect(rejectedCodes(make({ observations: foil })).scuff_150).toBe('soft_pad_on_foil');
  });

  it('have an id and a reason of their own, and every primer is judged', () => {
    expect(new Set(HARD_RULES.map(({ id }) => id)).size).toBe(HARD_RULES.length);
    const plan = planPiece(make({ observations: LAMINATE }));
    const named = new Set([
      ...plan.rejected.map(({ code }) => code),
      ...plan.systems.flatMap(({ zones }) => zones.map(({ treatment }) => treatment.primer)),
    ]);
    expect([...named].filter((code) => PRIMERS.includes(code as (typeof PRIMERS)[number])).length).toBeGreaterThan(5);
  });
});

describe('gates and risk', () => {
  it('hold dry work back while lead is possible, and stop everything when it is found', () => {
    const old = {
      piece: { kind: 'interior_door' as const, history: { era: 'unknown' as const, painted_before: 'yes' as const } },
    };
    const open = planPiece(make({}, old));
    expect(open.blocked[0]?.gate).toBe('lead_test');
    expect(open.systems[0]!.gates).toEqual(['lead_test']);
    const found = planPiece(make({ observations: [{ check: 'lead_test', result: 'positive' }] }, old));
    expect(found.systems).toEqual([]);
    expect(found.blocked[0]?.gate).toBe('certified_practice');
  });

  it('joins the chances of separate failures into one', () => {
    const { risk } = first(make({ observations: MAHOGANY }));
    const { overall, ...modes } = risk;
    const held = Object.values(modes).reduce((product, p) => product * (1 - p), 1);
    expect(overall).toBeCloseTo(1 - held, 12);
  });

  it('labels a recommended system first, and nothing as surer than the surest', () => {
    const { systems } = planPiece(make({ observations: MAHOGANY }));
    expect(systems[0]!.labels).toContain('recommended');
    const surest = systems.find(({ labels }) => labels.includes('surest'))!;
    for (const system of systems) expect(system.risk.overall).toBeGreaterThanOrEqual(surest.risk.overall);
  });

  it('says least fumes only of little, or where others have more', () => {
    const order = ['low', 'solvent', 'two_part'];
    for (const observations of [MAHOGANY, LAMINATE]) {
      const { systems } = planPiece(make({ observations }));
      const calm = systems.find(({ labels }) => labels.includes('least_fumes'));
      const fumes = systems.map((system) => order.indexOf(system.fumes));
      if (!calm) expect(new Set(fumes).size).toBe(1);
      else expect(order.indexOf(calm.fumes)).toBe(Math.min(...fumes));
      if (calm && calm.fumes !== 'low') expect(Math.max(...fumes)).toBeGreaterThan(order.indexOf(calm.fumes));
    }
  });

  it('leaves a zone that is to be left', () => {
    const { zones } = first(make({ observations: LAMINATE }, { goal: { zones: { top: { look: 'leave' } } } }));
    expect(zones[0]!.steps.map(({ op }) => op)).toEqual(['degrease']);
  });

  it('plans one primer for zones alike', () => {
    const dossier = make({ observations: LAMINATE });
    dossier.zones!.push({ id: 'side', role: 'side', area_m2: 0.5, observations: LAMINATE });
    const [one, two] = first(dossier).zones;
    expect(one!.treatment.primer).toBe(two!.treatment.primer);
  });
});

describe('colour and report', () => {
  it('knows pale from dark by relative luminance (IEC 61966-2-1)', () => {
    expect(computeLightness('#FFFFFF')).toBeCloseTo(1, 6);
    expect(computeLightness('#000000')).toBe(0);
    // Mid grey #808080: ((0.50196 + 0.055) / 1.055) ^ 2.4 = 0.2159, from the transfer function of the standard.
    expect(computeLightness('#808080')).toBeCloseTo(0.2159, 4);
  });

  it('gives every painted zone its volume and its wait', () => {
    const report = reportPlan(make({ observations: LAMINATE }), NOW);
    const paint = report.systems[0]!.zones[0]!.steps.find(({ op }) => op === 'paint')!;
    // 0.8 m² × 2 coats × 40 µm ÷ (10 × 40 %) × 1.1 = 176 ml, to the next 5.
    expect(paint.ml).toBe(175);
    expect(paint.recoat_h).toBeGreaterThan(0);
  });
});

describe('what a plan takes for granted', () => {
  it('names every credible material', () => {
    const doubtful = make({ observations: [{ check: 'edge_line', result: 'plastic_strip' }] });
    const { assumes } = first(doubtful);
    expect(assumes).toHaveLength(1);
    expect(sayAssumption(assumes[0]!)).toMatch(/^Top: .+ \(about .+\) or .+\. The plan serves all of them\./);
  });

  it('is nothing where the material is known', () => {
    expect(
      first(make({ stated: { substrate: 'hpl_laminate', finish: 'factory_film' }, observations: LAMINATE })).assumes,
    ).toEqual([]);
  });
});

describe('what would change a plan', () => {
  const open = make({ role: 'front', area_m2: 2, observations: [] });
  const points = listTurningPoints({
    ...open,
    piece: { kind: 'table', history: { era: '1940_1977', painted_before: 'no' } },
  });

  it('is at most three facts, those that weigh most by their chance first, each with what would then be best', () => {
    expect(points.length).toBeGreaterThan(0);
    expect(points.length).toBeLessThanOrEqual(3);
    for (const { fact, p, then, saves, check } of points) {
      expect(sayFact(fact)).toMatch(/^If /);
      expect(p > 0 && p < 1).toBe(true);
      expect(sayThen(then)).toMatch(/primer|shellac/i);
      expect(Math.abs(saves.money)).toBeGreaterThan(1);
      expect(check).toBeTruthy();
    }
    const weights = points.map(({ p, saves }) => p * Math.abs(saves.money));
    expect(weights).toEqual([...weights].sort((a, b) => b - a));
  });

  it('is said in the report where it would save something, with the check that tells', () => {
    const { systems } = reportPlan(
      {
        ...open,
        piece: { kind: 'table', history: { era: '1940_1977', painted_before: 'no' } },
      },
      NOW,
    );
    const saving = points.filter(({ saves }) => saves.money > 0).length;
    expect(saving).toBeGreaterThan(0);
    const said = systems[0]!.assumes.filter((text) => text.includes('this would do'));
    expect(said).toHaveLength(saving);
    expect(said[0]).toMatch(/^Top: if .+ \(about .+\), this would do: .+To find out: /);
  });

  it('is nothing on ground that is known through and through', () => {
    const known = make({ stated: { substrate: 'hpl_laminate', finish: 'factory_film' }, observations: LAMINATE });
    expect(listTurningPoints(known).filter(({ fact }) => fact.asks === 'substrate')).toEqual([]);
  });
});

describe('what else was considered for a layer', () => {
  it('names every other primer with the rule that cut it or what it would differ by', () => {
    const dossier = make({ observations: MAHOGANY });
    const [zone] = first(dossier).zones;
    const considered = listConsidered(dossier, zone!, 'prime');
    const byCode = new Map(considered.map((entry) => [entry.code, entry]));
    expect(byCode.has(zone!.treatment.primer!)).toBe(false);
    expect(byCode.get('bonding_primer_wb')).toMatchObject({ verdict: 'ruled_out' });
    expect(byCode.size).toBe(PRIMERS.length);
    const dearer = considered.filter(({ verdict }) => verdict === 'dearer');
    expect(dearer.length).toBeGreaterThan(0);
    for (const own of dearer) expect(sayConsidered(own).text).toMatch(/goes wrong/i);
  });
});

describe('the order of work over all zones', () => {
  it('does what is the same once, and waits for the slowest zone', () => {
    const dossier = make({ observations: LAMINATE });
    dossier.zones!.push({ id: 'side', role: 'side', area_m2: 0.5, observations: LAMINATE });
    const { zones, handsOnMin } = first(dossier);
    const jobs = mergeJobs(zones, undefined);
    expect(jobs.filter(({ op }) => op === 'degrease')).toHaveLength(1);
    expect(jobs.find(({ op }) => op === 'paint')).toMatchObject({ zones: ['top', 'side'] });
    const minutes = (list: readonly { minutes: number }[]): number => list.reduce((sum, own) => sum + own.minutes, 0);
    expect(minutes(jobs)).toBe(minutes(zones.flatMap(({ steps }) => steps)));
    // With what is once a sitting they are the hours of the system.
    expect(jobs.reduce((sum, { sharedMin }) => sum + sharedMin, minutes(jobs))).toBe(handsOnMin);
    const ops = jobs.map(({ op }) => op);
    expect(ops.indexOf('scuff')).toBeLessThan(ops.indexOf('prime'));
    expect(ops.indexOf('prime')).toBeLessThan(ops.indexOf('paint'));
  });
});

describe('a system that was taken', () => {
  const dossier = make({ observations: MAHOGANY });
  const taken = (more: Partial<Dossier> = {}): Dossier => {
    const system = first(dossier);
    return { ...dossier, chosen: freezeSystem(system, '2026-05-01T10:00:00Z', PHRASES), ...more };
  };

  it('comes to the same figures while nothing has changed', () => {
    const now = planPiece(taken());
    expect(now.taken?.broken).toEqual([]);
    expect(now.taken?.system?.risk.overall).toBeCloseTo(now.systems[0]!.risk.overall, 9);
    expect(now.taken?.system?.totalCost).toBeCloseTo(now.systems[0]!.totalCost, 6);
  });

  it('is judged by what is known later, and never replaced', () => {
    const { treatment } = first(dossier).zones[0]!;
    const failed = taken({ tests: [{ zone: 'top', kind: 'nail', treatment, age_h: 48, reading: { score: 4 } }] });
    const now = planPiece(failed);
    expect(now.taken).toMatchObject({ system: null, broken: [{ zone: 'top', finding: { rule: 'failed_own_test' } }] });
    expect(now.systems[0]!.zones[0]!.treatment).not.toEqual(treatment);
    expect(failed.chosen!.zones[0]!.treatment).toEqual(treatment);
  });
});

describe('wishes', () => {
  const known = { stated: { substrate: 'closed_grain_hardwood', finish: 'varnish_oil' } } as const;
  const paints = (goal: Dossier['goal']): unknown[] =>
    planPiece(make(known, { goal })).systems.map(({ zones }) => [zones[0]!.stack.paint, zones[0]!.stack.topcoat]);

  it('of a sheen leave the paints made in it, or a clear coat over the others', () => {
    for (const [paint, topcoat] of paints({ sheen: 'gloss' }) as [string, string][])
      expect(paint === 'oil_enamel' || topcoat !== 'none').toBe(true);
    expect(paints({ sheen: 'gloss' }).length).toBeGreaterThan(0);
  });

  it('of a paint are kept to', () => {
    for (const [paint, topcoat] of paints({ paint: 'chalk_paint' }) as [string, string][]) {
      expect(paint).toBe('chalk_paint');
      expect(topcoat).not.toBe('none');
    }
  });

  it('of spray cans take aerosol paint only', () => {
    expect(new Set((paints({ application: 'aerosol' }) as [string, string][]).map(([paint]) => paint))).toEqual(
      new Set(['aerosol_enamel']),
    );
  });

  it('to stain foil are refused with the reason', () => {
    const foil: Observation[] = [
      { check: 'edge_line', result: 'wraps_no_line' },
      { check: 'corner_lift', result: 'paper_tears' },
    ];
    const plan = planPiece(make({ observations: foil }, { goal: { look: 'stain' } }));
    expect(plan.systems).toEqual([]);
    expect(plan.rejected[0]).toMatchObject({ code: 'stain' });
    expect(sayRuledOut(plan.rejected[0]!.finding)).toMatch(/wood/);
  });
});

describe('the school of dulling', () => {
  const varnish = { stated: { substrate: 'closed_grain_hardwood', finish: 'varnish_oil' } } as const;
  const preps = (dulling: 'scuff' | 'liquid'): (string | undefined)[] =>
    planPiece(make(varnish, { goal: { schools: { dulling } } })).systems.map(({ zones }) => zones[0]!.treatment.prep);

  it('takes paper or deglosser out of every system', () => {
    expect(preps('scuff').length).toBeGreaterThan(0);
    for (const prep of preps('scuff')) expect(prep).not.toBe('liquid_degloss');
    for (const prep of preps('liquid')) expect(prep).not.toMatch(/^scuff/);
  });

  it('does not put deglosser on a factory film, whatever the school', () => {
    const film = make({ observations: LAMINATE }, { goal: { schools: { dulling: 'liquid' } } });
    for (const { zones } of planPiece(film).systems) expect(zones[0]!.treatment.prep).toMatch(/^scuff/);
  });
});
