import { View } from '@tamagui/core';
import { useMemo } from 'react';
import { Coloured } from '@/client/features/colour';
import { saySpan } from '@/client/features/shop-plan';
import { useMeasures } from '@/client/store';
import { Body, Column, Figure, PieceDrawing, RepairGlyph, Row, Small, Strong, Title, useIsWide } from '@/client/ui';
import { listTools } from '@/core/application';
import { lowerFirst } from '@/core/shared';
import { labelProduct, type ProductClass } from '@/core/knowledge';
import { assignShapes, templateOf } from '@/core/templates';
import { handsMinutes, sayWhere, type Doing, type Task } from '@/core/work';
import type { WorkView } from './use-work';
import { STEP_HEAD_WORDS, nameTask } from '@/words';

interface StepHeadProps {
  view: WorkView;
  task: Task;
  zones: readonly string[];
  /** Millilitres to pour; none where nothing is. */
  pour: number | null;
  tin: Doing['tin'];
}

/** What, where, how long, how much and with what. */
export function StepHead({ view, task, zones, pour, tin }: StepHeadProps) {
  const { piece, pace } = view;
  const { sayVolume } = useMeasures();
  const { dossier } = piece;
  const tools = listTools(
    task,
    (dossier.zones ?? []).filter(({ id }) => zones.includes(id)),
    dossier.goal?.application,
  );
  return (
    <>
      <Column gap="$xs">
        <Small>
          {task.state === 'open'
            ? STEP_HEAD_WORDS.thisStep
            : task.state === 'done'
              ? STEP_HEAD_WORDS.done
              : STEP_HEAD_WORDS.leftOut}
        </Small>
        <Row gap="$m" alignItems="center">
          {task.repair ? <RepairGlyph code={task.repair} /> : null}
          <Title render="h2" flex={1}>
            {nameTask(task)}
          </Title>
        </Row>
        <Body fontSize={18} lineHeight={24}>
          {sayWhere(piece, { zones: task.openZones.length > 0 ? task.openZones : task.zones })}
        </Body>
      </Column>
      <Where view={view} zones={zones} />
      <Row gap="$xl" flexWrap="wrap">
        <Amount value={saySpan(handsMinutes(task) * pace(task.op).factor)} words={STEP_HEAD_WORDS.ofYourHands} />
        {pour === null ? null : (
          <Amount
            value={sayVolume(pour)}
            words={pour > task.ml ? STEP_HEAD_WORDS.toPourWithWhatStaysIn : STEP_HEAD_WORDS.inAll}
          />
        )}
        {task.waitH > 0 ? <Amount value={saySpan(task.waitH * 60)} words={STEP_HEAD_WORDS.thenByItself} /> : null}
      </Row>
      {task.colour ? <Coloured colour={task.colour} /> : null}
      {tools.length > 0 ? (
        <Body>{STEP_HEAD_WORDS.byHand(lowerFirst(tools.map(({ label }) => label).join('; ')))}</Body>
      ) : null}
      {task.class ? (
        <Strong>{STEP_HEAD_WORDS.withIt(tin?.name ?? labelProduct(task.class as ProductClass), task.grit)}</Strong>
      ) : (task.material ?? task.grit) ? (
        <Strong>{STEP_HEAD_WORDS.withMaterial(task.material, task.grit)}</Strong>
      ) : null}
    </>
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
    () => assignShapes(templateOf(dossier.piece).shapes, dossier.zones ?? []),
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
