import { Column, Row, Small } from '@/client/ui';
import { View } from '@tamagui/core';
import type { Risk } from '@/core/systems';
import { FAILURE_WORDS, listFailures } from './words';
import { RISK_PARTS_WORDS, formatChance } from '@/words';

/** How much of the risk each way of failing makes up: a bar, a chance and words. */
export function RiskParts({ risk }: { risk: Risk }) {
  const parts = listFailures(risk);
  if (parts.length === 0) return null;
  const most = parts[0]!.p;
  return (
    <Column role="list" aria-label={RISK_PARTS_WORDS.whatMayGoWrong} gap="$xs">
      {parts.map(({ mode, p }) => (
        <Row key={mode} role="listitem" gap="$s" alignItems="center">
          <Small width={132}>{FAILURE_WORDS[mode]}</Small>
          <View flex={1} height={8} backgroundColor="$line" borderRadius={2} aria-hidden>
            <View width={`${Math.max(4, (100 * p) / most)}%`} height={8} backgroundColor="$softInk" borderRadius={2} />
          </View>
          <Small width={76} textAlign="right">
            {formatChance(p)}
          </Small>
        </Row>
      ))}
    </Column>
  );
}
