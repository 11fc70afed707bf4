import { View } from '@tamagui/core';
import { usePathname } from 'expo-router';
import CircleHelp from 'lucide-react-native/icons/circle-question-mark';
import { useState } from 'react';
import { makeFrame } from '@/client/room';
import { useTones } from '@/client/ui';
import { HELP_BUTTON_WORDS } from '@/words';

/** What it says comes when it is first opened. */
const HelpSheet = makeFrame<{ onClosed: () => void }>(async () => (await import('@/client/rooms')).HelpSheet);

/** What this screen answers, what its words mean and where its figures come from, one tap away. */
export function HelpButton() {
  const tones = useTones();
  const path = usePathname();
  // The page it was opened on: another page closes it.
  const [openOn, setOpenOn] = useState<string | null>(null);
  return (
    <>
      <View
        render="button"
        aria-label={HELP_BUTTON_WORDS.whatIsThisScreenFor}
        width={48}
        height={48}
        alignItems="center"
        justifyContent="center"
        backgroundColor="transparent"
        borderWidth={0}
        cursor="pointer"
        onPress={() => setOpenOn(path)}
      >
        <CircleHelp size={22} color={tones.ink} aria-hidden />
      </View>
      {openOn === path ? <HelpSheet onClosed={() => setOpenOn(null)} /> : null}
    </>
  );
}
