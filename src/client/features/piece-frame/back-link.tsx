import { Link } from 'expo-router';
import ArrowLeft from 'lucide-react-native/icons/arrow-left';
import { SPACE, useTones } from '@/client/ui';
import { BACK_LINK_WORDS } from '@/words';

/** The way back, as big as a thumb; its arrow stands on the text margin. */
const Back = ({ href, label }: { href: '/' | '/pieces'; label: string }) => {
  const tones = useTones();
  return (
    <Link
      href={href}
      aria-label={label}
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
};

export const BackLink = () => <Back href="/pieces" label={BACK_LINK_WORDS.allPieces} />;
export const TodayLink = () => <Back href="/" label={BACK_LINK_WORDS.today} />;
