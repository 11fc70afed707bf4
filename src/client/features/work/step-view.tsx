import { View } from '@tamagui/core';
import { useMeasures } from '@/client/store';
import { Body, Card, Choices, Column, Disclosure, Notice, Row, Small, StateMark } from '@/client/ui';
import { CAN_ML, countCans, listDrawings } from '@/core/application';
import { findProduct, isWholeCoat, maySpray, labelProduct, type ProductClass } from '@/core/knowledge';
import { isFilm, listFacts, type Task } from '@/core/work';
import { STEP_OTHERWISE_WORDS, STEP_VIEW_WORDS, sayBasisOf, sayFinding, sayWhy } from '@/words';
import { GunCard } from './gun-card';
import { StepAction } from './step-action';
import { StepHead } from './step-head';
import { Otherwise } from './step-otherwise';
import { StepWaits } from './step-waits';
import { TechniqueDrawing } from './technique-drawing';
import { useStep } from './use-step';
import { useWakeLock } from './use-wake-lock';
import type { Told, WorkView } from './use-work';

/** So many an entry of the log holds. */
const MOST_KEPT = 20;

interface StepViewProps {
  view: WorkView;
  task: Task;
  onLog: (task: Task, told: Told) => void;
}

/** One step, in large type: what, where, with what, how much to pour, what matters, what to beware of, a clock, Done. */
export function StepView({ view, task, onLog }: StepViewProps) {
  useWakeLock();
  const { sayVolume } = useMeasures();
  const step = useStep(view, task);
  const { zones, cautions, against, pour, tins, tin, act } = step;
  const { application } = view.piece.dossier.goal ?? {};
  const facts = listFacts(task, zones, application);
  const drawings = listDrawings(task, zones, application);
  const sprays = application === 'spray' && maySpray(task.op, task.class);
  const area = zones.reduce((sum, { area_m2 = 0 }) => sum + area_m2, 0);
  const cans = isWholeCoat(task.op) && task.class && findProduct(task.class)?.sprayCan ? countCans(area, 1) : 0;
  const done = (): void =>
    onLog(task, {
      // What was shown before it is kept with it, what was done all the same too.
      cautions: [...new Set([...cautions.filter(({ holds }) => holds), ...against].map(({ code }) => code))].slice(
        0,
        MOST_KEPT,
      ),
      ...(tin ? { tin } : {}),
    });
  return (
    <Card role="region" aria-label={STEP_VIEW_WORDS.thisStep} gap="$m">
      <StepHead view={view} task={task} zones={zones.map(({ id }) => id)} pour={pour} tin={tin} />
      {tins.length > 1 ? (
        <Choices
          label={STEP_VIEW_WORDS.fromWhichTin}
          options={tins.map(({ id, name, volume_ml }) => ({
            code: id,
            label: `${name ?? labelProduct(task.class as ProductClass)}${volume_ml === undefined ? '' : `, ${sayVolume(volume_ml)}`}`,
          }))}
          value={tin?.id}
          onPick={step.pickTin}
        />
      ) : null}
      {tin?.volume_ml !== undefined && pour !== null && tin.volume_ml < pour ? (
        <StateMark tone="wait">{STEP_VIEW_WORDS.onlyLeftInThisTin(sayVolume(tin.volume_ml))}</StateMark>
      ) : null}
      <StepWaits view={view} step={step} />
      {against.length > 0 ? (
        <Notice tone="stop" title={STEP_VIEW_WORDS.ifItIsDoneNowThis}>
          {[...new Set(against.map(sayFinding))].join(' ')}
        </Notice>
      ) : null}
      <Column gap="$s">
        {facts.map(({ text }) => (
          <Body key={text} fontSize={18} lineHeight={25}>
            {`• ${text}`}
          </Body>
        ))}
        {facts.length > 0 ? (
          <Small>
            {STEP_VIEW_WORDS.theLabelComesFirst([...new Set(facts.map(({ basis }) => sayBasisOf(basis)))].join(', '))}
          </Small>
        ) : null}
      </Column>
      {drawings.length > 0 ? (
        <Row gap="$m" flexWrap="wrap" role="list" aria-label={STEP_VIEW_WORDS.howItIsDone}>
          {drawings.map((code) => (
            <View key={code} role="listitem">
              <TechniqueDrawing code={code} />
            </View>
          ))}
        </Row>
      ) : null}
      {sprays && isFilm(task.class) ? <GunCard key={tin?.id ?? ''} code={task.class} tin={tin} /> : null}
      {cans > 0 ? <Body>{STEP_VIEW_WORDS.aboutOfMlForThisCoat(cans, CAN_ML)}</Body> : null}
      {cautions.map(({ code, title, text, holds }) => (
        <Notice key={code} tone={holds ? 'stop' : 'wait'} title={title}>
          {text}
        </Notice>
      ))}
      <StepAction view={view} step={step} onDone={done} />
      {act === 'done' || act === 'done_early' ? (
        <Disclosure label={STEP_OTHERWISE_WORDS.somethingElseOrEarlier}>
          {() => <Otherwise view={view} step={step} onLog={onLog} />}
        </Disclosure>
      ) : null}
      <Disclosure label={STEP_VIEW_WORDS.whyThisStep}>{() => <Body>{sayWhy(task.why)}</Body>}</Disclosure>
    </Card>
  );
}
