import type { ReactElement } from 'react';
import Svg, { Circle, G, Line, Path, Rect } from 'react-native-svg';
import { useTones } from '@/client/ui';
import { TEST_KIND_FACTS, type TestKind, type TestKindFact } from '@/core/knowledge';

const WIDTH = 56;
const HEIGHT = 40;
/** Squares bare in a drawn lattice of 25, by class: within the area each class stands for. */
const BARE = [
  [],
  [12],
  [2, 12, 13],
  [2, 7, 8, 12, 13, 17],
  [1, 2, 6, 7, 8, 11, 12, 13, 16, 17, 18, 22],
  Array.from({ length: 21 }, (_, i) => i + 2),
];

/** A small picture of each class of a test: what to hold the patch against. */
export function ScoreGlyph({ kind, score }: { kind: TestKind; score: number }) {
  const tones = useTones();
  const { drawing } = TEST_KIND_FACTS[kind];
  return (
    <Svg width={WIDTH} height={HEIGHT} viewBox={`0 0 ${WIDTH} ${HEIGHT}`} aria-hidden>
      <Rect x={0.5} y={0.5} width={WIDTH - 1} height={HEIGHT - 1} fill={tones.card} stroke={tones.line} />
      {drawing ? DRAWINGS[drawing]({ score, tones }) : null}
    </Svg>
  );
}

type Drawing = (props: { score: number; tones: ReturnType<typeof useTones> }) => ReactElement;
const DRAWINGS: Record<NonNullable<TestKindFact['drawing']>, Drawing> = {
  lattice: ({ score, tones }) => <Lattice score={score} ink={tones.ink} bare={tones.stop} />,
  x_cut: ({ score, tones }) => <CrossedCut score={score} ink={tones.ink} bare={tones.stop} />,
  stain: ({ score, tones }) => <Bleed score={score} stain={tones.wait} line={tones.line} />,
  specks: ({ score, tones }) => <Specks score={score} bare={tones.stop} />,
  ring: ({ score, tones }) => <Ring score={score} ink={tones.wait} />,
  strokes: ({ score, tones }) => <Strokes score={score} ink={tones.softInk} bare={tones.stop} />,
};

function Lattice({ score, ink, bare }: { score: number; ink: string; bare: string }) {
  const cell = 7;
  const [left, top] = [(WIDTH - 5 * cell) / 2, (HEIGHT - 5 * cell) / 2];
  return (
    <G>
      {score === 1 ? <Circle cx={left + 2 * cell} cy={top + 3 * cell} r={2} fill={bare} /> : null}
      {(score === 1 ? [] : BARE[score]!).map((at) => (
        <Rect
          key={at}
          x={left + (at % 5) * cell}
          y={top + Math.floor(at / 5) * cell}
          width={cell}
          height={cell}
          fill={bare}
        />
      ))}
      {Array.from({ length: 6 }, (_, k) => (
        <G key={k} stroke={ink} strokeWidth={0.8}>
          <Line x1={left + k * cell} y1={top} x2={left + k * cell} y2={top + 5 * cell} />
          <Line x1={left} y1={top + k * cell} x2={left + 5 * cell} y2={top + k * cell} />
        </G>
      ))}
    </G>
  );
}

function CrossedCut({ score, ink, bare }: { score: number; ink: string; bare: string }) {
  const wide = [0, 1.2, 3, 6, 10, 14][score]!;
  return (
    <G>
      <G stroke={bare} strokeWidth={wide} strokeLinecap="round">
        <Line x1={16} y1={6} x2={40} y2={34} />
        <Line x1={40} y1={6} x2={16} y2={34} />
      </G>
      <G stroke={ink} strokeWidth={1}>
        <Line x1={14} y1={4} x2={42} y2={36} />
        <Line x1={42} y1={4} x2={14} y2={36} />
      </G>
    </G>
  );
}

/** Five strokes: nothing, marks, dents, flakes at the edge, lines, a sheet. */
function Strokes({ score, ink, bare }: { score: number; ink: string; bare: string }) {
  if (score === 5) return <Path d="M6 6 L50 4 L44 34 L20 36 Z" fill={bare} />;
  return (
    <G>
      {[10, 19, 28, 37, 46].map((x, i) => (
        <G key={x}>
          {score > 0 ? (
            <Line
              x1={x}
              y1={6}
              x2={x}
              y2={34}
              stroke={score >= 4 ? bare : ink}
              strokeWidth={score >= 4 ? 5 : score === 2 ? 3 : 1}
              strokeDasharray={score === 1 ? '2 3' : undefined}
            />
          ) : null}
          {score === 3 ? <Circle cx={x} cy={8 + i * 5} r={3} fill={bare} /> : null}
        </G>
      ))}
    </G>
  );
}

function Bleed({ score, stain, line }: { score: number; stain: string; line: string }) {
  return (
    <G>
      <Circle
        cx={18}
        cy={20}
        r={score === 0 ? 0 : 5 + 1.6 * score}
        fill={stain}
        opacity={[0, 0.12, 0.28, 0.5, 0.75, 0.95][score]}
      />
      {score === 5 ? <Rect x={1} y={1} width={34} height={38} fill={stain} opacity={0.7} /> : null}
      <Line x1={36} y1={2} x2={36} y2={38} stroke={line} strokeWidth={1.5} />
    </G>
  );
}

function Specks({ score, bare }: { score: number; bare: string }) {
  if (score === 5) return <Rect x={8} y={5} width={40} height={30} fill={bare} />;
  if (score === 4) return <Path d="M8 8 h40 v6 h-40 z M8 22 h34 v7 h-34 z" fill={bare} />;
  const size = [0, 1, 2.2, 5][score]!;
  return (
    <G>
      {[12, 22, 34, 44].map((x, i) => (
        <Circle key={x} cx={x} cy={i % 2 === 0 ? 14 : 26} r={size} fill={bare} />
      ))}
    </G>
  );
}

function Ring({ score, ink }: { score: number; ink: string }) {
  return score === 0 ? null : (
    <Circle
      cx={28}
      cy={20}
      r={13}
      fill={score > 3 ? ink : 'none'}
      stroke={ink}
      strokeWidth={[0, 0.7, 1.5, 3, 4, 5][score]}
    />
  );
}
