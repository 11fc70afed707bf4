import { router } from 'expo-router';
import { Button, Notice, Row } from '@/client/ui';
import type { TroubleState } from '@/core/trouble';

interface StandingProps {
  state: TroubleState;
  pieceId: string;
  onHolds: () => void;
  onBack: () => void;
}

/** Where a trouble stands, with what is to be said or done next; nothing while it is still to be found out. */
export function Standing({ state, pieceId, onHolds, onBack }: StandingProps) {
  switch (state) {
    case 'recovered':
      return (
        <Notice
          tone="act"
          title="The way out is done. Does it hold?"
          action={
            <Row gap="$s" flexWrap="wrap">
              <Button look="main" onPress={onHolds}>
                It holds: mended
              </Button>
              <Button onPress={onBack}>It came back</Button>
            </Row>
          }
        >
          Give it the time that its proof asked for. What you say here counts in the shop’s findings.
        </Notice>
      );
    case 'in_recovery':
      return (
        <Notice
          tone="act"
          title="A way out is under way"
          action={<Button onPress={() => router.push(`/piece/${pieceId}/work`)}>Go on in Work</Button>}
        >
          The work on this face is what it says from now on. What stood before is kept.
        </Notice>
      );
    case 'mended':
      return (
        <Notice tone="go" title="Mended" action={<Button onPress={onBack}>It came back</Button>}>
          It held. What made it, and what mended it, stay with the piece.
        </Notice>
      );
    case 'open':
    case 'came_back':
    case 'left':
      return null;
  }
}
