import { router } from 'expo-router';
import type { PieceParts } from '@/client/features/piece-frame';
import { Body, Button, Column, Disclosure, Notice, Row, Sheet, Small } from '@/client/ui';
import { useDeletePieceMutation } from './put-away-api';

/** Ways to be done with a piece: out of the lists for good reason, or into the bin. */
export function PutAwayCard({ dossier, change }: PieceParts) {
  const { id = '', archived = false } = dossier.piece;
  const archive = (): void => {
    const fact = { path: ['piece', 'archived'], ...(archived ? {} : { value: true }) };
    change({ type: 'facts_changed', facts: [fact] });
    if (!archived) router.replace('/pieces');
  };
  return (
    <Disclosure label="Done with it">
      {() => (
        <Column gap="$m">
          <Small>
            {archived
              ? 'This piece is archived: it is in no list, and what its tests taught still counts.'
              : 'An archived piece leaves the lists and the plan; what its tests taught still counts.'}
          </Small>
          <Row gap="$s" flexWrap="wrap">
            <Button onPress={archive}>{archived ? 'Take it out of the archive' : 'Archive this piece'}</Button>
            <Sheet label="Delete this piece">{(close) => <Delete id={id} close={close} />}</Sheet>
          </Row>
        </Column>
      )}
    </Disclosure>
  );
}

function Delete({ id, close }: { id: string; close: () => void }) {
  const [remove, { isLoading, error }] = useDeletePieceMutation();
  const go = async (): Promise<void> => {
    const answer = await remove(id);
    if (answer.error) return;
    close();
    router.replace('/pieces');
  };
  return (
    <Column gap="$m">
      <Body>
        It goes to the bin with everything it has: readings, tests, work and pictures. For thirty days it can be put
        back; then it is gone for good, and what its tests taught with it.
      </Body>
      {error ? (
        <Notice tone="stop" live title="It was not deleted">
          The workshop does not answer. A piece is deleted only while it does.
        </Notice>
      ) : null}
      <Row gap="$s">
        <Button look="main" disabled={isLoading} onPress={() => void go()}>
          {isLoading ? 'Deleting …' : 'Delete it'}
        </Button>
        <Button onPress={close}>Keep it</Button>
      </Row>
    </Column>
  );
}
