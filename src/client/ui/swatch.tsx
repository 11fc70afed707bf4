import { View } from '@tamagui/core';
import { useEffect, useRef } from 'react';
import { RADIUS, SPACE } from './tokens';
import { useTones } from './use-tones';

/** A little of a colour. */
export const Swatch = ({ colour }: { colour: string }) => (
  <View width={40} height={24} backgroundColor={colour as never} borderWidth={1} borderColor="$softInk" aria-hidden />
);

interface WellProps {
  label: string;
  /** Six digits after a #. */
  value: string;
  /** While it is being moved. */
  onChange: (hex: string) => void;
  /** When it has been settled on. */
  onPick: (hex: string) => void;
}

/** The device's own picker of colours. */
export function Well({ label, value, onChange, onPick }: WellProps) {
  const input = useRef<HTMLInputElement>(null);
  const tones = useTones();
  useEffect(() => {
    const own = input.current;
    // The browser says "change" once, at the end; React gives that name to every move.
    const settle = (): void => onPick(own!.value);
    own?.addEventListener('change', settle);
    return () => own?.removeEventListener('change', settle);
  }, [onPick]);
  return (
    <input
      ref={input}
      type="color"
      aria-label={label}
      value={value}
      onChange={(event) => onChange(event.target.value)}
      style={{
        width: SPACE.target,
        height: SPACE.target,
        flexShrink: 0,
        padding: SPACE.xs,
        border: `1px solid ${tones.softInk}`,
        borderRadius: RADIUS.corner,
        backgroundColor: tones.card,
      }}
    />
  );
}
