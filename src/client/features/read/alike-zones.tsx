import { Button, Column, Disclosure, Row, Small, Strong, Toggle } from '@/client/ui';
import { toZoneFacts, zoneName, type Zone } from '@/core/dossier';
import type { ReadingParts } from './reading-words';
import { lowerFirst } from '@/core/shared';
import { ALIKE_ZONES_WORDS } from '@/words';

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
        <Small>{ALIKE_ZONES_WORDS.readLikeACheckMadeHere(lowerFirst(zoneName(leader)))}</Small>
        <Button onPress={() => link(zone, undefined)}>
          {ALIKE_ZONES_WORDS.readItApartFrom(lowerFirst(zoneName(leader)))}
        </Button>
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
          ? ALIKE_ZONES_WORDS.alsoRead(alike.map((other) => lowerFirst(zoneName(other))).join(', '))
          : ALIKE_ZONES_WORDS.otherZonesAreJustLikeIt
      }
    >
      {() => (
        <Column gap="$s">
          <Strong>{ALIKE_ZONES_WORDS.justLike(lowerFirst(zoneName(zone)))}</Strong>
          <Small>{ALIKE_ZONES_WORDS.theseTakeItsAnswersEachKeeps}</Small>
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
