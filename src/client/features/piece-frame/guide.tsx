import { useDispatch, useSelector } from 'react-redux';
import { guideCardSeen, guideEnded, type AppDispatch, type RootState } from '@/client/store';
import { Body, Button, Card, Heading, Row } from '@/client/ui';
import { GUIDE_WORDS, GUIDE, type GuideCard } from '@/words';

/** One of five short cards over the screens of the first piece, until it is put away. */
export function Guide({ card }: { card: string }) {
  const dispatch = useDispatch<AppDispatch>();
  const { on, seen } = useSelector((state: RootState) => state.settings.guide);
  if (!on || seen.includes(card) || !(card in GUIDE)) return null;
  const { title, says } = GUIDE[card as GuideCard];
  return (
    <Card gap="$s" backgroundColor="$actTint" render="section" aria-label={GUIDE_WORDS.firstSteps}>
      <Heading>{title}</Heading>
      <Body>{says}</Body>
      <Row gap="$s" flexWrap="wrap">
        <Button onPress={() => dispatch(guideCardSeen(card))}>{GUIDE_WORDS.iSee}</Button>
        <Button look="quiet" onPress={() => dispatch(guideEnded())}>
          {GUIDE_WORDS.noMoreOfThese}
        </Button>
      </Row>
    </Card>
  );
}
