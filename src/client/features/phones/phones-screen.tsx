import { useState } from 'react';
import { sayRefusal, spaceCode, TrustSteps, useAccess, useLeave } from '@/client/features/access';
import { Screen, ShopHeader, Skeleton, TodayLink, Unreachable } from '@/client/features/piece-frame';
import { makeTimes } from '@/client/features/shop-plan';
import { useNow } from '@/client/store';
import { OWN_ZONE } from '@/client/locale';
import {
  Body,
  Button,
  Card,
  Column,
  Disclosure,
  Field,
  Heading,
  Notice,
  Row,
  Small,
  Strong,
  Toggle,
  useIsWide,
} from '@/client/ui';
import type { OpeningState } from '@/contract';
import {
  useEndPassMutation,
  useGetOpeningQuery,
  useMakeCodeMutation,
  useSetOpeningMutation,
  useSetPassphraseMutation,
} from './opening-api';
import { QrCode } from './qr-code';
import { PHONES_SCREEN_WORDS } from '@/words';

const MINUTE_MS = 60_000;
const TIMES = makeTimes(OWN_ZONE);

/** Who is let in over the network of the house. On a device that was let in: its own pass. */
export function PhonesScreen() {
  const access = useAccess();
  return (
    <Screen
      title={PHONES_SCREEN_WORDS.phones}
      header={<ShopHeader title={PHONES_SCREEN_WORDS.phones} before={<TodayLink />} />}
    >
      {!access ? <Skeleton /> : access.local ? <Opening /> : <OwnPass device={access.device ?? ''} />}
    </Screen>
  );
}

function OwnPass({ device }: { device: string }) {
  const leave = useLeave();
  return (
    <Card gap="$m" role="region" aria-label={PHONES_SCREEN_WORDS.thisDevice}>
      <Heading>{device}</Heading>
      <Body>{PHONES_SCREEN_WORDS.thisDeviceIsLetInWho}</Body>
      <Button onPress={() => void leave()}>{PHONES_SCREEN_WORDS.leaveTheWorkshopOnThisDevice}</Button>
    </Card>
  );
}

function Opening() {
  const { data, error, refetch } = useGetOpeningQuery();
  const [setOpen, { error: refused }] = useSetOpeningMutation();
  const wide = useIsWide();
  if (!data) return error ? <Unreachable retry={() => void refetch()} /> : <Skeleton />;
  const door = (
    <Card gap="$m" role="region" aria-label={PHONES_SCREEN_WORDS.theDoor}>
      <Heading>
        {data.open ? PHONES_SCREEN_WORDS.phonesInTheHouseCanCome : PHONES_SCREEN_WORDS.onlyThisComputerCanComeIn}
      </Heading>
      <Body>
        {data.open ? PHONES_SCREEN_WORDS.overTheNetworkOfTheHouse : PHONES_SCREEN_WORDS.letPhonesInAndTheGarage}
      </Body>
      <Toggle label={PHONES_SCREEN_WORDS.letPhonesIn} on={data.open} onPress={() => void setOpen(!data.open)} />
      {refused ? (
        <Notice tone="stop" live title={PHONES_SCREEN_WORDS.theDoorStaysShut}>
          {sayRefusal(refused, PHONES_SCREEN_WORDS.theServerDoesNotAnswer)}
        </Notice>
      ) : null}
      {data.urls.map((url) => (
        <Small key={url} selectable>
          {url}
        </Small>
      ))}
    </Card>
  );
  return (
    <Column gap="$l">
      {data.remade_at === undefined ? null : (
        <Notice tone="wait" title={PHONES_SCREEN_WORDS.certificateMadeAnew}>
          {PHONES_SCREEN_WORDS.eachPhoneTrustsItAnew}
        </Notice>
      )}
      <Row gap={wide ? '$xl' : '$l'} alignItems="flex-start" flexDirection={wide ? 'row' : 'column'}>
        <Column flex={wide ? 1 : undefined} gap="$l" width={wide ? undefined : '100%'}>
          {door}
          {data.open ? <Pair /> : null}
        </Column>
        {data.open ? (
          <Column flex={wide ? 1 : undefined} gap="$l" width={wide ? undefined : '100%'}>
            <Devices {...data} />
            <Passphrase set={data.passphrase} devices={data.devices.length} />
            {data.fingerprint === null ? null : (
              <Card>
                <Disclosure label={PHONES_SCREEN_WORDS.thePhoneWarnsWhatItMeans}>
                  {() => <TrustSteps fingerprint={data.fingerprint!} />}
                </Disclosure>
              </Card>
            )}
          </Column>
        ) : null}
      </Row>
    </Column>
  );
}

