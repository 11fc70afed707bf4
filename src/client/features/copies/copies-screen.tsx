import { sayRefusal, useAccess } from '@/client/features/access';
import { Screen, ShopHeader, Skeleton, TodayLink, Unreachable } from '@/client/features/piece-frame';
import { makeTimes } from '@/client/features/shop-plan';
import { OWN_ZONE } from '@/client/locale';
import { useNow } from '@/client/store';
import {
  Body,
  Button,
  Card,
  Column,
  Heading,
  LinkButton,
  Notice,
  Row,
  Sheet,
  Small,
  StateMark,
  Strong,
} from '@/client/ui';
import { upperFirst } from '@/core/shared';
import { BringIn } from './bring-in';
import { useListCopiesQuery, useMakeCopyMutation, usePutBackMutation } from './copies-api';
import { COPIES_SCREEN_WORDS } from '@/words';

const MINUTE_MS = 60_000;
/** A zip that is being saved is told of when it is made. */
const LOOK_EVERY_MS = 10_000;
const TIMES = makeTimes(OWN_ZONE);

/** The whole shop out in one file, and the copies that are made of it by themselves. */
export function CopiesScreen() {
  const access = useAccess();
  return (
    <Screen
      title={COPIES_SCREEN_WORDS.copies}
      header={<ShopHeader title={COPIES_SCREEN_WORDS.copies} before={<TodayLink />} />}
    >
      <Card gap="$m" role="region" aria-label={COPIES_SCREEN_WORDS.theWholeShop}>
        <Heading>{COPIES_SCREEN_WORDS.theWholeShopInOneFile}</Heading>
        <Body>{COPIES_SCREEN_WORDS.everyPieceTheShelfTheWorkshop}</Body>
        <LinkButton href="/api/keeping/shop.zip">{COPIES_SCREEN_WORDS.saveTheWholeShopZip}</LinkButton>
        <Small>{COPIES_SCREEN_WORDS.toMakeAShopFromIt}</Small>
      </Card>
      <BringIn />
      {!access ? <Skeleton /> : null}
      {access?.local ? <Copies /> : null}
      {access && !access.local ? <Small>{COPIES_SCREEN_WORDS.copiesAreMadeAndTheShop}</Small> : null}
    </Screen>
  );
}

function Copies() {
  const { data, error, refetch } = useListCopiesQuery(undefined, { pollingInterval: LOOK_EVERY_MS });
  const [make, { isLoading, error: failed }] = useMakeCopyMutation();
  const now = useNow(MINUTE_MS);
  if (!data) return error ? <Unreachable retry={() => void refetch()} /> : <Skeleton />;
  return (
    <Card gap="$m" role="region" aria-label={COPIES_SCREEN_WORDS.copiesOfTheShop}>
      <Heading>{COPIES_SCREEN_WORDS.copiesOfTheShop}</Heading>
      <Body>{COPIES_SCREEN_WORDS.oneIsMadeWhenTheServer}</Body>
      {data.backups.length === 0 ? <Body>{COPIES_SCREEN_WORDS.noCopyYet}</Body> : null}
      {data.backups.map(({ at, damaged, pictures_missing: missing = 0 }) => (
        <Row key={at} gap="$m" alignItems="center" minHeight="$target">
          <Column flex={1} gap={2}>
            <Strong>{upperFirst(TIMES.moment(at, now))}</Strong>
            {damaged ? <StateMark tone="stop">{COPIES_SCREEN_WORDS.damagedCannotBePutBack}</StateMark> : null}
            {missing > 0 ? <StateMark tone="wait">{COPIES_SCREEN_WORDS.lacksPictures(missing)}</StateMark> : null}
          </Column>
          {damaged ? null : (
            <Sheet label={COPIES_SCREEN_WORDS.putBack} describes={TIMES.moment(at, now)}>
              {(close) => <PutBack at={at} words={TIMES.moment(at, now)} close={close} />}
            </Sheet>
          )}
        </Row>
      ))}
      {data.left_out ? (
        <Notice tone="wait" title={COPIES_SCREEN_WORDS.theLastZipLacksPictures(data.left_out.pictures)}>
          {COPIES_SCREEN_WORDS.theirFilesAreLostOrDamaged(TIMES.moment(data.left_out.at, now))}
        </Notice>
      ) : null}
      {failed ? (
        <Notice tone="stop" live title={COPIES_SCREEN_WORDS.noCopyWasMade}>
          {COPIES_SCREEN_WORDS.isThereRoomOnTheDisk}
        </Notice>
      ) : null}
      <Button disabled={isLoading} onPress={() => void make()}>
        {isLoading ? COPIES_SCREEN_WORDS.copying : COPIES_SCREEN_WORDS.makeACopyNow}
      </Button>
    </Card>
  );
}

function PutBack({ at, words, close }: { at: string; words: string; close: () => void }) {
  const [putBack, { isLoading, error, data }] = usePutBackMutation();
  // Whatever the page has read is of another time: it begins anew.
  const begin = (): void => location.replace('/');
  const go = async (): Promise<void> => {
    const answer = await putBack(at);
    if (answer.data && !answer.data.pictures_missing) begin();
  };
  if (data?.pictures_missing)
    return (
      <Notice
        tone="wait"
        live
        title={COPIES_SCREEN_WORDS.theShopIsBack}
        action={<Button onPress={begin}>{COPIES_SCREEN_WORDS.toToday}</Button>}
      >
        {COPIES_SCREEN_WORDS.lacksPictures(data.pictures_missing)}
      </Notice>
    );
  return (
    <Column gap="$m">
      <Body>{COPIES_SCREEN_WORDS.theShopGoesBackToHow(words)}</Body>
      <Body>{COPIES_SCREEN_WORDS.whatItIsNowIsCopied}</Body>
      {error ? (
        <Notice tone="stop" live title={COPIES_SCREEN_WORDS.theShopIsAsItWas}>
          {sayRefusal(error, COPIES_SCREEN_WORDS.itCouldNotBePutBack)}
        </Notice>
      ) : null}
      <Row gap="$s">
        <Button look="main" disabled={isLoading} onPress={() => void go()}>
          {isLoading ? COPIES_SCREEN_WORDS.puttingBack : COPIES_SCREEN_WORDS.putTheShopBack}
        </Button>
        <Button onPress={close}>{COPIES_SCREEN_WORDS.leaveIt}</Button>
      </Row>
    </Column>
  );
}
