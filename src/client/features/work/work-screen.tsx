import { router } from 'expo-router';
import { useEffect, useRef } from 'react';
import { PieceScreen, useRouteParam, type PieceParts } from '@/client/features/piece-frame';
import { Button, Column, Notice, Row, Small, useIsWide } from '@/client/ui';
import type { Dossier } from '@/core/dossier';
import { listTasks, nextTask, type Task } from '@/core/work';
import { DepartureNotice } from './departure-notice';
import { ExtraStep } from './extra-step';
import { HardwarePanel } from './hardware-panel';
import { JobOverview } from './job-overview';
import { LogList } from './log-list';
import { MixesPanel } from './mixes-panel';
import { PartsPanel } from './parts-panel';
import { SheetPanel } from './sheet-panel';
import { StepView } from './step-view';
import { useWork, type Told } from './use-work';
import { WORK_SCREEN_WORDS, sayBlock, nameBlock } from '@/words';

/** Work: one step at a time, from the first wipe to the last coat. */
export function WorkScreen() {
  return (
    <PieceScreen stage={WORK_SCREEN_WORDS.work} note={countDone}>
      {(parts) => <Work {...parts} />}
    </PieceScreen>
  );
}

function countDone(dossier: Dossier): string {
  if (!dossier.chosen) return '';
  const tasks = listTasks(dossier, [], { temperature_c: 21, humidity_pct: 50 });
  return WORK_SCREEN_WORDS.ofDone(tasks.filter(({ state }) => state !== 'open').length, tasks.length);
}

function Work({ dossier, change }: PieceParts) {
  if (!dossier.chosen) {
    return (
      <Notice
        tone="act"
        title={WORK_SCREEN_WORDS.noSystemTakenYet}
        action={
          <Button onPress={() => router.replace(`/piece/${dossier.piece.id ?? ''}/choose`)}>
            {WORK_SCREEN_WORDS.chooseASystem}
          </Button>
        }
      >
        {WORK_SCREEN_WORDS.theWorkFollowsFromTheSystem}
      </Notice>
    );
  }
  return <Bench dossier={dossier} change={change} />;
}

function Bench({ dossier, change }: PieceParts) {
  const view = useWork(dossier);
  const wide = useIsWide();
  const asked = useRouteParam('task');
  const { piece } = view;
  const picked = piece.tasks.find(({ id }) => id === asked);
  const current = picked ?? nextTask(piece, view.plan);
  const moved = useRef(false);
  const pick = (task: Task | null): void => {
    moved.current = true;
    router.setParams({ task: task?.id ?? '' });
  };
  const log = (task: Task, told: Told): void => {
    view.log(task, told);
    pick(null);
  };
  // The card comes to the eye after a step is done or picked, and at no other time.
  useEffect(() => {
    if (moved.current) document.getElementById(CARD)?.scrollIntoView({ block: 'start' });
    moved.current = false;
  }, [current?.id]);
  const left = piece.tasks.filter(({ state }) => state === 'open');
  const step = (
    <Column id={CARD} gap="$l" flex={wide ? 1.15 : undefined} minWidth={0}>
      <DepartureNotice dossier={dossier} change={change} />
      {piece.blocks
        .filter(({ goTo }) => goTo !== 'work')
        .map((block) => (
          <Notice
            key={block.gate}
            tone="stop"
            title={nameBlock(block)}
            action={
              <Button onPress={() => router.replace(`/piece/${piece.id}/${block.goTo}`)}>{GO_TO[block.goTo]}</Button>
            }
          >
            {sayBlock(block)}
          </Notice>
        ))}
      {current ? (
        <StepView key={current.id} view={view} task={current} onLog={log} />
      ) : (
        <Notice
          tone={left.length === 0 ? 'go' : 'wait'}
          title={left.length === 0 ? WORK_SCREEN_WORDS.allIsDone : WORK_SCREEN_WORDS.nothingCanBeDoneJustNow}
        >
          {left.length === 0 ? WORK_SCREEN_WORDS.itGoesOnCuringSeeWhen : WORK_SCREEN_WORDS.whatIsLeftIsHeldBack}
        </Notice>
      )}
    </Column>
  );
  const rest = (
    <Column gap="$l" flex={wide ? 1 : undefined} minWidth={0}>
      <JobOverview view={view} current={current} onPick={pick} />
      <LogList view={view} />
      <ExtraStep view={view} />
      <PartsPanel dossier={dossier} change={change} />
      <HardwarePanel dossier={dossier} change={change} />
      <MixesPanel dossier={dossier} change={change} view={view} />
      <SheetPanel view={view} />
      <Small>{WORK_SCREEN_WORDS.labelsSafetySheetsLocalLawAnd}</Small>
    </Column>
  );
  return wide ? (
    <Row gap="$xl" alignItems="flex-start">
      {step}
      {rest}
    </Row>
  ) : (
    <>
      {step}
      {rest}
    </>
  );
}

/** Where the card of the step stands. */
const CARD = 'step';

const GO_TO = {
  read: WORK_SCREEN_WORDS.goToRead,
  choose: WORK_SCREEN_WORDS.chooseAgain,
  prove: WORK_SCREEN_WORDS.goToProve,
  mend: WORK_SCREEN_WORDS.goToMend,
  work: WORK_SCREEN_WORDS.goToWork,
} as const;
