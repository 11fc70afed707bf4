import { router } from 'expo-router';
import { useDispatch } from 'react-redux';
import { guideBegun, useGetVisitQuery, useVisit, type AppDispatch } from '@/client/store';
import { Body, Button, Card, Column, Heading, Small } from '@/client/ui';
import { WAYS_ON_WORDS } from '@/words';

/** An empty shop: three ways on. */
export function WaysOn({ children }: { children: string }) {
  const dispatch = useDispatch<AppDispatch>();
  const { data } = useGetVisitQuery();
  const visit = useVisit();
  return (
    <Card padding="$xl" gap="$l" render="section" aria-label={WAYS_ON_WORDS.threeWaysOn}>
      <Column gap="$s">
        <Heading>{WAYS_ON_WORDS.noPieceYet}</Heading>
        <Body>{children}</Body>
      </Column>
      <Column gap="$xs">
        <Button
          look="main"
          onPress={() => {
            dispatch(guideBegun());
            router.push('/new');
          }}
        >
          {WAYS_ON_WORDS.bringTheFirstPieceIn}
        </Button>
        <Small>{WAYS_ON_WORDS.fiveShortCardsLeadYouFrom}</Small>
      </Column>
      {data?.possible ? (
        <Column gap="$xs">
          <Button onPress={() => void visit(true)}>{WAYS_ON_WORDS.lookRoundAnInventedWorkshop}</Button>
          <Small>{WAYS_ON_WORDS.piecesInAllStagesInA}</Small>
        </Column>
      ) : null}
      <Column gap="$xs">
        <Button onPress={() => router.push('/practice')}>{WAYS_ON_WORDS.practiseOnMadeUpPieces}</Button>
        <Small>{WAYS_ON_WORDS.tenMinutesSurfacesLatticesStainsClocks}</Small>
      </Column>
    </Card>
  );
}
