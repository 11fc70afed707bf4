import { View } from '@tamagui/core';
import Svg, { Circle, G, Line, Path, Polygon, Rect, Text } from 'react-native-svg';
import { Small, useTones } from '@/client/ui';
import type { TechniqueCode } from '@/core/knowledge';
import { sayTechnique } from '@/words';

const WIDTH = 150;
const HEIGHT = 100;
/** Two stand side by side on a phone. */
const SHOWN = 126;

/** How something is done, drawn small, with its words under it. */
export function TechniqueDrawing({ code }: { code: TechniqueCode }) {
  const words = sayTechnique(code);
  return (
    <View width={SHOWN + 14} gap="$xs">
      <View role="img" aria-label={words} borderWidth={1} borderColor="$line" backgroundColor="$card" padding={6}>
        <Svg width={SHOWN} height={(SHOWN * HEIGHT) / WIDTH} viewBox={`0 0 ${WIDTH} ${HEIGHT}`}>
          <Strokes code={code} />
        </Svg>
      </View>
      <Small aria-hidden>{words}</Small>
    </View>
  );
}

interface ArrowProps {
  from: readonly [number, number];
  to: readonly [number, number];
  colour: string;
  dashed?: boolean;
}

function Arrow({ from: [x1, y1], to: [x2, y2], colour, dashed }: ArrowProps) {
  const angle = Math.atan2(y2 - y1, x2 - x1);
  const wing = (turn: number): string => `${x2 - 8 * Math.cos(angle + turn)},${y2 - 8 * Math.sin(angle + turn)}`;
  return (
    <G>
      <Line
        x1={x1}
        y1={y1}
        x2={x2}
        y2={y2}
        stroke={colour}
        strokeWidth={2}
        {...(dashed ? { strokeDasharray: '5 3' } : {})}
      />
      <Polygon points={`${x2},${y2} ${wing(0.45)} ${wing(-0.45)}`} fill={colour} />
    </G>
  );
}

function Numbered({ x, y, number }: { x: number; y: number; number: number }) {
  const tones = useTones();
  return (
    <G>
      <Circle cx={x} cy={y} r={9} fill={tones.ink} />
      <Text x={x} y={y + 4} fontSize={11} fontWeight="700" textAnchor="middle" fill={tones.card}>
        {String(number)}
      </Text>
    </G>
  );
}

