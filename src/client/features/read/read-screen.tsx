import { View } from '@tamagui/core';
import { router } from 'expo-router';
import { useMemo, useState } from 'react';
import { PieceScreen, useRouteParam, type PieceParts } from '@/client/features/piece-frame';
import { makeId } from '@/client/store';
import {
  Body,
  Button,
  Card,
  Choices,
  Column,
  Heading,
  Notice,
  PieceDrawing,
  Row,
  Small,
  Strong,
  useIsWide,
  useKeys,
} from '@/client/ui';
import type { Dossier, Zone } from '@/core/dossier';
import { CHECKS, findCheck, type Check } from '@/core/knowledge';
import { zoneName } from '@/core/piece';
import { diagnosePiece, type ZoneDiagnosis } from '@/core/survey';
import { buildTemplate } from '@/core/templates';
import { CheckCard } from './check-card';
import { DefectPicker } from './defect-picker';
import { BeliefLine, Verdict } from './verdict';

/** Read: what is this surface? One check at a time, the one worth most now. */
export function ReadScreen() {
  return (
    <PieceScreen stage="Read" note={countSettled} action={(parts) => <ReadAction {...parts} />}>
      {(parts) => <Reading {...parts} />}
    </PieceScreen>
  );
}

const wanted = (dossier: Dossier): Zone[] =>
  (dossier.zones ?? []).filter((zone) => dossier.goal?.zones?.[zone.id]?.look !== 'leave');

function countSettled(dossier: Dossier): string {
  const ids = new Set(wanted(dossier).map(({ id }) => id));
  const settled = diagnosePiece(dossier).filter(({ id, settled: done }) => done && ids.has(id)).length;
  return `${settled} of ${ids.size} settled`;
}

function ReadAction({ dossier }: PieceParts) {
  const ids = new Set(wanted(dossier).map(({ id }) => id));
  const open = diagnosePiece(dossier).filter(({ id, settled }) => !settled && ids.has(id));
  const to = `/piece/${dossier.piece.id ?? ''}/choose` as const;
  return (
    <Button look={open.length === 0 ? 'main' : 'plain'} grow onPress={() => router.replace(to)}>
      {open.length === 0 ? 'Choose a system' : 'Choose with what is known so far'}
    </Button>
  );
}

function Reading({ dossier, change }: PieceParts) {
  const wide = useIsWide();
  const asked = useRouteParam('zone');
  const zones = wanted(dossier);
  const diagnoses = useMemo(() => diagnosePiece(dossier), [dossier]);
  const unsettled = diagnoses.find(({ id, settled }) => !settled && zones.some((zone) => zone.id === id));
  const zone = zones.find(({ id }) => id === asked) ?? zones.find(({ id }) => id === unsettled?.id) ?? zones[0];
  const diagnosis = diagnoses.find(({ id }) => id === zone?.id);
  const pick = (id: string): void => router.setParams({ zone: id });
  const step = (by: number): void => {
    const at = zones.findIndex(({ id }) => id === zone?.id);
    const next = zones[(at + by + zones.length) % zones.length];
    if (next) pick(next.id);
  };
  useKeys({ ArrowRight: () => step(1), ArrowLeft: () => step(-1) });

  if (!zone || !diagnosis) {
    return (
      <Notice tone="wait" title="No zone to read">
        Every zone is left as it is, or the piece has none. Open Meet to change that.
      </Notice>
    );
  }
  const settled = new Set(diagnoses.filter((entry) => entry.settled).map(({ id }) => id));
  return (
    <View flexDirection={wide ? 'row' : 'column'} gap={wide ? '$xxl' : '$l'}>
      <Column width={wide ? 400 : '100%'} gap="$m">
        <Column alignItems="center">
          <PieceDrawing
            shapes={buildTemplate(dossier.piece.kind, dossier.piece.size_mm).shapes}
            width={wide ? 400 : 330}
            height={wide ? 250 : 118}
            current={zone.id}
            settled={settled}
            onPick={(id) => zones.some((other) => other.id === id) && pick(id)}
          />
        </Column>
        <Choices
          label="Zone"
          options={zones.map((entry) => ({
            code: entry.id,
            label: settled.has(entry.id) ? `${zoneName(entry)} ✓` : zoneName(entry),
          }))}
          value={zone.id}
          onPick={pick}
        />
        {wide ? <Verdict zone={zone} diagnosis={diagnosis} change={change} /> : null}
      </Column>
      <Column flex={1} gap="$l">
        <Question
          key={zone.id}
          zone={zone}
          diagnosis={diagnosis}
          change={change}
          onNextZone={() => unsettled && pick(unsettled.id)}
          more={unsettled !== undefined && unsettled.id !== zone.id}
        />
        {wide ? null : <Verdict zone={zone} diagnosis={diagnosis} change={change} />}
        <DefectPicker zone={zone} change={change} />
      </Column>
    </View>
  );
}

interface QuestionProps extends Pick<PieceParts, 'change'> {
  zone: Zone;
  diagnosis: ZoneDiagnosis;
  onNextZone: () => void;
  more: boolean;
}

