import { View } from '@tamagui/core';
import { Button, Notice } from '@/client/ui';
import { WAITING_STATES_WORDS } from '@/words';

export function Unreachable({ retry }: { retry: () => void }) {
  return (
    <Notice
      tone="stop"
      live
      title={WAITING_STATES_WORDS.theWorkshopsRecordsAreOutOf}
      action={<Button onPress={retry}>{WAITING_STATES_WORDS.tryAgain}</Button>}
    >
      {WAITING_STATES_WORDS.theServerOnThisMachineDoes}
    </Notice>
  );
}

export function Skeleton() {
  return (
    <View role="status" aria-label={WAITING_STATES_WORDS.loading} gap="$m">
      {[120, 64, 64].map((height, i) => (
        <View key={i} height={height} backgroundColor="$line" opacity={0.6} borderRadius="$corner" />
      ))}
    </View>
  );
}
