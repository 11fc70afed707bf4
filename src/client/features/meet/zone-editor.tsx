import { useState } from 'react';
import type { PieceParts } from '@/client/features/piece-frame';
import { makeId, useMeasures } from '@/client/store';
import {
  Button,
  Card,
  Choices,
  Column,
  Field,
  Heading,
  PieceDrawing,
  Row,
  Small,
  Strong,
  Toggle,
  Sheet,
} from '@/client/ui';
import {
  foundLead,
  isLeft,
  isTrueElsewhere,
  leaveZone,
  takeUpZone,
  toZoneFacts,
  zoneName,
  type Observation,
  type PieceChange,
  type RemovedZone,
  type Zone,
} from '@/core/dossier';
import { ROLES, type RoleCode } from '@/core/knowledge';
import { assignShapes, bringBack, buildTemplate, listParts, mergeZones, splitZone, type Shape } from '@/core/templates';

const ROLE_LABELS: Readonly<Record<RoleCode, string>> = {
  top: 'Top',
  front: 'Front',
  side: 'Side',
  edge: 'Edge',
  leg: 'Legs',
  frame: 'Frame',
  door: 'Door',
  drawer_front: 'Drawer front',
  drawer_side: 'Drawer side',
  moulding: 'Moulding',
  back: 'Back',
  inside: 'Inside',
  shelf: 'Shelf',
  hardware: 'Hardware',
};

/** The zones of a piece: named, measured, left as they are, split, joined and added. */
export function ZoneEditor({ dossier, change }: PieceParts) {
  const [open, setOpen] = useState<string | null>(null);
  const [picked, setPicked] = useState<ReadonlySet<string>>(new Set());
  const { piece, zones = [], goal = {} } = dossier;
  const shapes = buildTemplate(piece.kind, piece.size_mm).shapes;
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
        <Small>{open ? 'Tap faces of the zone to split them off.' : 'Tap a face or a zone to change it.'}</Small>
      </Column>
      <Heading>Zones</Heading>
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
          for (const target of bringBack(shapes, zones, zone))
            change({ type: 'zone_set', zoneId: target.id, facts: toZoneFacts(target) });
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

interface ZoneCardProps {
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

function ZoneCard(props: ZoneCardProps) {
  const { zone, left, open, onOpen, onLeave } = props;
  const { sayArea } = useMeasures();
  const name = zoneName(zone);
  return (
    <Card gap="$m">
      <Row gap="$s" alignItems="center">
        <Column flex={1} justifyContent="center" minHeight={48}>
          <Strong>{name}</Strong>
          <Small>{`${zone.area_m2 === undefined ? 'area not known' : sayArea(zone.area_m2)}${left ? ', left as it is' : ''}`}</Small>
        </Column>
        <Button label={open ? `Close ${name}` : `Change ${name}`} onPress={onOpen}>
          {open ? 'Close' : 'Change'}
        </Button>
        <Toggle label="Leave" on={left} onPress={onLeave} />
      </Row>
      {open ? <ZoneForm {...props} /> : null}
    </Card>
  );
}

function ZoneForm({ zone, zones, shapes, picked, onPart, onDone, change }: ZoneCardProps) {
  const [name, setName] = useState(zoneName(zone));
  const gauge = useMeasures().gauge('area_m2');
  const [text, setText] = useState(gauge.write(zone.area_m2));
  const area = gauge.read(text, zone.area_m2) ?? 0;
  const wrong = { name: name.trim() === '', area: !(area > 0 && area <= 100) };
  const parts = listParts(shapes, zones, zone.id);
  const others = zones.filter(({ id }) => id !== zone.id);
  const isLeader = others.some(({ like }) => like === zone.id);
  const set = (target: Zone): void => change({ type: 'zone_set', zoneId: target.id, facts: toZoneFacts(target) });
  const keep = (): void => {
    if (!wrong.name && !wrong.area) set({ ...zone, name: name.trim(), area_m2: area });
  };
  const copyReadings = (readings: readonly Observation[], zoneId: string): void => {
    for (const observation of readings)
      change({ type: 'observation_recorded', zoneId, observation: { ...observation, id: makeId() } });
  };
  const split = (): void => {
    const cut = splitZone(shapes, zones, zone.id, [...picked], { id: makeId(), name: `${zoneName(zone)}, apart` });
    if (!cut) return;
    set(cut.kept);
    set(cut.split);
    // What was read of the whole was true of the part that is now on its own.
    copyReadings((zone.observations ?? []).filter(isTrueElsewhere), cut.split.id);
    onDone();
  };
  const merge = (fromId: string): void => {
    const joined = mergeZones(shapes, zones, zone.id, fromId);
    if (!joined) return;
    // What is read of one zone alone goes with it, but lead that was found is never put away.
    copyReadings((zones.find(({ id }) => id === fromId)?.observations ?? []).filter(foundLead), zone.id);
    change({ type: 'zone_removed', zoneId: fromId });
    set(joined);
    onDone();
  };
  return (
    <Column gap="$m">
      <Field
        label="Name"
        value={name}
        onChange={setName}
        onBlur={keep}
        error={wrong.name ? 'Give it a name.' : undefined}
      />
      <Field
        label={`${zoneName(zone)} area`}
        unit={gauge.unit}
        numeric
        value={text}
        onChange={setText}
        onBlur={keep}
        error={wrong.area ? `More than 0, at most ${gauge.say(100)}.` : undefined}
      />
      {parts.length > 1 ? (
        <Column gap="$s">
          <Strong>Split off what is different</Strong>
          <Row gap="$s" flexWrap="wrap">
            {parts.map((part, i) => (
              <Toggle key={part} label={`Face ${i + 1}`} on={picked.has(part)} onPress={() => onPart(part)} />
            ))}
          </Row>
          <Button disabled={picked.size === 0 || picked.size === parts.length} onPress={split}>
            {`Make ${picked.size === 1 ? 'this face' : 'these faces'} a zone of its own`}
          </Button>
        </Column>
      ) : null}
      {others.length > 0 && !isLeader ? (
        <Column gap="$s">
          <Strong>Join another zone into it</Strong>
          <Small>Its faces and area come here; what was read of it alone is put away with it.</Small>
          <Choices
            label={`Join into ${zoneName(zone)}`}
            options={others
              .filter(({ id, like }) => like === undefined && !others.some((other) => other.like === id))
              .map((other) => ({ code: other.id, label: zoneName(other) }))}
            onPick={merge}
          />
        </Column>
      ) : null}
      {isLeader ? (
        <Small>Other zones are read like this one, so it cannot be joined or removed.</Small>
      ) : (
        <Row>
          <Button
            look="quiet"
            label={`Remove ${zoneName(zone)}`}
            onPress={() => {
              change({ type: 'zone_removed', zoneId: zone.id });
              onDone();
            }}
          >
            Remove this zone
          </Button>
        </Row>
      )}
    </Column>
  );
}

/** Zones taken away or joined to others. Nothing of them is lost; each can be had back with all that was recorded. */
function RemovedZones({
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

function AddZone({ onAdd }: { onAdd: (role: RoleCode) => void }) {
  return (
    <Sheet label="Add a zone">
      {(close) => (
        <Choices
          label="What is the new zone?"
          options={ROLES.map((code) => ({ code, label: ROLE_LABELS[code] }))}
          onPick={(role) => {
            onAdd(role);
            close();
          }}
        />
      )}
    </Sheet>
  );
}
