import Svg, { G, Path, Rect, Text } from 'react-native-svg';
import { View } from '@tamagui/core';
import { useTones } from '@/client/ui';
import type { Panel } from '@/core/dossier';
import type { JudgedTest } from '@/core/proof';
import { STRIP_MAP_WORDS, describeTreatment } from '@/words';

export type StripState = JudgedTest['verdict'] | 'unread';

interface StripMapProps {
  panel: Panel;
  /** Where each strip stands, by its code. */
  states: ReadonlyMap<string, StripState>;
  picked: string | null;
  onPick: (code: string) => void;
}

const EDGE = 12;
const SIGNS: Record<StripState, string> = { pass: '✓', fail: '✕', early: '…', incomplete: '?', unread: '' };
const WORDS: Record<StripState, string> = {
  pass: STRIP_MAP_WORDS.held,
  fail: STRIP_MAP_WORDS.failed,
  early: STRIP_MAP_WORDS.readEarly,
  incomplete: STRIP_MAP_WORDS.incomplete,
  unread: STRIP_MAP_WORDS.notRead,
};

/** The map of a panel, as it lies: codes stand on the tape above the strips, the black corner is the one to mark. */
export function StripMap({ panel, states, picked, onPick }: StripMapProps) {
  const tones = useTones();
  const [width, height] = [panel.width_mm + 2 * EDGE, panel.height_mm + 2 * EDGE];
  const share = (mm: number, of: number): `${number}%` => `${(100 * mm) / of}%`;
  return (
    <View
      position="relative"
      width="100%"
      maxWidth={420}
      aspectRatio={width / height}
      role="group"
      aria-label={STRIP_MAP_WORDS.stripMap}
    >
      <Svg width="100%" height="100%" viewBox={`0 0 ${width} ${height}`} aria-hidden>
        <Rect
          x={EDGE}
          y={EDGE}
          width={panel.width_mm}
          height={panel.height_mm}
          fill={tones.ground}
          stroke={tones.ink}
          strokeWidth={1}
        />
        <Path d={`M${EDGE} ${EDGE} h12 l-12 12 z`} fill={tones.ink} />
        {panel.strips.map(({ code, x_mm, y_mm, width_mm, height_mm, control }) => {
          const state = states.get(code) ?? 'unread';
          const tone =
            state === 'pass'
              ? tones.go
              : state === 'fail'
                ? tones.stop
                : state === 'unread'
                  ? tones.softInk
                  : tones.wait;
          return (
            <G key={code} x={EDGE + x_mm} y={EDGE + y_mm}>
              <Rect
                width={width_mm}
                height={height_mm}
                fill={tones.card}
                stroke={code === picked ? tones.act : tone}
                strokeWidth={code === picked ? 3 : 1.5}
                strokeDasharray={control ? '5 3' : undefined}
              />
              <Text
                x={width_mm / 2}
                y={height_mm / 2}
                fontSize={14}
                fontWeight="700"
                textAnchor="middle"
                fill={tones.ink}
              >
                {code}
              </Text>
              <Text x={width_mm / 2} y={height_mm / 2 + 18} fontSize={14} textAnchor="middle" fill={tone}>
                {SIGNS[state]}
              </Text>
            </G>
          );
        })}
      </Svg>
      {panel.strips.map(({ code, x_mm, y_mm, width_mm, height_mm, control, treatment }) => (
        <View
          key={code}
          render="button"
          position="absolute"
          left={share(EDGE + x_mm, width)}
          top={share(EDGE + y_mm, height)}
          width={share(width_mm, width)}
          height={share(height_mm, height)}
          padding={0}
          borderWidth={0}
          backgroundColor="transparent"
          cursor="pointer"
          aria-pressed={code === picked}
          aria-label={STRIP_MAP_WORDS.strip(
            code,
            describeTreatment(treatment),
            control,
            WORDS[states.get(code) ?? 'unread'],
          )}
          onPress={() => onPick(code)}
          {...{ type: 'button' }}
        />
      ))}
    </View>
  );
}
