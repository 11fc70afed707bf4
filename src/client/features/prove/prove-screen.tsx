import { View } from '@tamagui/core';
import { router } from 'expo-router';
import { useState } from 'react';
import { PieceScreen, type PieceParts } from '@/client/features/piece-frame';
import { makeId, timeNow } from '@/client/store';
import { Button, Choices, Column, Disclosure, Notice, useIsWide } from '@/client/ui';
import { zoneName, type Panel, type Test } from '@/core/dossier';
import { listReadings, type Moment } from '@/core/panel';
import { judgeGates } from '@/core/piece';
import { limitsOf, type Gate } from '@/core/proof';
import { GateCard } from './gate-card';
import { GateLimits } from './gate-limits';
import { ServiceOutcome } from './outcome';
import { PanelCard } from './panel-card';
import { PanelDesigner } from './panel-designer';
import { StripReader } from './strip-reader';
import { hoursSince, type Patch } from './test-draft';
import { TestForm } from './test-form';
import { TestList } from './test-list';
import { Logged, Wanted } from './wanted';
import { PROVE_SCREEN_WORDS } from '@/words';

/** Prove: scratch a patch before the piece is painted. The gate says whether to go on. */
export function ProveScreen() {
  return (
    <PieceScreen
      stage={PROVE_SCREEN_WORDS.prove}
      note={(dossier) => PROVE_SCREEN_WORDS.tests(dossier.tests?.length ?? 0)}
    >
      {(parts) => <Proving {...parts} />}
    </PieceScreen>
  );
}

const ORDER: readonly Gate['state'][] = ['closed', 'waiting', 'overridden', 'open', 'not_needed'];

/** The gate and the panel stay beside what is logged of them. */
const BESIDE = {
  position: 'sticky',
  top: 0,
  style: { maxHeight: 'calc(100vh - 160px)', overflowY: 'auto' },
} as const;

