import { View } from '@tamagui/core';
import { router } from 'expo-router';
import { useDispatch, useSelector } from 'react-redux';
import { makeTimes } from '@/client/features/shop-plan';
import { OWN_ZONE } from '@/client/locale';
import {
  changeThrownAway,
  changeTriedAgain,
  findPicture,
  storageSeen,
  useNow,
  usePictureUrl,
  usePieceName,
  type AppDispatch,
  type RootState,
  type Waiting,
} from '@/client/store';
import {
  Button,
  Column,
  Disclosure,
  Notice,
  Row,
  saveBlob,
  saveText,
  Sheet,
  Small,
  Strong,
  ToneIcon,
} from '@/client/ui';
import { listHeld } from './list-held';
import { SERVER_NOTICES_WORDS, sayChanges } from '@/words';

type Pending = RootState['outbox']['pending'];

const TIMES = makeTimes(OWN_ZONE);
const MINUTE_MS = 60_000;

/** What has not reached the server yet, and what it refused. */
export function ServerNotices() {
  const { pending, parked, unkept, awaySince, cleared } = useSelector((state: RootState) => state.outbox);
  const dispatch = useDispatch<AppDispatch>();
  if (!awaySince && parked.length === 0 && unkept.length === 0 && !cleared) return null;
  return (
    <View paddingHorizontal="$l" paddingTop="$s" gap="$s">
      {awaySince ? <AwayStrip since={awaySince} pending={pending} /> : null}
      {parked.length > 0 ? (
        <Notice
          tone="stop"
          live
          title={
            parked.length === 1
              ? SERVER_NOTICES_WORDS.aChangeWasNotStored
              : SERVER_NOTICES_WORDS.changesWereNotStored(parked.length)
          }
          action={
            <Sheet label={SERVER_NOTICES_WORDS.seeWhy}>{(close) => <Parked parked={parked} close={close} />}</Sheet>
          }
        >
          {parked[0]!.refused}
        </Notice>
      ) : null}
      {cleared ? (
        <Notice
          tone="wait"
          live
          title={SERVER_NOTICES_WORDS.whatWasKeptHereWasCleared}
          action={<Button onPress={() => dispatch(storageSeen())}>{SERVER_NOTICES_WORDS.gotIt}</Button>}
        >
          {SERVER_NOTICES_WORDS.whatWaitsIsKeptAnew(pending.length)}
        </Notice>
      ) : null}
      {unkept.some((id) => pending.some((own) => own.id === id)) ? (
        <Notice tone="stop" live title={SERVER_NOTICES_WORDS.thisBrowserHasNoRoomLeft}>
          {SERVER_NOTICES_WORDS.whatYouDoNowIsKept}
        </Notice>
      ) : null}
    </View>
  );
}

/** One line along the top: since when the server is away, and what waits for it. */
function AwayStrip({ since, pending }: { since: string; pending: Pending }) {
  return (
    <Row
      role="status"
      alignItems="center"
      gap="$s"
      minHeight="$target"
      backgroundColor="$waitTint"
      borderRadius="$corner"
      paddingLeft="$m"
    >
      <ToneIcon tone="wait" />
      <Column flex={1} paddingVertical="$xs">
        <Strong color="$wait">
          {pending.length > 0
            ? SERVER_NOTICES_WORDS.offlineKeptHere(sayWaiting(pending))
            : SERVER_NOTICES_WORDS.offlineShownAsItWasLast}
        </Strong>
        <Small>{SERVER_NOTICES_WORDS.noAnswerSinceWhatYouDo(TIMES.clock(since))}</Small>
      </Column>
      {pending.length > 0 ? (
        <Sheet label={SERVER_NOTICES_WORDS.whatWaits} look="quiet">
          {() => <WaitingList pending={pending} />}
        </Sheet>
      ) : null}
    </Row>
  );
}

