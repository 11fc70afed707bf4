import { View } from '@tamagui/core';
import { Button, Card, Heading, Row, Small, Strong } from '@/client/ui';

const KEYS: readonly [string, string][] = [
  ['1 – 9', 'answer the check'],
  ['0', 'can’t tell'],
  ['u', 'undo what was done last'],
  ['← →', 'the zone before, the next zone'],
  ['Enter', 'start a round, next exercise (practice)'],
  ['s f g', 'sure, fairly sure, guessing (practice)'],
  ['d', 'done (at a step of the work)'],
  ['/', 'find anything: pieces, tins, words, screens'],
  ['n', 'new piece'],
  ['t', 'today'],
  ['p', 'pieces'],
  ['l', 'findings'],
  ['e', 'practice'],
  ['c', 'compare two pieces'],
  ['?', 'this list'],
];

/** The keys of every screen, over whatever is looked at. */
export function KeyList({ onClose }: { onClose: () => void }) {
  return (
    <View
      role="dialog"
      aria-label="Keys"
      position="absolute"
      top={0}
      left={0}
      right={0}
      bottom={0}
      alignItems="center"
      justifyContent="center"
      backgroundColor="rgba(0,0,0,0.5)"
    >
      <Card width={340} gap="$m">
        <Heading>Keys</Heading>
        {KEYS.map(([key, words]) => (
          <Row key={key} gap="$m">
            <Strong width={64}>{key}</Strong>
            <Small>{words}</Small>
          </Row>
        ))}
        <Button onPress={onClose}>Close</Button>
      </Card>
    </View>
  );
}
