import { View } from '@tamagui/core';
import { useRef, useState } from 'react';
import { Image, type LayoutChangeEvent } from 'react-native';
import { Small } from '@/client/ui';
import type { Point, Rect } from '@/core/photo';
import { useDrag } from '@/client/features/drag';
import { BOX_PICTURE_WORDS } from '@/words';

interface BoxPictureProps {
  url: string;
  width: number;
  height: number;
  boxes: Readonly<Record<string, Rect>>;
  marking: string;
  /** What a box is called. */
  nameOf: (code: string) => string;
  onMark: (rect: Rect) => void;
}

// prettier-ignore
const STEPS: Readonly<Record<string, readonly [number, number]>> = {
  ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, -1], ArrowDown: [0, 1],
};

/** The photograph with a box for each thing that is marked; a drag draws the one that is being marked anew. */
export function BoxPicture({ url, width, height, boxes, marking, nameOf, onMark }: BoxPictureProps) {
  const [shown, setShown] = useState(0);
  const frame = useRef<unknown>(null);
  const start = useRef<Point | null>(null);
  const scale = shown / width;
  const toPicture = (at: Point): Point => {
    const box = (frame.current as HTMLElement).getBoundingClientRect();
    return { x: (at.x - box.left - window.scrollX) / scale, y: (at.y - box.top - window.scrollY) / scale };
  };
  const drag = useDrag({
    onStart: (at) => void (start.current = toPicture(at)),
    onMove: (at) => {
      if (start.current) onMark(boxBetween(start.current, toPicture(at), width, height));
    },
    onEnd: () => void (start.current = null),
  });
  const own = boxes[marking];
  return (
    <View
      ref={frame as never}
      {...drag}
      position="relative"
      width="100%"
      maxWidth={560}
      aspectRatio={width / height}
      role="application"
      aria-label={BOX_PICTURE_WORDS.boxFor(nameOf(marking))}
      tabIndex={0}
      cursor="crosshair"
      style={{ touchAction: 'none' } as object}
      onLayout={({ nativeEvent }: LayoutChangeEvent) => setShown(nativeEvent.layout.width)}
      {...{
        onKeyDown: (event: { key: string; shiftKey: boolean; preventDefault: () => void }) => {
          const step = STEPS[event.key];
          if (!step || !own) return;
          event.preventDefault();
          const [dx, dy] = [step[0] * (width / 100), step[1] * (width / 100)];
          onMark(
            event.shiftKey
              ? { ...own, width: Math.max(20, own.width + dx), height: Math.max(20, own.height + dy) }
              : { ...own, x: own.x + dx, y: own.y + dy },
          );
        },
      }}
    >
      <Image
        source={{ uri: url }}
        style={{ position: 'absolute', width: '100%', height: '100%' }}
        accessibilityLabel={BOX_PICTURE_WORDS.thePhotograph}
      />
      {Object.entries(boxes).map(([code, rect]) => (
        <View
          key={code}
          position="absolute"
          pointerEvents="none"
          left={rect.x * scale}
          top={rect.y * scale}
          width={rect.width * scale}
          height={rect.height * scale}
          borderWidth={code === marking ? 3 : 1}
          borderStyle={code === marking ? 'solid' : 'dashed'}
          borderColor="$act"
        >
          <View alignSelf="flex-start" backgroundColor="$card" paddingHorizontal={4}>
            <Small color="$act">{nameOf(code)}</Small>
          </View>
        </View>
      ))}
    </View>
  );
}

function boxBetween(a: Point, b: Point, width: number, height: number): Rect {
  const inside = (value: number, most: number): number => Math.max(0, Math.min(most, Math.round(value)));
  const [left, right] = [inside(Math.min(a.x, b.x), width), inside(Math.max(a.x, b.x), width)];
  const [top, bottom] = [inside(Math.min(a.y, b.y), height), inside(Math.max(a.y, b.y), height)];
  return { x: left, y: top, width: Math.max(1, right - left), height: Math.max(1, bottom - top) };
}
