import Svg, { Path, Rect } from 'react-native-svg';

/** Light modules around the picture, as ISO/IEC 18004 wants them. */
const QUIET = 4;

/** The picture a phone's camera reads: dark on white in either look, for cameras read no other. */
export function QrCode({ rows, label }: { rows: readonly string[]; label: string }) {
  const size = rows.length + 2 * QUIET;
  const dark = rows
    .flatMap((row, y) => [...row].map((cell, x) => (cell === '1' ? `M${x + QUIET} ${y + QUIET}h1v1h-1z` : '')))
    .join('');
  return (
    <Svg
      width="100%"
      style={{ maxWidth: 280, aspectRatio: 1 }}
      viewBox={`0 0 ${size} ${size}`}
      role="img"
      aria-label={label}
    >
      <Rect width={size} height={size} fill="#ffffff" />
      <Path d={dark} fill="#000000" />
    </Svg>
  );
}
