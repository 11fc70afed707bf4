import { useRef } from 'react';

/** Shorter than this, in px, or more up and down than sideways, is not a swipe. */
const LEAST = 60;

interface Touch {
  nativeEvent: { pageX: number; pageY: number };
}

/** A sideways swipe: +1 to the next, −1 to the one before. */
export function useSwipe(onSwipe: (step: 1 | -1) => void) {
  const from = useRef<{ x: number; y: number } | null>(null);
  return {
    onTouchStart: ({ nativeEvent: { pageX, pageY } }: Touch) => void (from.current = { x: pageX, y: pageY }),
    onTouchEnd: ({ nativeEvent: { pageX, pageY } }: Touch) => {
      if (!from.current) return;
      const [dx, dy] = [pageX - from.current.x, pageY - from.current.y];
      from.current = null;
      if (Math.abs(dx) >= LEAST && Math.abs(dx) > 2 * Math.abs(dy)) onSwipe(dx < 0 ? 1 : -1);
    },
  };
}
