import { useWindowDimensions } from 'react-native';
import { WIDE } from './tokens';

/** Whether there is room for two panes. */
export const useIsWide = (): boolean => useWindowDimensions().width >= WIDE;
