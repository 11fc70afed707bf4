import { View } from '@tamagui/core';
import { useId } from 'react';
import { Pressable, type GestureResponderEvent } from 'react-native';
import Svg, { Circle, Defs, G, Path, Pattern, Polygon, Rect, Text } from 'react-native-svg';
import type { ReadingState } from '@/core/piece';
import type { Point, Shape } from '@/core/templates';
import { FONT } from './tokens';
import { useTones } from './use-tones';
import { PIECE_DRAWING_WORDS } from '@/words';

/** A place on the drawing, as shares of its width and height from the top left. */
export interface Place {
  x: number;
  y: number;
}

interface PieceDrawingProps {
  shapes: readonly Shape[];
  width: number;
  height: number;
  /** The zone being worked on. */
  current?: string | undefined;
  /** How far each zone is read; hatched the denser, the more settled. */
  states?: ReadonlyMap<string, ReadingState>;
  /** What each zone is to be painted: it is drawn in its colours then. */
  fills?: ReadonlyMap<string, string>;
  /** Shapes that lie over a zone's faces, with their colour. */
  over?: (shape: Shape) => { points: Point[]; colour: string }[];
  /** Parts of the current zone that are picked out, for splitting. */
  pickedParts?: ReadonlySet<string>;
  /** Numbered marks, such as defects. */
  marks?: readonly (Place & { label: string })[];
  onPick?: (zone: string, part: string) => void;
  /** When given, a tap puts a mark instead of picking a zone. */
  onPlace?: (place: Place) => void;
}

interface Bounds {
  left: number;
  top: number;
  wide: number;
  tall: number;
}

export function measureDrawing(shapes: readonly Shape[]): Bounds {
  const points = shapes.flatMap((shape) => shape.points);
  const xs = points.map(([x]) => x);
  const ys = points.map(([, y]) => y);
  const [left, top] = [Math.min(...xs), Math.min(...ys)];
  return { left, top, wide: Math.max(...xs) - left, tall: Math.max(...ys) - top };
}

/** A piece drawn from its template. Tapping a face picks its zone; the same zones stand below as buttons. */
export function PieceDrawing(props: PieceDrawingProps) {
  const { shapes, width, height, current, states, fills, over, pickedParts, marks = [], onPick, onPlace } = props;
  const tones = useTones();
  const id = useId().replace(/[^a-zA-Z0-9]/g, '');
  const { left, top, wide, tall } = measureDrawing(shapes);
  const unit = Math.max(wide / width, tall / height) * 1.03;
  // The viewport in drawing units, the drawing in its middle.
  const [portWidth, portHeight] = [width * unit, height * unit];
  const [portLeft, portTop] = [left - (portWidth - wide) / 2, top - (portHeight - tall) / 2];
  const fill = (shape: Shape): string => {
    if (shape.detail) return 'none';
    const painted = fills?.get(shape.zone);
    if (painted) return painted;
    if (pickedParts?.has(shape.part)) return tones.waitTint;
    if (shape.zone === current && !fills) return tones.actTint;
    const state = states?.get(shape.zone);
    return state && state !== 'open' ? `url(#${id}${state})` : tones.card;
  };
  const isCurrent = (shape: Shape): boolean => shape.zone !== '' && shape.zone === current;
  const place = ({ nativeEvent }: GestureResponderEvent): void => {
    // In the browser a press carries the pointer's place; one by key has none, and has the list of places instead.
    const { offsetX, offsetY } = nativeEvent as unknown as Partial<MouseEvent>;
    if (offsetX === undefined || offsetY === undefined) return;
    const x = (portLeft + offsetX * unit - left) / wide;
    const y = (portTop + offsetY * unit - top) / tall;
    onPlace?.({ x: clamp(x), y: clamp(y) });
  };
  return (
    <View width={width} height={height}>
      <Svg width={width} height={height} viewBox={`${portLeft} ${portTop} ${portWidth} ${portHeight}`} aria-hidden>
        <Defs>
          <ReadingPatterns id={id} unit={unit} />
        </Defs>
        {shapes.map((shape, i) => (
          <G key={i}>
            <Polygon
              points={toPoints(shape.points)}
              fill={fill(shape)}
              stroke={isCurrent(shape) ? tones.act : fills ? EDGE : tones.ink}
              strokeWidth={unit * (isCurrent(shape) ? (fills ? 4 : 2.2) : 1.3)}
              strokeLinejoin="round"
              strokeOpacity={shape.zone === '' ? 0.35 : 1}
              {...(onPick && shape.zone !== '' ? { onPress: () => onPick(shape.zone, shape.part) } : {})}
            />
            {(over && !shape.detail ? over(shape) : []).map(({ points, colour }, k) => (
              <Polygon key={k} points={toPoints(points)} fill={colour} pointerEvents="none" />
            ))}
          </G>
        ))}
        {marks.map((mark, i) => (
          <G key={i}>
            <Circle
              cx={left + mark.x * wide}
              cy={top + mark.y * tall}
              r={9 * unit}
              fill={tones.stop}
              stroke={tones.card}
              strokeWidth={unit * 1.5}
            />
            <Text
              x={left + mark.x * wide}
              y={top + mark.y * tall + 4 * unit}
              fontSize={11 * unit}
              fontFamily={FONT.text}
              fontWeight="700"
              fill={tones.card}
              textAnchor="middle"
            >
              {mark.label}
            </Text>
          </G>
        ))}
      </Svg>
      {onPlace ? (
        <Pressable
          role="button"
          onPress={place}
          aria-label={PIECE_DRAWING_WORDS.tapThePlaceOnTheDrawing}
          style={{ position: 'absolute', left: 0, top: 0, width, height }}
        />
      ) : null}
    </View>
  );
}

