import { View } from '@tamagui/core';
import { router } from 'expo-router';
import { useState } from 'react';
import { PieceScreen, type PieceParts } from '@/client/features/piece-frame';
import { makeId } from '@/client/store';
import {
  Body,
  Button,
  Card,
  Choices,
  Column,
  Field,
  Heading,
  Notice,
  Row,
  Small,
  StateMark,
  Strong,
  useIsWide,
  type Tone,
} from '@/client/ui';
import type { Dossier, Test, Zone } from '@/core/dossier';
import { judgeGates, zoneName } from '@/core/piece';
import { describeTreatment, judgeTest, KIND_WORDS, type Gate, type JudgedTest } from '@/core/proof';
import { TestForm } from './test-form';

/** Prove: scratch a patch before the piece is painted. The gate says whether to go on. */
export function ProveScreen() {
  return (
    <PieceScreen stage="Prove" note={(dossier) => `${dossier.tests?.length ?? 0} tests`}>
      {(parts) => <Proving {...parts} />}
    </PieceScreen>
  );
}

const ORDER: readonly Gate['state'][] = ['closed', 'waiting', 'overridden', 'open', 'not_needed'];

function Proving({ dossier, change }: PieceParts) {
  const wide = useIsWide();
  const gates = judgeGates(dossier);
  const zones = (dossier.zones ?? []).filter(({ id }) =>
    gates.some((gate) => gate.zone === id && gate.gate === 'prime_to_paint' && gate.state !== 'not_needed'),
  );
  const [picked, setPicked] = useState('');
  const worst = [...gates].sort((a, b) => ORDER.indexOf(a.state) - ORDER.indexOf(b.state))[0];
  const zone = zones.find(({ id }) => id === picked) ?? zones.find(({ id }) => id === worst?.zone) ?? zones[0];
  if (!zone)
    return (
      <Notice tone="wait" title="Nothing to prove">
        No zone is to be painted. Open Choose or Meet to change that.
      </Notice>
    );
  const state = (id: string): Gate['state'] | undefined =>
    gates.find((gate) => gate.zone === id && gate.gate === 'prime_to_paint')?.state;
  return (
    <Column gap="$l">
      {dossier.chosen ? null : (
        <Notice
          tone="wait"
          title="No system taken yet"
          action={<Button onPress={() => router.replace(`/piece/${dossier.piece.id ?? ''}/choose`)}>Choose one</Button>}
        >
          You can log tests of anything. The gate then opens for what held.
        </Notice>
      )}
      <Choices
        label="Zone"
        options={zones.map((entry) => ({
          code: entry.id,
          label: state(entry.id) === 'open' ? `${zoneName(entry)} ✓` : zoneName(entry),
        }))}
        value={zone.id}
        onPick={setPicked}
      />
      <View flexDirection={wide ? 'row' : 'column'} gap={wide ? '$xxl' : '$l'}>
        <Column flex={wide ? 1 : undefined} gap="$m">
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
                    override: { id: makeId(), zone: zone.id, gate: gate.gate, reason, at: new Date().toISOString() },
                  })
                }
              />
            ))}
          <TestList dossier={dossier} zone={zone} onWithdraw={(testId) => change({ type: 'test_withdrawn', testId })} />
        </Column>
        <Column flex={wide ? 1 : undefined}>
          <TestForm
            key={zone.id}
            dossier={dossier}
            zone={zone}
            onLog={(test) => change({ type: 'test_logged', test })}
          />
        </Column>
      </View>
    </Column>
  );
}

const GATE_TONES: Record<Gate['state'], Tone> = {
  open: 'go',
  closed: 'stop',
  waiting: 'wait',
  overridden: 'wait',
  not_needed: 'go',
};
const GATE_TITLES: Record<Gate['gate'], Record<Gate['state'], string>> = {
  prime_to_paint: {
    open: 'Gate open: prime and paint',
    closed: 'Gate closed: do not paint',
    waiting: 'Gate waiting for a test',
    overridden: 'Gate passed over',
    not_needed: 'No gate',
  },
  bleed: {
    open: 'No bleed: go on',
    closed: 'It bleeds: do not paint',
    waiting: 'Bleed watch wanted',
    overridden: 'Bleed gate passed over',
    not_needed: 'No gate',
  },
};

