import { router } from 'expo-router';
import { Button, Notice } from '@/client/ui';
import { Screen } from './screen';
import { NOT_FOUND_SCREEN_WORDS } from '@/words';

export function NotFoundScreen() {
  return (
    <Screen title={NOT_FOUND_SCREEN_WORDS.nothingHere} header={null}>
      <Notice
        tone="wait"
        title={NOT_FOUND_SCREEN_WORDS.thereIsNothingAtThisAddress}
        action={<Button onPress={() => router.replace('/pieces')}>{NOT_FOUND_SCREEN_WORDS.allPieces}</Button>}
      >
        {NOT_FOUND_SCREEN_WORDS.piecesAreFoundFromTheList}
      </Notice>
    </Screen>
  );
}
