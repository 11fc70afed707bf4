import { Link } from 'expo-router';
import { sayDate } from '@/client/features/shop-plan';
import { Card, Column, Heading, Small, Strong } from '@/client/ui';
import { waitsForPickUp, type Dossier, namePiece } from '@/core/dossier';
import { WAITING_WORDS } from '@/words';

/** Pieces that are sold and still here: each leads to what is to be seen to before it leaves. */
export function Waiting({ pieces, now }: { pieces: readonly Dossier[]; now: string }) {
  const waiting = pieces.filter(waitsForPickUp);
  if (waiting.length === 0) return null;
  return (
    <Column gap="$s" role="region" aria-label={WAITING_WORDS.waitsForPickUp}>
      <Heading>{WAITING_WORDS.waitsForPickUp}</Heading>
      {waiting.map(({ piece, money }) => (
        <Link key={piece.id} href={`/piece/${piece.id ?? ''}/let-go`} style={{ textDecorationLine: 'none' }}>
          <Card padding="$m" gap="$xs" hoverStyle={{ borderColor: '$act' }}>
            <Strong>{namePiece(piece)}</Strong>
            <Small>{WAITING_WORDS.seeWhenItIsCuredAnd(money?.sold?.at ? sayDate(money.sold.at, now) : null)}</Small>
          </Card>
        </Link>
      ))}
    </Column>
  );
}
