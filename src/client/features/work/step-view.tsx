import { View } from '@tamagui/core';
import { router } from 'expo-router';
import { useMemo, useState } from 'react';
import { useDispatch, useSelector } from 'react-redux';
import { MainAction } from '@/client/features/piece-frame';
import { saySpan, sayUntil } from '@/client/features/shop-plan';
import {
  cautionSeen,
  isSeen,
  taskLaidDown,
  taskStarted,
  useMeasures,
  type AppDispatch,
  type RootState,
} from '@/client/store';
import {
  Body,
  Button,
  Card,
  Choices,
  Column,
  Disclosure,
  Field,
  Figure,
  Notice,
  PieceDrawing,
  RepairGlyph,
  Row,
  Small,
  StateMark,
  Strong,
  Title,
  useIsWide,
  useKeys,
} from '@/client/ui';
import { withLevel } from '@/core/dossier';
import { labelProduct, type ProductClass } from '@/core/knowledge';
import { assessZone } from '@/core/survey';
import { assignShapes, buildTemplate } from '@/core/templates';
import {
  findWait,
  listCautions,
  listFacts,
  listUndone,
  measurePour,
  openMinutes,
  READING_KEY,
  sayWhere,
  type Doing,
  type Task,
} from '@/core/work';
import { useWakeLock } from './use-wake-lock';
import type { WorkView } from './use-work';
import { lowerFirst, readNumber } from '@/core/shared';
import { sayWhy } from '@/words';

interface StepViewProps {
  view: WorkView;
  task: Task;
  onLog: (task: Task, doing: Omit<Doing, 'at' | 'climate'>) => void;
}

