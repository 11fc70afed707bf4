import { View } from '@tamagui/core';
import { router } from 'expo-router';
import { useMemo, useState } from 'react';
import { PieceScreen, type PieceParts } from '@/client/features/piece-frame';
import { Explained } from '@/client/features/terms';
import { Button, Choices, Column, Disclosure, Notice, Rule, Small, Strong, useIsWide } from '@/client/ui';
import { listTreated, nameZone, zoneName, type Dossier } from '@/core/dossier';
import { judgeGates } from '@/core/piece';
import { freezeSystem, isTakenSystem, type CoatingSystem, type Plan, type Rejection } from '@/core/systems';
import { useWithShop, diagnosesOf, timeNow } from '@/client/store';
import { SchoolSwitches } from './schools';
import { SystemCard } from './system-card';
import { TakenNotice } from './taken-notice';
import { TurningPoints } from './turning-points';
import { HandList, Wishes } from '@/client/features/wishes';
import { AskPace } from '@/client/features/pace';
import { BrokenSearch, usePlanner } from '@/client/features/planner';
import { WaysChoice } from '@/client/features/ways';
import { useDates } from './use-dates';
import { useSwipe } from './use-swipe';
import { systemName, systemTitle } from './words';
import { lowerFirst } from '@/core/shared';
import { inAir } from '@/core/work';
import {
  CHOOSE_SCREEN_WORDS,
  CHOOSE_WORDS,
  nameRejected,
  PHRASES,
  sayGate,
  sayPlanBlock,
  sayRuledOut,
  sayWhatBringsBack,
} from '@/words';

/** Choose: complete systems side by side, with what speaks for and against each. */
export function ChooseScreen() {
  return <PieceScreen stage={CHOOSE_SCREEN_WORDS.choose}>{(parts) => <Choosing {...parts} />}</PieceScreen>;
}

const SHOWN_WIDE = 3;

function Choosing(parts: PieceParts) {
  const dossier = useWithShop(parts.dossier);
  const request = useMemo(() => ({ kind: 'plan' as const, dossier }), [dossier]);
  const { answer: plan, fresh, failed } = usePlanner(request);
  if (failed) return <BrokenSearch />;
  if (!plan)
    return (
      <Notice tone="wait" live title={CHOOSE_SCREEN_WORDS.searching}>
        {CHOOSE_SCREEN_WORDS.lookingThroughEveryWayThatHolds}
      </Notice>
    );
  return <Chosen {...parts} dossier={dossier} plan={plan} fresh={fresh} />;
}

function Chosen({ dossier, change, plan, fresh }: PieceParts & { plan: Plan; fresh: boolean }) {
  const wide = useIsWide();
  const { dates, climate } = useDates(dossier, plan.systems);
  const inThisAir = useMemo(
    () => plan.systems.map((system) => inAir(system, dossier.shelf ?? [], climate)),
    [plan.systems, dossier.shelf, climate],
  );
  const systems = wide ? inThisAir.slice(0, SHOWN_WIDE) : inThisAir;
  const [picked, setPicked] = useState('s1');
  const zones = listTreated(dossier);
  const [zonePicked, setZone] = useState('');
  const zoneId = zones.some(({ id }) => id === zonePicked) ? zonePicked : (zones[0]?.id ?? '');
  const current = systems.find(({ id }) => id === picked) ?? systems[0];
  const swipe = useSwipe((step) => {
    const at = systems.findIndex(({ id }) => id === current?.id);
    const next = systems[at + step];
    if (next) setPicked(next.id);
  });
  const take = ({ id }: CoatingSystem): void => {
    const planned = plan.systems.find((system) => system.id === id)!;
    change({ type: 'choice_taken', choice: freezeSystem(planned, timeNow(), PHRASES) });
    router.replace(`/piece/${dossier.piece.id ?? ''}/prove`);
  };
  const shown = wide ? systems : current ? [current] : [];
  const setGoal = (goal: NonNullable<Dossier['goal']>): void => change({ type: 'goal_set', goal });
  return (
    <Column gap="$l" aria-busy={!fresh}>
      {groupBlocks(plan.blocked, dossier).map(({ gate, text }) => (
        <Notice key={gate + text} tone="stop" title={BLOCK_TITLES[gate] ?? CHOOSE_SCREEN_WORDS.blocked}>
          {text}
        </Notice>
      ))}
      {systems.length === 0 && plan.blocked.length === 0 ? (
        <Notice tone="wait" title={CHOOSE_SCREEN_WORDS.nothingToPlan}>
          {CHOOSE_SCREEN_WORDS.everyZoneIsLeftAsIt}
        </Notice>
      ) : null}
      <RuledOut dossier={dossier} />
      <WaysChoice dossier={dossier} onPick={setGoal} />
      {systems.length > 0 ? <AskPace /> : null}
      <TakenNotice dossier={dossier} plan={plan} />
      <Assumptions dossier={dossier} />
      {zones.length > 1 && systems.length > 0 ? (
        <Choices
          label={CHOOSE_SCREEN_WORDS.zoneShown}
          options={zones.map((zone) => ({ code: zone.id, label: zoneName(zone) }))}
          value={zoneId}
          onPick={setZone}
        />
      ) : null}
      {!wide && systems.length > 1 ? (
        <Choices
          label={CHOOSE_SCREEN_WORDS.system}
          options={systems.map((system, i) => ({ code: system.id, label: `${i + 1} ${systemName(system)}` }))}
          value={current?.id}
          onPick={setPicked}
        />
      ) : null}
      <View
        flexDirection={wide ? 'row' : 'column'}
        gap={wide ? '$xl' : '$l'}
        alignItems="stretch"
        {...(wide ? {} : swipe)}
      >
        {shown.map((system) => (
          <SystemCard
            key={system.id}
            system={system}
            title={systemTitle(system)}
            zoneId={zoneId}
            dossier={dossier}
            onTake={() => take(system)}
            date={dates[inThisAir.indexOf(system)] ?? null}
            taken={isTakenSystem(dossier, system)}
          />
        ))}
      </View>
      <Small>{CHOOSE_WORDS.whatGoesWrongMeans}</Small>
      <Rule />
      <View
        flexDirection={wide ? 'row' : 'column'}
        gap={wide ? '$xl' : '$l'}
        alignItems={wide ? 'flex-start' : 'stretch'}
      >
        <Column flex={wide ? 1 : undefined} gap="$l">
          {systems.length > 0 ? <TurningPoints dossier={dossier} /> : null}
          <Wishes dossier={dossier} onChange={setGoal} />
        </Column>
        <Column flex={wide ? 1 : undefined} gap="$l">
          <HandList dossier={dossier} hands={plan.hands} onChange={setGoal} />
          <SchoolSwitches dossier={dossier} now={plan.systems[0]} onChange={setGoal} />
          <Rejected rejected={plan.rejected} dossier={dossier} />
        </Column>
      </View>
    </Column>
  );
}

