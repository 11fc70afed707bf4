import { View } from '@tamagui/core';
import { Button, Notice } from '@/client/ui';
import { Screen } from './screen';
import { Skeleton } from './waiting-states';

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
    <Screen title="Not here yet" header={null}>
      <Notice tone="stop" live title="This screen has not come" action={<Button onPress={retry}>Try again</Button>}>
        The server does not answer, and this screen was not opened before. Nothing you stored is lost; screens you have
        opened still work.
      </Notice>
    </Screen>
  );
}
