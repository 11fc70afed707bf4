import { router } from 'expo-router';
import type { PieceParts } from '@/client/features/piece-frame';
import { Body, Button, Column, Disclosure, Notice, Row, Sheet, Small } from '@/client/ui';
import { useDeletePieceMutation } from './put-away-api';
import { PUT_AWAY_CARD_WORDS } from '@/words';

/** Ways to be done with a piece: out of the lists for good reason, or into the bin. */
export function PutAwayCard({ dossier, change }: PieceParts) {
  const { id = '', archived = false } = dossier.piece;
  const archive = (): void => {
    const fact = { path: ['piece', 'archived'], ...(archived ? {} : { value: true }) };
    change({ type: 'facts_changed', facts: [fact] });
    if (!archived) router.replace('/pieces');
  };
  return (
    <Disclosure label={PUT_AWAY_CARD_WORDS.doneWithIt}>
      {() => (
        <Column gap="$m">
          <Small>
            {archived ? PUT_AWAY_CARD_WORDS.thisPieceIsArchivedItIs : PUT_AWAY_CARD_WORDS.anArchivedPieceLeavesTheLists}
          </Small>
          <Row gap="$s" flexWrap="wrap">
            <Button onPress={archive}>
              {archived ? PUT_AWAY_CARD_WORDS.takeItOutOfTheArchive : PUT_AWAY_CARD_WORDS.archiveThisPiece}
            </Button>
            <Sheet label={PUT_AWAY_CARD_WORDS.deleteThisPiece}>{(close) => <Delete id={id} close={close} />}</Sheet>
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
      <Body>{PUT_AWAY_CARD_WORDS.itGoesToTheBinWith}</Body>
      {error ? (
        <Notice tone="stop" live title={PUT_AWAY_CARD_WORDS.itWasNotDeleted}>
          {PUT_AWAY_CARD_WORDS.theWorkshopDoesNotAnswerA}
        </Notice>
      ) : null}
      <Row gap="$s">
        <Button look="main" disabled={isLoading} onPress={() => void go()}>
          {isLoading ? PUT_AWAY_CARD_WORDS.deleting : PUT_AWAY_CARD_WORDS.deleteIt}
        </Button>
        <Button onPress={close}>{PUT_AWAY_CARD_WORDS.keepIt}</Button>
      </Row>
    </Column>
  );
}