/** One step, in large type: what, where, with what, how much to pour, what matters, what to beware of, a clock, Done. */
export function StepView({ view, task, onLog }: StepViewProps) {
  useWakeLock();
  const { piece, now, times, tins } = view;
  const { sayVolume } = useMeasures();
  const dispatch = useDispatch<AppDispatch>();
  const bench = useSelector((state: RootState) => state.bench);
  const own = tins
    .filter((tin) => tin.class === task.class)
    .map(withLevel)
    .filter(({ volume_ml }) => volume_ml !== 0);
  const [picked, setTinId] = useState<string | undefined>();
  // The shelf may come in after the step is shown.
  const tinId = picked ?? own.find(({ id }) => id === task.product)?.id ?? own[0]?.id;
  const zones = useMemo(
    () =>
      (piece.dossier.zones ?? []).filter(
        ({ id }) => task.openZones.includes(id) || (task.openZones.length === 0 && task.zones.includes(id)),
      ),
    [piece.dossier, task],
  );
  const cautions = useMemo(() => {
    const oldCoat = zones.some((zone) => assessZone(piece.dossier, zone).hazards.some(({ lead }) => lead));
    const { application } = piece.dossier.goal ?? {};
    const hazards = zones.flatMap((zone) => assessZone(piece.dossier, zone).hazards.map(({ code }) => code));
    return listCautions(task, { ...(application ? { application } : {}), oldCoat, hazards });
  }, [task, zones, piece.dossier]);
  const facts = listFacts(task, zones, piece.dossier.goal?.application);
  const wait = findWait(task, piece.tasks, now);
  const undone = listUndone(task, piece.tasks);
  const waiting = wait !== null && wait.readyAt > now;
  const running = bench.started?.task === task.id ? bench.started.at : null;
  const unseen = cautions.find(({ code, holds }) => holds && !isSeen(bench, code, now));
  const isReading = task.key.includes(`-${READING_KEY}`);
  const held = piece.held.has(task.id);
  const pour = measurePour(task);
  const tin = own.find(({ id }) => id === tinId);
  const done = (): void =>
    onLog(task, { cautions: cautions.filter(({ holds }) => holds).map(({ code }) => code), ...(tin ? { tin } : {}) });
  const main = (): { label: string; press: () => void; done?: true } | null => {
    if (task.state !== 'open' || held) return null;
    if (isReading) return { label: 'Read it in Prove', press: () => router.replace(`/piece/${piece.id}/prove`) };
    if (unseen)
      return {
        label: `Seen: ${lowerFirst(unseen.title)}`,
        press: () => dispatch(cautionSeen({ code: unseen.code, at: now })),
      };
    return { label: waiting || undone.length > 0 ? 'Done all the same' : 'Done', press: done, done: true };
  };
  const action = main();
  useKeys({ d: () => (action?.done ? action.press() : undefined) });
  return (
    <Card role="region" aria-label="This step" gap="$m">
      <Column gap="$xs">
        <Small>{task.state === 'open' ? 'This step' : task.state === 'done' ? 'Done' : 'Left out'}</Small>
        <Row gap="$m" alignItems="center">
          {task.repair ? <RepairGlyph code={task.repair} /> : null}
          <Title render="h2" flex={1}>
            {task.label}
          </Title>
        </Row>
        <Body fontSize={18} lineHeight={24}>
          {sayWhere(piece, { zones: task.openZones.length > 0 ? task.openZones : task.zones })}
        </Body>
      </Column>
      <Where view={view} zones={zones.map(({ id }) => id)} />
      <Row gap="$xl" flexWrap="wrap">
        <Amount value={saySpan(openMinutes(task))} words="of your hands" />
        {pour === null ? null : (
          <Amount value={sayVolume(pour)} words={pour > task.ml ? 'to pour, with what stays in the tray' : 'in all'} />
        )}
        {task.waitH > 0 ? <Amount value={saySpan(task.waitH * 60)} words="then, by itself" /> : null}
      </Row>
      {task.class ? (
        <Strong>{`With: ${tin?.name ?? labelProduct(task.class as ProductClass)}${task.grit ? `, ${task.grit} paper` : ''}`}</Strong>
      ) : (task.material ?? task.grit) ? (
        <Strong>{`With: ${task.material ?? `${task.grit} paper`}`}</Strong>
      ) : null}
      {own.length > 1 ? (
        <Choices
          label="From which tin?"
          options={own.map(({ id, name, volume_ml }) => ({
            code: id,
            label: `${name ?? labelProduct(task.class as ProductClass)}${volume_ml === undefined ? '' : `, ${sayVolume(volume_ml)}`}`,
          }))}
          value={tinId}
          onPick={setTinId}
        />
      ) : null}
      {tin?.volume_ml !== undefined && pour !== null && tin.volume_ml < pour ? (
        <StateMark tone="wait">{`Only ${sayVolume(tin.volume_ml)} left in this tin`}</StateMark>
      ) : null}
      {waiting ? (
        <Notice tone="wait" title={`Not before ${times.moment(wait.readyAt, now)}: ${sayUntil(wait.readyAt, now)}`}>
          {`${wait.on.label} has to dry first. Dry to the touch is not ready for a coat.`}
        </Notice>
      ) : null}
      {wait?.closesAt && !waiting && wait.closesAt > now ? (
        <Notice tone="wait" title={`Until ${times.clock(wait.closesAt)} only: ${sayUntil(wait.closesAt, now)}`}>
          After that the recoat window is closed for two days.
        </Notice>
      ) : null}
      {undone.length > 0 && task.state === 'open' ? (
        <Notice tone="wait" title={`First: ${undone.map(({ label }) => lowerFirst(label)).join(', ')}`} />
      ) : null}
      <Column gap="$s">
        {facts.map((fact) => (
          <Body key={fact} fontSize={18} lineHeight={25}>
            {`• ${fact}`}
          </Body>
        ))}
      </Column>
      {cautions.map(({ code, title, text, holds }) => (
        <Notice key={code} tone={holds ? 'stop' : 'wait'} title={title}>
          {text}
        </Notice>
      ))}
      {action ? (
        <MainAction>
          <View padding="$m" borderTopWidth={1} borderColor="$line" backgroundColor="$ground">
            <Row gap="$s" width="100%" maxWidth={560} alignSelf="center">
              <Button look={waiting || undone.length > 0 ? 'plain' : 'main'} grow onPress={action.press}>
                {action.label}
              </Button>
              {isReading || unseen ? null : running ? (
                <Button onPress={() => dispatch(taskLaidDown())} label="Stop the clock without logging">
                  {saySpan((Date.parse(now) - Date.parse(running)) / 60_000)}
                </Button>
              ) : (
                <Button onPress={() => dispatch(taskStarted({ task: task.id, at: now }))}>Start the clock</Button>
              )}
            </Row>
          </View>
        </MainAction>
      ) : null}
      <Disclosure label="Why this step, and other ways to log it">
        {() => (
          <Otherwise
            task={task}
            open={task.state === 'open' && !held && !isReading && !unseen}
            onLog={onLog}
            tin={tin}
          />
        )}
      </Disclosure>
    </Card>
  );
}

