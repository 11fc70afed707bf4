import { useMemo } from 'react';
import { measureDrawing, PieceDrawing } from '@/client/ui';
import { wishOf, type Dossier } from '@/core/dossier';
import { assignShapes, drawSecond, templateOf } from '@/core/templates';

interface PaintedPieceProps {
  dossier: Dossier;
  width: number;
  /** It is drawn as high as its shape asks for, and no higher. */
  mostHeight: number;
  current?: string | undefined;
  onPick?: (zone: string) => void;
}

/** A piece in the colours that are wished for it. */
export function PaintedPiece({ dossier, width, mostHeight, current, onPick }: PaintedPieceProps) {
  const { piece, zones = [], goal } = dossier;
  const { shapes, fills, seconds } = useMemo(() => {
    const painted = zones.map((zone) => [zone.id, wishOf({ goal }, zone)] as const);
    return {
      shapes: assignShapes(templateOf(piece).shapes, zones),
      fills: new Map(painted.flatMap(([id, { look, colour }]) => (look === 'opaque' ? [[id, colour] as const] : []))),
      seconds: new Map(painted.flatMap(([id, { second }]) => (second ? [[id, second] as const] : []))),
    };
  }, [piece, zones, goal]);
  const { wide, tall } = measureDrawing(shapes);
  return (
    <PieceDrawing
      shapes={shapes}
      fills={fills}
      over={(shape) => {
        const second = seconds.get(shape.zone);
        return second ? drawSecond(second, shape).map((points) => ({ points, colour: second.colour })) : [];
      }}
      width={width}
      height={Math.min(mostHeight, Math.ceil((width * tall) / wide))}
      current={current}
      {...(onPick ? { onPick } : {})}
    />
  );
}
