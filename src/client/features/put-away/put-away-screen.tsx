import { router } from 'expo-router';
import { useState } from 'react';
import { Screen, ShopHeader, Skeleton, TodayLink, Unreachable } from '@/client/features/piece-frame';
import { makeTimes } from '@/client/features/shop-plan';
import { OWN_ZONE } from '@/client/locale';
import { useChange, useNow } from '@/client/store';
import { Body, Button, Card, Column, Heading, Notice, Row, Small, Strong } from '@/client/ui';
import type { PutAway } from '@/contract';
import { useBringBackMutation, useListPutAwayQuery } from './put-away-api';
import { PUT_AWAY_SCREEN_WORDS } from '@/words';

const TIMES = makeTimes(OWN_ZONE);
const HOUR_MS = 3_600_000;

/** Pieces that are out of the lists: archived, or in the bin until they are gone. */
export function PutAwayScreen() {
  const { data, error, refetch } = useListPutAwayQuery(undefined, { refetchOnMountOrArgChange: true });
  return (
    <Screen
      title={PUT_AWAY_SCREEN_WORDS.putAway}
      header={<ShopHeader title={PUT_AWAY_SCREEN_WORDS.putAway} before={<TodayLink />} />}
    >
      {!data && !error ? <Skeleton /> : null}
      {error && !data ? <Unreachable retry={() => void refetch()} /> : null}
      {data ? (
        <Column gap="$l">
          <Archive pieces={data.archived} />
          <Bin pieces={data.removed} then={() => void refetch()} />
        </Column>
      ) : null}
    </Screen>
  );
}

function Archive({ pieces }: { pieces: PutAway['archived'] }) {
  return (
    <Card gap="$m" role="region" aria-label={PUT_AWAY_SCREEN_WORDS.archive}>
      <Heading>{PUT_AWAY_SCREEN_WORDS.archive}</Heading>
      <Body>
        {pieces.length === 0
          ? PUT_AWAY_SCREEN_WORDS.nothingIsArchivedAPieceThat
          : PUT_AWAY_SCREEN_WORDS.doneWithAndOutOfThe}
      </Body>
      {pieces.map((piece) => (
        <ArchivedRow key={piece.id} {...piece} />
      ))}
    </Card>
  );
}

function ArchivedRow({ id, name }: { id: string; name: string }) {
  const change = useChange(id);
  // The list is the server's; what was taken out here is out at once.
  const [out, setOut] = useState(false);
  const takeOut = (): void => {
    change({ type: 'facts_changed', facts: [{ path: ['piece', 'archived'] }] });
    setOut(true);
  };
  if (out) return null;
  return (
    <Row gap="$s" alignItems="center" flexWrap="wrap">
      <Strong flex={1}>{name}</Strong>
      <Button
        label={PUT_AWAY_SCREEN_WORDS.openNamed(name)}
        look="quiet"
        onPress={() => router.push(`/piece/${id}/meet`)}
      >
        {PUT_AWAY_SCREEN_WORDS.open}
      </Button>
      <Button label={PUT_AWAY_SCREEN_WORDS.takeOutOfTheArchive(name)} onPress={takeOut}>
        {PUT_AWAY_SCREEN_WORDS.takeItOut}
      </Button>
    </Row>
  );
}

function Bin({ pieces, then }: { pieces: PutAway['removed']; then: () => void }) {
  const [bringBack, { isLoading, error }] = useBringBackMutation();
  const now = useNow(HOUR_MS);
  return (
    <Card gap="$m" role="region" aria-label={PUT_AWAY_SCREEN_WORDS.bin}>
      <Heading>{PUT_AWAY_SCREEN_WORDS.bin}</Heading>
      <Body>
        {pieces.length === 0
          ? PUT_AWAY_SCREEN_WORDS.theBinIsEmptyWhatIs
          : PUT_AWAY_SCREEN_WORDS.deletedEachCanBePutBack}
      </Body>
      {pieces.map(({ id, name, goneAt }) => (
        <Row key={id} gap="$s" alignItems="center" flexWrap="wrap">
          <Column flex={1}>
            <Strong>{name}</Strong>
            <Small>{PUT_AWAY_SCREEN_WORDS.goneForGood(TIMES.moment(goneAt, now))}</Small>
          </Column>
          <Button
            label={PUT_AWAY_SCREEN_WORDS.putBackNamed(name)}
            disabled={isLoading}
            onPress={() => void bringBack(id).then((answer) => (answer.error ? undefined : then()))}
          >
            {PUT_AWAY_SCREEN_WORDS.putBack}
          </Button>
        </Row>
      ))}
      {error ? (
        <Notice tone="stop" live title={PUT_AWAY_SCREEN_WORDS.itCouldNotBePutBack}>
          {PUT_AWAY_SCREEN_WORDS.theWorkshopDoesNotAnswerOr}
        </Notice>
      ) : null}
    </Card>
  );
}
