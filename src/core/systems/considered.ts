import { hasStrongFumes, PAINTS, PRIMERS, TOPCOATS, type ProductClass } from '../knowledge';
import type { Dossier } from '../dossier';

import type { HardFinding } from './findings';
import { readGround } from './take-up';
import { priceAlone, type Aim } from './prices';
import { productsOf } from './product';
import { listRejections } from './rejections';
import { searchZone, type Label } from './search';
import { PAINT_PREPS } from './stages-ground';
import type { ZonePlan } from './system';
import { pickLeast } from './taken';

export type Layer = 'prep' | 'prime' | 'paint' | 'topcoat';

/** Another way to do one layer of a zone, and what came of it. */
export type Considered = { layer: Layer; code: string } & (
  { verdict: 'ruled_out'; finding: HardFinding } | { verdict: 'dearer'; difference: Difference } | { verdict: 'beaten' }
);

/** What the best way with it would differ by from the way taken: more where above nought. */
export interface Difference {
  waitH: number;
  minutes: number;
  /** Chance of failing with it, and with the way taken. */
  risk: number;
  takenRisk: number;
  /** Products the way taken does without. */
  takes: { class: ProductClass; strongFumes: boolean }[];
}

const CODES: Record<Layer, readonly string[]> = {
  prep: PAINT_PREPS,
  prime: ['none', ...PRIMERS],
  paint: PAINTS,
  topcoat: TOPCOATS,
};

/** What else was considered for a layer of a zone: the rule that cut it, or what the best way with it would differ by. */
export function listConsidered(dossier: Dossier, taken: ZonePlan, layer: Layer): Considered[] {
  const zone = dossier.zones?.find(({ id }) => id === taken.id);
  if (!zone) return [];
  const ground = readGround(dossier, zone);
  const products = productsOf(dossier);
  const search = searchZone(ground, products);
  const aim: Aim = dossier.goal?.priority ?? 'balance';
  const own = codeOf(layer, taken.stack);
  const rejections = listRejections(search);
  return CODES[layer].flatMap((code): Considered[] => {
    if (code === own) return [];
    const rejected = rejections.find(
      (rejection) => rejection.code === (layer === 'prep' && code === 'none' ? 'no_dulling' : code),
    );
    const best = pickLeast(
      search.goals.filter(({ state }) => codeOf(layer, state) === code),
      (label) => priceAlone(label, ground, aim),
    );
    if (best) return [{ layer, code, verdict: 'dearer', difference: compare(best, taken) }];
    if (rejected) return [{ layer, code, verdict: 'ruled_out', finding: rejected.finding }];
    return layer === 'topcoat' ? [] : [{ layer, code, verdict: 'beaten' }];
  });
}

function codeOf(layer: Layer, stack: Pick<ZonePlan['stack'], 'prep' | 'primers' | 'paint' | 'topcoat'>): string {
  if (layer === 'prep') return stack.prep;
  if (layer === 'prime') return stack.primers.map(({ code }) => code).join('+') || 'none';
  return (layer === 'paint' ? stack.paint : stack.topcoat) ?? 'none';
}

const compare = (label: Label, taken: ZonePlan): Difference => ({
  waitH: label.waitH - taken.waitH,
  minutes: label.minutes - taken.minutes,
  risk: -Math.expm1(-label.loss),
  takenRisk: taken.risk.overall,
  takes: label.uses
    .map(({ product }) => product)
    .filter((product) => !taken.steps.some((own) => own.class === product.class))
    .map((product) => ({ class: product.class, strongFumes: hasStrongFumes(product.carrier) })),
});
