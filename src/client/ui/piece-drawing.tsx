import Svg, { Defs, Path, Pattern, Polygon } from 'react-native-svg';
import { useId } from 'react';
import type { Shape } from '@/core/templates';
import { useTones } from './use-tones';

interface PieceDrawingProps {
  shapes: readonly Shape[];
  width: number;
  height: number;
  /** The zone being worked on. */
  current?: string | undefined;
  /** Zones that nothing left to ask would change: hatched. */
  settled?: ReadonlySet<string>;
  onPick?: (zone: string) => void;
}

/** A piece drawn from its template. Tapping a face picks its zone; the same zones stand below as buttons. */
export function PieceDrawing({ shapes, width, height, current, settled, onPick }: PieceDrawingProps) {
  const tones = useTones();
  const hatch = useId().replace(/[^a-zA-Z0-9]/g, '');
  const points = shapes.flatMap((shape) => shape.points);
  const xs = points.map(([x]) => x);
  const ys = points.map(([, y]) => y);
  const [left, top] = [Math.min(...xs), Math.min(...ys)];
  const [wide, tall] = [Math.max(...xs) - left, Math.max(...ys) - top];
  const unit = Math.max(wide / width, tall / height);
  const margin = unit * 4;
  const fill = (shape: Shape): string => {
    if (shape.detail) return 'none';
    if (shape.zone === current) return tones.actTint;
    return settled?.has(shape.zone) ? `url(#${hatch})` : tones.card;
  };
  return (
    <Svg
      width={width}
      height={height}
      viewBox={`${left - margin} ${top - margin} ${wide + 2 * margin} ${tall + 2 * margin}`}
      aria-hidden
    >
      <Defs>
        <Pattern id={hatch} width={unit * 7} height={unit * 7} patternUnits="userSpaceOnUse">
          <Path d={`M0 0 H${unit * 7} V${unit * 7} H0 Z`} fill={tones.card} />
          <Path d={`M0 ${unit * 7} L${unit * 7} 0`} stroke={tones.softInk} strokeWidth={unit * 0.7} />
        </Pattern>
      </Defs>
      {shapes.map((shape, i) => (
        <Polygon
          key={i}
          points={shape.points.map((point) => point.join(',')).join(' ')}
          fill={fill(shape)}
          stroke={shape.zone === current ? tones.act : tones.ink}
          strokeWidth={unit * (shape.zone === current ? 2.2 : 1.3)}
          strokeLinejoin="round"
          {...(onPick ? { onPress: () => onPick(shape.zone) } : {})}
        />
      ))}
    </Svg>
  );
}
