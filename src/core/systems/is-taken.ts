import type { Dossier, Stack } from '../dossier';
import { stackOf } from './freeze';
import type { CoatingSystem } from './system';

const describeStack = ({ prep, primers, paint, paint_coats, topcoat }: Stack): string =>
  [prep, ...primers.map(({ code, coats }) => `${code}×${coats}`), paint, paint_coats, topcoat].join();
/** Colours were not kept with a system once: one that says none is of whatever was wished. */
const isOfColours = (a: Stack, b: Stack): boolean =>
  a.colour === undefined || b.colour === undefined || (a.colour === b.colour && a.second_colour === b.second_colour);

/** Whether a system is the one that was taken: the same layers on every zone. */
export function isTakenSystem({ chosen }: Dossier, system: CoatingSystem): boolean {
  const taken = new Map((chosen?.zones ?? []).map(({ id, stack }) => [id, stack]));
  if (taken.size === 0) return false;
  return system.zones.every((zone) => {
    const [own, other] = [taken.get(zone.id), stackOf(zone.stack)];
    return own !== undefined && describeStack(own) === describeStack(other) && isOfColours(own, other);
  });
}
