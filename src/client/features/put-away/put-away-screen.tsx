import { router } from 'expo-router';
import { useState } from 'react';
import { Screen, ShopHeader, Skeleton, TodayLink, Unreachable } from '@/client/features/piece-frame';
import { makeTimes } from '@/client/features/shop-plan';
import { OWN_ZONE } from '@/client/locale';
import { useChange, useNow } from '@/client/store';
import { Body, Button, Card, Column, Heading, Notice, Row, Small, Strong } from '@/client/ui';
import type { PutAway } from '@/contract';
import { useBringBackMutation, useListPutAwayQuery } from './put-away-api';

const TIMES = makeTimes(OWN_ZONE);
const HOUR_MS = 3_600_000;

/** Pieces that are out of the lists: archived, or in the bin until they are gone. */
export function PutAwayScreen() {
  const { data, error, refetch } = useListPutAwayQuery(undefined, { refetchOnMountOrArgChange: true });
  return (
    <Screen title="Put away" header={<ShopHeader title="Put away" before={<TodayLink />} />}>
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
    <Card gap="$m" role="region" aria-label="Archive">
      <Heading>Archive</Heading>
      <Body>
        {pieces.length === 0
          ? 'Nothing is archived. A piece that is sold or done with goes here from its Meet screen.'
          : 'Done with, and out of the lists. What their tests taught still counts.'}
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
      <Button label={`Open ${name}`} look="quiet" onPress={() => router.push(`/piece/${id}/meet`)}>
        Open
      </Button>
      <Button label={`Take ${name} out of the archive`} onPress={takeOut}>
        Take it out
      </Button>
    </Row>
  );
}

function Bin({ pieces, then }: { pieces: PutAway['removed']; then: () => void }) {
  const [bringBack, { isLoading, error }] = useBringBackMutation();
  const now = useNow(HOUR_MS);
  return (
    <Card gap="$m" role="region" aria-label="Bin">
      <Heading>Bin</Heading>
      <Body>
        {pieces.length === 0
          ? 'The bin is empty. What is deleted lies here for thirty days, with all it had.'
          : 'Deleted. Each can be put back until its day; then it is gone for good, with its pictures.'}
      </Body>
      {pieces.map(({ id, name, goneAt }) => (
        <Row key={id} gap="$s" alignItems="center" flexWrap="wrap">
          <Column flex={1}>
            <Strong>{name}</Strong>
            <Small>{`Gone for good ${TIMES.moment(goneAt, now)}`}</Small>
          </Column>
          <Button
            label={`Put ${name} back`}
            disabled={isLoading}
            onPress={() => void bringBack(id).then((answer) => (answer.error ? undefined : then()))}
          >
            Put back
          </Button>
        </Row>
      ))}
      {error ? (
        <Notice tone="stop" live title="It could not be put back">
          The workshop does not answer, or its thirty days are over.
        </Notice>
      ) : null}
    </Card>
  );
}
