import { useMemo } from 'react';
import { isWholeCoat } from '@/core/knowledge';
import { sayDate, saySpan } from '@/client/features/shop-plan';
import {
  Column,
  Disclosure,
  Figure,
  Heading,
  Row,
  SectionDrawing,
  Small,
  StateMark,
  Strong,
  ToneIcon,
  type Tone,
  Swatch,
} from '@/client/ui';
import { Pressable } from 'react-native';
import { addUpTimes, drawWork, handsMinutes, sayWhere, type Task } from '@/core/work';
import { JOB_OVERVIEW_WORDS, nameTask, sayColour, saySection } from '@/words';
import type { WorkView } from './use-work';
import { nameZone } from '@/core/dossier';

interface JobOverviewProps {
  view: WorkView;
  current: Task | undefined;
  onPick: (task: Task) => void;
}

/** Where the piece stands: its sections filling up, what is left, and the jobs grouped into sittings. */
export function JobOverview({ view, current, onPick }: JobOverviewProps) {
  const { piece, plan, times, pace } = view;
  const open = piece.tasks.filter(({ state }) => state === 'open');
  const done = piece.tasks.filter(({ state }) => state !== 'open');
  const time = addUpTimes(open.map((task) => ({ minutes: handsMinutes(task), pace: pace(task.op) })));
  const own = open.reduce((sum, { op }) => sum + Math.min(1, pace(op).times), 0);
  const ready = plan?.ready.find((one) => one.piece === piece.id);
  const groups = groupBySitting(view, open);
  return (
    <Column gap="$m" role="region" aria-label={JOB_OVERVIEW_WORDS.theJob}>
      <Heading>{JOB_OVERVIEW_WORDS.theJob}</Heading>
      <Sections view={view} />
      <Row gap="$xl" flexWrap="wrap">
        <Column>
          <Figure>{JOB_OVERVIEW_WORDS.ofIt(done.length, piece.tasks.length)}</Figure>
          <Small>{JOB_OVERVIEW_WORDS.jobsDone}</Small>
        </Column>
        {open.length > 0 ? (
          <Column maxWidth={190}>
            <Figure>{saySpan(time.minutes)}</Figure>
            <Small>{JOB_OVERVIEW_WORDS.ofHandsLeftLikelyTo(saySpan(time.low), saySpan(time.high), own)}</Small>
          </Column>
        ) : null}
        {ready ? (
          <Column>
            <Figure>{times.day(ready.at)}</Figure>
            <Small>
              {JOB_OVERVIEW_WORDS.canBeCollected(ready.due === undefined ? undefined : sayDate(ready.due, view.now))}
            </Small>
          </Column>
        ) : null}
      </Row>
      {groups.map(({ title, tasks }) => (
        <Column key={title} gap={2}>
          <Strong>{title}</Strong>
          {tasks.map((task) => (
            <JobRow key={task.id} view={view} task={task} current={task.id === current?.id} onPick={onPick} />
          ))}
        </Column>
      ))}
      {done.length > 0 ? (
        <Disclosure label={JOB_OVERVIEW_WORDS.done(done.length)}>
          {() => (
            <Column gap={2}>
              {done.map((task) => (
                <JobRow key={task.id} view={view} task={task} current={task.id === current?.id} onPick={onPick} />
              ))}
            </Column>
          )}
        </Disclosure>
      ) : null}
    </Column>
  );
}

/** Jobs by the sitting they are planned for; then what has no time yet, and what is held back. */
function groupBySitting(
  { piece, plan, times, now }: WorkView,
  open: readonly Task[],
): { title: string; tasks: Task[] }[] {
  const left = new Map(open.map((task) => [task.id, task]));
  const groups: { title: string; tasks: Task[] }[] = [];
  for (const { startAt, items } of plan?.sittings ?? []) {
    const tasks = items.flatMap(({ task }) => {
      const own = left.get(task);
      left.delete(task);
      return own && !piece.held.has(task) ? [own] : [];
    });
    if (tasks.length > 0) groups.push({ title: times.moment(startAt, now), tasks });
  }
  const rest = open.filter(({ id }) => left.has(id) && !piece.held.has(id));
  const held = open.filter(({ id }) => piece.held.has(id));
  if (rest.length > 0)
    groups.push({ title: plan ? JOB_OVERVIEW_WORDS.noTimeForItYet : JOB_OVERVIEW_WORDS.toDo, tasks: rest });
  if (held.length > 0) groups.push({ title: JOB_OVERVIEW_WORDS.heldBack, tasks: held });
  return groups;
}

