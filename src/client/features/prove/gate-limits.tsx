import { useState } from 'react';
import { Button, Choices, Column, Disclosure, Field, Row, Small } from '@/client/ui';
import type { Dossier, Goal } from '@/core/dossier';
import { DEFAULT_LIMITS, limitsOf } from '@/core/proof';
import { GATE_LIMITS_WORDS } from '@/words';

/** What the gates ask for on this piece. The usual limits are a tap away. */
export function GateLimits({ dossier, onSet }: { dossier: Dossier; onSet: (goal: Goal) => void }) {
  const limits = limitsOf(dossier);
  const [mean, setMean] = useState(String(limits.bleed_mean));
  const [worst, setWorst] = useState(String(limits.bleed_worst));
  const set = (gates: Goal['gates']): void => onSet({ ...dossier.goal, gates });
  const own = dossier.goal?.gates !== undefined;
  const numbers = [mean, worst].map((text) => Number(text.replace(',', '.')));
  const wrong = numbers.some((value) => !(value >= 0.1 && value <= 20));
  return (
    <Disclosure label={own ? GATE_LIMITS_WORDS.whatTheGatesAskForYour : GATE_LIMITS_WORDS.whatTheGatesAskFor}>
      {() => (
        <Column gap="$m">
          <Choices
            label={GATE_LIMITS_WORDS.mostThatPassesAScratch}
            options={[0, 1, 2].map((score) => ({
              code: String(score),
              label: [GATE_LIMITS_WORDS.nothingAtAll, GATE_LIMITS_WORDS.aMarkOnly, GATE_LIMITS_WORDS.aDentNoLoss][
                score
              ]!,
            }))}
            value={String(limits.scratch_most)}
            onPick={(code) => set({ ...dossier.goal?.gates, scratch_most: Number(code) })}
          />
          <Choices
            label={GATE_LIMITS_WORDS.bleedIsJudgedAfter}
            options={[
              { code: '48h', label: GATE_LIMITS_WORDS.twoDays },
              { code: '7d', label: GATE_LIMITS_WORDS.aWeek },
            ]}
            value={limits.bleed_at}
            onPick={(code) => set({ ...dossier.goal?.gates, bleed_at: code as '48h' | '7d' })}
          />
          <Row gap="$m">
            <Field
              label={GATE_LIMITS_WORDS.bleedUnderMean}
              unit={GATE_LIMITS_WORDS.e00}
              numeric
              value={mean}
              onChange={setMean}
            />
            <Field
              label={GATE_LIMITS_WORDS.worstSpot}
              unit={GATE_LIMITS_WORDS.e00}
              numeric
              value={worst}
              onChange={setWorst}
            />
          </Row>
          {wrong ? (
            <Small role="alert" color="$stop">
              {GATE_LIMITS_WORDS.between01And20}
            </Small>
          ) : null}
          <Row gap="$s" flexWrap="wrap">
            <Button
              disabled={wrong}
              onPress={() => set({ ...dossier.goal?.gates, bleed_mean: numbers[0], bleed_worst: numbers[1] })}
            >
              {GATE_LIMITS_WORDS.keepTheseColourLimits}
            </Button>
            {own ? (
              <Button
                look="quiet"
                onPress={() => {
                  set(undefined);
                  setMean(String(DEFAULT_LIMITS.bleed_mean));
                  setWorst(String(DEFAULT_LIMITS.bleed_worst));
                }}
              >
                {GATE_LIMITS_WORDS.backToTheUsualLimits}
              </Button>
            ) : null}
          </Row>
        </Column>
      )}
    </Disclosure>
  );
}
