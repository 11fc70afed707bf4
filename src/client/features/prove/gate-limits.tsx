import { useState } from 'react';
import { Button, Choices, Column, Disclosure, Field, Row, Small } from '@/client/ui';
import type { Dossier, Goal } from '@/core/dossier';
import { DEFAULT_LIMITS, limitsOf } from '@/core/proof';

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
    <Disclosure label={own ? 'What the gates ask for: your own limits' : 'What the gates ask for'}>
      {() => (
        <Column gap="$m">
          <Choices
            label="Most that passes a scratch"
            options={[0, 1, 2].map((score) => ({
              code: String(score),
              label: ['Nothing at all', 'A mark only', 'A dent, no loss'][score]!,
            }))}
            value={String(limits.scratch_most)}
            onPick={(code) => set({ ...dossier.goal?.gates, scratch_most: Number(code) })}
          />
          <Choices
            label="Bleed is judged after"
            options={[
              { code: '48h', label: '48 hours' },
              { code: '7d', label: 'A week' },
            ]}
            value={limits.bleed_at}
            onPick={(code) => set({ ...dossier.goal?.gates, bleed_at: code as '48h' | '7d' })}
          />
          <Row gap="$m">
            <Field label="Bleed under, mean" unit="ΔE00" numeric value={mean} onChange={setMean} />
            <Field label="worst spot" unit="ΔE00" numeric value={worst} onChange={setWorst} />
          </Row>
          {wrong ? (
            <Small role="alert" color="$stop">
              Between 0.1 and 20.
            </Small>
          ) : null}
          <Row gap="$s" flexWrap="wrap">
            <Button
              disabled={wrong}
              onPress={() => set({ ...dossier.goal?.gates, bleed_mean: numbers[0], bleed_worst: numbers[1] })}
            >
              Keep these colour limits
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
                Back to the usual limits
              </Button>
            ) : null}
          </Row>
        </Column>
      )}
    </Disclosure>
  );
}
