import type { Climate } from '../climate';
import type { Dossier, ShelfItem, Zone } from '../dossier';
import type { State } from '../survey';
import { readMetGround, type Ground } from './ground';
import { priceAlone, type Aim } from './prices';
import { productsOf } from './product';
import { chanceOf, searchZone } from './search';
import { FAILURE_MODES } from './risk';
import { pickLeast } from './taken';

/** What treating a zone takes once it is known to be this. */
export interface SurfaceCost {
  minutes: number;
  /** Paint in the major unit, by what it costs for each millilitre. */
  materials: number;
  /** Chance that it fails. */
  risk: number;
}

/** Few ways are kept: what it costs is wanted, not the choice. */
const FEW = 4;
/** What is known to bleed, or not to. */
const SURE = 0.97;

/** The best way of a zone as if it were known what it is; none where the rules leave none. Remembers what it solved. */
export function priceSurface(
  dossier: Dossier,
  climate: Climate,
  pricePerMl: (tin: ShelfItem | undefined, code: string) => number,
): (zone: Zone, state: State, bleeds: boolean) => SurfaceCost | null {
  const products = productsOf(dossier);
  const aim: Aim = dossier.goal?.priority ?? 'balance';
  const solved = new Map<string, SurfaceCost | null>();
  return (zone, { substrate, finish }, bleeds) => {
    const { role, area_m2, moulded, wear, wet, defects } = zone;
    const key = JSON.stringify([role, area_m2, moulded, wear, wet, defects, substrate, finish, bleeds]);
    const known = solved.get(key);
    if (known !== undefined) return known;
    const sure: Zone = { ...zone, stated: { substrate, finish }, observations: [] };
    const zones = dossier.zones?.map((own) => (own.id === zone.id ? sure : own));
    const met = readMetGround({ ...dossier, ...(zones ? { zones } : {}) }, sure);
    const needs = new Map(met.needs).set('stain_block', bleeds ? SURE : 0);
    const ground: Ground = { ...met, pBleed: bleeds ? SURE : 1 - SURE, needs };
    const best = pickLeast(searchZone(ground, products, { few: FEW }).goals, (label) => priceAlone(label, ground, aim));
    const cost = best
      ? {
          minutes: best.minutes,
          materials: best.uses.reduce(
            (sum, { product, ml }) => sum + ml * pricePerMl(product.tins[0], product.class),
            0,
          ),
          risk: 1 - FAILURE_MODES.reduce((held, mode) => held * (1 - chanceOf(best, mode)), 1),
        }
      : null;
    solved.set(key, cost);
    return cost;
  };
}
