import { View } from '@tamagui/core';
import { router } from 'expo-router';
import { useMemo } from 'react';
import { AccountPanel, useMoney } from '@/client/features/money';
import { PieceScreen, type PieceParts } from '@/client/features/piece-frame';
import { useWork } from '@/client/features/work';
import { makeId, timeNow, useWithShop, useWorkshop } from '@/client/store';
import { Button, Column, Row, Small, StateMark, useIsWide, type Tone } from '@/client/ui';
import { handedOverAt, withShelf } from '@/core/dossier';
import { judgeLeaving, judgeLeavingGate, listReady, listWorked, readCure, type Leaving } from '@/core/handover';
import { airOf } from '@/core/work';
import { LET_GO_SCREEN_WORDS, LEAVINGS } from '@/words';
import { CureCard } from './cure-card';
import { Papers } from './papers';
import { ReadyList } from './ready-list';
import { SaleCard } from './sale-card';

/** Let go: the days of the cure, what is seen to before it leaves, what goes with it, the sale, and what it earned. */
export function LetGoScreen() {
  return <PieceScreen stage={LET_GO_SCREEN_WORDS.letGo}>{(parts) => <LettingGo {...parts} />}</PieceScreen>;
}

const TONES: Record<Leaving, Tone> = {
  at_work: 'act',
  ripening: 'wait',
  to_see_to: 'act',
  for_sale: 'go',
  waits: 'go',
  gone: 'go',
};

function LettingGo({ dossier, change }: PieceParts) {
  const wide = useIsWide();
  const whole = useWithShop(dossier);
  const view = useWork(dossier);
  const money = useMoney(dossier, change);
  const { workshop } = useWorkshop();
  const { times, timeZone, tins } = view;
  // To the minute: nothing here hangs on seconds.
  const now = `${view.now.slice(0, 16)}:00.000Z`;
  const cure = useMemo(
    () => readCure(dossier, tins, airOf({ workshop, now, timeZone }), now),
    [dossier, tins, workshop, now, timeZone],
  );
  const ready = useMemo(() => listReady(dossier), [dossier]);
  const gate = useMemo(() => judgeLeavingGate(withShelf(dossier, tins), now), [dossier, tins, now]);
  const leaving = judgeLeaving(dossier, { tasks: view.piece.tasks, cure, ready, now });
  const { id = '', name = '' } = dossier.piece;
  const handOver = (): void => {
    const task = view.piece.tasks.find(({ op, state }) => op === 'handover' && state === 'open');
    if (task) return view.log(task, {});
    const entries = listWorked(dossier).map((zone) => ({ zone, op: 'handover' as const, at: timeNow() }));
    change({ type: 'work_logged', work: makeId(), entries });
  };
  return (
    <Column gap="$l">
      <StateMark tone={TONES[leaving]}>{LEAVINGS[leaving]}</StateMark>
      <View flexDirection={wide ? 'row' : 'column'} gap="$xl" alignItems="stretch">
        <Column flex={wide ? 1 : undefined} gap="$l" minWidth={0}>
          <CureCard cure={cure} id={id} name={name} times={times} now={now} />
          <ReadyList dossier={dossier} change={change} />
          <Papers dossier={dossier} cure={cure} times={times} />
        </Column>
        <Column flex={wide ? 1 : undefined} gap="$l" minWidth={0}>
          <SaleCard view={money} gate={gate} goneAt={handedOverAt(dossier)} onHandOver={handOver} />
          <AccountPanel dossier={whole} view={money} />
          <Row gap="$s" alignItems="center" flexWrap="wrap">
            <Button onPress={() => router.replace(`/piece/${id}/mend`)}>
              {LET_GO_SCREEN_WORDS.somethingIsWrongWithIt}
            </Button>
            <Small flexGrow={1} flexShrink={1} flexBasis={200}>
              {LET_GO_SCREEN_WORDS.itCameBackOrABuyer}
            </Small>
          </Row>
        </Column>
      </View>
    </Column>
  );
}
