import type { PieceWork, ShopPlan } from './shop-plan';
import type { Task } from './tasks';

/**
 * The next job of a piece: of those that are open and that nothing holds back, the one the shop's plan takes first, else
 * the first in the order of work. None where all is done or held back.
 */
export function nextTask(
  { tasks, held }: Pick<PieceWork, 'tasks' | 'held'>,
  plan: Pick<ShopPlan, 'sittings'> | null,
): Task | undefined {
  const open = tasks.filter(({ id, state }) => state === 'open' && !held.has(id));
  const planned = plan?.sittings.flatMap(({ items }) => items).find(({ task }) => open.some(({ id }) => id === task));
  return open.find(({ id }) => id === planned?.task) ?? open[0];
}
