import { View } from '@tamagui/core';
import { useMemo } from 'react';
import { makeTimes } from '@/client/features/shop-plan';
import { PutRight, useWork, type WorkView } from '@/client/features/work';
import { useMeasures, zoneOfShop, useWorkshop } from '@/client/store';
import { Body, Column, Disclosure, Heading, LabelledSection, Notice, Row, Small, StateMark, Strong } from '@/client/ui';
import type { Dossier } from '@/core/dossier';
import { labelProduct, OPERATION_FACTS, type ProductClass } from '@/core/knowledge';
import { lowerFirst } from '@/core/shared';
import { drawStory, tellWork, type CausesBelief, type StoryRow } from '@/core/trouble';
import { WHAT_HAPPENED_WORDS, sayFinding } from '@/words';

/** What the log says happened to this face: its layers, and how each was put on against what was asked. */
export function WhatHappened({ belief, dossier, now }: { belief: CausesBelief; dossier: Dossier; now: string }) {
  const { workshop } = useWorkshop();
  const times = useMemo(() => makeTimes(zoneOfShop(workshop)), [workshop]);
  const section = useMemo(() => drawStory(belief, now), [belief, now]);
  const rows = useMemo(() => tellWork(belief), [belief]);
  const view = useWork(dossier);
  const silent = belief.findings.filter(({ entry }) => entry === undefined);
  return (
    <Column gap="$l" render="section" aria-label={WHAT_HAPPENED_WORDS.whatHappened}>
      <Heading>{WHAT_HAPPENED_WORDS.whatHappened}</Heading>
      <LabelledSection section={section} />
      {rows.length === 0 ? (
        <Notice tone="wait" title={WHAT_HAPPENED_WORDS.nothingIsWrittenDownOfThis}>
          {WHAT_HAPPENED_WORDS.whatWasNotLoggedConvictsNobody}
        </Notice>
      ) : (
        <Column role="list" aria-label={WHAT_HAPPENED_WORDS.theLogOfThisFace}>
          {rows.map((row) => (
            <Entry key={row.index} row={row} when={row.entry.at ? times.moment(row.entry.at, now) : ''} view={view} />
          ))}
        </Column>
      )}
      {silent.length > 0 ? (
        <Disclosure label={WHAT_HAPPENED_WORDS.notWrittenDown(silent.length)}>
          {() => (
            <Column gap="$s">
              {silent.map((finding, i) => (
                <Small key={i}>{sayFinding(finding)}</Small>
              ))}
            </Column>
          )}
        </Disclosure>
      ) : null}
    </Column>
  );
}

function Entry({ row, when, view }: { row: StoryRow; when: string; view: WorkView }) {
  const { gauge } = useMeasures();
  const { entry, air, wait, findings, suspect } = row;
  const what = `${OPERATION_FACTS[entry.op].label}${entry.class ? `, ${lowerFirst(labelProduct(entry.class as ProductClass))}` : ''}`;
  const facts = [
    when,
    entry.skipped ? WHAT_HAPPENED_WORDS.leftOutOnPurpose : '',
    air
      ? `${gauge('temperature_c').say(air.temperature_c)}, ${air.humidity_pct} %`
      : OPERATION_FACTS[entry.op].coat
        ? WHAT_HAPPENED_WORDS.airNotKnown
        : '',
    entry.thinned_pct ? WHAT_HAPPENED_WORDS.thinned(entry.thinned_pct) : '',
  ].filter(Boolean);
  return (
    <Column role="listitem" gap="$xs" paddingVertical="$s" borderBottomWidth={1} borderColor="$line">
      {wait ? <WaitBar {...wait} /> : null}
      <Row gap="$s" alignItems="center" justifyContent="space-between">
        <Strong flex={1}>{what}</Strong>
        {suspect ? <StateMark tone="stop">{WHAT_HAPPENED_WORDS.suspect}</StateMark> : null}
      </Row>
      <Small>{facts.join(' · ')}</Small>
      {findings.map((finding) => (
        <Body key={finding.code} color={finding.severity === 'major' ? '$stop' : '$ink'}>
          {sayFinding(finding)}
        </Body>
      ))}
      {findings.length > 0 && entry.work ? <PutRight view={view} work={entry.work} /> : null}
    </Column>
  );
}

const sayHours = (hours: number): string =>
  hours < 72 ? WHAT_HAPPENED_WORDS.h(Math.round(hours * 10) / 10) : WHAT_HAPPENED_WORDS.days(Math.round(hours / 24));

/** How long the coat before stood, drawn against how long it was to stand. */
function WaitBar({ wasH, askedH }: { wasH: number; askedH: number }) {
  const most = Math.max(askedH * 1.6, 1);
  const kept = wasH >= askedH;
  const width = (hours: number): `${number}%` => `${Math.min(100, (hours / most) * 100)}%`;
  return (
    <Column gap={2} role="img" aria-label={WHAT_HAPPENED_WORDS.waitedWereAskedFor(sayHours(wasH), sayHours(askedH))}>
      <View height={14} backgroundColor="$line" position="relative" aria-hidden>
        <View height={14} width={width(wasH)} backgroundColor={kept ? '$go' : '$stop'} />
        <View position="absolute" top={-3} bottom={-3} left={width(askedH)} width={2} backgroundColor="$ink" />
      </View>
      <Small color={kept ? '$softInk' : '$stop'}>
        {WHAT_HAPPENED_WORDS.stoodAsked(sayHours(wasH), sayHours(askedH), kept)}
      </Small>
    </Column>
  );
}