function GateCard({
  gate,
  dossier,
  onOverride,
}: {
  gate: Gate;
  dossier: Dossier;
  onOverride: (reason: string) => void;
}) {
  const [asking, setAsking] = useState(false);
  const [reason, setReason] = useState('');
  const id = dossier.piece.id ?? '';
  return (
    <Column gap="$s" role="status" aria-label={`Gate: ${gate.state}`}>
      <Notice
        tone={GATE_TONES[gate.state]}
        title={GATE_TITLES[gate.gate][gate.state]}
        action={
          gate.state === 'closed' ? (
            <Button onPress={() => router.replace(`/piece/${id}/choose`)}>Choose again without it</Button>
          ) : undefined
        }
      >
        {gate.why}
      </Notice>
      {gate.state === 'waiting' || gate.state === 'closed' ? (
        asking ? (
          <Card>
            <Strong>Paint all the same?</Strong>
            <Small>Your reason stays in the record of this piece for good.</Small>
            <Row>
              <Field
                label="Reason"
                value={reason}
                onChange={setReason}
                error={reason.length > 500 ? 'At most 500 characters.' : undefined}
              />
            </Row>
            <Row gap="$s">
              <Button
                grow
                disabled={reason.trim() === '' || reason.length > 500}
                onPress={() => onOverride(reason.trim())}
              >
                Pass over the gate
              </Button>
              <Button grow onPress={() => setAsking(false)}>
                Leave it shut
              </Button>
            </Row>
          </Card>
        ) : (
          <Button look="quiet" onPress={() => setAsking(true)}>
            Paint without proof…
          </Button>
        )
      ) : null}
    </Column>
  );
}

const VERDICTS: Record<JudgedTest['verdict'], { tone: Tone; word: string }> = {
  pass: { tone: 'go', word: 'Held' },
  fail: { tone: 'stop', word: 'Failed' },
  early: { tone: 'wait', word: 'Early' },
  incomplete: { tone: 'wait', word: 'Incomplete' },
};

function TestList({ dossier, zone, onWithdraw }: { dossier: Dossier; zone: Zone; onWithdraw: (id: string) => void }) {
  const tests = (dossier.tests ?? []).filter((test) => test.zone === zone.id).reverse();
  if (tests.length === 0) return null;
  return (
    <Column gap="$s">
      <Heading>Tests on the {zoneName(zone).toLowerCase()}</Heading>
      {tests.map((test, i) => (
        <TestRow key={test.id ?? i} test={test} dossier={dossier} onWithdraw={onWithdraw} />
      ))}
    </Column>
  );
}

function TestRow({ test, dossier, onWithdraw }: { test: Test; dossier: Dossier; onWithdraw: (id: string) => void }) {
  const judged = judgeTest(test, dossier);
  const { tone, word } = VERDICTS[judged.verdict];
  return (
    <Card gap="$xs">
      <Row justifyContent="space-between" gap="$s">
        <Strong>{KIND_WORDS[test.kind]}</Strong>
        <StateMark tone={tone}>{word}</StateMark>
      </Row>
      <Small>{describeTreatment(test.treatment)}</Small>
      <Body>{judged.why.replace(/^[^:]+: /, '').replace(/^severity/, 'Severity')}</Body>
      {judged.astm ? <Small>{`ISO class ${judged.isoClass ?? ''}, ASTM ${judged.astm}`}</Small> : null}
      {test.id ? (
        <Button look="quiet" onPress={() => onWithdraw(test.id!)}>
          Take this test back
        </Button>
      ) : null}
    </Card>
  );
}
