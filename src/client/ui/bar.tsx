import { View } from '@tamagui/core';
import { Row } from './layout';
import { Body, Strong } from './text';
import { formatChance } from '@/words';

/** One belief: words, a bar that moves as answers come in, and the chance as a natural frequency. */
export function BeliefBar({ label, p }: { label: string; p: number }) {
  return (
    <Row alignItems="center" gap="$s" minHeight={28}>
      <Body flexBasis="56%" flexShrink={0}>
        {label}
      </Body>
      <View flex={1} height={10} backgroundColor="$line" aria-hidden>
        <View
          height={10}
          backgroundColor="$ink"
          width={`${Math.max(1, p * 100)}%`}
          style={{ transition: 'width 300ms ease-out' }}
        />
      </View>
      <Strong minWidth={60} textAlign="right" fontVariant={['tabular-nums']}>
        {formatChance(p)}
      </Strong>
    </Row>
  );
}