const STATE_TONES: Record<Task['state'], Tone> = { open: 'act', done: 'go', skipped: 'wait' };

function JobRow({
  view,
  task,
  current,
  onPick,
}: {
  view: WorkView;
  task: Task;
  current: boolean;
  onPick: (task: Task) => void;
}) {
  const { piece } = view;
  const held = piece.held.has(task.id);
  const where = sayWhere(piece, task);
  const said =
    task.state === 'open'
      ? held
        ? JOB_OVERVIEW_WORDS.heldBackBeside
        : JOB_OVERVIEW_WORDS.toDoBeside
      : task.state === 'done'
        ? JOB_OVERVIEW_WORDS.jobDone
        : JOB_OVERVIEW_WORDS.leftOut;
  return (
    <Pressable
      role="button"
      aria-label={`${nameTask(task)}, ${where}: ${said}`}
      aria-current={current ? 'step' : undefined}
      onPress={() => onPick(task)}
      style={{ minHeight: 48, justifyContent: 'center' }}
    >
      <Row
        alignItems="center"
        gap="$s"
        paddingHorizontal="$s"
        paddingVertical={4}
        borderRadius="$corner"
        backgroundColor={current ? '$actTint' : 'transparent'}
      >
        <ToneIcon tone={held ? 'stop' : STATE_TONES[task.state]} size={16} />
        <Column flex={1} alignItems="flex-start">
          <Strong textAlign="left">{nameTask(task)}</Strong>
          <Small textAlign="left">
            {JOB_OVERVIEW_WORDS.min(
              task.colour ? sayColour(task.colour) : null,
              where,
              Math.round(handsMinutes(task) * view.pace(task.op).factor),
            )}
          </Small>
        </Column>
        {task.colour ? <Swatch colour={task.colour} /> : null}
      </Row>
    </Pressable>
  );
}

const SHOWN = 4;

/** A section for each zone in work, its coats ghosts until they are on. */
function Sections({ view }: { view: WorkView }) {
  const { piece, now } = view;
  const hour = now.slice(0, 15);
  const zones = useMemo(() => {
    const ids = new Set(piece.tasks.filter(({ op }) => isWholeCoat(op)).flatMap((task) => task.zones));
    return (piece.dossier.zones ?? []).filter(({ id }) => ids.has(id)).slice(0, SHOWN);
  }, [piece]);
  const sections = useMemo(
    () => zones.map((zone) => ({ id: zone.id, section: drawWork(piece.dossier, zone, piece.tasks, `${hour}0:00Z`) })),
    [zones, piece, hour],
  );
  if (sections.length === 0) return null;
  return (
    <Column gap="$xs">
      <Row gap="$m" flexWrap="wrap">
        {sections.map(({ id, section }) => (
          <Column key={id} gap={2} width={84}>
            <SectionDrawing section={section} width={84} height={130} says={saySection(section)} />
            <Small numberOfLines={1}>{nameZone(piece.dossier, id)}</Small>
          </Column>
        ))}
      </Row>
      <Row gap="$m" flexWrap="wrap">
        <StateMark tone="act">{JOB_OVERVIEW_WORDS.dottedToCome}</StateMark>
        <StateMark tone="wait">{JOB_OVERVIEW_WORDS.wavesWet}</StateMark>
        <StateMark tone="go">{JOB_OVERVIEW_WORDS.secondLineCured}</StateMark>
      </Row>
    </Column>
  );
}
