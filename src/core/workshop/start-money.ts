import type { Dossier } from '../dossier';
import type { Setup } from './schema';

/** The account a piece starts with: what the shop goes by, unless the piece has its own. */
export function startMoney(setup: Setup, money: Dossier['money']): NonNullable<Dossier['money']> {
  const { currency } = setup;
  return { ...(currency ? { currency } : {}), ...setup.money, ...money };
}
