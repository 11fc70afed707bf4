import { router } from 'expo-router';
import { PieceScreen, useRouteParam, type PieceParts } from '@/client/features/piece-frame';
import { Button, Column, Notice, Row, Small, useIsWide } from '@/client/ui';
import type { Dossier } from '@/core/dossier';
import { listTasks, nextTask, type Task } from '@/core/work';
import { HardwarePanel } from './hardware-panel';
import { JobOverview } from './job-overview';
import { LogList } from './log-list';
import { MixesPanel } from './mixes-panel';
import { PartsPanel } from './parts-panel';
import { SheetPanel } from './sheet-panel';
import { StepView } from './step-view';
import { useWork, type WorkView } from './use-work';
import { sayBlock, nameBlock } from '@/words';

/** Work: one step at a time, from the first wipe to the last coat. */
export function WorkScreen() {
  return (
    <PieceScreen stage="Work" note={countDone}>
      {(parts) => <Work {...parts} />}
    </PieceScreen>
  );
}

function countDone(dossier: Dossier): string {
  if (!dossier.chosen) return '';
  const tasks = listTasks(dossier, [], { temperature_c: 21, humidity_pct: 50 });
  return `${tasks.filter(({ state }) => state !== 'open').length} of ${tasks.length} done`;
}

function Work({ dossier, change }: PieceParts) {
  if (!dossier.chosen) {
    return (
      <Notice
        tone="act"
        title="No system taken yet"
        action={
          <Button onPress={() => router.replace(`/piece/${dossier.piece.id ?? ''}/choose`)}>Choose a system</Button>
        }
      >
        The work follows from the system you take in Choose.
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
  const pick = (task: Task | null): void => router.setParams({ task: task?.id ?? '' });
  const log = (task: Task, doing: Parameters<WorkView['log']>[1]): void => {
    view.log(task, doing);
    pick(null);
  };
  const left = piece.tasks.filter(({ state }) => state === 'open');
  const step = (
    <Column gap="$l" flex={wide ? 1.15 : undefined} minWidth={0}>
      {piece.blocks.map((block) => (
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
        <Notice tone="go" title={left.length === 0 ? 'All is done' : 'Nothing can be done just now'}>
          {left.length === 0
            ? 'It goes on curing: see when it can be collected below.'
            : 'What is left is held back, as said above.'}
        </Notice>
      )}
    </Column>
  );
  const rest = (
    <Column gap="$l" flex={wide ? 1 : undefined} minWidth={0}>
      <JobOverview view={view} current={current} onPick={pick} />
      <LogList view={view} />
      <PartsPanel dossier={dossier} change={change} />
      <HardwarePanel dossier={dossier} change={change} />
      <MixesPanel dossier={dossier} change={change} view={view} />
      <SheetPanel view={view} />
      <Small>Labels, safety sheets, local law and licensed practice go before anything said here.</Small>
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

const GO_TO = { read: 'Go to Read', choose: 'Choose again', prove: 'Go to Prove' } as const;