function Amount({ value, words }: { value: string; words: string }) {
  return (
    <Column maxWidth={170}>
      <Figure>{value}</Figure>
      <Small>{words}</Small>
    </Column>
  );
}

/** The piece with the zones of this step lit. */
function Where({ view, zones }: { view: WorkView; zones: readonly string[] }) {
  const { dossier } = view.piece;
  const wide = useIsWide();
  const shapes = useMemo(
    () => assignShapes(buildTemplate(dossier.piece.kind, dossier.piece.size_mm).shapes, dossier.zones ?? []),
    [dossier.piece, dossier.zones],
  );
  const lit = new Set(shapes.filter(({ zone }) => zones.includes(zone)).map(({ part }) => part));
  if (lit.size === 0) return null;
  return (
    <View alignItems="center">
      <PieceDrawing shapes={shapes} width={wide ? 380 : 300} height={wide ? 150 : 130} pickedParts={lit} />
    </View>
  );
}

function Otherwise({
  task,
  open,
  onLog,
  tin,
}: {
  task: Task;
  open: boolean;
  onLog: StepViewProps['onLog'];
  tin: Doing['tin'];
}) {
  const [minutes, setMinutes] = useState('');
  const [thinned, setThinned] = useState('');
  const [note, setNote] = useState('');
  const wrong = (text: string, most: number): string | undefined =>
    text !== '' && (readNumber(text) === undefined || readNumber(text)! > most)
      ? `A number from 0 to ${most}.`
      : undefined;
  const right = wrong(minutes, 600) === undefined && wrong(thinned, 100) === undefined;
  const doing = {
    ...(tin ? { tin } : {}),
    ...(readNumber(minutes) === undefined ? {} : { minutes: readNumber(minutes)! }),
    ...(readNumber(thinned) === undefined ? {} : { thinnedPct: readNumber(thinned)! }),
    ...(note ? { note } : {}),
  };
  return (
    <Column gap="$m">
      <Body>{sayWhy(task.why)}</Body>
      {open ? (
        <>
          <Field
            label="Took"
            unit="min"
            numeric
            step={5}
            most={600}
            value={minutes}
            onChange={setMinutes}
            error={wrong(minutes, 600)}
          />
          {task.ml > 0 ? (
            <Field
              label="Thinned by"
              unit="% of the paint"
              numeric
              value={thinned}
              onChange={setThinned}
              error={wrong(thinned, 100)}
            />
          ) : null}
          <Field label="Note" value={note} onChange={setNote} />
          <Row gap="$s" flexWrap="wrap">
            <Button disabled={!right} onPress={() => onLog(task, doing)}>
              Done, with this
            </Button>
            <Button disabled={!right} onPress={() => onLog(task, { ...doing, skipped: true })}>
              Left out on purpose
            </Button>
          </Row>
        </>
      ) : null}
    </Column>
  );
}
