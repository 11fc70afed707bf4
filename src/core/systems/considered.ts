import { hasStrongFumes, labelProduct, PAINTS, PRIMERS, TOPCOATS, PREP_FACTS } from '../knowledge';
import type { Dossier } from '../dossier';
import { LABEL_CLIMATE } from '../climate';
import { upperFirst, describeChance, lowerFirst } from '../shared';
import { readGround } from './ground';
import { priceAlone, type Aim } from './prices';
import { listProducts, type Product } from './product';
import { listRejections } from './rejections';
import { searchZone, type Label } from './search';
import { PAINT_PREPS } from './stages-ground';
import type { ZonePlan } from './system';
import { pickLeast } from './taken';

export type Layer = 'prep' | 'prime' | 'paint' | 'topcoat';

/** Another way to do one layer of a zone, and what came of it. */
export interface Considered {
  code: string;
  what: string;
  verdict: 'ruled_out' | 'dearer' | 'beaten';
  text: string;
}

const CODES: Record<Layer, readonly string[]> = {
  prep: PAINT_PREPS,
  prime: ['none', ...PRIMERS],
  paint: PAINTS,
  topcoat: TOPCOATS,
};
const NONE: Record<Layer, string> = {
  prep: 'No dulling',
  prime: 'No primer',
  paint: 'No paint',
  topcoat: 'No topcoat',
};

/** What else was considered for a layer of a zone: the rule that cut it, or what the best way with it would differ by. */
export function listConsidered(dossier: Dossier, taken: ZonePlan, layer: Layer): Considered[] {
  const zone = dossier.zones?.find(({ id }) => id === taken.id);
  if (!zone) return [];
  const ground = readGround(dossier, zone);
  const products = listProducts(dossier.shelf ?? [], dossier.climate ?? LABEL_CLIMATE);
  const search = searchZone(ground, products);
  const aim: Aim = dossier.goal?.priority ?? 'balance';
  const own = codeOf(layer, taken.stack);
  const rejections = listRejections(search);
  return CODES[layer].flatMap((code): Considered[] => {
    if (code === own) return [];
    const what =
      code === 'none'
        ? NONE[layer]
        : layer === 'prep'
          ? PREP_FACTS[code as (typeof PAINT_PREPS)[number]].label
          : labelProduct(code as (typeof PAINTS)[number]);
    const rejected = rejections.find(
      (rejection) => rejection.code === (layer === 'prep' && code === 'none' ? 'no_dulling' : code),
    );
    const best = pickLeast(
      search.goals.filter(({ state }) => codeOf(layer, state) === code),
      (label) => priceAlone(label, ground, aim),
    );
    if (best) return [{ code, what, verdict: 'dearer', text: sayAgainst(best, taken) }];
    if (rejected) return [{ code, what, verdict: 'ruled_out', text: rejected.text }];
    return layer === 'topcoat'
      ? []
      : [{ code, what, verdict: 'beaten', text: 'Another way is as good in every respect and better in one.' }];
  });
}

function codeOf(layer: Layer, stack: Pick<ZonePlan['stack'], 'prep' | 'primers' | 'paint' | 'topcoat'>): string {
  if (layer === 'prep') return stack.prep;
  if (layer === 'prime') return stack.primers.map(({ code }) => code).join('+') || 'none';
  return (layer === 'paint' ? stack.paint : stack.topcoat) ?? 'none';
}

/** "11 h of waiting more, 6 min less, goes wrong about 1 in 40 instead of about 1 in 30". */
function sayAgainst(label: Label, taken: ZonePlan): string {
  const risk = -Math.expm1(-label.loss);
  const parts = [
    say(label.waitH - taken.waitH, 1, 'h of waiting'),
    say(label.minutes - taken.minutes, 2, 'min of hands'),
    Math.abs(risk - taken.risk.overall) < 0.004
      ? 'goes wrong as often'
      : `goes wrong ${describeChance(risk)} instead of ${describeChance(taken.risk.overall)}`,
  ];
  const bought = label.uses
    .map(({ product }) => product)
    .filter((product) => !taken.steps.some((own) => own.class === product.class));
  if (bought.length > 0) parts.push(`takes ${bought.map(sayProduct).join(' and ')}`);
  const text = parts.filter(Boolean).join(', ');
  return `${upperFirst(text)}.`;
}

const sayProduct = ({ class: code, carrier }: Product): string =>
  `${lowerFirst(labelProduct(code))}${hasStrongFumes(carrier) ? ', with strong vapour' : ''}`;

const say = (difference: number, least: number, unit: string): string =>
  Math.abs(difference) < least ? '' : `${Math.round(Math.abs(difference))} ${unit} ${difference < 0 ? 'less' : 'more'}`;
