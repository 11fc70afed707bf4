import { Link } from 'expo-router';
import ArrowLeft from 'lucide-react-native/icons/arrow-left';
import { SPACE, useTones } from '@/client/ui';

/** The way back to all pieces, as big as a thumb; its arrow stands on the text margin. */
export function BackLink() {
  const tones = useTones();
  return (
    <Link
      href="/"
      aria-label="All pieces"
      style={{
        width: SPACE.target,
        height: SPACE.target,
        marginLeft: -14,
        display: 'flex',
        alignItems: 'center',
        justifyContent: 'center',
      }}
    >
      <ArrowLeft size={24} color={tones.ink} aria-hidden />
    </Link>
  );
}
