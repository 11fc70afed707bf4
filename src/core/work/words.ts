import type { Bound } from '../schedule';

/** What there is one of besides tins, which are named by their id. */
export const SPRAY_PLACE = 'spray place';

/** Why a task does not start sooner, in words. `name` says a task's piece and label. */
export function sayBound(bound: Bound, name: (task: string) => string): string {
  switch (bound.by) {
    case 'start':
      return 'It can start at once.';
    case 'wait':
      return `It waits for: ${name(bound.on)}.`;
    case 'closing':
      return `The recoat window after ${name(bound.on)} has closed; the next one opens then.`;
    case 'hands':
      return `Your hands are on ${name(bound.on)} before it.`;
    case 'thing':
      return bound.thing === SPRAY_PLACE ? 'The spray place is taken.' : 'The open tin is in use.';
    case 'window':
      return 'It waits for your next free time.';
    case 'room':
      return 'It does not fit into what is left of your time before it.';
    case 'air':
      return 'The air is expected too cold or damp for it before.';
    case 'pin':
      return 'You pinned it to this time.';
    case 'place':
      return 'It waits for a place to stand.';
  }
}
