import { useAccess } from '@/client/features/access';
import { Screen, ShopHeader, Skeleton, TodayLink, Unreachable } from '@/client/features/piece-frame';
import { makeTimes } from '@/client/features/shop-plan';
import { OWN_ZONE } from '@/client/locale';
import { useNow } from '@/client/store';
import { Body, Button, Card, Column, Heading, LinkButton, Notice, Row, Sheet, Small, Strong } from '@/client/ui';
import { upperFirst } from '@/core/shared';
import { BringIn } from './bring-in';
import { useListCopiesQuery, useMakeCopyMutation, usePutBackMutation } from './copies-api';

const MINUTE_MS = 60_000;
const TIMES = makeTimes(OWN_ZONE);

/** The whole shop out in one file, and the copies that are made of it by themselves. */
export function CopiesScreen() {
  const access = useAccess();
  return (
    <Screen title="Copies" header={<ShopHeader title="Copies" before={<TodayLink />} />}>
      <Card gap="$m" role="region" aria-label="The whole shop">
        <Heading>The whole shop in one file</Heading>
        <Body>
          Every piece, the shelf, the workshop and all pictures, with tables for a spreadsheet. Keep it somewhere else
          than on this computer: it makes the same shop again in another place.
        </Body>
        <LinkButton href="/api/keeping/shop.zip">Save the whole shop (.zip)</LinkButton>
        <Small>
          To make a shop from it: npm run -s bricolage -- restore SHOP.zip NEW.sqlite, and start with BRICOLAGE_DB set
          to the new file.
        </Small>
      </Card>
      <BringIn />
      {!access ? <Skeleton /> : null}
      {access?.local ? <Copies /> : null}
      {access && !access.local ? (
        <Small>Copies are made, and the shop is put back from one, at the computer of the workshop.</Small>
      ) : null}
    </Screen>
  );
}

function Copies() {
  const { data, error, refetch } = useListCopiesQuery();
  const [make, { isLoading, error: failed }] = useMakeCopyMutation();
  const now = useNow(MINUTE_MS);
  if (!data) return error ? <Unreachable retry={() => void refetch()} /> : <Skeleton />;
  return (
    <Card gap="$m" role="region" aria-label="Copies of the shop">
      <Heading>Copies of the shop</Heading>
      <Body>
        One is made when the server starts and on each day, and kept for seven days and four weeks. They lie beside your
        records, on the same disk: the file above is for the day that disk fails.
      </Body>
      {data.backups.length === 0 ? <Body>No copy yet.</Body> : null}
      {data.backups.map(({ at }) => (
        <Row key={at} gap="$m" alignItems="center">
          <Strong flex={1}>{upperFirst(TIMES.moment(at, now))}</Strong>
          <Sheet label="Put back" describes={TIMES.moment(at, now)}>
            {(close) => <PutBack at={at} words={TIMES.moment(at, now)} close={close} />}
          </Sheet>
        </Row>
      ))}
      {failed ? (
        <Notice tone="stop" live title="No copy was made">
          Is there room on the disk? What was stored is whole.
        </Notice>
      ) : null}
      <Button disabled={isLoading} onPress={() => void make()}>
        {isLoading ? 'Copying …' : 'Make a copy now'}
      </Button>
    </Card>
  );
}

function PutBack({ at, words, close }: { at: string; words: string; close: () => void }) {
  const [putBack, { isLoading, error }] = usePutBackMutation();
  const go = async (): Promise<void> => {
    const answer = await putBack(at);
    // Whatever the page has read is of another time: it begins anew.
    if (!answer.error) location.replace('/');
  };
  return (
    <Column gap="$m">
      <Body>{`The shop goes back to how it stood ${words}: pieces, readings, tests, tins and hours, with their pictures.`}</Body>
      <Body>
        What it is now is copied first, so that you can come back here. Every phone has to be let in again, and what
        waits on a phone is sent to the shop as it then is.
      </Body>
      {error ? (
        <Notice tone="stop" live title="The shop is as it was">
          It could not be put back. Look at the list again.
        </Notice>
      ) : null}
      <Row gap="$s">
        <Button look="main" disabled={isLoading} onPress={() => void go()}>
          {isLoading ? 'Putting back …' : 'Put the shop back'}
        </Button>
        <Button onPress={close}>Leave it</Button>
      </Row>
    </Column>
  );
}
