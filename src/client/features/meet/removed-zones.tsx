import { Button, Column, Heading, Row, Small, Strong } from '@/client/ui';
import { zoneName, type RemovedZone, type Zone } from '@/core/dossier';
import { REMOVED_ZONES_WORDS } from '@/words';

/** Zones taken away or joined to others: for thirty days each can be had back with all that was recorded. */
export function RemovedZones({
  removed,
  onBringBack,
}: {
  removed: readonly RemovedZone[];
  onBringBack: (zone: Zone) => void;
}) {
  if (removed.length === 0) return null;
  return (
    <Column gap="$s" role="region" aria-label={REMOVED_ZONES_WORDS.zonesTakenAway}>
      <Heading>{REMOVED_ZONES_WORDS.takenAway}</Heading>
      <Small>{REMOVED_ZONES_WORDS.eachCanBeHadBackFor}</Small>
      {removed.map(({ zone, log = [], tests = [] }) => {
        const count = (zone.observations ?? []).length + (zone.defects ?? []).length + log.length + tests.length;
        return (
          <Row key={zone.id} gap="$s" alignItems="center">
            <Column flex={1}>
              <Strong>{zoneName(zone)}</Strong>
              <Small>
                {count === 0 ? REMOVED_ZONES_WORDS.nothingWasRecordedOfIt : REMOVED_ZONES_WORDS.recordKept(count)}
              </Small>
            </Column>
            <Button label={REMOVED_ZONES_WORDS.bringBackNamed(zoneName(zone))} onPress={() => onBringBack(zone)}>
              {REMOVED_ZONES_WORDS.bringBack}
            </Button>
          </Row>
        );
      })}
    </Column>
  );
}
