import { styled, View } from '@tamagui/core';
import { Link, usePathname, type Href } from 'expo-router';
import Armchair from 'lucide-react-native/icons/armchair';
import Columns from 'lucide-react-native/icons/chart-no-axes-column';
import Clock from 'lucide-react-native/icons/clock';
import Coins from 'lucide-react-native/icons/coins';
import PaintBucket from 'lucide-react-native/icons/paint-bucket';
import { Small, useIsWide, useTones } from '@/client/ui';
import { NAV_BAR_WORDS } from '@/words';

const PLACES: readonly { href: Href; label: string; icon: typeof Clock; owns: (path: string) => boolean }[] = [
  {
    href: '/',
    label: NAV_BAR_WORDS.today,
    icon: Clock,
    owns: (path) => ['/', '/ahead', '/workshop', '/phones', '/copies', '/notices'].includes(path),
  },
  {
    href: '/pieces',
    label: NAV_BAR_WORDS.pieces,
    icon: Armchair,
    owns: (path) => path === '/pieces' || path === '/compare' || path === '/new' || path.startsWith('/piece/'),
  },
  {
    href: '/findings',
    label: NAV_BAR_WORDS.findings,
    icon: Columns,
    owns: (path) => path === '/findings' || path === '/practice',
  },
  { href: '/earned', label: NAV_BAR_WORDS.earned, icon: Coins, owns: (path) => path === '/earned' },
  { href: '/shelf', label: NAV_BAR_WORDS.shelf, icon: PaintBucket, owns: (path) => path === '/shelf' },
];

const Place = styled(View, {
  minHeight: 60,
  minWidth: 60,
  alignItems: 'center',
  justifyContent: 'center',
  gap: 2,
  borderTopWidth: 3,
  borderColor: 'transparent',
  variants: { current: { true: { borderColor: '$act' } } } as const,
});

/** The five rooms of the shop: along the bottom on a phone, down the side where there is room. */
export function NavBar() {
  const path = usePathname();
  const wide = useIsWide();
  const tones = useTones();
  return (
    <View
      render="nav"
      aria-label={NAV_BAR_WORDS.bricolage}
      flexDirection={wide ? 'column' : 'row'}
      justifyContent={wide ? 'flex-start' : 'space-around'}
      gap={wide ? '$s' : 0}
      paddingTop={wide ? '$l' : 0}
      backgroundColor="$card"
      borderColor="$line"
      borderTopWidth={wide ? 0 : 1}
      borderRightWidth={wide ? 1 : 0}
      width={wide ? 104 : '100%'}
    >
      {PLACES.map(({ href, label, icon: Icon, owns }) => {
        const current = owns(path);
        return (
          <Link
            key={label}
            href={href}
            aria-current={current ? 'page' : undefined}
            style={{ textDecorationLine: 'none', minWidth: 0, flexShrink: 1 }}
          >
            <Place current={current}>
              <Icon size={22} color={current ? tones.act : tones.softInk} aria-hidden />
              <Small textAlign="center" color={current ? '$act' : '$softInk'} fontWeight={current ? '700' : '400'}>
                {label}
              </Small>
            </Place>
          </Link>
        );
      })}
    </View>
  );
}
