import { DOSSIER_FORMAT, listTreated, startWishes, type Dossier } from '../dossier';
import { computeBelief } from '../survey';
import { planPiece } from '../systems';
import { buildTemplate, KIND_TEMPLATES } from '../templates';
import { PIECE_KINDS } from '../knowledge';
import { judgeGates, judgeHandovers, summariseProgress } from './index';
import { groupLayers } from './layers';
import { buildSection } from './section';

const LAMINATE: Dossier = {
  format: DOSSIER_FORMAT,
  piece: { kind: 'desk', history: { era: 'since_2000' } },
  zones: [
    {
      id: 'top',
      role: 'top',
      area_m2: 1,
      observations: [
        { check: 'edge_line', result: 'dark_line' },
        { check: 'corner_lift', result: 'brittle_chip' },
        { check: 'spirit_rub', result: 'clean' },
      ],
    },
  ],
};
const treatment = planPiece(LAMINATE).systems[0]!.zones[0]!.treatment;
const chosen = { zones: [{ id: 'top', treatment }] };
const tested = (score: number): Dossier => ({
  ...LAMINATE,
  chosen,
  tests: (['nail', 'fork'] as const).map((kind) => ({ zone: 'top', kind, treatment, age_h: 48, reading: { score } })),
});

describe('the way of a piece', () => {
  it('leads from reading to choosing, proving and painting', () => {
    const fresh = { ...LAMINATE, zones: [{ id: 'top', role: 'top' as const }] };
    expect(summariseProgress(fresh).stage).toBe('read');
    expect(summariseProgress(LAMINATE).stage).toBe('choose');
    expect(summariseProgress({ ...LAMINATE, chosen }).stage).toBe('prove');
    expect(summariseProgress(tested(0)).stage).toBe('paint');
  });

  it('leads back to choosing when a patch failed', () => {
    expect(summariseProgress(tested(4))).toMatchObject({ stage: 'choose', tone: 'stop' });
  });

  it('puts lead before everything', () => {
    const old: Dossier = {
      ...LAMINATE,
      piece: { kind: 'interior_door', history: { era: 'before_1940' } },
      zones: [{ id: 'top', role: 'frame' }],
    };
    expect(summariseProgress(old)).toMatchObject({ tone: 'stop', state: { code: 'lead_possible' } });
  });

  it('judges the gates of every zone', () => {
    expect([...judgeGates(tested(0)), ...judgeHandovers(tested(0), '2026-05-03T09:00:00Z')]).toEqual([
      expect.objectContaining({ zone: 'top', gate: 'prime_to_paint', state: 'open' }),
      expect.objectContaining({ zone: 'top', gate: 'bleed', state: 'not_needed' }),
      expect.objectContaining({ zone: 'top', gate: 'handover', state: 'waiting' }),
    ]);
  });
});

describe('the section', () => {
  const belief = computeBelief(LAMINATE, LAMINATE.zones![0]!);

  it('draws a factory film as the face of its board, not as a coat', () => {
    expect(buildSection(belief).layers.map(({ kind }) => kind)).toEqual(['substrate']);
  });

  it('gains a tooth and one band a coat from the plan', () => {
    const plan = planPiece(LAMINATE).systems[0]!.zones[0]!;
    const section = buildSection(belief, plan);
    const coats = plan.stack.primers.reduce((sum, { coats: n }) => sum + n, 0) + plan.stack.paintCoats;
    expect(section.layers.filter(({ kind }) => kind === 'coat')).toHaveLength(coats);
    expect(section.layers.filter(({ kind }) => kind === 'tooth').length).toBeGreaterThan(0);
    expect(groupLayers(section).length).toBeLessThan(section.layers.length);
  });
});

describe('templates', () => {
  it.each(PIECE_KINDS)('%s has zones with areas, all of them drawn or named', (kind) => {
    const { zones, shapes } = buildTemplate(kind);
    expect(zones.length).toBeGreaterThan(0);
    for (const zone of zones) expect(zone.area_m2).toBeGreaterThan(0);
    const ids = new Set(zones.map(({ id }) => id));
    for (const shape of shapes) expect(ids).toContain(shape.zone);
    const drawn = new Set(shapes.map(({ zone }) => zone));
    const treated = listTreated({ zones, goal: startWishes(zones) });
    expect(treated.filter(({ id }) => !drawn.has(id))).toEqual([]);
  });

  it('grows a top with the square of the size', () => {
    const { size } = KIND_TEMPLATES.table;
    const area = (factor: number): number =>
      buildTemplate('table', { width: size.width * factor, depth: size.depth * factor, height: size.height }).zones[0]!
        .area_m2!;
    // 1.4 m × 0.8 m = 1.12 m²; twice each way, four times as much.
    expect(area(1)).toBeCloseTo(1.12, 2);
    expect(area(2)).toBeCloseTo(4.48, 2);
  });
});
