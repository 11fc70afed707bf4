import { useGlobalSearchParams } from 'expo-router';
import { useState } from 'react';
import { useSelector } from 'react-redux';
import { Screen, Skeleton } from '@/client/features/piece-frame';
import type { RootState } from '@/client/store';
import { Body, Button, Card, Disclosure, Field, Notice, Small, Title } from '@/client/ui';
import { isPictureCode } from '@/contract';
import { useEnterMutation, useGetAccessQuery } from './access-api';
import { sayRefusal, spaceCode } from './say';
import { TrustSteps } from './trust-steps';
import { ENTER_SCREEN_WORDS } from '@/words';

/** Where a device comes in: by a code from the computer of the workshop, or by the passphrase. */
export function EnterScreen() {
  // What was told before a pass ended is no longer so.
  const { data: access, isFetching } = useGetAccessQuery(undefined, { refetchOnMountOrArgChange: true });
  const waiting = useSelector((state: RootState) => state.outbox.pending.length);
  return (
    <Screen title={ENTER_SCREEN_WORDS.comeIn} header={null}>
      <Title>{ENTER_SCREEN_WORDS.comeIntoTheWorkshop}</Title>
      {isFetching ? (
        <Skeleton />
      ) : access?.entered ? (
        <Notice
          tone="go"
          title={access.local ? ENTER_SCREEN_WORDS.thisIsTheComputerOfThe : ENTER_SCREEN_WORDS.thisDeviceIsIn}
          action={<Button onPress={() => location.replace('/')}>{ENTER_SCREEN_WORDS.toToday}</Button>}
        >
          {ENTER_SCREEN_WORDS.itNeedsNoCode}
        </Notice>
      ) : (
        <>
          {waiting > 0 ? (
            <Notice
              tone="wait"
              title={
                waiting === 1 ? ENTER_SCREEN_WORDS.oneChangeWaits : ENTER_SCREEN_WORDS.changesWaitOnThisDevice(waiting)
              }
            >
              {ENTER_SCREEN_WORDS.theyAreKeptHereAndGo}
            </Notice>
          ) : null}
          <EnterForm passphrase={access?.passphrase ?? false} />
          <Card>
            <Disclosure label={ENTER_SCREEN_WORDS.thePhoneWarnedMeWhatIt}>{() => <TrustSteps />}</Disclosure>
          </Card>
        </>
      )}
    </Screen>
  );
}

function EnterForm({ passphrase }: { passphrase: boolean }) {
  const [enter, { isLoading, error }] = useEnterMutation();
  const [device, setDevice] = useState(ENTER_SCREEN_WORDS.phone);
  // The code stands behind the hash of the address that the phone was shown.
  const { '#': shown = '' } = useGlobalSearchParams<{ '#'?: string }>();
  const [code, setCode] = useState(() => spaceCode(shown));
  const fromPicture = isPictureCode(code);
  const [words, setWords] = useState('');
  const ready = device.trim() !== '' && (code.trim() !== '' || words !== '');
  const go = async (): Promise<void> => {
    const asked = words === '' ? { device, code } : { device, passphrase: words };
    const answer = await enter(asked);
    // All that was asked before was refused: the page begins anew, with its pass.
    if (!answer.error) return location.replace('/');
    // It serves once: another one can be typed.
    if (fromPicture) setCode('');
  };
  return (
    <Card gap="$m" role="region" aria-label={ENTER_SCREEN_WORDS.comeIn}>
      {fromPicture ? null : <Body>{ENTER_SCREEN_WORDS.atTheComputerOfTheWorkshop}</Body>}
      <Field label={ENTER_SCREEN_WORDS.whatThisDeviceIsCalled} value={device} onChange={setDevice} />
      {fromPicture ? (
        <Small>{ENTER_SCREEN_WORDS.codeOfThePictureIsIn}</Small>
      ) : (
        <Field
          label={ENTER_SCREEN_WORDS.code}
          numeric
          value={code}
          onChange={setCode}
          placeholder={ENTER_SCREEN_WORDS.nineDigits}
        />
      )}
      {passphrase && !fromPicture ? (
        <Field label={ENTER_SCREEN_WORDS.orThePassphrase} secret value={words} onChange={setWords} />
      ) : null}
      {error ? (
        <Notice tone="stop" live title={ENTER_SCREEN_WORDS.notLetIn}>
          {sayRefusal(error, ENTER_SCREEN_WORDS.theComputerOfTheWorkshopDoes)}
        </Notice>
      ) : null}
      <Button look="main" disabled={!ready || isLoading} onPress={() => void go()}>
        {isLoading ? ENTER_SCREEN_WORDS.asking : ENTER_SCREEN_WORDS.comeIn}
      </Button>
    </Card>
  );
}
