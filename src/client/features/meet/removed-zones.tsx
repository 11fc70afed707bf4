import { Button, Column, Heading, Row, Small, Strong } from '@/client/ui';
import { zoneName, type RemovedZone, type Zone } from '@/core/dossier';

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
    <Column gap="$s" role="region" aria-label="Zones taken away">
      <Heading>Taken away</Heading>
      <Small>Each can be had back for thirty days; then it is gone with all that was recorded.</Small>
      {removed.map(({ zone, log = [], tests = [] }) => {
        const count = (zone.observations ?? []).length + (zone.defects ?? []).length + log.length + tests.length;
        return (
          <Row key={zone.id} gap="$s" alignItems="center">
            <Column flex={1}>
              <Strong>{zoneName(zone)}</Strong>
              <Small>
                {count === 0 ? 'nothing was recorded of it' : `${count} record${count === 1 ? '' : 's'} kept`}
              </Small>
            </Column>
            <Button label={`Bring back ${zoneName(zone)}`} onPress={() => onBringBack(zone)}>
              Bring back
            </Button>
          </Row>
        );
      })}
    </Column>
  );
}
