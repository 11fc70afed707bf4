import { router } from 'expo-router';
import { useState } from 'react';
import { Button, Column, Field, Notice, Row, Sheet, Small, Strong, type Tone } from '@/client/ui';
import type { Dossier } from '@/core/dossier';
import type { Gate } from '@/core/proof';
import { Setback } from './setback';
import { sayGate } from '@/words';

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
  handover: {
    open: 'Cured: it may go',
    closed: 'Not to be handed over',
    waiting: 'Not cured yet',
    overridden: 'Handed over before it cured',
    not_needed: 'No gate',
  },
};

/** Where a gate stands and why; closed, it leads back with what that costs and what is next best. */
export function GateCard({
  gate,
  dossier,
  onOverride,
}: {
  gate: Gate;
  dossier: Dossier;
  onOverride: (reason: string) => void;
}) {
  const id = dossier.piece.id ?? '';
  return (
    <Column gap="$s" role="status" aria-label={`Gate: ${gate.state}`}>
      <Notice
        tone={GATE_TONES[gate.state]}
        title={GATE_TITLES[gate.gate][gate.state]}
        action={
          gate.state === 'closed' ? (
            <Row gap="$s" flexWrap="wrap">
              <Button onPress={() => router.replace(`/piece/${id}/choose`)}>Choose again without it</Button>
              <Button
                look="quiet"
                onPress={() => router.push(`/piece/${id}/mend?zone=${encodeURIComponent(gate.zone)}`)}
              >
                Find out why
              </Button>
            </Row>
          ) : undefined
        }
      >
        {sayGate(gate)}
      </Notice>
      {gate.state === 'closed' ? <Setback dossier={dossier} zone={gate.zone} /> : null}
      {(gate.state === 'waiting' && gate.gate !== 'handover') || gate.state === 'closed' ? (
        <Sheet label="Paint without proof…" look="quiet">
          {(close) => <OverrideForm onOverride={onOverride} onCancel={close} />}
        </Sheet>
      ) : null}
    </Column>
  );
}

function OverrideForm({ onOverride, onCancel }: { onOverride: (reason: string) => void; onCancel: () => void }) {
  const [reason, setReason] = useState('');
  const tooLong = reason.length > LONGEST_REASON;
  return (
    <Column gap="$m">
      <Strong>Paint all the same?</Strong>
      <Small>Your reason stays in the record of this piece for good.</Small>
      <Field
        label="Reason"
        value={reason}
        onChange={setReason}
        error={tooLong ? `At most ${LONGEST_REASON} characters.` : undefined}
      />
      <Row gap="$s">
        <Button grow disabled={reason.trim() === '' || tooLong} onPress={() => onOverride(reason.trim())}>
          Pass over the gate
        </Button>
        <Button grow onPress={onCancel}>
          Leave it shut
        </Button>
      </Row>
    </Column>
  );
}

const LONGEST_REASON = 500;
