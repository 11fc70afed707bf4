import { View } from '@tamagui/core';
import { useRef, useState } from 'react';
import { Image, type LayoutChangeEvent } from 'react-native';
import Svg, { Polygon } from 'react-native-svg';
import { useTones } from '@/client/ui';
import type { Point, Quad } from '@/core/photo';
import { useDrag } from '@/client/features/drag';
import { CORNER_PICTURE_WORDS } from '@/words';

interface CornerPictureProps {
  url: string;
  width: number;
  height: number;
  corners: Quad;
  onMove: (corners: Quad) => void;
  onSet: (corners: Quad) => void;
}

const HANDLE = 48;
const STEPS: Readonly<Record<string, readonly [number, number]>> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, -1],
  ArrowDown: [0, 1],
};
const NAMES = [
  CORNER_PICTURE_WORDS.topLeft,
  CORNER_PICTURE_WORDS.topRight,
  CORNER_PICTURE_WORDS.bottomRight,
  CORNER_PICTURE_WORDS.bottomLeft,
] as const;

/** The photograph with its four corners, to be dragged or moved by the arrow keys. */
export function CornerPicture({ url, width, height, corners, onMove, onSet }: CornerPictureProps) {
  const tones = useTones();
  const [shown, setShown] = useState(0);
  const scale = shown / width;
  const put = (index: number, point: Point): Quad =>
    corners.map((corner, i) => (i === index ? clamp(point, width, height) : corner)) as unknown as Quad;
  return (
    <View
      position="relative"
      width="100%"
      aspectRatio={width / height}
      maxWidth={560}
      overflow="hidden"
      onLayout={({ nativeEvent }: LayoutChangeEvent) => setShown(nativeEvent.layout.width)}
    >
      <Image
        source={{ uri: url }}
        style={{ position: 'absolute', width: '100%', height: '100%' }}
        accessibilityLabel={CORNER_PICTURE_WORDS.thePhotographOfTheLattice}
      />
      {shown > 0 ? (
        <>
          <Svg style={{ position: 'absolute' }} width={shown} height={height * scale} aria-hidden>
            <Polygon
              points={corners.map(({ x, y }) => `${x * scale},${y * scale}`).join(' ')}
              fill="none"
              stroke={tones.act}
              strokeWidth={2}
            />
          </Svg>
          {corners.map((corner, i) => (
            <Handle
              key={i}
              name={NAMES[i]!}
              corner={corner}
              scale={scale}
              onMove={(point) => onMove(put(i, point))}
              onSet={(point) => onSet(put(i, point))}
            />
          ))}
        </>
      ) : null}
    </View>
  );
}

const clamp = ({ x, y }: Point, width: number, height: number): Point => ({
  x: Math.max(0, Math.min(width - 1, x)),
  y: Math.max(0, Math.min(height - 1, y)),
});

interface HandleProps {
  name: string;
  corner: Point;
  scale: number;
  onMove: (point: Point) => void;
  onSet: (point: Point) => void;
}

function Handle({ name, corner, scale, onMove, onSet }: HandleProps) {
  const start = useRef(corner);
  const last = useRef(corner);
  const drag = useDrag({
    onStart: () => {
      start.current = corner;
      last.current = corner;
    },
    onMove: (_at, by) => {
      last.current = { x: start.current.x + by.x / scale, y: start.current.y + by.y / scale };
      onMove(last.current);
    },
    onEnd: () => onSet(last.current),
  });
  return (
    <View
      {...drag}
      role="slider"
      aria-label={CORNER_PICTURE_WORDS.corner(name)}
      aria-valuetext={CORNER_PICTURE_WORDS.acrossDown(Math.round(corner.x), Math.round(corner.y))}
      aria-valuenow={Math.round(corner.x)}
      tabIndex={0}
      position="absolute"
      left={corner.x * scale - HANDLE / 2}
      top={corner.y * scale - HANDLE / 2}
      width={HANDLE}
      height={HANDLE}
      alignItems="center"
      justifyContent="center"
      cursor="grab"
      style={{ touchAction: 'none' } as object}
      {...{
        onKeyDown: (event: { key: string; shiftKey: boolean; preventDefault: () => void }) => {
          const step = STEPS[event.key];
          if (!step) return;
          event.preventDefault();
          const far = event.shiftKey ? 10 : 2;
          onSet({ x: corner.x + step[0] * far, y: corner.y + step[1] * far });
          onMove({ x: corner.x + step[0] * far, y: corner.y + step[1] * far });
        },
      }}
    >
      <View
        width={20}
        height={20}
        borderRadius={10}
        borderWidth={3}
        borderColor="$act"
        backgroundColor="$card"
        opacity={0.9}
      />
    </View>
  );
}