/** A code for one more device. A code that has run out is not shown any more. */
function Pair() {
  const [make, { data, error }] = useMakeCodeMutation();
  const now = useNow(MINUTE_MS / 6);
  const holds = data !== undefined && now < data.until;
  return (
    <Card gap="$m" role="region" aria-label={PHONES_SCREEN_WORDS.oneMorePhone}>
      <Heading>{PHONES_SCREEN_WORDS.oneMorePhone}</Heading>
      {holds ? (
        <>
          <Body>{PHONES_SCREEN_WORDS.pointThePhonesCameraAtThe}</Body>
          <QrCode rows={data.qr} label={PHONES_SCREEN_WORDS.pictureOfWithTheCode(data.url)} />
          <Body>{PHONES_SCREEN_WORDS.orOpenAndTypeTheCode(data.url)}</Body>
          <Strong fontSize={28} lineHeight={36}>
            {spaceCode(data.code)}
          </Strong>
          <Small>{PHONES_SCREEN_WORDS.goodForOneDeviceUntil(TIMES.clock(data.until))}</Small>
        </>
      ) : (
        <Body>{data ? PHONES_SCREEN_WORDS.thatCodeHasRunOut : PHONES_SCREEN_WORDS.aCodeLetsOneDeviceIn}</Body>
      )}
      {error ? <Notice tone="stop" live title={PHONES_SCREEN_WORDS.thereIsNoCodeJustNow} /> : null}
      <Button look={holds ? 'plain' : 'main'} onPress={() => void make()}>
        {holds ? PHONES_SCREEN_WORDS.anotherCode : PHONES_SCREEN_WORDS.showACode}
      </Button>
    </Card>
  );
}

function Devices({ devices }: OpeningState) {
  const [end] = useEndPassMutation();
  const now = useNow(MINUTE_MS);
  return (
    <Card gap="$m" role="region" aria-label={PHONES_SCREEN_WORDS.whoIsIn}>
      <Heading>{PHONES_SCREEN_WORDS.whoIsIn}</Heading>
      {devices.length === 0 ? <Body>{PHONES_SCREEN_WORDS.noPhoneYet}</Body> : null}
      {devices.map(({ id, device, made_at, seen_at }) => (
        <Row key={id} gap="$m" alignItems="center">
          <Column flex={1} gap={2}>
            <Strong>{device}</Strong>
            <Small>{PHONES_SCREEN_WORDS.seenSince(TIMES.moment(seen_at, now), TIMES.day(made_at))}</Small>
          </Column>
          <Button label={PHONES_SCREEN_WORDS.endThePassOf(device)} onPress={() => void end(id)}>
            {PHONES_SCREEN_WORDS.end}
          </Button>
        </Row>
      ))}
      {devices.length > 1 ? <Button onPress={() => void end(null)}>{PHONES_SCREEN_WORDS.endAllPasses}</Button> : null}
      {devices.length > 0 ? <Small>{PHONES_SCREEN_WORDS.aPassEndsByItselfWhen}</Small> : null}
    </Card>
  );
}

function Passphrase({ set, devices }: { set: boolean; devices: number }) {
  const [change, { error, isLoading }] = useSetPassphraseMutation();
  const [words, setWords] = useState('');
  const [ends, setEnds] = useState(false);
  const keep = async (): Promise<void> => {
    const answer = await change({ passphrase: words, end_passes: ends });
    if (answer.error) return;
    setWords('');
    setEnds(false);
  };
  return (
    <Card gap="$m" role="region" aria-label={PHONES_SCREEN_WORDS.passphrase}>
      <Heading>{PHONES_SCREEN_WORDS.passphrase}</Heading>
      <Body>{set ? PHONES_SCREEN_WORDS.aDeviceCanAlsoComeIn : PHONES_SCREEN_WORDS.withAPassphraseADeviceCan}</Body>
      <Field
        label={set ? PHONES_SCREEN_WORDS.anotherPassphrase : PHONES_SCREEN_WORDS.passphrase}
        secret
        value={words}
        onChange={setWords}
        error={error ? sayRefusal(error, PHONES_SCREEN_WORDS.theServerDoesNotAnswer) : undefined}
      />
      {devices > 0 && words !== '' ? (
        <Toggle label={PHONES_SCREEN_WORDS.endAllPassesWithIt(devices)} on={ends} onPress={() => setEnds(!ends)} />
      ) : null}
      <Row gap="$s">
        <Button disabled={words === '' || isLoading} onPress={() => void keep()}>
          {PHONES_SCREEN_WORDS.keepIt}
        </Button>
        {set ? (
          <Button onPress={() => void change({ passphrase: null })}>{PHONES_SCREEN_WORDS.noPassphrase}</Button>
        ) : null}
      </Row>
    </Card>
  );
}
