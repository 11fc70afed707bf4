import { router } from 'expo-router';
import { PieceScreen, type PieceParts } from '@/client/features/piece-frame';
import { PutAwayCard } from '@/client/features/put-away';
import { Body, Button, Choices, Column, Heading, Strong, useIsWide } from '@/client/ui';
import { KIND_TEMPLATES } from '@/core/templates';
import { HistoryFields } from './history-fields';
import { REGIONS } from './regions';
import { ZoneEditor } from './zone-editor';

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
  const { piece } = dossier;
  const { id: _id, ...facts } = piece;
  return (
    <Column gap="$xl" flexDirection={wide ? 'row' : 'column'} alignItems="stretch">
      <Column flex={wide ? 1 : undefined} gap="$m">
        <ZoneEditor dossier={dossier} change={change} />
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
        <PutAwayCard dossier={dossier} change={change} />
      </Column>
    </Column>
  );
}
