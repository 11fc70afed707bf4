import { useState } from 'react';
import type { PieceParts } from '@/client/features/piece-frame';
import { makeId, useMeasures } from '@/client/store';
import { Button, Card, Column, Heading, PieceDrawing, Row, Small, Strong, Toggle } from '@/client/ui';
import { isLeft, leaveZone, takeUpZone, zoneName, type Zone } from '@/core/dossier';
import { assignShapes, templateOf, restore } from '@/core/templates';
import { ZONE_EDITOR_WORDS, ROLE_LABELS } from '@/words';
import { AddZone } from './add-zone';
import { RemovedZones } from './removed-zones';
import { ZoneForm, type ZoneCardProps } from './zone-form';

/** The zones of a piece: named, measured, left as they are, split, joined and added. */
export function ZoneEditor({ dossier, change }: PieceParts) {
  const [open, setOpen] = useState<string | null>(null);
  const [picked, setPicked] = useState<ReadonlySet<string>>(new Set());
  const { piece, zones = [], goal = {} } = dossier;
  const shapes = templateOf(piece).shapes;
  const assigned = assignShapes(shapes, zones);
  const show = (id: string | null): void => {
    setOpen(id);
    setPicked(new Set());
  };
  const togglePart = (part: string): void => {
    const next = new Set(picked);
    if (!next.delete(part)) next.add(part);
    setPicked(next);
  };
  const toggleLeave = (zone: Zone): void => {
    change({ type: 'goal_set', goal: isLeft(dossier, zone) ? takeUpZone(goal, zone) : leaveZone(goal, zone) });
  };
  return (
    <Column gap="$m">
      <Column alignItems="center" gap="$xs">
        <PieceDrawing
          shapes={assigned}
          width={320}
          height={190}
          current={open ?? undefined}
          pickedParts={picked}
          onPick={(zone, part) => (zone === open ? togglePart(part) : show(zone))}
        />
        <Small>{open ? ZONE_EDITOR_WORDS.tapFacesOfTheZoneTo : ZONE_EDITOR_WORDS.tapAFaceOrAZone}</Small>
      </Column>
      <Heading>{ZONE_EDITOR_WORDS.zones}</Heading>
      {zones.map((zone) => (
        <ZoneCard
          key={zone.id}
          zone={zone}
          zones={zones}
          shapes={shapes}
          left={isLeft(dossier, zone)}
          open={zone.id === open}
          picked={picked}
          onOpen={() => show(zone.id === open ? null : zone.id)}
          onPart={togglePart}
          onLeave={() => toggleLeave(zone)}
          onDone={() => show(null)}
          change={change}
        />
      ))}
      <RemovedZones
        removed={dossier.removed_zones ?? []}
        onBringBack={(zone) => {
          restore(shapes, zones, zone).forEach(change);
        }}
      />
      <AddZone
        onAdd={(role) =>
          change({
            type: 'zone_set',
            zoneId: makeId(),
            facts: { role, name: ROLE_LABELS[role], area_m2: 0.2, parts: [] },
          })
        }
      />
    </Column>
  );
}

function ZoneCard(props: ZoneCardProps) {
  const { zone, left, open, onOpen, onLeave } = props;
  const { sayArea } = useMeasures();
  const name = zoneName(zone);
  return (
    <Card gap="$m">
      <Row gap="$s" alignItems="center">
        <Column flex={1} justifyContent="center" minHeight={48}>
          <Strong>{name}</Strong>
          <Small>{`${zone.area_m2 === undefined ? ZONE_EDITOR_WORDS.areaNotKnown : sayArea(zone.area_m2)}${left ? ZONE_EDITOR_WORDS.leftAsItIs : ''}`}</Small>
        </Column>
        <Button
          label={open ? ZONE_EDITOR_WORDS.closeNamed(name) : ZONE_EDITOR_WORDS.changeNamed(name)}
          onPress={onOpen}
        >
          {open ? ZONE_EDITOR_WORDS.close : ZONE_EDITOR_WORDS.change}
        </Button>
        <Toggle label={ZONE_EDITOR_WORDS.leave} on={left} onPress={onLeave} />
      </Row>
      {open ? <ZoneForm {...props} /> : null}
    </Card>
  );
}
