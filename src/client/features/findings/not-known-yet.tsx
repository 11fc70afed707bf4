import { Link } from 'expo-router';
import { useListOpenReadingsQuery } from '@/client/store';
import { Card, Column, Heading, Small, Strong } from '@/client/ui';
import { NOT_KNOWN_YET_WORDS } from '@/words';

/** What was tested on faces that may as well be something else: each leads to where it is read. */
export function NotKnownYet() {
  const { data: open = [] } = useListOpenReadingsQuery();
  if (open.length === 0) return null;
  return (
    <Column gap="$s" role="region" aria-label={NOT_KNOWN_YET_WORDS.notKnownYet}>
      <Heading>{NOT_KNOWN_YET_WORDS.notKnownYet}</Heading>
      <Small>{NOT_KNOWN_YET_WORDS.theyCountOnce}</Small>
      {open.map(({ piece, pieceName, zone, zoneName, tests }) => (
        <Link key={piece + zone} href={`/piece/${piece}/read?zone=${zone}`} style={{ textDecorationLine: 'none' }}>
          <Card padding="$m" gap="$xs" hoverStyle={{ borderColor: '$act' }}>
            <Strong>{NOT_KNOWN_YET_WORDS.where(pieceName, zoneName)}</Strong>
            <Small>{NOT_KNOWN_YET_WORDS.readings(tests)}</Small>
          </Card>
        </Link>
      ))}
    </Column>
  );
}
