import { getDocumentAsync } from 'expo-document-picker';
import { useState } from 'react';
import { useDispatch } from 'react-redux';
import { sayRefusal } from '@/client/features/access';
import { piecesApi, type AppDispatch } from '@/client/store';
import { Body, Button, Card, Choices, Column, Heading, Notice, Row, Small, Strong } from '@/client/ui';
import type { Arrival, Clashes, Counted } from '@/contract';
import { useDropArrivalMutation, useLookAtMutation, useTakeInMutation } from './copies-api';

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
    <Card gap="$m" role="region" aria-label="Bring pieces in">
      <Heading>Bring pieces in</Heading>
      <Body>
        From the file of one piece (.json) or of a whole shop (.zip). You see what is in it before anything changes.
      </Body>
      {data ? null : (
        <Button disabled={isLoading} onPress={() => void pick()}>
          {isLoading ? 'Reading it …' : 'Pick a file'}
        </Button>
      )}
      {error ? (
        <Notice tone="stop" live title="Nothing was brought in">
          {sayRefusal(error, AWAY)}
        </Notice>
      ) : null}
      {done === null ? null : (
        <Small role="status">{done === 1 ? 'One piece was brought in.' : `${done} pieces were brought in.`}</Small>
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

const AWAY = 'The workshop does not answer. Try again when it does.';

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
    <Column gap="$m" role="group" aria-label="What is in the file">
      {arrival.fresh.count > 0 ? <Names title={count(arrival.fresh, 'new piece')} of={arrival.fresh} /> : null}
      {arrival.same.count > 0 ? (
        <Small>{`${count(arrival.same, 'piece')} here already, just so: left as they are.`}</Small>
      ) : null}
      {arrival.clashes.count > 0 ? (
        <Column gap="$s">
          <Names title={`${count(arrival.clashes, 'piece')} here otherwise, or in the bin`} of={arrival.clashes} />
          <Choices
            label="Pieces that are here otherwise"
            options={[
              { code: 'leave', label: 'Keep mine alone' },
              { code: 'beside', label: 'Bring them in beside mine' },
            ]}
            value={clashes}
            onPick={(code) => setClashes(code as Clashes)}
          />
        </Column>
      ) : null}
      <Small>
        {[
          arrival.pictures > 0 ? `${arrival.pictures} pictures come along.` : '',
          arrival.tins > 0 ? `${arrival.tins} tins are new to the shelf.` : '',
          arrival.from === 'shop' ? 'Hours, places and air stay as they are here.' : '',
        ]
          .filter(Boolean)
          .join(' ')}
      </Small>
      {error ? (
        <Notice tone="stop" live title="Nothing was brought in">
          {sayRefusal(error, AWAY)}
        </Notice>
      ) : null}
      <Row gap="$s" flexWrap="wrap">
        <Button look="main" disabled={isLoading || coming + arrival.tins === 0} onPress={() => void go()}>
          {isLoading ? 'Bringing in …' : sayCome(coming, arrival.tins)}
        </Button>
        <Button onPress={leave}>Leave it</Button>
      </Row>
    </Column>
  );
}

const sayCome = (pieces: number, tins: number): string => {
  if (pieces === 0) return tins === 0 ? 'Nothing to bring in' : 'Bring the tins in';
  return pieces === 1 ? 'Bring 1 piece in' : `Bring ${pieces} pieces in`;
};

const count = ({ count: n }: Counted, word: string): string => (n === 1 ? `1 ${word}` : `${n} ${word}s`);

function Names({ title, of: { count: n, names } }: { title: string; of: Counted }) {
  const more = n - names.length;
  return (
    <Column gap={2}>
      <Strong>{title}</Strong>
      {names.length > 0 ? <Small>{names.join(', ') + (more > 0 ? ` and ${more} more` : '')}</Small> : null}
    </Column>
  );
}
