import type { Dossier, DossierHours } from '../dossier';
import { dateOf, minuteOf, type Hours } from '../schedule';
import { freezeSystem, isTakenSystem, type CoatingSystem, type Phrases } from '../systems';
import { EMPTY_WORKSHOP } from '../workshop';
import { learnPace } from './pace';
import { placeShop, planShop, readPieceWork, type PieceWork, type ShopFacts, type ShopPlan } from './shop-plan';

/** When a piece can be collected by a plan of the shop, ISO instant; null while something holds it back. */
export const readyOf = (plan: ShopPlan, id: string): string | null =>
  plan.ready.find(({ piece }) => piece === id)?.at ?? null;

/** Whether that is past the day it is wanted by; no day is late while there is none. */
const isLate = (plan: ShopPlan, id: string): boolean => plan.ready.find(({ piece }) => piece === id)?.late ?? false;

/** What is only tried out is not kept, and nobody reads its reasons. */
export const UNSAID: Phrases = { step: () => '', why: () => '', assumes: () => '' };

/** The piece as it would be if a system were taken. */
const readAsTaken = (dossier: Dossier, system: CoatingSystem, facts: ShopFacts): PieceWork =>
  readPieceWork({ ...dossier, chosen: freezeSystem(system, facts.now, UNSAID) }, facts);

/** When a piece could be collected with a system, ISO instants; null where something would hold it back. */
export interface SystemDates {
  /** On the schedule of the owner's hours, with all that is in work beside it. */
  readyAt: string | null;
  /** Whether that is past the day it is wanted by. */
  late: boolean;
  /** With every hour free for this piece alone. */
  soonestAt: string | null;
}

/**
 * When a piece could be collected with each of some systems, in their order. That of the system that was taken is the date the
 * whole shop goes by. `order`: the shop's (`orderShop`).
 */
export function dateSystems(
  dossier: Dossier,
  systems: readonly CoatingSystem[],
  pieces: readonly PieceWork[],
  facts: ShopFacts,
  order: readonly string[] | null,
): SystemDates[] {
  const id = dossier.piece.id ?? '';
  const others = pieces.filter((own) => own.id !== id);
  const own = pieces.find((piece) => piece.id === id);
  return systems.map((system) => {
    const isOwn = own !== undefined && isTakenSystem(dossier, system);
    const tried = isOwn ? own : readAsTaken(dossier, system, facts);
    const plan =
      isOwn && order ? placeShop(pieces, facts, order) : planShop([...others, tried], facts, { before: order });
    const free = withHours(facts, EVERY_HOUR);
    return {
      readyAt: readyOf(plan, id),
      late: isLate(plan, id),
      soonestAt: readyOf(planShop([tried], free, { tries: 0 }), id),
    };
  });
}

/** The same shop with these hours each week and nothing else in it. */
const withHours = (facts: ShopFacts, hours: readonly Hours[]): ShopFacts => ({
  ...facts,
  workshop: {
    ...facts.workshop,
    pins: [],
    setup: { hours: hours.map((one) => ({ ...one })), places: { large: 1, small: 1 } },
  },
});

const DAYS = ['mon', 'tue', 'wed', 'thu', 'fri', 'sat', 'sun'] as const satisfies readonly DossierHours['day'][];
const EVERY_HOUR: readonly Hours[] = DAYS.map((_, i) => ({ day: i + 1, from: '00:00', to: '24:00' }));

/** A date that is told of a piece by itself, and through which hours it was reckoned. */
export interface DateAlone {
  /** "2026-12-20", on the clock of UTC; null while something would hold the piece back. */
  readyBy: string | null;
  through: 'own_hours' | 'every_hour';
  late: boolean;
}

/** When a piece could be collected where no shop is known: through the hours it names itself (`goal.hours`), else through every hour. */
export function dateAlone(dossier: Dossier, system: CoatingSystem, now: string): DateAlone {
  const { hours = [] } = dossier.goal ?? {};
  const named = hours.map(({ day, from, to }) => ({ day: DAYS.indexOf(day) + 1, from, to }));
  const facts = withHours(
    { workshop: EMPTY_WORKSHOP, tins: dossier.shelf ?? [], pace: learnPace([dossier]), now, timeZone: 'UTC' },
    named.length > 0 ? named : EVERY_HOUR,
  );
  const own = readAsTaken(dossier, system, facts);
  const plan = planShop([own], facts, { tries: 0 });
  const at = readyOf(plan, own.id);
  const readyBy = at === null ? null : dateOf(minuteOf(at), facts.timeZone);
  return {
    readyBy,
    through: named.length > 0 ? 'own_hours' : 'every_hour',
    late: isLate(plan, own.id),
  };
}
