import { styled, View } from '@tamagui/core';
import { Link, usePathname } from 'expo-router';
import { Column, Row, Small, Strong, Title } from '@/client/ui';
import { BackLink } from './back-link';
import { HelpButton } from './help-button';
import { PIECE_HEADER_WORDS } from '@/words';

const STAGES = [
  { code: 'meet', label: PIECE_HEADER_WORDS.meet },
  { code: 'read', label: PIECE_HEADER_WORDS.read },
  { code: 'choose', label: PIECE_HEADER_WORDS.choose },
  { code: 'prove', label: PIECE_HEADER_WORDS.prove },
  { code: 'work', label: PIECE_HEADER_WORDS.work },
  { code: 'mend', label: PIECE_HEADER_WORDS.mend },
  { code: 'let-go', label: PIECE_HEADER_WORDS.letGo },
] as const;

const Tab = styled(View, {
  minHeight: '$target',
  minWidth: 44,
  paddingHorizontal: 2,
  alignItems: 'center',
  justifyContent: 'center',
  borderBottomWidth: 3,
  borderColor: 'transparent',
  variants: { current: { true: { borderColor: '$act' } } } as const,
});

/** Name of the piece and its way from kerb to proof. */
export function PieceHeader({ id, name, note }: { id: string; name: string; note: string }) {
  const path = usePathname();
  return (
    <Column render="header" backgroundColor="$ground" borderBottomWidth={1} borderColor="$line">
      <Column width="100%" maxWidth={1212} alignSelf="center" paddingHorizontal="$l" paddingTop="$s">
        <Row alignItems="center" gap="$xs">
          <BackLink />
          <Title flexGrow={1} flexShrink={1} numberOfLines={1}>
            {name}
          </Title>
          <Small flexShrink={1} textAlign="right">
            {note}
          </Small>
          <HelpButton />
        </Row>
        <Row
          render="nav"
          aria-label={PIECE_HEADER_WORDS.stepsOfThisPiece}
          justifyContent="space-between"
          maxWidth={460}
          // In a language of longer words the last steps are scrolled to.
          overflow="scroll"
          {...{ style: { overflowY: 'hidden', scrollbarWidth: 'none' } }}
        >
          {STAGES.map((stage) => {
            const href = `/piece/${id}/${stage.code}` as const;
            const current = path === href;
            return (
              <Link
                key={stage.code}
                href={href}
                replace
                aria-current={current ? 'page' : undefined}
                style={{ textDecorationLine: 'none', flexShrink: 0 }}
              >
                <Tab current={current}>
                  <Strong fontSize={15} color={current ? '$ink' : '$softInk'}>
                    {stage.label}
                  </Strong>
                </Tab>
              </Link>
            );
          })}
        </Row>
      </Column>
    </Column>
  );
}