function Strokes({ code }: { code: TechniqueCode }) {
  const tones = useTones();
  const { ink, act, softInk, actTint, waitTint } = tones;
  const face = <Rect x={8} y={8} width={134} height={84} fill={actTint} stroke={ink} strokeWidth={1.5} />;
  switch (code) {
    case 'cross_roll':
      return (
        <G>
          {face}
          <Arrow from={[16, 30]} to={[134, 30]} colour={softInk} dashed />
          <Arrow from={[20, 84]} to={[88, 16]} colour={softInk} />
          <Arrow from={[130, 84]} to={[62, 16]} colour={softInk} />
          <Arrow from={[75, 14]} to={[75, 88]} colour={act} />
          <Numbered x={26} y={30} number={1} />
          <Numbered x={36} y={70} number={2} />
          <Numbered x={114} y={70} number={3} />
          <Numbered x={75} y={52} number={4} />
        </G>
      );
    case 'strips':
      return (
        <G>
          {face}
          {[0, 1, 2, 3].map((i) => (
            <G key={i}>
              <Rect
                x={8 + i * 33.5}
                y={8}
                width={33.5}
                height={84}
                fill={i < 2 ? waitTint : 'none'}
                stroke={softInk}
                strokeDasharray="3 3"
              />
              <Arrow
                from={[24 + i * 33.5, 84]}
                to={[24 + i * 33.5, 20]}
                colour={i === 1 ? act : softInk}
                dashed={i > 1}
              />
            </G>
          ))}
        </G>
      );
    case 'panel_order':
      return (
        <G>
          <Rect x={40} y={4} width={70} height={92} fill={actTint} stroke={ink} strokeWidth={3} />
          <Rect x={56} y={16} width={38} height={28} fill={waitTint} stroke={ink} />
          <Rect x={56} y={56} width={38} height={28} fill={waitTint} stroke={ink} />
          <Line x1={56} y1={4} x2={56} y2={96} stroke={softInk} strokeDasharray="3 2" />
          <Line x1={94} y1={4} x2={94} y2={96} stroke={softInk} strokeDasharray="3 2" />
          <Numbered x={28} y={50} number={1} />
          <Numbered x={75} y={30} number={2} />
          <Numbered x={75} y={70} number={2} />
          <Numbered x={75} y={50} number={3} />
          <Numbered x={102} y={50} number={4} />
        </G>
      );
    case 'tape_pull':
      return (
        <G>
          <Rect x={8} y={60} width={134} height={32} fill={actTint} stroke={ink} />
          <Rect x={8} y={60} width={60} height={32} fill={waitTint} stroke={ink} />
          <Path d="M92 60 L68 60 L104 24" fill="none" stroke={ink} strokeWidth={4} />
          <Path d="M68 60 L142 60" stroke={ink} strokeWidth={4} strokeDasharray="2 0" />
          <Arrow from={[104, 24]} to={[124, 8]} colour={act} />
          <Path d="M92 60 A24 24 0 0 0 85 43" fill="none" stroke={softInk} />
          <Text x={98} y={50} fontSize={12} fill={ink}>
            45°
          </Text>
        </G>
      );
    case 'points':
      return (
        <G>
          <Rect x={20} y={40} width={110} height={14} fill={actTint} stroke={ink} strokeWidth={1.5} />
          {[30, 60, 90, 120].map((x) => (
            <Polygon key={x} points={`${x},54 ${x - 8},80 ${x + 8},80`} fill={waitTint} stroke={ink} />
          ))}
          <Line x1={8} y1={80} x2={142} y2={80} stroke={ink} />
          <Path d="M50 30 A26 18 0 0 1 100 30" fill="none" stroke={act} strokeWidth={2} />
          <Polygon points="100,32 104,20 92,24" fill={act} />
        </G>
      );
    case 'half_overlap':
      return (
        <G>
          <Rect x={30} y={14} width={90} height={74} fill={actTint} stroke={ink} strokeWidth={1.5} />
          {[24, 42, 60, 78].map((y, i) => (
            <G key={y}>
              <Rect x={10} y={y - 14} width={130} height={28} fill={waitTint} opacity={0.45} />
              <Arrow from={i % 2 === 0 ? [8, y] : [142, y]} to={i % 2 === 0 ? [142, y] : [8, y]} colour={act} />
            </G>
          ))}
        </G>
      );
    case 'load_and_roll':
      return (
        <G>
          {face}
          <Rect x={18} y={22} width={12} height={24} fill={ink} />
          <Rect x={16} y={46} width={16} height={12} fill={waitTint} stroke={ink} />
          <Arrow from={[38, 52]} to={[72, 52]} colour={softInk} dashed />
          <Rect x={84} y={44} width={36} height={14} rx={6} fill={waitTint} stroke={ink} />
          <Path d="M102 44 V30 H112" fill="none" stroke={ink} strokeWidth={2} />
          <Arrow from={[102, 64]} to={[102, 86]} colour={act} />
          <Numbered x={54} y={36} number={1} />
          <Numbered x={130} y={28} number={2} />
        </G>
      );
    case 'wipe_off':
      return (
        <G>
          {face}
          <Path d="M14 26 H136 M14 44 H136 M14 62 H136 M14 80 H136" stroke={softInk} strokeWidth={1} />
          <Arrow from={[16, 35]} to={[88, 35]} colour={softInk} dashed />
          <Rect x={92} y={24} width={34} height={22} rx={8} fill={waitTint} stroke={ink} />
          <Circle cx={75} cy={54} r={9} fill="none" stroke={ink} strokeWidth={1.6} />
          <Path d="M75 48 V54 L80 57" fill="none" stroke={ink} strokeWidth={1.6} />
          <Arrow from={[16, 74]} to={[134, 74]} colour={act} />
          <Numbered x={28} y={24} number={1} />
          <Numbered x={54} y={54} number={2} />
          <Numbered x={28} y={80} number={3} />
        </G>
      );
    case 'rub_even':
      return (
        <G>
          {face}
          {[26, 42, 58, 74].map((y, i) => (
            <G key={y}>
              <Rect x={16} y={y - 13} width={118} height={26} fill={waitTint} opacity={0.4} />
              <Arrow from={i % 2 === 0 ? [18, y] : [132, y]} to={i % 2 === 0 ? [132, y] : [18, y]} colour={act} />
            </G>
          ))}
          <Rect x={66} y={34} width={26} height={16} rx={4} fill={softInk} />
        </G>
      );
    case 'room_edges':
      return (
        <G>
          <Rect x={8} y={8} width={134} height={42} fill={actTint} />
          <Rect x={8} y={50} width={134} height={42} fill={waitTint} />
          <Line x1={8} y1={50} x2={40} y2={50} stroke={ink} strokeWidth={4} />
          <Line x1={112} y1={50} x2={142} y2={50} stroke={ink} strokeWidth={4} />
          <Path d="M40 50 L96 18" stroke={ink} strokeWidth={7} />
          <Circle cx={40} cy={50} r={4} fill={act} />
          <Path d="M112 50 A72 72 0 0 0 99 20" fill="none" stroke={softInk} strokeDasharray="3 3" />
          <Numbered x={104} y={16} number={1} />
          <Numbered x={28} y={64} number={2} />
        </G>
      );
  }
}
