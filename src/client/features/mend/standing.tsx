import { router } from 'expo-router';
import { Button, Notice, Row } from '@/client/ui';
import type { TroubleState } from '@/core/trouble';
import { STANDING_WORDS } from '@/words';

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
          title={STANDING_WORDS.theWayOutIsDoneDoes}
          action={
            <Row gap="$s" flexWrap="wrap">
              <Button look="main" onPress={onHolds}>
                {STANDING_WORDS.itHoldsMended}
              </Button>
              <Button onPress={onBack}>{STANDING_WORDS.itCameBack}</Button>
            </Row>
          }
        >
          {STANDING_WORDS.giveItTheTimeThatIts}
        </Notice>
      );
    case 'in_recovery':
      return (
        <Notice
          tone="act"
          title={STANDING_WORDS.aWayOutIsUnderWay}
          action={<Button onPress={() => router.push(`/piece/${pieceId}/work`)}>{STANDING_WORDS.goOnInWork}</Button>}
        >
          {STANDING_WORDS.theWorkOnThisFaceIs}
        </Notice>
      );
    case 'mended':
      return (
        <Notice
          tone="go"
          title={STANDING_WORDS.mended}
          action={<Button onPress={onBack}>{STANDING_WORDS.itCameBack}</Button>}
        >
          {STANDING_WORDS.itHeldWhatMadeItAnd}
        </Notice>
      );
    case 'open':
    case 'came_back':
    case 'left':
      return null;
  }
}
