import type { Dossier, PlannedStep } from '@/core/dossier';
import { EMPTY_WORKSHOP, type Workshop } from '@/core/workshop';
import type { ShopFacts } from '@/core/work';
import { learnPace } from '@/core/work';

const step = (
  op: PlannedStep['op'],
  label: string,
  minutes: number,
  wait_h: number,
  stage: number,
  more: Partial<PlannedStep> = {},
): PlannedStep => ({
  op,
  label,
  minutes,
  wait_h,
  stage,
  why: 'because',
  ...more,
});

/** Wipe, scuff, one coat of primer, two of paint: the work of a plain zone. */
export const plainSteps = (clear = false): PlannedStep[] => [
  step('degrease', 'Degrease, rinse, dry', 10, 1, 0, { class: 'degreaser' }),
  step('scuff', 'Scuff 150', 12, 0, 4, { grit: 150 }),
  step('prime', 'Waterborne bonding primer', 10, 12, 8, {
    class: 'bonding_primer_wb',
    coats: 1,
    recoat_h: 12,
    ml: 100,
  }),
  step('paint', 'Cabinet enamel ×2', 24, 32, 12, { class: 'wb_alkyd_enamel', coats: 2, recoat_h: 16, ml: 300 }),
  ...(clear
    ? [step('topcoat', 'Waterborne clear ×2', 20, 8, 13, { class: 'wb_clear', coats: 2, recoat_h: 4, ml: 200 })]
    : []),
];

/** A piece whose treatment has passed its tests, so that nothing but time stands before the paint. */
export function makePiece(id: string, zones: readonly string[] = ['top'], steps = plainSteps()): Dossier {
  const treatment = { prep: 'scuff_150' as const, primer: 'bonding_primer_wb' as const, coats: 1 };
  return {
    format: 'bricolage.dossier/1',
    piece: { id, name: id, kind: 'table', history: { era: 'since_2000' } },
    zones: zones.map((zone) => ({
      id: zone,
      role: 'top' as const,
      area_m2: 0.5,
      stated: { substrate: 'hpl_laminate' as const, finish: 'factory_film' as const },
    })),
    goal: { colour: '#1E2A30' },
    chosen: { at: '2026-11-01T10:00:00Z', zones: zones.map((zone) => ({ id: zone, treatment, steps })) },
    tests: zones.flatMap((zone) => [
      { id: `${zone}-n`, zone, kind: 'nail' as const, treatment, age_h: 48, reading: { score: 0 } },
      { id: `${zone}-c`, zone, kind: 'cross_cut' as const, treatment, age_h: 48, reading: { iso_class: 0 } },
    ]),
  };
}

/** Saturday morning in the net loft; air as on the label unless given. */
export const NOW = '2026-11-28T09:00:00.000Z';
export function makeFacts(more: Partial<ShopFacts> = {}, workshop: Partial<Workshop> = {}): ShopFacts {
  return {
    workshop: { ...EMPTY_WORKSHOP, ...workshop },
    tins: [],
    pace: learnPace([]),
    now: NOW,
    timeZone: 'Europe/Lisbon',
    ...more,
  };
}
