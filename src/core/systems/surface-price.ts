import type { Climate } from '../climate';
import type { Dossier, Zone } from '../dossier';
import { isCoat } from '../knowledge';
import { countSittings, priceConsumables, pricePerMl, priceSplashes } from '../quantity';
import type { State } from '../survey';
import { readMetGround, type Ground } from './ground';
import { JointSearch } from './joint-search';
import { planPiece } from './plan';
import { priceAlone, priceProduct, priceZone, type Aim } from './prices';
import { addShared, listShared, type Shared } from './sittings';
import { productsOf, type Product } from './product';
import { chanceOf, searchZone, traceLabel, type Label, type Use, type ZoneSearch } from './search';
import { FAILURE_MODES } from './risk';
import { priceUse } from './supplies';
import { pickLeast } from './taken';

/** What treating a zone takes once it is known to be this. */
export interface SurfaceCost {
  /** Of hands, what products ask for once not among them. */
  minutes: number;
  /** Materials in the major unit as if every tin stood open: what doing it again takes. */
  again: number;
  /** Chance that it fails. */
  risk: number;
  /** What comes by the splash, in the major unit. */
  splashes: number;
  uses: readonly Use[];
  /** What it shares with other zones: sittings, each with its minutes. */
  shared: readonly Shared[];
  coats: Parameters<typeof countSittings>[0];
}

/** What a whole piece takes. */
export interface PieceCost {
  minutes: number;
  /** Paint by whole tins and from the shelf, and what comes by the splash, in the major unit. */
  materials: number;
  consumables: number;
}

export interface SurfacePrices {
  /** The ways of a zone as if it were known what it is; null where the rules leave none. Remembered. */
  solve: (zone: Zone, state: State, bleeds: boolean) => ZoneSearch | null;
  /**
   * What each surface takes, those of a zone likeliest first: the likeliest of all zones by the best system for the piece, any
   * other with what that system has opened, unless it wants something else. `rough`: the likeliest each by itself.
   */
  choose: (zones: readonly (readonly ZoneSearch[])[], rough: boolean) => SurfaceCost[][];
  /** What the piece takes where its zones are these. */
  addUp: (picked: readonly SurfaceCost[]) => PieceCost;
}

/** Few ways are kept: what it costs is wanted, not the choice. */
const FEW = 4;
/** What is known to bleed, or not to. */
const SURE = 0.97;

/** Prices of surfaces that a piece may turn out to have. */
export function priceSurfaces(dossier: Dossier, climate: Climate): SurfacePrices {
  const products = productsOf({ ...dossier, climate: { ...climate } });
  const aim: Aim = dossier.goal?.priority ?? 'balance';
  const own = dossier.money?.consumables;
  const solved = new Map<string, ZoneSearch | null>();
  const solve: SurfacePrices['solve'] = (zone, { substrate, finish }, bleeds) => {
    const { role, area_m2, moulded, wear, wet, defects } = zone;
    const key = JSON.stringify([role, area_m2, moulded, wear, wet, defects, substrate, finish, bleeds]);
    const known = solved.get(key);
    if (known !== undefined) return known;
    const sure: Zone = { ...zone, stated: { substrate, finish }, observations: [] };
    const zones = dossier.zones?.map((other) => (other.id === zone.id ? sure : other));
    const met = readMetGround({ ...dossier, ...(zones ? { zones } : {}) }, sure);
    const pBleed = bleeds ? SURE : 1 - SURE;
    const needs = new Map(met.needs).set('stain_block', bleeds ? SURE : 0);
    const ground: Ground = { ...met, pBleed, pBleedBare: pBleed, needs };
    const search = searchZone(ground, products, { few: FEW });
    const found = search.goals.length > 0 ? search : null;
    solved.set(key, found);
    return found;
  };
  const addUp: SurfacePrices['addUp'] = (picked) => {
    const used = new Map<Product, number>();
    for (const { product, ml } of picked.flatMap(({ uses }) => uses)) used.set(product, (used.get(product) ?? 0) + ml);
    const sum = (of: (cost: SurfaceCost) => number): number => picked.reduce((all, cost) => all + of(cost), 0);
    return {
      minutes: sum(({ minutes }) => minutes) + addShared(picked.map(({ shared }) => shared)),
      materials:
        sum(({ splashes }) => splashes) + [...used].reduce((all, [product, ml]) => all + priceUse(product, ml), 0),
      consumables:
        own ??
        priceConsumables({ zones: picked.length, sittings: countSittings(picked.flatMap(({ coats }) => coats)) }),
    };
  };
  const choose: SurfacePrices['choose'] = (zones, rough) => {
    const likeliest = zones.map(([first]) => first!);
    const best = rough
      ? likeliest.map(({ goals, ground }) => pickLeast(goals, (label) => priceAlone(label, ground, aim))!)
      : (new JointSearch(likeliest, products).find(aim)?.labels ?? []);
    const opened = new Set(best.flatMap(({ uses }) => uses.map(({ product }) => product)));
    const priceNext = ({ product, ml }: Use): number =>
      opened.has(product) ? ml * pricePerMl(product.tins[0], product.class) : priceProduct(product, ml, aim);
    return zones.map((searches, z) =>
      searches.map((search, i) => {
        const { goals, ground } = search;
        const price = (label: Label): number =>
          priceZone(label, ground, aim) + label.uses.reduce((sum, use) => sum + priceNext(use), 0);
        return costOf((i === 0 ? best[z] : undefined) ?? pickLeast(goals, price)!, ground, `zone ${z}`);
      }),
    );
  };
  return { solve, choose, addUp };
}

function costOf(label: Label, ground: Ground, zone: string): SurfaceCost {
  const { minutes, uses } = label;
  const splashes = priceSplashes(label.splashes);
  const way = traceLabel(label);
  return {
    minutes,
    again: splashes + uses.reduce((sum, { product, ml }) => sum + ml * pricePerMl(product.tins[0], product.class), 0),
    risk: 1 - FAILURE_MODES.reduce((held, mode) => held * (1 - chanceOf(label, mode)), 1),
    splashes,
    uses,
    shared: listShared(
      way.flatMap(({ choice }) => choice.steps()),
      ground.application,
    ),
    coats: way.flatMap(({ choice: { op, product, coats = 1 } }) =>
      op !== null && isCoat(op) && product ? [{ zone, product: String(product.index), coats }] : [],
    ),
  };
}

/** What the plan that is recommended takes, where nothing about the piece is open any more: the whole, and zone by zone. */
export function pricePlan(
  dossier: Dossier,
): { whole: PieceCost; zones: Map<string, { minutes: number; risk: number }> } | null {
  const [system] = planPiece(dossier).systems;
  if (!system) return null;
  const { handsOnMin: minutes, materialsCost, consumablesCost: consumables, zones } = system;
  return {
    whole: { minutes, materials: materialsCost - consumables, consumables },
    zones: new Map(zones.map((zone) => [zone.id, { minutes: zone.minutes, risk: zone.risk.overall }])),
  };
}
