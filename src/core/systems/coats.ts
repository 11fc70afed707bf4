import {
  CLEAR_FACTS,
  isRubbedOn,
  minutesFor,
  mostThinningPct,
  PRIMER_FACTS,
  PRIMERS,
  WORK_RATES,
  type ClearCode,
  type PrimerCode,
  type WorkRate,
  type WorkSize,
} from '../knowledge';
import { CREDIBLE } from '../survey';
import { roundMinutes, step, type Step } from './choice';
import type { Ground } from './ground';
import type { Product } from './product';
import type { StepReason } from './reasons';

/* What a coat is, whatever it is of: its minutes, its wait, its step, and the sanding between two of them. */

const isCode = <T extends string>(codes: readonly T[], product: Pick<Product, 'class'>): boolean =>
  (codes as readonly string[]).includes(product.class);
export const offer = <T extends string>(products: readonly Product[], codes: readonly T[]): Product[] =>
  products.filter((product) => isCode(codes, product));

/** Minutes of so many coats on a face: by brush and roller or by gun. A door is turned for its second face. */
export function coatMinutes(
  kind: 'prime' | 'paint' | 'clear',
  { class: code }: Pick<Product, 'class'>,
  coats: number,
  ground: Ground,
  areaM2: number = ground.area,
): number {
  const factor = isCode(PRIMERS, { class: code }) ? (PRIMER_FACTS[code as PrimerCode].handsFactor ?? 1) : 1;
  return roundMinutes(minutesFor(rateOf(kind, code, ground), coatSize(ground, areaM2)) * coats * factor);
}

function rateOf(kind: 'prime' | 'paint' | 'clear', code: string, { application }: Ground): WorkRate {
  if (application !== 'brush_roll' && !isRubbedOn(code))
    return kind === 'prime' ? WORK_RATES.prime_gun : WORK_RATES.paint_gun;
  return kind === 'clear' ? { ...WORK_RATES.clear, perM2: CLEAR_FACTS[code as ClearCode].perM2 } : WORK_RATES[kind];
}

/** A face as it is coated. */
function coatSize({ size, zone }: Ground, areaM2: number): WorkSize {
  return { ...size, areaM2, parts: size.parts * (zone.role === 'door' ? 2 : 1) };
}

/** Sanding between the coats of one product: a step of its own, where there is more than one. */
export function sandBetween(
  { class: code, film }: Product,
  coats: number,
  ground: Ground,
  areaM2: number = ground.area,
): Step[] {
  // What has a quick window is built up in it, coat on fresh coat.
  if (coats < 2 || film.quickRecoat) return [];
  // Where only what is rough is sanded, half of it (estimate).
  const share = (coats - 1) * (ground.schools.between === 'denib_every' ? 1 : 0.5);
  const { once, ...rate } = WORK_RATES.denib;
  const minutes = minutesFor(rate, { ...ground.size, areaM2 }) * share;
  return [
    step(
      'denib',
      'sand_between',
      minutes,
      0,
      { code: 'nibs_show' },
      {
        grit: code in CLEAR_FACTS ? CLEAR_GRIT : PAINT_GRIT,
        coats: coats - 1,
        between: true,
        once: once * (coats - 1),
      },
    ),
  ];
}
/** Scratches of a coarser grit show through what is clear (common practice). */
const CLEAR_GRIT = 320;
const PAINT_GRIT = 220;

/** Hours from the first coat until the next thing: coats of a can go on fresh, within its window. */
export const coatsWaitH = ({ film, recoatH }: Pick<Product, 'film' | 'recoatH'>, coats: number): number =>
  (film.quickRecoat?.fromH ?? recoatH) * (coats - 1) + recoatH;

export const tinOf = (product: Product): { product?: string } =>
  product.tins[0] ? { product: product.tins[0].id } : {};

export function coatStep(
  op: 'prime' | 'paint' | 'topcoat',
  product: Product,
  coats: number,
  minutes: number,
  ml: number,
  why: StepReason[],
  ground: Ground,
  colour?: string,
): Step {
  const { class: code, film, recoatH } = product;
  const slower: StepReason[] =
    recoatH > film.recoatH ? [{ code: 'slower_in_this_air', labelH: film.recoatH, airH: recoatH }] : [];
  return step(
    op,
    'coat',
    minutes,
    coatsWaitH(product, coats),
    [...why, ...slower, ...whyThisGun(op, product, ground)],
    {
      class: code,
      coats,
      recoatH,
      ml,
      ...(colour === undefined ? {} : { colour }),
      ...tinOf(product),
    },
  );
}

function whyThisGun(op: string, { class: code, tins }: Product, ground: Ground): StepReason[] {
  if (ground.application !== 'spray' || isRubbedOn(code)) return [];
  const onSlick = ground.slickness[2] >= CREDIBLE;
  const most = mostThinningPct(code, { labelPct: tins[0]?.max_thinning_pct, gun: true, onSlick });
  if (most === 0) return [{ code: 'never_thin' }];
  if (op === 'prime' && ground.pRaw > 0.3) return [{ code: 'brush_into_pores' }];
  return [{ code: 'thin_by_label', share: most / 100 }];
}
