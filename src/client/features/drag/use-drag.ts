import type { Point } from '@/core/photo';
import { useRef, type PointerEvent } from 'react';

interface DragHandlers {
  onStart?: (at: Point) => void;
  /** Where the finger is, and how far from where it began, px. */
  onMove: (at: Point, by: Point) => void;
  onEnd: () => void;
}

/**
 * A finger or a mouse drawn over something: places on the page, and the way since it began. By the browser's own pointer
 * events: the interface library does not hand React Native's responder events on.
 */
export function useDrag({ onStart, onMove, onEnd }: DragHandlers): object {
  const from = useRef<Point | null>(null);
  const placeOf = ({ pageX, pageY }: PointerEvent): Point => ({ x: pageX, y: pageY });
  const end = (): void => {
    if (!from.current) return;
    from.current = null;
    onEnd();
  };
  return {
    onPointerDown: (event: PointerEvent) => {
      if (event.button !== 0) return;
      // What is drawn past its edge is still held.
      event.currentTarget.setPointerCapture(event.pointerId);
      from.current = placeOf(event);
      onStart?.(from.current);
    },
    onPointerMove: (event: PointerEvent) => {
      if (!from.current) return;
      const at = placeOf(event);
      onMove(at, { x: at.x - from.current.x, y: at.y - from.current.y });
    },
    onPointerUp: end,
    onPointerCancel: end,
  };
}
