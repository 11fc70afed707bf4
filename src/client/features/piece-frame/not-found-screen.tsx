import { router } from 'expo-router';
import { Button, Notice } from '@/client/ui';
import { Screen } from './screen';

export function NotFoundScreen() {
  return (
    <Screen title="Nothing here" header={null}>
      <Notice
        tone="wait"
        title="There is nothing at this address"
        action={<Button onPress={() => router.replace('/pieces')}>All pieces</Button>}
      >
        Pieces are found from the list.
      </Notice>
    </Screen>
  );
}
