import { useThemeName } from '@tamagui/core';
import { TONES, type Tones } from './tokens';

/** The colours of the theme in force, for drawings. */
export function useTones(): Tones {
  return useThemeName().startsWith('dark') ? TONES.dark : TONES.light;
}