/** The same reason is given once, for all the zones it holds back. */
function groupBlocks(blocked: Plan['blocked'], dossier: Dossier): { gate: string; text: string }[] {
  const groups = new Map<string, { gate: string; names: string[]; why: string }>();
  for (const block of blocked) {
    const { gate, zone } = block;
    const text = sayPlanBlock(block);
    const group = groups.get(gate + text) ?? { gate, names: [], why: text };
    groups.set(gate + text, group);
    if (zone !== undefined) group.names.push(nameZone(dossier, zone));
  }
  return [...groups.values()].map(({ gate, names, why }) => ({
    gate,
    text: names.length > 0 ? `${names.join(', ')}: ${why}` : why,
  }));
}

const BLOCK_TITLES: Readonly<Record<string, string>> = {
  woodworm: CHOOSE_SCREEN_WORDS.woodwormHeldBack,
  mould: CHOOSE_SCREEN_WORDS.mouldHeldBack,
  lead_test: CHOOSE_SCREEN_WORDS.leadTestFirst,
  certified_practice: CHOOSE_SCREEN_WORDS.stopLeadWasFound,
  no_system: CHOOSE_SCREEN_WORDS.noSystemIsLeft,
  climate: CHOOSE_SCREEN_WORDS.noCoatInThisAir,
  outdoors: CHOOSE_SCREEN_WORDS.nothingForOutdoors,
};

/** What failed the shop's own test on this piece and is not proposed again there. */
function RuledOut({ dossier }: { dossier: Dossier }) {
  const closed = judgeGates(dossier).filter(({ state }) => state === 'closed');
  return closed.map((gate) => (
    <Notice key={`${gate.zone}${gate.gate}`} tone="stop" title={CHOOSE_SCREEN_WORDS.ruledOutByYourOwnTest}>
      {`${nameZone(dossier, gate.zone)}: ${sayGate(gate)}`}
    </Notice>
  ));
}

/** A plan made before everything is read says so. */
function Assumptions({ dossier }: { dossier: Dossier }) {
  const treated = new Set(listTreated(dossier).map(({ id }) => id));
  const open = diagnosesOf(dossier).filter(({ id, settled }) => !settled && treated.has(id));
  if (open.length === 0) return null;
  const names = open.map(({ id }) => lowerFirst(nameZone(dossier, id))).join(', ');
  return (
    <Notice
      tone="wait"
      title={CHOOSE_SCREEN_WORDS.notEverythingIsReadYet}
      action={
        <Button onPress={() => router.replace(`/piece/${dossier.piece.id ?? ''}/read`)}>
          {CHOOSE_SCREEN_WORDS.goOnReading}
        </Button>
      }
    >
      {CHOOSE_SCREEN_WORDS.thesePlansServeWhateverTheMay(names)}
    </Notice>
  );
}

function Rejected({ rejected, dossier }: { rejected: readonly Rejection[]; dossier: Dossier }) {
  const groups = new Map<string, Rejection[]>();
  for (const rejection of rejected) {
    const key = `${rejection.code}/${rejection.finding.rule}`;
    groups.set(key, [...(groups.get(key) ?? []), rejection]);
  }
  if (groups.size === 0) return null;
  const name = (id: string): string => nameZone(dossier, id);
  const show = (group: Rejection[]) => (
    <Column key={`${group[0]!.code}${group[0]!.finding.rule}`} gap="$xs">
      <Strong>{nameRejected(group[0]!)}</Strong>
      <Explained>{sayRuledOut(group[0]!.finding)}</Explained>
      <Small color="$ink">{CHOOSE_SCREEN_WORDS.comesBackWith(sayWhatBringsBack(group[0]!.finding))}</Small>
      <Small>{CHOOSE_SCREEN_WORDS.ruleOfCommonPractice(group.map(({ zone }) => name(zone)).join(', '))}</Small>
    </Column>
  );
  const all = [...groups.values()];
  const told = all.filter((group) => group.some(({ folded }) => !folded));
  const others = all.filter((group) => !told.includes(group));
  return (
    <Disclosure label={CHOOSE_SCREEN_WORDS.notTheseRuledOutAndWhy(groups.size)}>
      {() => (
        <Column gap="$m">
          {told.map(show)}
          {others.length > 0 ? (
            <Disclosure label={CHOOSE_SCREEN_WORDS.theOthers(others.length)}>{() => others.map(show)}</Disclosure>
          ) : null}
        </Column>
      )}
    </Disclosure>
  );
}