const toPoints = (points: readonly Point[]): string => points.map((point) => point.join(',')).join(' ');
/** Between faces that are painted: seen beside the palest and the darkest. */
export const EDGE = '#7C7F80';

const clamp = (share: number): number => Math.round(Math.min(1, Math.max(0, share)) * 1000) / 1000;

/** Part: wide hatch. Settled: close hatch. Conflict: question marks. Stopped: crosses. Each differs without colour. */
function ReadingPatterns({ id, unit }: { id: string; unit: number }) {
  const tones = useTones();
  const tile = (state: ReadingState, size: number, path: string, colour: string, ground: string) => (
    <Pattern
      id={`${id}${state}`}
      width={unit * size}
      height={unit * size}
      patternUnits="userSpaceOnUse"
      viewBox="0 0 10 10"
    >
      <Rect width={10} height={10} fill={ground} />
      <Path d={path} stroke={colour} strokeWidth={10 / size} fill="none" />
    </Pattern>
  );
  return (
    <>
      {tile('part', 14, 'M0 10 L10 0', tones.softInk, tones.card)}
      {tile('settled', 6, 'M0 10 L10 0', tones.go, tones.card)}
      {tile(
        'conflict',
        18,
        'M3.2 3.6 Q3.2 1.6 5 1.6 T6.8 3.6 Q6.8 4.8 5 5.4 V6.6 M5 8 V8.6',
        tones.wait,
        tones.waitTint,
      )}
      {tile('stopped', 12, 'M2 2 L8 8 M8 2 L2 8', tones.stop, tones.stopTint)}
    </>
  );
}

/** A swatch of one state, for the legend beside the drawing. */
export function ReadingSwatch({ state }: { state: ReadingState }) {
  const tones = useTones();
  const id = useId().replace(/[^a-zA-Z0-9]/g, '');
  return (
    <Svg width={22} height={16} aria-hidden>
      <Defs>
        <ReadingPatterns id={id} unit={1} />
      </Defs>
      <Rect
        x={0.5}
        y={0.5}
        width={21}
        height={15}
        fill={state === 'open' ? tones.card : `url(#${id}${state})`}
        stroke={tones.ink}
      />
    </Svg>
  );
}
