import { View } from '@tamagui/core';
import { Link } from 'expo-router';
import { useNow } from '@/client/store';
import { Body, Card, Column, Heading, SectionDrawing, StateMark, type Tone } from '@/client/ui';
import type { PieceSummary } from '@/core/work';
import { PIECE_CARD_WORDS, sayMoment, sayNext, sayState } from '@/words';
import { lowerFirst } from '@/core/shared';

const MINUTE_MS = 60_000;
const HOUR_MS = 3_600_000;

interface PieceCardProps {
  piece: PieceSummary;
  /** Shows it beside the list instead of opening it. */
  onPick?: () => void;
  picked?: boolean;
}

export function PieceCard({ piece, onPick, picked = false }: PieceCardProps) {
  const now = useNow(MINUTE_MS);
  const { id, name, stage, state, next, tone, section, reading, until } = piece;
  const driesH = until === undefined ? 0 : Math.ceil((Date.parse(until) - Date.parse(now)) / HOUR_MS);
  const due = reading ? sayDue(reading, now) : null;
  const card = (
    <Card
      flexGrow={1}
      flexShrink={1}
      minWidth={0}
      flexDirection="row"
      gap="$m"
      padding="$m"
      backgroundColor={picked ? '$actTint' : '$card'}
      borderColor={picked ? '$act' : '$line'}
      hoverStyle={{ borderColor: '$act' }}
    >
      {section ? (
        <SectionDrawing section={section} width={64} height={96} />
      ) : (
        <View width={64} height={96} backgroundColor="$line" />
      )}
      <Column flex={1} minWidth={0} gap="$xs" justifyContent="center">
        <Heading render="span" numberOfLines={1}>
          {name}
        </Heading>
        <StateMark tone={tone}>{sayState(state)}</StateMark>
        <Body numberOfLines={3}>{sayNext(next)}</Body>
        {driesH > 0 ? <StateMark tone="wait">{PIECE_CARD_WORDS.driesOn(driesH)}</StateMark> : null}
        {due ? <StateMark tone={due.tone}>{due.words}</StateMark> : null}
      </Column>
    </Card>
  );
  return onPick ? (
    <View
      render="button"
      aria-pressed={picked}
      onPress={onPick}
      padding={0}
      borderWidth={0}
      backgroundColor="transparent"
      cursor="pointer"
      {...{ type: 'button', style: { textAlign: 'left' } }}
    >
      {card}
    </View>
  ) : (
    <Link href={`/piece/${id}/${stage}`} style={{ textDecorationLine: 'none', display: 'flex', flex: 1 }}>
      {card}
    </Link>
  );
}

/** A piece the server has not got yet: it is kept here, and can be gone on with. */
export function MetHereCard({ id, name }: { id: string; name: string }) {
  return (
    <Link href={`/piece/${id}/read`} style={{ textDecorationLine: 'none' }}>
      <Card padding="$m" gap="$xs" hoverStyle={{ borderColor: '$act' }}>
        <Heading render="span" numberOfLines={1}>
          {name}
        </Heading>
        <StateMark tone="wait">{PIECE_CARD_WORDS.keptHereUntilTheServerHas}</StateMark>
      </Card>
    </Link>
  );
}

/** A reading of a panel that is due, or will be next. */
function sayDue(
  { moment, dueAt, overdueAt }: NonNullable<PieceSummary['reading']>,
  now: string,
): { tone: Tone; words: string } {
  const what = lowerFirst(sayMoment(moment));
  if (now > overdueAt) return { tone: 'stop', words: PIECE_CARD_WORDS.overdue(what) };
  if (now >= dueAt) return { tone: 'act', words: PIECE_CARD_WORDS.dueNow(what) };
  const hours = Math.round((Date.parse(dueAt) - Date.parse(now)) / 3_600_000);
  return { tone: 'wait', words: PIECE_CARD_WORDS.inIt(hours, Math.round(hours / 24), what) };
}
