import { View } from '@tamagui/core';
import { Link } from 'expo-router';
import Search from 'lucide-react-native/icons/search';
import { useTones } from '@/client/ui';
import { FIND_LINK_WORDS } from '@/words';

/** The way to everything that is written down. */
export function FindLink() {
  const tones = useTones();
  return (
    <Link href="/search" aria-label={FIND_LINK_WORDS.find}>
      <View width={48} height={48} alignItems="center" justifyContent="center">
        <Search size={22} color={tones.ink} aria-hidden />
      </View>
    </Link>
  );
}
