import { DOSSIER_FORMAT, type Dossier, type Observation, type Zone } from '../dossier';
import { CHECKS } from '../knowledge';
import { diagnoseZone } from './diagnose';

const make = (zone: Partial<Zone>, piece: Partial<Dossier['piece']> = {}, more: Partial<Dossier> = {}): Dossier => ({
  format: DOSSIER_FORMAT,
  piece: { kind: 'sideboard', history: { era: 'since_2000' }, ...piece },
  zones: [{ id: 'z', role: 'top', area_m2: 0.8, ...zone }],
  ...more,
});
const diagnose = (...args: Parameters<typeof make>) => {
  const dossier = make(...args);
  return diagnoseZone(dossier, dossier.zones![0]!);
};
const need = (result: ReturnType<typeof diagnose>, code: string): number =>
  result.needs.find((entry) => entry.code === code)?.p ?? 0;
const laminate: Observation[] = [
  { check: 'edge_line', result: 'dark_line' },
  { check: 'pattern_repeat', result: 'repeats' },
];

describe('needs', () => {
  it('follow from what the surface is', () => {
    const result = diagnose({ observations: laminate });
    expect(need(result, 'bonding_primer')).toBeGreaterThan(0.9);
    expect(need(result, 'scuff')).toBeGreaterThan(0.9);
    expect(need(result, 'stain_block')).toBeLessThan(0.1);
  });

  it('always include degreasing, however clean it looks', () => {
    expect(need(diagnose({ observations: [{ check: 'grease_wipe', result: 'clean' }] }), 'degrease')).toBeGreaterThan(
      0.9,
    );
  });

  it('name a whole stain block after a red rag and a bleed before', () => {
    const result = diagnose(
      {
        observations: [
          { check: 'damp_rag', result: 'red_pink' },
          { check: 'pores', result: 'medium_felt' },
        ],
      },
      { history: { era: '1940_1977', bled_before: 'yes' } },
    );
    expect(need(result, 'stain_block')).toBeGreaterThan(0.9);
    expect(result.needs.find(({ code }) => code === 'stain_block')?.extent).toBe('whole');
  });

  it('come from damage that was seen', () => {
    const result = diagnose({
      defects: [{ code: 'raw_mdf_edge' }, { code: 'old_holes', count: 4 }, { code: 'smoke_odour' }],
    });
    for (const code of ['edge_seal', 'repair_holes', 'odour_seal']) expect(need(result, code)).toBeGreaterThan(0.9);
  });

  it('ask to dry out wood that the meter finds damp', () => {
    expect(need(diagnose({ observations: [{ check: 'moisture_meter', value: 19 }] }), 'dry_out')).toBeGreaterThan(0.9);
    expect(need(diagnose({ observations: [{ check: 'moisture_meter', value: 10 }] }), 'dry_out')).toBe(0);
    const tried = { check: 'moisture_meter', value: 19, source: 'simulated' as const };
    expect(need(diagnose({ observations: [tried] }), 'dry_out')).toBe(0);
  });
});

describe('the lead gate', () => {
  const oldPaint = { history: { era: 'unknown' as const, painted_before: 'yes' as const } };

  it('stands for a coat of unknown date until a test is in the record', () => {
    expect(diagnose({}, oldPaint).hazards[0]?.gate).toBe('lead_test');
    const [after] = diagnose({ observations: [{ check: 'lead_test', result: 'negative' }] }, oldPaint).hazards;
    expect(after).toMatchObject({ code: 'lead_not_found' });
    expect(after).not.toHaveProperty('gate');
  });

  it('turns a positive test into a stop', () => {
    const result = diagnose({ observations: [{ check: 'lead_test', result: 'positive' }] }, oldPaint);
    expect(result.hazards[0]).toMatchObject({ code: 'lead_found', gate: 'certified_practice' });
  });

  it('keeps a positive test above any negative one', () => {
    const both: Observation[] = [
      { check: 'lead_test', result: 'negative' },
      { check: 'lead_test', result: 'positive' },
    ];
    expect(diagnose({ observations: both }, oldPaint).hazards[0]?.gate).toBe('certified_practice');
    expect(diagnose({ observations: [...both].reverse() }, oldPaint).hazards[0]?.gate).toBe('certified_practice');
  });

  it('is not asked of a piece since 2000, nor in the United States of one since 1978', () => {
    const dated = (era: '1978_1999' | 'since_2000', region?: string) =>
      diagnose({}, { history: { era, painted_before: 'yes' }, ...(region ? { region } : {}) }).hazards.length;
    expect(dated('since_2000')).toBe(0);
    expect(dated('1978_1999', 'US')).toBe(0);
    expect(dated('1978_1999')).toBe(1);
  });

  it('keeps every check that raises dust from being proposed', () => {
    const dusty = new Set(CHECKS.filter(({ care }) => care === 'abrasion').map(({ code }) => code));
    expect(dusty.size).toBeGreaterThan(0);
    expect(diagnose({}, oldPaint).nextChecks.some(({ check }) => dusty.has(check))).toBe(false);
  });
});

