import type { Point } from '@/core/photo';
import { useRef } from 'react';
import type { GestureResponderEvent } from 'react-native';

interface DragHandlers {
  onStart?: (at: Point) => void;
  /** Where the finger is, and how far from where it began, px. */
  onMove: (at: Point, by: Point) => void;
  onEnd: () => void;
}

/** A finger or a mouse drawn over something: places on the page, and the way since it began. */
export function useDrag({ onStart, onMove, onEnd }: DragHandlers) {
  const from = useRef<Point | null>(null);
  const placeOf = ({ nativeEvent }: GestureResponderEvent): Point => ({ x: nativeEvent.pageX, y: nativeEvent.pageY });
  return {
    onStartShouldSetResponder: () => true,
    onMoveShouldSetResponder: () => true,
    onResponderTerminationRequest: () => false,
    onResponderGrant: (event: GestureResponderEvent) => {
      from.current = placeOf(event);
      onStart?.(from.current);
    },
    onResponderMove: (event: GestureResponderEvent) => {
      if (!from.current) return;
      const at = placeOf(event);
      onMove(at, { x: at.x - from.current.x, y: at.y - from.current.y });
    },
    onResponderRelease: () => {
      from.current = null;
      onEnd();
    },
  };
}
