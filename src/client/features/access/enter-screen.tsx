import { useGlobalSearchParams } from 'expo-router';
import { useState } from 'react';
import { useSelector } from 'react-redux';
import { Screen, Skeleton } from '@/client/features/piece-frame';
import type { RootState } from '@/client/store';
import { Body, Button, Card, Disclosure, Field, Notice, Title } from '@/client/ui';
import { useEnterMutation, useGetAccessQuery } from './access-api';
import { sayRefusal, spaceCode } from './say';
import { TrustSteps } from './trust-steps';

/** Where a device comes in: by a code from the computer of the workshop, or by the passphrase. */
export function EnterScreen() {
  const { data: access, isLoading } = useGetAccessQuery();
  const waiting = useSelector((state: RootState) => state.outbox.pending.length);
  return (
    <Screen title="Come in" header={null}>
      <Title>Come into the workshop</Title>
      {isLoading ? (
        <Skeleton />
      ) : access?.entered ? (
        <Notice
          tone="go"
          title={access.local ? 'This is the computer of the workshop' : 'This device is in'}
          action={<Button onPress={() => location.replace('/')}>To Today</Button>}
        >
          It needs no code.
        </Notice>
      ) : (
        <>
          {waiting > 0 ? (
            <Notice
              tone="wait"
              title={waiting === 1 ? '1 change waits on this device' : `${waiting} changes wait on this device`}
            >
              They are kept here and go to the workshop once this device is let in again.
            </Notice>
          ) : null}
          <EnterForm passphrase={access?.passphrase ?? false} />
          <Card>
            <Disclosure label="The phone warned me: what it means, and how it stops">{() => <TrustSteps />}</Disclosure>
          </Card>
        </>
      )}
    </Screen>
  );
}

function EnterForm({ passphrase }: { passphrase: boolean }) {
  const [enter, { isLoading, error }] = useEnterMutation();
  const [device, setDevice] = useState('Phone');
  // The code stands behind the hash of the address that the phone was shown.
  const { '#': shown = '' } = useGlobalSearchParams<{ '#'?: string }>();
  const [code, setCode] = useState(() => spaceCode(shown));
  const [words, setWords] = useState('');
  const ready = device.trim() !== '' && (code.trim() !== '' || words !== '');
  const go = async (): Promise<void> => {
    const asked = words === '' ? { device, code } : { device, passphrase: words };
    const answer = await enter(asked);
    // All that was asked before was refused: the page begins anew, with its pass.
    if (!answer.error) location.replace('/');
  };
  return (
    <Card gap="$m" role="region" aria-label="Come in">
      <Body>
        At the computer of the workshop, open “Phones” under “Hours, places, air” and let it show a code. Each code is
        good for one device, for ten minutes.
      </Body>
      <Field label="What this device is called" value={device} onChange={setDevice} />
      <Field label="Code" numeric value={code} onChange={setCode} placeholder="nine digits" />
      {passphrase ? <Field label="Or the passphrase" secret value={words} onChange={setWords} /> : null}
      {error ? (
        <Notice tone="stop" live title="Not let in">
          {sayRefusal(error, 'The computer of the workshop does not answer. Is it on, and in the same network?')}
        </Notice>
      ) : null}
      <Button look="main" disabled={!ready || isLoading} onPress={() => void go()}>
        {isLoading ? 'Asking …' : 'Come in'}
      </Button>
    </Card>
  );
}