function Proving({ dossier, change }: PieceParts) {
  const wide = useIsWide();
  const gates = judgeGates(dossier);
  const zones = (dossier.zones ?? []).filter(({ id }) =>
    gates.some((gate) => gate.zone === id && gate.gate === 'prime_to_paint' && gate.state !== 'not_needed'),
  );
  const [picked, setPicked] = useState<string | null>(null);
  const [logged, setLogged] = useState<string | null>(null);
  const [patch, setPatch] = useState<Patch | null>(null);
  const [watching, setWatching] = useState<{ panel: Panel; moment: Moment } | null>(null);
  const worst = [...gates].sort((a, b) => ORDER.indexOf(a.state) - ORDER.indexOf(b.state))[0];
  const [now] = useState(() => timeNow());
  // A strip that is due cannot wait; a gate can.
  const due = listReadings(dossier, now).find(({ state }) => state !== 'later')?.panel.zone;
  // What was shown first stays, whatever a reading opens: another zone is offered, never switched to.
  const [first] = useState(
    () => (zones.find(({ id }) => id === due) ?? zones.find(({ id }) => id === worst?.zone) ?? zones[0])?.id,
  );
  const zone = zones.find(({ id }) => id === (picked ?? first)) ?? zones[0];
  const pick = (id: string): void => {
    setPicked(id);
    setLogged(null);
  };
  const log = (test: Test & { id: string }): void => {
    change({ type: 'test_logged', test });
    setLogged(test.id);
  };
  if (!zone)
    return (
      <Notice tone="wait" title={PROVE_SCREEN_WORDS.nothingToProve}>
        {PROVE_SCREEN_WORDS.noZoneIsToBePainted}
      </Notice>
    );
  const panels = (dossier.panels ?? []).filter((panel) => panel.zone === zone.id);
  const state = (id: string): Gate['state'] | undefined =>
    gates.find((gate) => gate.zone === id && gate.gate === 'prime_to_paint')?.state;
  return (
    <Column gap="$l">
      {dossier.chosen ? null : (
        <Notice
          tone="wait"
          title={PROVE_SCREEN_WORDS.noSystemTakenYet}
          action={
            <Button onPress={() => router.replace(`/piece/${dossier.piece.id ?? ''}/choose`)}>
              {PROVE_SCREEN_WORDS.chooseOne}
            </Button>
          }
        >
          {PROVE_SCREEN_WORDS.youCanLogTestsOfAnything}
        </Notice>
      )}
      <Choices
        label={PROVE_SCREEN_WORDS.zone}
        options={zones.map((entry) => ({
          code: entry.id,
          label: state(entry.id) === 'open' ? `${zoneName(entry)} ✓` : zoneName(entry),
        }))}
        value={zone.id}
        onPick={pick}
      />
      <View
        flexDirection={wide ? 'row' : 'column'}
        gap={wide ? '$xxl' : '$l'}
        alignItems={wide ? 'flex-start' : 'stretch'}
      >
        <Column flex={wide ? 1 : undefined} gap="$m" {...(wide ? BESIDE : {})}>
          {gates
            .filter((gate) => gate.zone === zone.id && gate.state !== 'not_needed')
            .map((gate) => (
              <GateCard
                key={gate.gate}
                gate={gate}
                dossier={dossier}
                onOverride={(reason) =>
                  change({
                    type: 'gate_overridden',
                    override: { id: makeId(), zone: zone.id, gate: gate.gate, reason, at: timeNow() },
                  })
                }
              />
            ))}
          <Wanted dossier={dossier} zone={zone} />
          {panels.map((panel, i) => (
            <PanelCard
              key={panel.id}
              dossier={dossier}
              panel={panel}
              number={panels.length > 1 ? i + 1 : null}
              picked={patch?.panel.id === panel.id ? patch.strip : null}
              onPick={(strip) => setPatch({ panel, strip })}
              onStart={(started) => change({ type: 'panel_set', panel: started })}
              onLog={log}
              onWithdraw={(testId) => change({ type: 'test_withdrawn', testId })}
              onRemove={() => change({ type: 'panel_removed', panelId: panel.id })}
              onPhotograph={(moment) => setWatching({ panel, moment })}
            />
          ))}
          {panels.length > 0 ? (
            <Disclosure label={PROVE_SCREEN_WORDS.anotherPanel}>
              {(close) => (
                <PanelDesigner
                  dossier={dossier}
                  zone={zone}
                  onMake={(panel) => {
                    close();
                    change({ type: 'panel_set', panel });
                  }}
                />
              )}
            </Disclosure>
          ) : (
            <PanelDesigner dossier={dossier} zone={zone} onMake={(panel) => change({ type: 'panel_set', panel })} />
          )}
        </Column>
        <Column flex={wide ? 1 : undefined} gap="$m">
          {watching && watching.panel.zone === zone.id ? (
            <StripReader
              key={`${watching.panel.id}${watching.moment.bleedAt ?? ''}`}
              {...watching}
              strips={watching.panel.strips.map(({ code }) => code)}
              limits={limitsOf(dossier)}
              ageH={hoursSince(watching.panel.coated_at ?? timeNow())}
              onLog={(tests) => {
                tests.forEach((test) => change({ type: 'test_logged', test }));
                setWatching(null);
              }}
            />
          ) : null}
          <TestForm
            key={zone.id}
            dossier={dossier}
            zone={zone}
            patch={patch?.panel.zone === zone.id ? patch : null}
            onPatch={setPatch}
            onLog={log}
          />
          {logged ? (
            <Logged
              dossier={dossier}
              zone={zone}
              testId={logged}
              next={zones.filter(({ id }) => id !== zone.id && state(id) === 'waiting')}
              onNext={pick}
            />
          ) : null}
          <TestList
            dossier={dossier}
            zone={zone}
            onWithdraw={(testId) => change({ type: 'test_withdrawn', testId })}
            onCorrect={(test) => change({ type: 'test_logged', test })}
          />
          <GateLimits dossier={dossier} onSet={(goal) => change({ type: 'goal_set', goal })} />
          <ServiceOutcome dossier={dossier} onRecord={(outcome) => change({ type: 'outcome_recorded', outcome })} />
        </Column>
      </View>
    </Column>
  );
}
