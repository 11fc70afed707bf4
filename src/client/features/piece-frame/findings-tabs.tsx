import { styled, View } from '@tamagui/core';
import { Link, usePathname } from 'expo-router';
import { Row, Strong } from '@/client/ui';
import { FINDINGS_TABS_WORDS } from '@/words';

const PLACES = [
  { href: '/findings', label: FINDINGS_TABS_WORDS.ownTests },
  { href: '/practice', label: FINDINGS_TABS_WORDS.practice },
] as const;

const Tab = styled(View, {
  minHeight: '$target',
  paddingHorizontal: '$m',
  justifyContent: 'center',
  borderBottomWidth: 3,
  borderColor: 'transparent',
  variants: { current: { true: { borderColor: '$act' } } } as const,
});

/** What the shop found out, and where the eye is trained: two sides of one room. */
export function FindingsTabs() {
  const path = usePathname();
  return (
    <Row render="nav" aria-label={FINDINGS_TABS_WORDS.findingsAndPractice} gap="$s">
      {PLACES.map(({ href, label }) => (
        <Link
          key={href}
          href={href}
          aria-current={path === href ? 'page' : undefined}
          style={{ textDecorationLine: 'none', flexShrink: 0 }}
        >
          <Tab current={path === href}>
            <Strong color={path === href ? '$ink' : '$softInk'}>{label}</Strong>
          </Tab>
        </Link>
      ))}
    </Row>
  );
}
