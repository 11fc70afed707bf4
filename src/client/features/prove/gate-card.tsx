import { router } from 'expo-router';
import { useState } from 'react';
import { Button, Column, Field, Notice, Row, Sheet, Small, Strong, type Tone } from '@/client/ui';
import type { Dossier } from '@/core/dossier';
import type { Gate } from '@/core/proof';
import { Setback } from './setback';
import { GATE_CARD_WORDS, sayGate } from '@/words';

const GATE_TONES: Record<Gate['state'], Tone> = {
  open: 'go',
  closed: 'stop',
  waiting: 'wait',
  overridden: 'wait',
  not_needed: 'go',
};
const GATE_TITLES: Record<Gate['gate'], Record<Gate['state'], string>> = {
  prime_to_paint: {
    open: GATE_CARD_WORDS.gateOpenPrimeAndPaint,
    closed: GATE_CARD_WORDS.gateClosedDoNotPaint,
    waiting: GATE_CARD_WORDS.gateWaitingForATest,
    overridden: GATE_CARD_WORDS.gatePassedOver,
    not_needed: GATE_CARD_WORDS.noGate,
  },
  bleed: {
    open: GATE_CARD_WORDS.noBleedGoOn,
    closed: GATE_CARD_WORDS.itBleedsDoNotPaint,
    waiting: GATE_CARD_WORDS.bleedWatchWanted,
    overridden: GATE_CARD_WORDS.bleedGatePassedOver,
    not_needed: GATE_CARD_WORDS.noGate,
  },
  handover: {
    open: GATE_CARD_WORDS.curedItMayGo,
    closed: GATE_CARD_WORDS.notToBeHandedOver,
    waiting: GATE_CARD_WORDS.notCuredYet,
    overridden: GATE_CARD_WORDS.handedOverBeforeItCured,
    not_needed: GATE_CARD_WORDS.noGate,
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
    <Column gap="$s" role="status" aria-label={GATE_CARD_WORDS.gate(gate.state)}>
      <Notice
        tone={GATE_TONES[gate.state]}
        title={GATE_TITLES[gate.gate][gate.state]}
        action={
          gate.state === 'closed' ? (
            <Row gap="$s" flexWrap="wrap">
              <Button onPress={() => router.replace(`/piece/${id}/choose`)}>
                {GATE_CARD_WORDS.chooseAgainWithoutIt}
              </Button>
              <Button
                look="quiet"
                onPress={() => router.push(`/piece/${id}/mend?zone=${encodeURIComponent(gate.zone)}`)}
              >
                {GATE_CARD_WORDS.findOutWhy}
              </Button>
            </Row>
          ) : undefined
        }
      >
        {sayGate(gate)}
      </Notice>
      {gate.state === 'closed' ? <Setback dossier={dossier} zone={gate.zone} /> : null}
      {(gate.state === 'waiting' && gate.gate !== 'handover') || gate.state === 'closed' ? (
        <Sheet label={GATE_CARD_WORDS.paintWithoutProof} look="quiet">
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
      <Strong>{GATE_CARD_WORDS.paintAllTheSame}</Strong>
      <Small>{GATE_CARD_WORDS.yourReasonStaysInTheRecord}</Small>
      <Field
        label={GATE_CARD_WORDS.reason}
        value={reason}
        onChange={setReason}
        error={tooLong ? GATE_CARD_WORDS.atMostCharacters(LONGEST_REASON) : undefined}
      />
      <Row gap="$s">
        <Button grow disabled={reason.trim() === '' || tooLong} onPress={() => onOverride(reason.trim())}>
          {GATE_CARD_WORDS.passOverTheGate}
        </Button>
        <Button grow onPress={onCancel}>
          {GATE_CARD_WORDS.leaveItShut}
        </Button>
      </Row>
    </Column>
  );
}

const LONGEST_REASON = 500;
