import { View } from '@tamagui/core';
import { Button, Notice } from '@/client/ui';

export function Unreachable({ retry }: { retry: () => void }) {
  return (
    <Notice
      tone="stop"
      live
      title="The workshop’s records are out of reach"
      action={<Button onPress={retry}>Try again</Button>}
    >
      The server on this machine does not answer. Start it again; nothing you stored is lost.
    </Notice>
  );
}

export function Skeleton() {
  return (
    <View role="status" aria-label="Loading" gap="$m">
      {[120, 64, 64].map((height, i) => (
        <View key={i} height={height} backgroundColor="$line" opacity={0.6} borderRadius="$corner" />
      ))}
    </View>
  );
}
