import { Link, router } from 'expo-router';
import { Button, Card, Column, Heading, Sheet, Small, StateMark, Strong } from '@/client/ui';
import { nameZone, type Dossier, namePiece } from '@/core/dossier';
import { lowerFirst } from '@/core/shared';
import { IN_TROUBLE_WORDS, nameSymptom } from '@/words';

/** What is wrong with pieces and not settled yet, and the way to say that something is. */
export function InTrouble({ pieces }: { pieces: readonly Dossier[] }) {
  const open = pieces.flatMap((dossier) =>
    (dossier.troubles ?? []).filter(({ settled }) => !settled).map((trouble) => ({ dossier, trouble })),
  );
  return (
    <Column gap="$s" render="section" aria-label={IN_TROUBLE_WORDS.inTrouble}>
      {open.length > 0 ? <Heading>{IN_TROUBLE_WORDS.inTrouble}</Heading> : null}
      {open.map(({ dossier, trouble }) => (
        <Link
          key={trouble.id}
          href={`/piece/${dossier.piece.id ?? ''}/mend?trouble=${encodeURIComponent(trouble.id)}`}
          style={{ textDecorationLine: 'none' }}
        >
          <Card padding="$m" gap="$xs" hoverStyle={{ borderColor: '$act' }}>
            <Strong>{`${namePiece(dossier.piece)}: ${lowerFirst(nameSymptom(trouble.symptom))}`}</Strong>
            <StateMark tone="stop">{IN_TROUBLE_WORDS.onThe(lowerFirst(nameZone(dossier, trouble.zone)))}</StateMark>
          </Card>
        </Link>
      ))}
      <Sheet label={IN_TROUBLE_WORDS.somethingIsWrongWithAPiece}>
        {(close) => (
          <Column gap="$s">
            <Small>{IN_TROUBLE_WORDS.withWhichPiece}</Small>
            {pieces.map(({ piece }) => (
              <Button
                key={piece.id}
                onPress={() => {
                  close();
                  router.push(`/piece/${piece.id ?? ''}/mend`);
                }}
              >
                {namePiece(piece)}
              </Button>
            ))}
            <Button
              look="quiet"
              onPress={() => {
                close();
                router.push('/pieces');
              }}
            >
              {IN_TROUBLE_WORDS.anotherOne}
            </Button>
          </Column>
        )}
      </Sheet>
    </Column>
  );
}
