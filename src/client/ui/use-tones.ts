import { useThemeName } from '@tamagui/core';
import { TONES, type Tones } from './tokens';

export const useIsDark = (): boolean => useThemeName().startsWith('dark');

/** The colours of the theme in force, for drawings. */
export function useTones(): Tones {
  return useIsDark() ? TONES.dark : TONES.light;
}
