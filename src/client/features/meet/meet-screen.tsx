import { useState } from 'react';
import { router } from 'expo-router';
import { PieceScreen, type PieceParts } from '@/client/features/piece-frame';
import {
  Body,
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
  useIsWide,
} from '@/client/ui';
import type { Zone } from '@/core/dossier';
import { zoneName } from '@/core/piece';
import { buildTemplate, KIND_TEMPLATES } from '@/core/templates';
import { HistoryFields } from './history-fields';
import { REGIONS } from './regions';

/** Meet, for a piece that is there: its zones and areas, and what is known of it. Every tap is stored. */
export function MeetScreen() {
  return (
    <PieceScreen
      stage="Meet"
      note={(dossier) => KIND_TEMPLATES[dossier.piece.kind].label}
      action={({ dossier }) => (
        <Button look="main" grow onPress={() => router.replace(`/piece/${dossier.piece.id ?? ''}/read`)}>
          Read its surfaces
        </Button>
      )}
    >
      {(parts) => <Facts {...parts} />}
    </PieceScreen>
  );
}

function Facts({ dossier, change }: PieceParts) {
  const wide = useIsWide();
  const { piece, zones = [], goal = {} } = dossier;
  const { id: _id, ...facts } = piece;
  const toggleLeave = (zone: Zone): void => {
    const left = goal.zones?.[zone.id]?.look === 'leave';
    const { [zone.id]: _own, ...others } = goal.zones ?? {};
    change({ type: 'goal_set', goal: { ...goal, zones: left ? others : { ...others, [zone.id]: { look: 'leave' } } } });
  };
  return (
    <Column gap="$xl" flexDirection={wide ? 'row' : 'column'} alignItems="stretch">
      <Column flex={wide ? 1 : undefined} gap="$m">
        <Column alignItems="center">
          <PieceDrawing shapes={buildTemplate(piece.kind, piece.size_mm).shapes} width={320} height={190} />
        </Column>
        <Heading>Zones</Heading>
        {zones.map((zone) => (
          <ZoneRow
            key={zone.id}
            zone={zone}
            left={goal.zones?.[zone.id]?.look === 'leave'}
            onLeave={() => toggleLeave(zone)}
            onArea={(area_m2) => {
              const { id: _zoneId, observations: _o, skipped_checks: _s, defects: _d, ...own } = zone;
              change({ type: 'zone_set', zoneId: zone.id, facts: { ...own, area_m2 } });
            }}
          />
        ))}
      </Column>
      <Column flex={wide ? 1 : undefined} gap="$l">
        <Heading>What is known of it</Heading>
        <HistoryFields
          value={piece.history ?? {}}
          onChange={(history) => change({ type: 'piece_facts_set', piece: { ...facts, history } })}
        />
        <Column gap="$s">
          <Strong>Region</Strong>
          <Choices
            label="Region"
            options={REGIONS}
            value={REGIONS.find(({ code }) => code === piece.region)?.code}
            onPick={(region) => change({ type: 'piece_facts_set', piece: { ...facts, region } })}
          />
        </Column>
        <Body>
          <a
            href={`/api/pieces/${piece.id ?? ''}/dossier`}
            style={{ color: 'inherit', display: 'inline-block', paddingTop: 12, paddingBottom: 12 }}
          >
            Save the dossier of this piece as a file
          </a>
        </Body>
      </Column>
    </Column>
  );
}

interface ZoneRowProps {
  zone: Zone;
  left: boolean;
  onLeave: () => void;
  onArea: (area: number) => void;
}

function ZoneRow({ zone, left, onLeave, onArea }: ZoneRowProps) {
  const [text, setText] = useState(String(zone.area_m2 ?? ''));
  const area = Number(text.replace(',', '.'));
  const wrong = !(area > 0 && area <= 100);
  return (
    <Card flexDirection="row" alignItems="flex-end" gap="$m">
      <Column flex={1} justifyContent="center" minHeight={48}>
        <Strong>{zoneName(zone)}</Strong>
        <Small>{left ? 'Left as it is' : 'Area in m²'}</Small>
      </Column>
      <Row width={110}>
        <Field
          label={`${zoneName(zone)} area`}
          unit="m²"
          numeric
          value={text}
          onChange={setText}
          hideLabel
          onBlur={() => (wrong ? undefined : onArea(area))}
          error={wrong ? 'More than 0, at most 100 m².' : undefined}
        />
      </Row>
      <Toggle label="Leave" on={left} onPress={onLeave} />
    </Card>
  );
}
