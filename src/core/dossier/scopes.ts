import type { RoleCode } from '../knowledge';
import type { Goal } from './goal-schema';
import { listTreated } from './look';
import type { Dossier, Zone } from './schema';
import { colourOfPiece, wishOf, wishZones, type ZoneWish } from './wish';

/** Zones that are coloured in one go: all, the fronts, the body around them, or one alone. */
export interface ColourScope {
  code: 'piece' | 'fronts' | 'body' | `zone:${string}`;
  ids: string[];
}

const FRONTS: readonly RoleCode[] = ['door', 'drawer_front', 'front'];

/** What may be coloured apart on a piece, the widest first. Fronts and body only where it has both. */
export function listScopes(dossier: Pick<Dossier, 'goal' | 'zones'>): ColourScope[] {
  const painted = listTreated(dossier).filter((zone) => wishOf(dossier, zone).look === 'opaque');
  const idsOf = (zones: readonly Zone[]): string[] => zones.map(({ id }) => id);
  const fronts = painted.filter(({ role }) => FRONTS.includes(role));
  const body = painted.filter(({ role }) => !FRONTS.includes(role));
  const both = fronts.length > 0 && body.length > 0;
  return [
    { code: 'piece', ids: idsOf(painted) },
    ...(both
      ? [
          { code: 'fronts' as const, ids: idsOf(fronts) },
          { code: 'body' as const, ids: idsOf(body) },
        ]
      : []),
    ...painted.map(({ id }): ColourScope => ({ code: `zone:${id}`, ids: [id] })),
  ];
}

/** The wish that all zones of a scope share; none where they differ. */
export function sharedWish<K extends 'colour' | 'paint' | 'sheen'>(
  dossier: Pick<Dossier, 'goal' | 'zones'>,
  { ids }: ColourScope,
  field: K,
): ZoneWish[K] | undefined {
  const zones = (dossier.zones ?? []).filter(({ id }) => ids.includes(id));
  const [first, ...others] = zones.map((zone) => wishOf(dossier, zone)[field]);
  return others.every((own) => own === first) ? first : undefined;
}

/**
 * The wishes with a colour for a scope. The whole piece takes it as its own and no zone keeps another; the body takes it as
 * the piece's, and the fronts keep theirs.
 */
export function colourScope(dossier: Pick<Dossier, 'goal' | 'zones'>, scope: ColourScope, colour: string): Goal {
  const goal = dossier.goal ?? {};
  if (scope.code === 'piece') return { ...wishZones(goal, scope.ids, { colour: undefined }), colour };
  if (scope.code !== 'body')
    return wishZones(goal, scope.ids, { colour: colour === colourOfPiece(dossier) ? undefined : colour });
  // What followed the piece goes on as it is.
  const others = listTreated(dossier).filter(
    ({ id }) => !scope.ids.includes(id) && goal.zones?.[id]?.colour === undefined,
  );
  const kept = wishZones(
    goal,
    others.map(({ id }) => id),
    { colour: colourOfPiece(dossier) },
  );
  return { ...wishZones(kept, scope.ids, { colour: undefined }), colour };
}
