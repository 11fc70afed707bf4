import { useListPatternsQuery } from '@/client/store';
import { Body, Card, Column, Heading, Small, Strong } from '@/client/ui';
import { PATTERN_LIST_WORDS, nameSymptom, sayPattern } from '@/words';

/** What pieces that something went wrong with have in common, with its numbers, or that there are too few to say. */
export function PatternList() {
  const { data } = useListPatternsQuery(undefined, { refetchOnMountOrArgChange: true });
  if (!data || data.length === 0) return null;
  return (
    <Card gap="$m" render="section" aria-label={PATTERN_LIST_WORDS.whatWentWrong}>
      <Heading>{PATTERN_LIST_WORDS.whatWentWrongAndWhatThose}</Heading>
      {data.map(({ symptom, pieces, tooFew, patterns }) => (
        <Column key={symptom} gap="$xs">
          <Strong>{`${nameSymptom(symptom)}: ${pieces} ${pieces === 1 ? PATTERN_LIST_WORDS.piece : PATTERN_LIST_WORDS.pieces}`}</Strong>
          {tooFew ? (
            <Small>{PATTERN_LIST_WORDS.tooFewToSayFiveWith}</Small>
          ) : patterns.length === 0 ? (
            <Small>{PATTERN_LIST_WORDS.nothingThatTheyShareMoreThan}</Small>
          ) : (
            patterns.map((pattern) => <Body key={pattern.fact}>{sayPattern(pattern)}</Body>)
          )}
        </Column>
      ))}
      <Small>{PATTERN_LIST_WORDS.fishersExactTestCorrectedForAs}</Small>
    </Card>
  );
}
