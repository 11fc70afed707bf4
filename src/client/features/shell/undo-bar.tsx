import { useEffect } from 'react';
import { useUndo, type Tap } from '@/client/store';
import { Button, Row, Small, useKeys } from '@/client/ui';
import { UNDO_BAR_WORDS, sayChanges } from '@/words';

/** Long enough to read it, look up and reach it with a gloved hand. */
const STAYS_MS = 20_000;

/** What was done last, and the way back. It takes room of its own and covers nothing. */
export function UndoBar() {
  const { last, undo, forget } = useUndo();
  return last ? <Shown last={last} undo={undo} forget={forget} /> : null;
}

function Shown({ last, undo, forget }: { last: Tap; undo: () => void; forget: () => void }) {
  useKeys({ u: undo });
  useEffect(() => {
    const timer = setTimeout(forget, STAYS_MS);
    return () => clearTimeout(timer);
    // A new tap starts the time anew; a new function of the same tap does not.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [last]);
  const words = last.said ?? sayChanges(last.made, last.before);
  return (
    <Row
      role="region"
      aria-label={UNDO_BAR_WORDS.whatWasDoneLast}
      alignItems="center"
      gap="$s"
      backgroundColor="$goTint"
      borderTopWidth={1}
      borderColor="$line"
      paddingLeft="$l"
      paddingRight="$s"
      paddingVertical="$xs"
    >
      <Small role="status" flex={1} numberOfLines={2} color="$ink" fontWeight="600">
        {words}
      </Small>
      <Button look="quiet" label={UNDO_BAR_WORDS.undoWhat(words)} onPress={undo}>
        {UNDO_BAR_WORDS.undo}
      </Button>
    </Row>
  );
}
