import { View } from '@tamagui/core';
import Svg, { G, Line, Rect } from 'react-native-svg';
import { Column, Row, Small, Strong, useTones } from '@/client/ui';
import type { CutSpec } from '@/core/proof';
import { CUT_DRAWING_WORDS } from '@/words';

const SIDE = 72;

/** How to cut for this film, with a small drawing and the caution that belongs to a blade. */
export function CutDrawing({ cut }: { cut: CutSpec }) {
  const tones = useTones();
  const cross = cut.squares === 0;
  const marks = Array.from({ length: cut.cuts }, (_, k) => 10 + (k * (SIDE - 20)) / (cut.cuts - 1));
  return (
    <Row gap="$m" alignItems="center">
      <View width={SIDE} height={SIDE}>
        <Svg width={SIDE} height={SIDE} aria-hidden>
          <Rect x={0.5} y={0.5} width={SIDE - 1} height={SIDE - 1} fill={tones.card} stroke={tones.line} />
          <G stroke={tones.ink} strokeWidth={1.2}>
            {cross ? (
              <>
                <Line x1={14} y1={12} x2={58} y2={60} />
                <Line x1={58} y1={12} x2={14} y2={60} />
              </>
            ) : (
              marks.map((at) => (
                <G key={at}>
                  <Line x1={at} y1={4} x2={at} y2={SIDE - 4} />
                  <Line x1={4} y1={at} x2={SIDE - 4} y2={at} />
                </G>
              ))
            )}
          </G>
        </Svg>
      </View>
      <Column flex={1} gap={2}>
        <Strong>
          {cross ? CUT_DRAWING_WORDS.thickFilmCutAnX : CUT_DRAWING_WORDS.cutsEachWayMmApart(cut.cuts, cut.spacing_mm)}
        </Strong>
        <Small>{CUT_DRAWING_WORDS.throughToTheSurfaceAlongAnd(cut.standard)}</Small>
        <Small color="$stop">{CUT_DRAWING_WORDS.freshBladeCutAwayFromYour}</Small>
      </Column>
    </Row>
  );
}
