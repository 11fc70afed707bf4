import { Button, Column, Disclosure, Row, Small, Strong, Toggle } from '@/client/ui';
import { toZoneFacts, zoneName, type Zone } from '@/core/dossier';
import type { ReadingParts } from './reading-words';
import { lowerFirst } from '@/core/shared';

/** Alike zones are read once: the others take this zone's answers, and an answer of their own is an exception. */
export function AlikeZones({ zone, dossier, change, others }: ReadingParts & { others: readonly Zone[] }) {
  const leader = dossier.zones?.find(({ id }) => id === zone.like);
  const link = (target: Zone, like: string | undefined): void => {
    const { like: _old, ...facts } = toZoneFacts(target);
    change({ type: 'zone_set', zoneId: target.id, facts: { ...facts, ...(like === undefined ? {} : { like }) } });
  };
  if (leader) {
    return (
      <Column gap="$s">
        <Small>
          {`Read like ${lowerFirst(zoneName(leader))}. A check made here counts for this zone alone; the lead test is always made here.`}
        </Small>
        <Button onPress={() => link(zone, undefined)}>{`Read it apart from ${lowerFirst(zoneName(leader))}`}</Button>
      </Column>
    );
  }
  // A zone that others are read like keeps its own answers.
  const free = others.filter((other) => !others.some(({ like }) => like === other.id));
  const alike = free.filter(({ like }) => like === zone.id);
  if (free.length === 0) return null;
  return (
    <Disclosure
      label={
        alike.length > 0
          ? `Also read: ${alike.map((other) => lowerFirst(zoneName(other))).join(', ')}`
          : 'Other zones are just like it'
      }
    >
      {() => (
        <Column gap="$s">
          <Strong>{`Just like ${lowerFirst(zoneName(zone))}`}</Strong>
          <Small>These take its answers. Each keeps exceptions of its own, and its own lead test.</Small>
          <Row flexWrap="wrap" gap="$s">
            {[...free]
              .sort((a, b) => Number(b.role === zone.role) - Number(a.role === zone.role))
              .map((other) => (
                <Toggle
                  key={other.id}
                  label={zoneName(other)}
                  on={other.like === zone.id}
                  onPress={() => link(other, other.like === zone.id ? undefined : zone.id)}
                />
              ))}
          </Row>
        </Column>
      )}
    </Disclosure>
  );
}