/** "2 changes and 1 picture are", "1 change is". */
function sayWaiting(pending: Pending): string {
  const pictures = pending.filter(({ change }) => change.type === 'picture_taken').length;
  const count = (n: number, word: string): string[] => (n === 0 ? [] : [n === 1 ? `1 ${word}` : `${n} ${word}s`]);
  const parts = [...count(pending.length - pictures, 'change'), ...count(pictures, 'picture')];
  return `${parts.join(' and ')} ${pending.length === 1 ? SERVER_NOTICES_WORDS.is : SERVER_NOTICES_WORDS.are}`;
}

/** What waits to be sent, oldest first. */
function WaitingList({ pending }: { pending: Pending }) {
  const nameOf = usePieceName();
  return (
    <Column role="list" gap="$m">
      {pending.map(({ id, pieceId, change, said }) => (
        <Column key={id} role="listitem" gap={2}>
          <Strong>{said ?? sayChanges([change], undefined)}</Strong>
          <Small>{pieceId === '' ? SERVER_NOTICES_WORDS.theWorkshop : nameOf(pieceId)}</Small>
        </Column>
      ))}
    </Column>
  );
}

/** Every field of a change that was refused, as it was entered: it may have to be entered anew. */
function Held({ own: { change } }: { own: Waiting }) {
  const now = useNow(MINUTE_MS);
  const picture = usePictureUrl(change.type === 'picture_taken' ? change.photoId : '');
  return (
    <Column gap="$xs" paddingHorizontal="$m" paddingBottom="$s">
      {picture ? <img src={picture} alt={SERVER_NOTICES_WORDS.thePicture} style={{ maxWidth: '100%' }} /> : null}
      {listHeld(change).map(({ name, value, at }, i) => (
        <Small key={i} selectable>
          {SERVER_NOTICES_WORDS.fieldIs(name, at === undefined ? value : TIMES.moment(at, now))}
        </Small>
      ))}
    </Column>
  );
}

/** Saves what was refused, the picture itself where it is one. */
async function saveRefused(own: Waiting): Promise<void> {
  const name = `not-stored-${own.id}`;
  const picture = own.change.type === 'picture_taken' ? await findPicture(own.change.photoId) : undefined;
  if (picture) saveBlob(`${name}.jpg`, picture);
  else saveText(`${name}.json`, 'application/json', JSON.stringify(own, null, 2));
}

/** What the server refused, with the reason: mended at its piece, sent again, or thrown away. */
function Parked({ parked, close }: { parked: RootState['outbox']['parked']; close: () => void }) {
  const nameOf = usePieceName();
  const dispatch = useDispatch<AppDispatch>();
  const mend = (id: string): void => {
    close();
    router.push(`/piece/${id}/meet`);
  };
  return (
    <Column role="list" gap="$l">
      {parked.map((own) => {
        const { id, pieceId, change, said, refused } = own;
        const words = said ?? sayChanges([change], undefined);
        return (
          <Column key={id} role="listitem" gap="$s">
            <Strong>{words}</Strong>
            <Small>{`${pieceId === '' ? SERVER_NOTICES_WORDS.theWorkshop : nameOf(pieceId)}: ${refused ?? ''}`}</Small>
            <Disclosure label={SERVER_NOTICES_WORDS.whatItHolds}>{() => <Held own={own} />}</Disclosure>
            <Row gap="$s" flexWrap="wrap">
              {pieceId === '' ? null : (
                <Button label={SERVER_NOTICES_WORDS.mendItOn(nameOf(pieceId))} onPress={() => mend(pieceId)}>
                  {SERVER_NOTICES_WORDS.goToThePiece}
                </Button>
              )}
              <Button
                label={SERVER_NOTICES_WORDS.sendAgainNamed(words)}
                onPress={() => dispatch(changeTriedAgain({ id }))}
              >
                {SERVER_NOTICES_WORDS.sendAgain}
              </Button>
              <Button label={SERVER_NOTICES_WORDS.saveNamed(words)} onPress={() => void saveRefused(own)}>
                {SERVER_NOTICES_WORDS.saveAsAFile}
              </Button>
              <Button
                label={SERVER_NOTICES_WORDS.throwAwayNamed(words)}
                onPress={() => dispatch(changeThrownAway({ id }))}
              >
                {SERVER_NOTICES_WORDS.throwAway}
              </Button>
            </Row>
          </Column>
        );
      })}
    </Column>
  );
}
