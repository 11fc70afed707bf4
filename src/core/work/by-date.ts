import { freezeSystem, planPiece } from '../systems';
import { DEFAULT_HOURS } from '../workshop';
import { planShop, readPieceWork, type PieceWork, type PlanWish, type ShopFacts, type ShopPlan } from './shop-plan';
import { readyOf, UNSAID } from './dates';
import type { BlockReason } from './blocks';
import type { ProductClass } from '../knowledge';

/** What would help a piece that would be late. */
export type Remedy = RemedyStep & {
  /** When the piece could be collected then. */
  readyAt: string;
  /** Whether all pieces would be in time then. */
  saves: boolean;
};

/** What is done: an evening more a week (`day` 1 is Monday), or another primer, by what its coats are called. */
export type RemedyStep =
  | { kind: 'drop_clear' }
  | { kind: 'faster_primer'; primers: { class: ProductClass; tint?: string }[] }
  | { kind: 'more_time'; day: number; from: string; to: string };

export interface ByDate {
  /** All pieces that nothing holds back, by that date. */
  possible: boolean;
  date: string;
  late: { piece: string; name: string; readyAt: string | null; remedies: Remedy[] }[];
  /** Pieces no date can be given for: something holds them back. */
  open: { piece: string; name: string; because: BlockReason }[];
}

/** Work beside the schedule that is asked about: an evening on each day that has none, or two hours more at the week's end. */
function addEvening(facts: ShopFacts): { facts: ShopFacts; step: RemedyStep } {
  const { hours = DEFAULT_HOURS } = facts.workshop.setup;
  const day = [7, 6, 5, 4, 3, 2, 1].find((own) => !hours.some((one) => one.day === own));
  const extra = day === undefined ? { day: 7, from: '21:00', to: '22:30' } : { day, from: '19:00', to: '21:00' };
  const workshop = { ...facts.workshop, setup: { ...facts.workshop.setup, hours: [...hours, extra] } };
  return { facts: { ...facts, workshop }, step: { kind: 'more_time', ...extra } };
}

/**
 * "Can all be collected by the 20th?" Everything is planned again with that date due for all; for each piece that would be
 * late, what could save it is tried out in the same way: leaving out the second clear coat, a primer that dries faster, one
 * more evening. `date`: "2026-12-20"; `before`: the shop's order.
 */
export function askByDate(
  pieces: readonly PieceWork[],
  facts: ShopFacts,
  date: string,
  before: readonly string[] | null = null,
): ByDate {
  const wish = { due: (): string => date, before };
  const plan = planShop(pieces, facts, wish);
  const open = pieces.flatMap(({ id, name, blocks: [block] }) =>
    block ? [{ piece: id, name, because: block.because }] : [],
  );
  const stuck = new Set(open.map(({ piece }) => piece));
  const late = pieces
    .filter(({ id, tasks }) => !stuck.has(id) && tasks.some(({ state }) => state === 'open'))
    .flatMap((piece) => {
      const readyAt = readyOf(plan, piece.id);
      if (readyAt !== null && !isLate(plan, piece.id)) return [];
      const remedies = listRemedies(piece, readyAt, pieces, facts, wish);
      return [{ piece: piece.id, name: piece.name, readyAt, remedies }];
    });
  return { possible: late.length === 0 && open.length === 0, date, late, open };
}

const isLate = (plan: ShopPlan, id: string): boolean => plan.ready.find(({ piece }) => piece === id)?.late ?? true;

function listRemedies(
  piece: PieceWork,
  before: string | null,
  pieces: readonly PieceWork[],
  facts: ShopFacts,
  wish: PlanWish,
): Remedy[] {
  const attempt = (step: RemedyStep, next: PieceWork | null, with_: ShopFacts = facts): Remedy[] => {
    if (!next) return [];
    const plan = planShop(
      pieces.map((own) => (own.id === piece.id ? next : own)),
      with_,
      wish,
    );
    const readyAt = readyOf(plan, piece.id);
    if (readyAt === null || (before !== null && readyAt >= before)) return [];
    return [{ ...step, readyAt, saves: plan.ready.every(({ late }) => !late) }];
  };
  const evening = addEvening(facts);
  return [
    ...attempt({ kind: 'drop_clear' }, dropSecondClear(piece)),
    ...attempt(...takeFasterPrimer(piece, facts)),
    ...attempt(evening.step, piece, evening.facts),
  ].sort((a, b) => Number(b.saves) - Number(a.saves) || a.readyAt.localeCompare(b.readyAt));
}

/** Without the last of two clear coats, if it is still to come. */
function dropSecondClear(piece: PieceWork): PieceWork | null {
  const gone = piece.tasks.filter(({ op, coat, state }) => op === 'topcoat' && coat === 2 && state === 'open');
  if (gone.length === 0) return null;
  const over = new Set(gone.map(({ key }) => key));
  const tasks = piece.tasks.flatMap((task) => {
    if (over.has(task.key)) return [];
    // What came after the coat left out comes after the one before it.
    const after = task.after.flatMap((one) =>
      over.has(one.key) ? (gone.find(({ key }) => key === one.key)?.after ?? []) : [one],
    );
    return [{ ...task, after }];
  });
  return { ...piece, tasks };
}

/** The soonest system the planner finds with another primer, while nothing has been primed. */
function takeFasterPrimer(piece: PieceWork, facts: ShopFacts): [RemedyStep, PieceWork | null] {
  const none: RemedyStep = { kind: 'faster_primer', primers: [] };
  const { dossier, tasks } = piece;
  const primes = tasks.filter(({ op }) => op === 'prime');
  if (primes.length === 0 || primes.some(({ state }) => state !== 'open')) return [none, null];
  const goal = { ...dossier.goal, priority: 'soonest' as const };
  const soonest = planPiece({ ...dossier, goal, shelf: [...facts.tins] }).systems.find(({ labels }) =>
    labels.includes('soonest'),
  );
  if (!soonest) return [none, null];
  const chosen = freezeSystem(soonest, dossier.chosen?.at ?? facts.now, UNSAID);
  const next = readPieceWork({ ...dossier, chosen }, facts);
  const coats = next.tasks
    .filter(({ op, class: code }) => op === 'prime' && code !== undefined)
    .map(({ class: code, tint }) => ({ class: code as ProductClass, ...(tint === undefined ? {} : { tint }) }));
  const primers = coats.filter(
    (own, i) => coats.findIndex((other) => other.class === own.class && other.tint === own.tint) === i,
  );
  return [{ kind: 'faster_primer', primers }, next];
}