describe('the next check', () => {
  it('is worth more than it costs, best first, and never one that was made or skipped', () => {
    const { nextChecks } = diagnose(
      {
        area_m2: 3,
        observations: [{ check: 'edge_line', result: 'thin_wood_layer' }],
        // The first looks are taken.
        skipped_checks: ['damp_rag', 'corner_lift', 'pattern_repeat'],
      },
      { history: { era: 'since_2000' } },
    );
    expect(nextChecks.length).toBeGreaterThan(1);
    nextChecks.reduce((before, next) => {
      expect(next.worthTogether).toBeGreaterThan(0);
      expect(next.worthTogether).toBeLessThanOrEqual(before.worthTogether);
      return next;
    });
    expect(nextChecks.map(({ check }) => check)).not.toContain('edge_line');
    expect(nextChecks.map(({ check }) => check)).not.toContain('damp_rag');
  });

  it('proposes no solvent without ventilation', () => {
    const solvents = new Set(CHECKS.filter(({ care }) => care === 'solvent').map(({ code }) => code));
    const airless = diagnose({}, {}, { goal: { ventilation: 'none' } });
    expect(airless.nextChecks.some(({ check }) => solvents.has(check))).toBe(false);
  });

  it('stops when nothing left to ask would change the plan', () => {
    const dossier = make({ observations: [...laminate] });
    for (let asked = 0; asked < 12; asked += 1) {
      const zone = dossier.zones![0]!;
      const next = diagnoseZone(dossier, zone).nextChecks[0];
      if (!next) break;
      const answers: Record<string, string> = {
        spirit_rub: 'clean',
        tape_pull: 'nothing',
        corner_lift: 'brittle_chip',
        damp_rag: 'clean',
      };
      const result = answers[next.check] ?? CHECKS.find(({ code }) => code === next.check)!.answers.at(-1)!.code;
      zone.observations!.push({ check: next.check, result });
    }
    expect(diagnoseZone(dossier, dossier.zones![0]!).settled).toBe(true);
    expect(dossier.zones![0]!.observations!.length).toBeLessThan(9);
  });
});

describe('contradictions and evidence', () => {
  it('show what speaks against a fact the owner stated, whichever side wins', () => {
    const stated = { substrate: 'open_grain_hardwood' as const };
    const darkLine: Observation[] = [{ check: 'edge_line', result: 'dark_line' }];
    const trusted = diagnose({ stated, observations: darkLine }, { history: { era: 'before_1940' } });
    expect(trusted.contradictions.map(({ check }) => check)).toEqual(['edge_line']);
    const doubted = diagnose({ stated, observations: [...laminate, { check: 'core_view', result: 'chips' }] });
    expect(doubted.contradictions).toMatchObject([{ check: 'stated', result: 'open_grain_hardwood' }]);
    expect(diagnose({ stated }).contradictions).toEqual([]);
  });

  it('show an answer that does not fit what all others say', () => {
    const observations: Observation[] = [
      ...laminate,
      { check: 'core_view', result: 'chips' },
      { check: 'knots_seen', result: 'many' },
      { check: 'corner_lift', result: 'brittle_chip' },
    ];
    const result = diagnose({ observations: [...observations, { check: 'sand_spot', result: 'wood_dust' }] });
    expect(result.contradictions.length).toBeGreaterThan(0);
    expect(result.contradictions.map(({ check }) => check)).toContain('sand_spot');
    expect(diagnose({ observations: laminate }).contradictions).toEqual([]);
  });

  it('are kept for each answer with their strength', () => {
    expect(diagnose({ observations: laminate }).evidence[0]).toMatchObject({
      check: 'edge_line',
      about: 'hpl_laminate',
      speaks: 'for',
      strength: '+++',
    });
    expect(diagnose({ observations: [{ check: 'knots_seen', result: 'none' }] }).evidence[0]).toMatchObject({
      about: 'knotty_softwood',
      speaks: 'against',
      strength: '--',
    });
  });
});
