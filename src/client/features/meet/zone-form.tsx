import { useState } from 'react';
import { makeId, useMeasures } from '@/client/store';
import { Button, Choices, Column, Field, Row, Small, Strong, Toggle } from '@/client/ui';
import { toZoneFacts, zoneName, type PieceChange, type Zone } from '@/core/dossier';
import { joinInto, listParts, splitOff, type Shape } from '@/core/templates';
import { ZONE_FORM_WORDS } from '@/words';

export interface ZoneCardProps {
  zone: Zone;
  zones: readonly Zone[];
  shapes: readonly Shape[];
  left: boolean;
  open: boolean;
  picked: ReadonlySet<string>;
  onOpen: () => void;
  onPart: (part: string) => void;
  onLeave: () => void;
  onDone: () => void;
  change: (change: PieceChange) => void;
}

/** What is known of a zone, and the ways to part it and to join it. */
export function ZoneForm({ zone, zones, shapes, picked, onPart, onDone, change }: ZoneCardProps) {
  const [name, setName] = useState(zoneName(zone));
  const gauge = useMeasures().gauge('area_m2');
  const [text, setText] = useState(gauge.write(zone.area_m2));
  const area = gauge.read(text, zone.area_m2) ?? 0;
  const wrong = { name: name.trim() === '', area: !(area > 0 && area <= 100) };
  const parts = listParts(shapes, zones, zone.id);
  const others = zones.filter(({ id }) => id !== zone.id);
  const isLeader = others.some(({ like }) => like === zone.id);
  const keep = (): void => {
    if (!wrong.name && !wrong.area)
      change({ type: 'zone_set', zoneId: zone.id, facts: toZoneFacts({ ...zone, name: name.trim(), area_m2: area }) });
  };
  const make = (changes: readonly PieceChange[]): void => {
    if (changes.length === 0) return;
    changes.forEach(change);
    onDone();
  };
  const split = (): void =>
    make(
      splitOff(
        shapes,
        zones,
        zone.id,
        [...picked],
        { id: makeId(), name: ZONE_FORM_WORDS.apart(zoneName(zone)) },
        makeId,
      ),
    );
  return (
    <Column gap="$m">
      <Field
        label={ZONE_FORM_WORDS.name}
        value={name}
        onChange={setName}
        onBlur={keep}
        error={wrong.name ? ZONE_FORM_WORDS.giveItAName : undefined}
      />
      <Field
        label={ZONE_FORM_WORDS.area(zoneName(zone))}
        unit={gauge.unit}
        numeric
        value={text}
        onChange={setText}
        onBlur={keep}
        error={wrong.area ? ZONE_FORM_WORDS.moreThan0AtMost(gauge.say(100)) : undefined}
      />
      <Row>
        <Toggle
          label={ZONE_FORM_WORDS.byHeat}
          on={zone.heat === true}
          onPress={() =>
            change({ type: 'zone_set', zoneId: zone.id, facts: toZoneFacts({ ...zone, heat: !zone.heat }) })
          }
        />
      </Row>
      {parts.length > 1 ? (
        <Column gap="$s">
          <Strong>{ZONE_FORM_WORDS.splitOffWhatIsDifferent}</Strong>
          <Row gap="$s" flexWrap="wrap">
            {parts.map((part, i) => (
              <Toggle
                key={part}
                label={ZONE_FORM_WORDS.face(i + 1)}
                on={picked.has(part)}
                onPress={() => onPart(part)}
              />
            ))}
          </Row>
          <Button disabled={picked.size === 0 || picked.size === parts.length} onPress={split}>
            {ZONE_FORM_WORDS.makeAZoneOfItsOwn(picked.size)}
          </Button>
        </Column>
      ) : null}
      {others.length > 0 && !isLeader ? (
        <Column gap="$s">
          <Strong>{ZONE_FORM_WORDS.joinAnotherZoneIntoIt}</Strong>
          <Small>{ZONE_FORM_WORDS.itsFacesAndAreaComeHere}</Small>
          <Choices
            label={ZONE_FORM_WORDS.joinInto(zoneName(zone))}
            options={others
              .filter(({ id, like }) => like === undefined && !others.some((other) => other.like === id))
              .map((other) => ({ code: other.id, label: zoneName(other) }))}
            onPick={(fromId) => make(joinInto(shapes, zones, zone.id, fromId, makeId))}
          />
        </Column>
      ) : null}
      {isLeader ? (
        <Small>{ZONE_FORM_WORDS.otherZonesAreReadLikeThis}</Small>
      ) : (
        <Row>
          <Button
            look="quiet"
            label={ZONE_FORM_WORDS.remove(zoneName(zone))}
            onPress={() => make([{ type: 'zone_removed', zoneId: zone.id }])}
          >
            {ZONE_FORM_WORDS.removeThisZone}
          </Button>
        </Row>
      )}
    </Column>
  );
}
