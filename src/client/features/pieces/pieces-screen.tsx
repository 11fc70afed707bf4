import { View } from '@tamagui/core';
import { Link, router } from 'expo-router';
import Plus from 'lucide-react-native/icons/plus';
import { useMemo, useState } from 'react';
import { Screen, ShopHeader, Skeleton, Unreachable } from '@/client/features/piece-frame';
import { usePieces } from '@/client/store';
import {
  Body,
  Button,
  Card,
  Column,
  Field,
  Heading,
  Row,
  SectionDrawing,
  Small,
  StateMark,
  Strong,
  useIsWide,
  useKeys,
  useTones,
  type Tone,
} from '@/client/ui';
import type { Dossier } from '@/core/dossier';
import { LABEL_CLIMATE } from '@/core/climate';
import { buildSection, buildTreatedSection, summariseProgress, type Progress } from '@/core/piece';
import { listReadings } from '@/core/panel';
import { computeBelief } from '@/core/survey';
import { KIND_TEMPLATES } from '@/core/templates';
import { isInWork, listBlocks, listHeld, listTasks, nextTask } from '@/core/work';

const SEARCH_ID = 'find-piece';

/** All pieces, newest change first: what each is, where it stands, what comes next. */
export function PiecesScreen() {
  const { pieces, loading, failed, retry } = usePieces();
  const [words, setWords] = useState('');
  const shown = pieces?.filter((piece) => matches(piece, words)) ?? [];
  useKeys(
    useMemo(
      () => ({
        n: () => router.push('/new'),
        '/': () => document.getElementById(SEARCH_ID)?.focus(),
      }),
      [],
    ),
  );
  return (
    <Screen
      title="Pieces"
      header={<ShopHeader title="Pieces" />}
      action={
        pieces ? (
          <Button look="main" grow onPress={() => router.push('/new')} icon={<PlusIcon />}>
            New piece
          </Button>
        ) : undefined
      }
    >
      {loading ? <Skeleton /> : null}
      {failed ? <Unreachable retry={retry} /> : null}
      {pieces?.length === 0 ? <NoPieces /> : null}
      {pieces && pieces.length > 0 ? (
        <>
          <Row>
            <Field
              label="Find a piece"
              hideLabel
              inputId={SEARCH_ID}
              value={words}
              onChange={setWords}
              placeholder="Find by name or kind"
            />
          </Row>
          <PieceList pieces={shown} />
          {shown.length === 0 ? <Body>No piece matches “{words}”.</Body> : null}
        </>
      ) : null}
    </Screen>
  );
}

function matches({ piece }: Dossier, words: string): boolean {
  const text = `${piece.name ?? ''} ${KIND_TEMPLATES[piece.kind].label}`.toLowerCase();
  return words
    .toLowerCase()
    .split(/\s+/)
    .every((word) => text.includes(word));
}

function PlusIcon() {
  return <Plus size={20} color={useTones().onAct} aria-hidden />;
}

function PieceList({ pieces }: { pieces: readonly Dossier[] }) {
  const wide = useIsWide();
  return (
    <View role="list" aria-label="Pieces" flexDirection="row" flexWrap="wrap" gap="$m">
      {pieces.map((dossier) => (
        <View key={dossier.piece.id} role="listitem" width={wide ? '49%' : '100%'}>
          <PieceCard dossier={dossier} />
        </View>
      ))}
    </View>
  );
}

function PieceCard({ dossier }: { dossier: Dossier }) {
  const { piece, zones = [] } = dossier;
  const progress = useMemo(() => sayProgress(dossier), [dossier]);
  const due = useMemo(() => sayDue(dossier, new Date().toISOString()), [dossier]);
  const section = useMemo(() => {
    const zone = zones.find(({ observations }) => observations?.length) ?? zones[0];
    if (!zone) return null;
    const belief = computeBelief(dossier, zone);
    const taken = dossier.chosen?.zones.find(({ id }) => id === zone.id);
    return taken ? buildTreatedSection(belief, taken.treatment, dossier.goal) : buildSection(belief);
  }, [dossier, zones]);
  const stage = progress.stage === 'paint' ? 'work' : progress.stage === 'stopped' ? 'read' : progress.stage;
  return (
    <Link href={`/piece/${piece.id ?? ''}/${stage}`} style={{ textDecorationLine: 'none', display: 'flex' }}>
      <Card flex={1} flexDirection="row" gap="$m" padding="$m" hoverStyle={{ borderColor: '$act' }}>
        {section ? (
          <SectionDrawing section={section} width={64} height={96} decorative />
        ) : (
          <View width={64} height={96} backgroundColor="$line" />
        )}
        <Column flex={1} gap="$xs" justifyContent="center">
          <Heading render="span" numberOfLines={1}>
            {piece.name ?? KIND_TEMPLATES[piece.kind].label}
          </Heading>
          <StateMark tone={progress.tone}>{progress.state}</StateMark>
          <Body numberOfLines={2}>{progress.next}</Body>
          {due ? <StateMark tone={due.tone}>{due.words}</StateMark> : null}
        </Column>
      </Card>
    </Link>
  );
}

/** Where a piece stands; once it may be painted, by its work. */
function sayProgress(dossier: Dossier): Pick<Progress, 'stage' | 'state' | 'next' | 'tone'> {
  const progress = summariseProgress(dossier);
  if (progress.stage !== 'paint' || progress.tone !== 'go' || !isInWork(dossier)) return progress;
  const tasks = listTasks(dossier, [], LABEL_CLIMATE);
  const open = tasks.filter(({ state }) => state === 'open');
  const first = nextTask({ tasks, held: listHeld(tasks, listBlocks(dossier, tasks)) }, null);
  if (tasks.length === 0) return progress;
  return {
    ...progress,
    state: `${tasks.length - open.length} of ${tasks.length} jobs done`,
    next: first
      ? `Next: ${first.label.toLowerCase()}`
      : open.length > 0
        ? 'Held back: see Work'
        : 'All is done: it cures',
  };
}

/** A reading of a panel that is due, or will be next. */
function sayDue(dossier: Dossier, now: string): { tone: Tone; words: string } | null {
  const next = listReadings(dossier, now)[0];
  if (!next) return null;
  const hours = Math.round((Date.parse(next.dueAt) - Date.parse(now)) / 3_600_000);
  const what = next.moment.what.toLowerCase();
  if (next.state === 'overdue') return { tone: 'stop', words: `Overdue: ${what}` };
  if (next.state === 'due') return { tone: 'act', words: `Due now: ${what}` };
  return { tone: 'wait', words: `In ${hours < 48 ? `${hours} h` : `${Math.round(hours / 24)} days`}: ${what}` };
}

function NoPieces() {
  return (
    <Card padding="$xl" gap="$m">
      <Heading>No piece yet</Heading>
      <Body>
        Tell Bricolage what you have found. It draws the piece, asks what it needs to know of each surface, and says
        which preparation and primer will hold, before you spend a week on it.
      </Body>
      <Small>
        <Strong>n</Strong> adds a piece, <Strong>/</Strong> finds one.
      </Small>
    </Card>
  );
}
