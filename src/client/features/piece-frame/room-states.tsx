import { View } from '@tamagui/core';
import { Button, Notice } from '@/client/ui';
import { Screen } from './screen';
import { Skeleton } from './waiting-states';
import { ROOM_STATES_WORDS } from '@/words';

/** While the program of a screen comes. */
export function RoomOpening() {
  return (
    <View flex={1} backgroundColor="$ground" padding="$l">
      <Skeleton />
    </View>
  );
}

/** The program of a screen did not come: the server is away, or has been renewed since this page was opened. */
export function RoomMissing({ retry }: { retry: () => void }) {
  return (
    <Screen title={ROOM_STATES_WORDS.notHereYet} header={null}>
      <Notice
        tone="stop"
        live
        title={ROOM_STATES_WORDS.thisScreenHasNotCome}
        action={<Button onPress={retry}>{ROOM_STATES_WORDS.tryAgain}</Button>}
      >
        {ROOM_STATES_WORDS.theServerDoesNotAnswerAnd}
      </Notice>
    </Screen>
  );
}
