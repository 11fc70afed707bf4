import { getDocumentAsync } from 'expo-document-picker';
import { useState } from 'react';
import { useDispatch } from 'react-redux';
import { sayRefusal } from '@/client/features/access';
import { piecesApi, type AppDispatch } from '@/client/store';
import { Body, Button, Card, Choices, Column, Heading, Notice, Row, Small, Strong } from '@/client/ui';
import type { Arrival, Clashes, Counted } from '@/contract';
import { useDropArrivalMutation, useLookAtMutation, useTakeInMutation } from './copies-api';
import { BRING_IN_WORDS } from '@/words';

/** Pieces from a file, looked at before they are the shop's. */
export function BringIn() {
  const [look, { data, error, isLoading, reset }] = useLookAtMutation();
  const [done, setDone] = useState<number | null>(null);
  const pick = async (): Promise<void> => {
    const picked = await getDocumentAsync({
      type: ['application/json', 'application/zip', '.json', '.zip'],
      base64: false,
    });
    const file = picked.assets?.[0]?.file;
    if (!file) return;
    setDone(null);
    await look(file);
  };
  return (
    <Card gap="$m" role="region" aria-label={BRING_IN_WORDS.bringPiecesIn}>
      <Heading>{BRING_IN_WORDS.bringPiecesIn}</Heading>
      <Body>{BRING_IN_WORDS.fromTheFileOfOnePiece}</Body>
      {data ? null : (
        <Button disabled={isLoading} onPress={() => void pick()}>
          {isLoading ? BRING_IN_WORDS.readingIt : BRING_IN_WORDS.pickAFile}
        </Button>
      )}
      {error ? (
        <Notice tone="stop" live title={BRING_IN_WORDS.nothingWasBroughtIn}>
          {sayRefusal(error, AWAY)}
        </Notice>
      ) : null}
      {done === null ? null : (
        <Small role="status">
          {done === 1 ? BRING_IN_WORDS.onePieceWasBroughtIn : BRING_IN_WORDS.piecesWereBroughtIn(done)}
        </Small>
      )}
      {data ? (
        <Preview
          arrival={data}
          onDone={(count) => {
            setDone(count);
            reset();
          }}
        />
      ) : null}
    </Card>
  );
}

const AWAY = BRING_IN_WORDS.theWorkshopDoesNotAnswerTry;

function Preview({ arrival, onDone }: { arrival: Arrival; onDone: (count: number | null) => void }) {
  const [clashes, setClashes] = useState<Clashes>('leave');
  const [take, { isLoading, error }] = useTakeInMutation();
  const [drop] = useDropArrivalMutation();
  const dispatch = useDispatch<AppDispatch>();
  const coming = arrival.fresh.count + (clashes === 'beside' ? arrival.clashes.count : 0);
  const go = async (): Promise<void> => {
    const answer = await take({ id: arrival.id, clashes });
    if (answer.error) return;
    dispatch(piecesApi.internalActions.onOnline());
    onDone(answer.data.pieces);
  };
  const leave = (): void => {
    void drop(arrival.id);
    onDone(null);
  };
  return (
    <Column gap="$m" role="group" aria-label={BRING_IN_WORDS.whatIsInTheFile}>
      {arrival.fresh.count > 0 ? (
        <Names title={BRING_IN_WORDS.newPieces(arrival.fresh.count)} of={arrival.fresh} />
      ) : null}
      {arrival.same.count > 0 ? <Small>{BRING_IN_WORDS.hereAlreadyJustSoLeftAs(arrival.same.count)}</Small> : null}
      {arrival.clashes.count > 0 ? (
        <Column gap="$s">
          <Names title={BRING_IN_WORDS.hereOtherwiseOrInTheBin(arrival.clashes.count)} of={arrival.clashes} />
          <Choices
            label={BRING_IN_WORDS.piecesThatAreHereOtherwise}
            options={[
              { code: 'leave', label: BRING_IN_WORDS.keepMineAlone },
              { code: 'beside', label: BRING_IN_WORDS.bringThemInBesideMine },
            ]}
            value={clashes}
            onPick={(code) => setClashes(code as Clashes)}
          />
        </Column>
      ) : null}
      <Small>
        {[
          arrival.pictures > 0 ? BRING_IN_WORDS.picturesComeAlong(arrival.pictures) : '',
          arrival.tins > 0 ? BRING_IN_WORDS.tinsAreNewToTheShelf(arrival.tins) : '',
          arrival.from === 'shop' ? BRING_IN_WORDS.hoursPlacesAndAirStayAs : '',
        ]
          .filter(Boolean)
          .join(' ')}
      </Small>
      {error ? (
        <Notice tone="stop" live title={BRING_IN_WORDS.nothingWasBroughtIn}>
          {sayRefusal(error, AWAY)}
        </Notice>
      ) : null}
      <Row gap="$s" flexWrap="wrap">
        <Button look="main" disabled={isLoading || coming + arrival.tins === 0} onPress={() => void go()}>
          {isLoading ? BRING_IN_WORDS.bringingIn : sayCome(coming, arrival.tins)}
        </Button>
        <Button onPress={leave}>{BRING_IN_WORDS.leaveIt}</Button>
      </Row>
    </Column>
  );
}

const sayCome = (pieces: number, tins: number): string => {
  if (pieces === 0) return tins === 0 ? BRING_IN_WORDS.nothingToBringIn : BRING_IN_WORDS.bringTheTinsIn;
  return pieces === 1 ? BRING_IN_WORDS.bring1PieceIn : BRING_IN_WORDS.bringSoManyIn(pieces);
};

function Names({ title, of: { count: n, names } }: { title: string; of: Counted }) {
  const more = n - names.length;
  return (
    <Column gap={2}>
      <Strong>{title}</Strong>
      {names.length > 0 ? <Small>{names.join(', ') + (more > 0 ? BRING_IN_WORDS.andMore(more) : '')}</Small> : null}
    </Column>
  );
}
