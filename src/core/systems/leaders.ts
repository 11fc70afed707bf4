import type { Dossier, Treatment, Zone } from '../dossier';
import { spreadOf, type BetaCounts } from '../learning';
import { clearOf } from '../proof';
import { showsWood } from './ground';
import { readGround } from './take-up';
import { priceAlone, priceFailure, type Aim } from './prices';
import { productsOf } from './product';
import { searchZone, chanceOf, type Label } from './search';
import { describeZone } from './system';

/** A treatment that the rules allow on a zone, with what it costs and what is believed of its hold. */
export interface Leader {
  treatment: Treatment;
  /** Hands, waits, tins and every risk but the grip's, in money. */
  price: number;
  /** What a failure would cost, money. */
  failurePrice: number;
  /** Chance that its grip holds, as counts. */
  holds: BetaCounts;
}

/**
 * The best way with each preparation and first primer that the rules allow on a zone, cheapest by the owner's priority
 * first. A loss of grip is kept apart from the other costs: it is what a patch tells about.
 */
export function listLeaders(dossier: Dossier, zone: Zone): Leader[] {
  const ground = readGround(dossier, zone);
  // Where the wood shows a hidden place of it is the panel.
  if (showsWood(ground)) return [];
  const products = productsOf(dossier);
  const aim: Aim = dossier.goal?.priority ?? 'balance';
  const best = new Map<string, { label: Label; total: number }>();
  for (const label of searchZone(ground, products).goals) {
    const { prep, primers, paint } = label.state;
    if (paint === null && primers.length === 0) continue;
    const key = `${prep}/${primers[0]?.code ?? 'none'}`;
    const total = priceAlone(label, ground, aim);
    if (total < (best.get(key)?.total ?? Infinity)) best.set(key, { label, total });
  }
  return [...best.values()]
    .sort((a, b) => a.total - b.total)
    .map(({ label, total }) => {
      const { treatment } = describeZone(label, ground);
      const failure = chanceOf(label, 'adhesion');
      const failurePrice = priceFailure(label, ground, aim);
      const { prep = 'none', primer = 'none' } = treatment;
      const holds = spreadOf(failure, ground.pool('adhesion', prep, primer, clearOf(treatment)));
      return { treatment, price: total - failure * failurePrice, failurePrice, holds };
    });
}
