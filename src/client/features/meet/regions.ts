import { REGIONS_WORDS } from '@/words';
/** Regions whose lead rule differs here; any other counts the later date as possible too. */
export const REGIONS = [
  { code: 'US', label: REGIONS_WORDS.unitedStates },
  { code: 'elsewhere', label: REGIONS_WORDS.elsewhere },
] as const;
