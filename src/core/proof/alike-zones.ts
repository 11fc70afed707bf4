import { recoveryOf, resolveAlike, type Dossier, type Zone } from '../dossier';
import { computeBelief, findServed, mostLikelyState } from '../survey';

/**
 * The zones that one patch speaks for, this one among them: those that are said to be like each other, and those of one role,
 * where answers, damage a coat can feel and the likeliest material are the same. Of a zone that nothing is known of only
 * those it is said to be like; one that was worked on anew after something failed stands alone.
 */
export function listAlike(dossier: Dossier, zone: Zone): readonly string[] {
  const { zones = [], chosen, piece } = dossier;
  const known = GROUPS.get(zones);
  if (known && known.chosen === chosen && known.piece === piece) return known.groups.get(zone.id) ?? [zone.id];
  const groups = groupZones(dossier, zones);
  GROUPS.set(zones, { chosen, piece, groups });
  return groups.get(zone.id) ?? [zone.id];
}

/** Worked out once for each state of a piece's zones. */
const GROUPS = new WeakMap<
  readonly Zone[],
  Pick<Dossier, 'chosen' | 'piece'> & { groups: ReadonlyMap<string, readonly string[]> }
>();

function groupZones(dossier: Dossier, zones: readonly Zone[]): Map<string, string[]> {
  const groups = new Map<string, string[]>();
  const readings = new Map(zones.map((zone) => [zone.id, describeReading(dossier, zone)]));
  for (const zone of zones) {
    const own = readings.get(zone.id);
    const others = zones.filter(
      (other) =>
        groups.has(other.id) &&
        readings.get(other.id) === own &&
        (areLinked(zone, other) || (own !== NOTHING && zone.role === other.role)),
    );
    const group = [...new Set([...others.flatMap(({ id }) => groups.get(id)!), zone.id])];
    for (const id of group) groups.set(id, group);
  }
  return groups;
}

const areLinked = (a: Zone, b: Zone): boolean =>
  a.like === b.id || b.like === a.id || (a.like !== undefined && a.like === b.like);

/** Nothing was answered, stated or seen. */
const NOTHING = '';

/** The same for two zones that are read alike. */
function describeReading(dossier: Dossier, zone: Zone): string {
  if (recoveryOf(dossier, zone.id)) return zone.id;
  const { observations = [], stated, defects = [] } = resolveAlike(dossier, zone);
  const answers = observations
    .filter(({ check }) => check !== 'lead_test')
    .map(({ check, result, value }) => `${check}=${result ?? value}`);
  const felt = defects.filter(
    ({ code, detail }) => findServed({ code, ...(detail === undefined ? {} : { detail }) }) !== undefined,
  );
  if (answers.length === 0 && !stated && felt.length === 0) return NOTHING;
  const { substrate, finish } = mostLikelyState(computeBelief(dossier, zone));
  const damage = felt.map(({ code, detail, extent }) => [code, detail, extent].join('/'));
  return JSON.stringify([answers.sort(), damage.sort(), stated ?? null, substrate, finish]);
}
