import type { Item, ShopPlan } from './shop-plan';
import type { Bound } from '../schedule';

/** A task whose start has moved since the owner last saw the plan; it may have none any more. */
export interface Move {
  task: string;
  from: string;
  to: string | null;
  because: MoveReason;
}

/** Why a task moved: what it waits for moved, what held it is out of the way, or what holds it now. */
export type MoveReason =
  | { kind: 'chained'; on: string }
  | { kind: 'freed' }
  | { kind: 'held'; bound: Bound }
  | { kind: 'unplaced'; why: ShopPlan['unplaced'][number]['why'] };

/** What the owner saw: when each task was to start. */
export type Agreed = Readonly<Record<string, string>>;

export const agreeOn = (plan: ShopPlan): Agreed =>
  Object.fromEntries(firstItems(plan).map(({ task, startAt }) => [task, startAt]));

function firstItems({ sittings }: ShopPlan): Item[] {
  const seen = new Set<string>();
  return sittings.flatMap(({ items }) =>
    items.filter(({ task }) => {
      if (seen.has(task)) return false;
      seen.add(task);
      return true;
    }),
  );
}

/** Less than this is no move to speak of, minutes. */
const LEAST_MOVE_MIN = 60;

/**
 * What moved between the plan the owner saw and the one now, and why: what holds it now, or what let it come forward.
 * Where the task before it moved as well, that is the reason. What has lost its time altogether comes first.
 */
export function listMoves(agreed: Agreed, plan: ShopPlan): Move[] {
  const moved = new Map<string, number>();
  for (const { task, startAt } of firstItems(plan)) {
    const before = agreed[task];
    if (before !== undefined) moved.set(task, (Date.parse(startAt) - Date.parse(before)) / 60_000);
  }
  const lost = plan.unplaced.flatMap(({ task, why }): Move[] => {
    const from = agreed[task];
    return from === undefined ? [] : [{ task, from, to: null, because: { kind: 'unplaced', why } }];
  });
  const others = firstItems(plan).flatMap(({ task, startAt, bound }): Move[] => {
    const by = moved.get(task) ?? 0;
    if (Math.abs(by) < LEAST_MOVE_MIN) return [];
    const cause = 'on' in bound ? (moved.get(bound.on) ?? 0) : 0;
    const chained = 'on' in bound && Math.abs(cause) >= LEAST_MOVE_MIN && Math.sign(cause) === Math.sign(by);
    const because: MoveReason = chained
      ? { kind: 'chained', on: bound.on }
      : by < 0
        ? { kind: 'freed' }
        : { kind: 'held', bound };
    return [{ task, from: agreed[task]!, to: startAt, because }];
  });
  return [...lost, ...others];
}
