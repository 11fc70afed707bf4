import { View } from '@tamagui/core';
import Svg, { Circle, G, Polyline } from 'react-native-svg';
import { groupLayers, type Section } from '@/core/piece';
import { nameLayer, sayLayer, saySection, SECTION_DRAWING_WORDS } from '@/words';
import { Column } from './layout';
import { measureSection, SectionDrawing, stack } from './section-drawing';
import { spread } from './spread';
import { Small, Strong } from './text';
import { useTones } from './use-tones';

/** From one label to the next: a line of its name and one of its note; a long name takes two. */
const LABEL_PITCH = 52;
const LINE = 22;
const LONG_NAME = 25;

/** The section with a leader line from each layer to plain words, top layer first. */
export function LabelledSection({ section }: { section: Section }) {
  const tones = useTones();
  const groups = groupLayers(section).reverse();
  const lines = groups.some(({ layer }) => nameLayer(layer).length > LONG_NAME) ? 2 : 1;
  const pitch = LABEL_PITCH + (lines - 1) * LINE;
  const height = Math.max(measureSection(section), groups.length * pitch);
  const bands = stack(section.layers, height);
  const middle = (from: number, to: number): number => (bands[to]!.y + bands[from]!.y + bands[from]!.height) / 2;
  const targets = groups.map((group) => Math.min(middle(group.from, group.to), height - 20));
  const labels = spread(targets, pitch, height);
  return (
    <View role="group" aria-label={SECTION_DRAWING_WORDS.section(saySection(section))} flexDirection="row">
      <SectionDrawing section={section} width={104} height={height} />
      <Svg width={34} height={height} aria-hidden>
        {groups.map((group, i) => (
          <G key={i}>
            <Circle cx={3} cy={targets[i]!} r={2.6} fill={tones.ink} />
            <Polyline
              points={`3,${targets[i]!} 14,${labels[i]! + 12} 30,${labels[i]! + 12}`}
              fill="none"
              stroke={tones.ink}
              strokeWidth={1}
            />
          </G>
        ))}
      </Svg>
      <View flex={1} height={height} position="relative">
        {groups.map((group, i) => (
          <Column key={i} position="absolute" left={0} right={0} top={labels[i]!}>
            <Strong numberOfLines={lines}>{nameLayer(group.layer)}</Strong>
            <Small numberOfLines={1}>{sayLayer(group.layer)}</Small>
          </Column>
        ))}
      </View>
    </View>
  );
}
