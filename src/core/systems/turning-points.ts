import type { SubstrateCode } from '../knowledge';

import { listTreated, type Dossier, type Zone } from '../dossier';
import { CREDIBLE, tellsMost, type Target } from '../survey';
import type { Ground } from './ground';
import { readGround } from './take-up';
import { priceAlone, type Aim } from './prices';
import { productsOf, type Product } from './product';
import { searchZone, type Label } from './search';
import { describePrimers, type SurfaceState } from './surface-state';
import { pickLeast } from './taken';

/** A fact that is not certain and that would change what is best on a zone. */
export interface TurningPoint {
  zone: string;
  fact: Fact;
  /** Chance that it is so. */
  p: number;
  /** What would then be best. */
  then: Pick<SurfaceState, 'prep' | 'primers'>;
  /** What would then be saved (or, below nought, lost) against the best way now. */
  saves: { hours: number; minutes: number; money: number };
  /** The check that tells most. */
  check?: string;
}

/** An open question with one of its answers. */
export type Fact =
  { asks: 'substrate'; is: SubstrateCode } | { asks: 'bleeds' | 'coat_fails' | 'wax' | 'silicone'; is: boolean };

interface Supposition {
  fact: Fact;
  p: number;
  ground: () => Ground;
}

const MOST = 3;
/** Certain enough that supposing otherwise is idle. */
const SURE = 0.03;
/** A difference of less money than this changes nobody's mind. */
const LEAST_MONEY = 2;

/**
 * The facts a plan hangs on most: each of the `mostZones` largest zones searched again with an open question answered either way, and compared with
 * the best way as things stand. At most three, those that weigh most by their chance first.
 */
export function listTurningPoints(dossier: Dossier, mostZones = 4): TurningPoint[] {
  const products = productsOf(dossier);
  const aim: Aim = dossier.goal?.priority ?? 'balance';
  const grounds = listTreated(dossier).map((zone) => readGround(dossier, zone));
  const largest = grounds.sort((a, b) => b.area - a.area).slice(0, mostZones);
  const weighed = largest.flatMap((ground) => {
    const { zone } = ground;
    const now = findBest(ground, products, aim);
    if (!now) return [];
    return suppose(dossier, zone, ground).flatMap(({ fact, p, ground: make }) => {
      const other = make();
      const best = findBest(other, products, aim);
      if (!best || sameStack(best.label, now.label)) return [];
      const gain = now.price - best.price;
      if (Math.abs(gain) < LEAST_MONEY) return [];
      const point: TurningPoint = {
        zone: zone.id,
        fact,
        p,
        then: { prep: best.label.state.prep, primers: best.label.state.primers },
        saves: {
          hours: now.label.waitH - best.label.waitH,
          minutes: now.label.minutes - best.label.minutes,
          money: gain,
        },
      };
      return [{ point, zone, weight: p * Math.abs(gain) }];
    });
  });
  const told = weighed.sort((a, b) => b.weight - a.weight).slice(0, MOST);
  return told.map(({ point, zone }) => {
    const check = tellsMost(dossier, zone, targetOf(point.fact));
    return check ? { ...point, check } : point;
  });
}

/** What is to be found out about a fact. */
function targetOf(fact: Fact): Target {
  switch (fact.asks) {
    case 'substrate':
      return { state: ({ substrate }) => substrate === fact.is };
    case 'bleeds':
      return { facet: 'seep', value: ({ bleed }) => bleed === true };
    case 'coat_fails':
      return { facet: 'soundness', value: ({ soundness }) => soundness === 'failing' };
    case 'wax':
      return { facet: 'polish', value: ({ wax_polish }) => wax_polish === true };
    case 'silicone':
      return { facet: 'silicone', value: ({ silicone }) => silicone === true };
  }
}

function findBest(ground: Ground, products: readonly Product[], aim: Aim): { label: Label; price: number } | null {
  const { goals } = searchZone(ground, products, { few: 3 });
  const label = pickLeast(goals, (goal) => priceAlone(goal, ground, aim));
  return label ? { label, price: priceAlone(label, ground, aim) } : null;
}

/** Every open question of a zone, answered. */
function suppose(dossier: Dossier, zone: Zone, ground: Ground): Supposition[] {
  const { substrate } = ground.belief;
  const credible = substrate.filter(({ p }) => p >= CREDIBLE);
  const materials = (credible.length > 1 ? credible : []).map(({ code, p }) => ({
    fact: { asks: 'substrate' as const, is: code },
    p,
    ground: () => readGround(dossier, { ...zone, stated: { ...zone.stated, substrate: code } }),
  }));
  const either = (
    p: number,
    asks: Exclude<Fact['asks'], 'substrate'>,
    withChance: (p: number) => Ground,
  ): Supposition[] =>
    p < SURE || p > 1 - SURE
      ? []
      : [
          { fact: { asks, is: true }, p, ground: () => withChance(1) },
          { fact: { asks, is: false }, p: 1 - p, ground: () => withChance(0) },
        ];
  const withNeed = (code: string) => (p: number) => ({ ...ground, needs: new Map(ground.needs).set(code, p) });
  return [
    ...materials,
    ...either(ground.pBleed, 'bleeds', (p) => ({ ...ground, pBleed: p, pBleedBare: p })),
    ...either(ground.pFailing, 'coat_fails', (p) => ({
      ...withNeed('strip')(p),
      pFailing: p,
      pMarginal: 0,
    })),
    ...either(ground.needs.get('dewax') ?? 0, 'wax', withNeed('dewax')),
    ...either(ground.needs.get('desilicone') ?? 0, 'silicone', withNeed('desilicone')),
  ];
}

const describeStack = ({ state: { prep, primers, paint, paintCoats } }: Label): string =>
  [prep, describePrimers(primers), paint, paintCoats].join('/');
const sameStack = (a: Label, b: Label): boolean => describeStack(a) === describeStack(b);
