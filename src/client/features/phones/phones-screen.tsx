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

const MINUTE_MS = 60_000;
const TIMES = makeTimes(OWN_ZONE);

/** Who is let in over the network of the house. On a device that was let in: its own pass. */
export function PhonesScreen() {
  const access = useAccess();
  return (
    <Screen title="Phones" header={<ShopHeader title="Phones" before={<TodayLink />} />}>
      {!access ? <Skeleton /> : access.local ? <Opening /> : <OwnPass device={access.device ?? ''} />}
    </Screen>
  );
}

function OwnPass({ device }: { device: string }) {
  const leave = useLeave();
  return (
    <Card gap="$m" role="region" aria-label="This device">
      <Heading>{device}</Heading>
      <Body>
        This device is let in. Who else is, and whether phones come in at all, is settled at the computer of the
        workshop.
      </Body>
      <Button onPress={() => void leave()}>Leave the workshop on this device</Button>
    </Card>
  );
}

function Opening() {
  const { data, error, refetch } = useGetOpeningQuery();
  const [setOpen, { error: refused }] = useSetOpeningMutation();
  const wide = useIsWide();
  if (!data) return error ? <Unreachable retry={() => void refetch()} /> : <Skeleton />;
  const door = (
    <Card gap="$m" role="region" aria-label="The door">
      <Heading>{data.open ? 'Phones in the house can come in' : 'Only this computer can come in'}</Heading>
      <Body>
        {data.open
          ? 'Over the network of the house, encrypted, each device with a pass of its own. From outside the house nothing comes in.'
          : 'Let phones in, and the garage has the plan, the clocks and the camera at hand. They come over the network of your house, encrypted; nothing is sent anywhere else.'}
      </Body>
      <Toggle label="Let phones in" on={data.open} onPress={() => void setOpen(!data.open)} />
      {refused ? (
        <Notice tone="stop" live title="The door stays shut">
          {sayRefusal(refused, 'The server does not answer.')}
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
      <Row gap={wide ? '$xl' : '$l'} alignItems="flex-start" flexDirection={wide ? 'row' : 'column'}>
        <Column flex={wide ? 1 : undefined} gap="$l" width={wide ? undefined : '100%'}>
          {door}
          {data.open ? <Pair /> : null}
        </Column>
        {data.open ? (
          <Column flex={wide ? 1 : undefined} gap="$l" width={wide ? undefined : '100%'}>
            <Devices {...data} />
            <Passphrase set={data.passphrase} />
            <Card>
              <Disclosure label="The phone warns: what it means, and how it stops">
                {() => <TrustSteps fingerprint={data.fingerprint} />}
              </Disclosure>
            </Card>
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
    <Card gap="$m" role="region" aria-label="One more phone">
      <Heading>One more phone</Heading>
      {holds ? (
        <>
          <Body>Point the phone’s camera at the picture. The phone must be in the same network.</Body>
          <QrCode rows={data.qr} label={`Picture of ${data.url} with the code`} />
          <Body>{`Or open ${data.url} and type the code:`}</Body>
          <Strong fontSize={28} lineHeight={36}>
            {spaceCode(data.code)}
          </Strong>
          <Small>{`Good for one device, until ${TIMES.clock(data.until)}.`}</Small>
        </>
      ) : (
        <Body>{data ? 'That code has run out.' : 'A code lets one device in; it holds for ten minutes.'}</Body>
      )}
      {error ? <Notice tone="stop" live title="There is no code just now" /> : null}
      <Button look={holds ? 'plain' : 'main'} onPress={() => void make()}>
        {holds ? 'Another code' : 'Show a code'}
      </Button>
    </Card>
  );
}

function Devices({ devices }: OpeningState) {
  const [end] = useEndPassMutation();
  const now = useNow(MINUTE_MS);
  return (
    <Card gap="$m" role="region" aria-label="Who is in">
      <Heading>Who is in</Heading>
      {devices.length === 0 ? <Body>No phone yet.</Body> : null}
      {devices.map(({ id, device, made_at, seen_at }) => (
        <Row key={id} gap="$m" alignItems="center">
          <Column flex={1} gap={2}>
            <Strong>{device}</Strong>
            <Small>{`Seen ${TIMES.moment(seen_at, now)} · since ${TIMES.day(made_at)}`}</Small>
          </Column>
          <Button label={`End the pass of ${device}`} onPress={() => void end(id)}>
            End
          </Button>
        </Row>
      ))}
      {devices.length > 1 ? <Button onPress={() => void end(null)}>End all passes</Button> : null}
      {devices.length > 0 ? (
        <Small>A pass ends by itself when it was not used for 30 days, and after 180 days in any case.</Small>
      ) : null}
    </Card>
  );
}

function Passphrase({ set }: { set: boolean }) {
  const [change, { error, isLoading }] = useSetPassphraseMutation();
  const [words, setWords] = useState('');
  const keep = async (): Promise<void> => {
    const answer = await change(words);
    if (!answer.error) setWords('');
  };
  return (
    <Card gap="$m" role="region" aria-label="Passphrase">
      <Heading>Passphrase</Heading>
      <Body>
        {set
          ? 'A device can also come in by the passphrase, without a code from here.'
          : 'With a passphrase a device can come in again by itself, when nobody is at this computer.'}
      </Body>
      <Field
        label={set ? 'Another passphrase' : 'Passphrase'}
        secret
        value={words}
        onChange={setWords}
        error={error ? sayRefusal(error, 'The server does not answer.') : undefined}
      />
      <Row gap="$s">
        <Button disabled={words === '' || isLoading} onPress={() => void keep()}>
          Keep it
        </Button>
        {set ? <Button onPress={() => void change(null)}>No passphrase</Button> : null}
      </Row>
    </Card>
  );
}
