import { useListPatternsQuery } from '@/client/store';
import { Body, Card, Column, Heading, Small, Strong } from '@/client/ui';
import { nameSymptom, sayPattern } from '@/words';

/** What pieces that something went wrong with have in common, with its numbers, or that there are too few to say. */
export function PatternList() {
  const { data } = useListPatternsQuery(undefined, { refetchOnMountOrArgChange: true });
  if (!data || data.length === 0) return null;
  return (
    <Card gap="$m" render="section" aria-label="What went wrong">
      <Heading>What went wrong, and what those pieces share</Heading>
      {data.map(({ symptom, pieces, tooFew, patterns }) => (
        <Column key={symptom} gap="$xs">
          <Strong>{`${nameSymptom(symptom)}: ${pieces} ${pieces === 1 ? 'piece' : 'pieces'}`}</Strong>
          {tooFew ? (
            <Small>Too few to say: five with it and five without are the least.</Small>
          ) : patterns.length === 0 ? (
            <Small>Nothing that they share more than chance would have it.</Small>
          ) : (
            patterns.map((pattern) => <Body key={pattern.fact}>{sayPattern(pattern)}</Body>)
          )}
        </Column>
      ))}
      <Small>Fisher’s exact test, corrected for as many things as were tried.</Small>
    </Card>
  );
}
