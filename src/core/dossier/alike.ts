import type { Dossier, Observation, Zone } from './schema';

/**
 * A zone as it is read: its own answers, and for checks it has none of its own, those of the zone it is like. Its own
 * answers are the exceptions. One lead test speaks for one coat of paint (common practice): the owner says that it is the
 * same. Where one found lead it stops both, whatever the other found.
 */
export function resolveAlike(dossier: Pick<Dossier, 'zones'>, zone: Zone): Zone {
  const leader = dossier.zones?.find(({ id }) => id === zone.like);
  if (!leader || leader.id === zone.id) return zone;
  const own = zone.observations ?? [];
  const answered = new Set(own.map(({ check }) => check));
  const lent = (leader.observations ?? []).filter(
    (observation) => foundLead(observation) || !answered.has(observation.check),
  );
  const skipped = [...new Set([...(zone.skipped_checks ?? []), ...(leader.skipped_checks ?? [])])];
  const stated = zone.stated ?? leader.stated;
  return {
    ...zone,
    observations: [...lent, ...own],
    ...(skipped.length > 0 ? { skipped_checks: skipped } : {}),
    ...(stated ? { stated } : {}),
    like: undefined,
  };
}

/** A positive lead test stands above any other answer, wherever zones are linked, split or joined. */
export const foundLead = ({ check, result }: Observation): boolean => check === 'lead_test' && result === 'positive';

/** Whether an answer goes with parts that are split off, which may differ: all but a lead test that found none. */
export const isTrueElsewhere = (observation: Observation): boolean =>
  observation.check !== 'lead_test' || foundLead(observation);
