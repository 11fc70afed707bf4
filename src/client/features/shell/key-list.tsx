import { View } from '@tamagui/core';
import { Button, Card, Heading, Row, Small, Strong } from '@/client/ui';
import { KEY_LIST_WORDS } from '@/words';

const KEYS: readonly [string, string][] = [
  ['1 – 9', KEY_LIST_WORDS.answerTheCheck],
  ['0', KEY_LIST_WORDS.cantTell],
  ['u', KEY_LIST_WORDS.undoWhatWasDoneLast],
  ['← →', KEY_LIST_WORDS.theZoneBeforeTheNextZone],
  ['↵', KEY_LIST_WORDS.startARoundNextExercisePractice],
  ['s / f / g', KEY_LIST_WORDS.sureFairlySureGuessingPractice],
  ['d', KEY_LIST_WORDS.doneAtAStepOfThe],
  ['/', KEY_LIST_WORDS.findAnythingPiecesTinsWordsScreens],
  ['n', KEY_LIST_WORDS.newPiece],
  ['t', KEY_LIST_WORDS.today],
  ['p', KEY_LIST_WORDS.pieces],
  ['l', KEY_LIST_WORDS.findings],
  ['e', KEY_LIST_WORDS.practice],
  ['c', KEY_LIST_WORDS.compareTwoPieces],
  ['↑ ↓', KEY_LIST_WORDS.thePieceBeforeTheNext],
  ['o', KEY_LIST_WORDS.openThePiece],
  ['?', KEY_LIST_WORDS.thisList],
];

/** The keys of every screen, over whatever is looked at. */
export function KeyList({ onClose }: { onClose: () => void }) {
  return (
    <View
      role="dialog"
      aria-label={KEY_LIST_WORDS.keys}
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
        <Heading>{KEY_LIST_WORDS.keys}</Heading>
        {KEYS.map(([key, words]) => (
          <Row key={key} gap="$m">
            <Strong width={64}>{key}</Strong>
            <Small>{words}</Small>
          </Row>
        ))}
        <Button onPress={onClose}>{KEY_LIST_WORDS.close}</Button>
      </Card>
    </View>
  );
}