function Question({ zone, diagnosis, change, onNextZone, more }: QuestionProps) {
  const wide = useIsWide();
  const [other, setOther] = useState<string | null>(null);
  const leadOpen = diagnosis.hazards.some(({ gate }) => gate === 'lead_test');
  const stopped = diagnosis.hazards.some(({ gate }) => gate === 'certified_practice');
  const code = other ?? (leadOpen ? 'lead_test' : diagnosis.nextChecks[0]?.check);
  const check = code ? findCheck(code) : undefined;
  const worth = diagnosis.nextChecks.find((next) => next.check === code);
  const record = (result: string): void => {
    setOther(null);
    const at = new Date().toISOString();
    change({
      type: 'observation_recorded',
      zoneId: zone.id,
      observation: { id: makeId(), check: check!.code, result, at },
    });
  };
  const skip = (): void => {
    setOther(null);
    change({ type: 'skips_set', zoneId: zone.id, checks: [...new Set([...(zone.skipped_checks ?? []), check!.code])] });
  };
  const last = zone.observations?.at(-1);
  const undo =
    last?.id === undefined
      ? undefined
      : () => change({ type: 'observation_withdrawn', zoneId: zone.id, observationId: last.id! });
  return (
    <Column gap="$m">
      {wide ? null : <BeliefLine diagnosis={diagnosis} />}
      {diagnosis.hazards.map((hazard) => (
        <Notice
          key={hazard.code}
          tone={hazard.gate ? 'stop' : 'wait'}
          title={HAZARD_TITLES[hazard.code] ?? 'Take care'}
        >
          {hazard.why}
        </Notice>
      ))}
      {check && !stopped ? (
        <CheckCard
          key={check.code}
          check={check}
          worth={worth}
          canSkip={check.code !== 'lead_test'}
          onAnswer={record}
          onSkip={skip}
        />
      ) : (
        <Settled zone={zone} more={more} onNextZone={onNextZone} stopped={stopped} />
      )}
      <Row gap="$s" flexWrap="wrap">
        {undo ? <UndoButton label={describeLast(zone)} onUndo={undo} /> : null}
        {stopped ? null : <OtherChecks zone={zone} leadOpen={leadOpen} current={code} onPick={setOther} />}
      </Row>
    </Column>
  );
}

const HAZARD_TITLES: Readonly<Record<string, string>> = {
  lead_possible: 'Lead is possible: no sanding yet',
  lead_found: 'Lead found: stop here',
  mould: 'Mould',
  woodworm: 'Woodworm',
  nursery: 'For a child’s room',
};

function describeLast(zone: Zone): string {
  const last = zone.observations?.at(-1);
  const answer = findCheck(last?.check ?? '')?.answers.find(({ code }) => code === last?.result)?.label;
  return answer ? `Take back “${answer}”` : 'Take back the last answer';
}

function UndoButton({ label, onUndo }: { label: string; onUndo: () => void }) {
  useKeys({ u: onUndo });
  return (
    <Button look="quiet" onPress={onUndo}>
      {label}
    </Button>
  );
}

interface SettledProps {
  zone: Zone;
  more: boolean;
  stopped: boolean;
  onNextZone: () => void;
}

function Settled({ zone, more, stopped, onNextZone }: SettledProps) {
  if (stopped) return null;
  return (
    <Card gap="$m">
      <Heading>Nothing left to ask would change the plan</Heading>
      <Body>
        {zone.observations?.length
          ? `The ${zoneName(zone).toLowerCase()} is read.`
          : 'What is known of the piece says enough about this zone.'}
      </Body>
      {more ? (
        <Button look="main" onPress={onNextZone}>
          Next zone
        </Button>
      ) : null}
    </Card>
  );
}

interface OtherChecksProps {
  zone: Zone;
  leadOpen: boolean;
  current: string | undefined;
  onPick: (code: string) => void;
}

/** Any check can be made at any time; those that would raise dust wait for the lead test. */
function OtherChecks({ zone, leadOpen, current, onPick }: OtherChecksProps) {
  const [open, setOpen] = useState(false);
  const done = new Set(zone.observations?.map(({ check }) => check));
  const free = CHECKS.filter(
    (check: Check) => !done.has(check.code) && check.code !== current && !(leadOpen && check.care === 'abrasion'),
  );
  return (
    <Column gap="$s" width={open ? '100%' : undefined}>
      <Button look="quiet" onPress={() => setOpen(!open)}>
        {open ? 'Close the list of checks' : 'Make another check'}
      </Button>
      {open ? (
        <Column gap="$s">
          <Strong>Other checks</Strong>
          {leadOpen ? <Small>Checks that raise dust are not offered before the lead test.</Small> : null}
          <Choices
            label="Other checks"
            options={free.map(({ code, title }) => ({ code, label: title }))}
            onPick={(code) => {
              setOpen(false);
              onPick(code);
            }}
          />
        </Column>
      ) : null}
    </Column>
  );
}
