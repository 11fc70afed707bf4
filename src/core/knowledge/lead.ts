import type { EraCode } from './codes';

/**
 * Whether a coat of this date may hold lead. United States: consumer paint was limited in 1978 (16 CFR 1303; work
 * rules 40 CFR 745). Elsewhere the date differs, and an unset region is not assumed to be the safe one, so
 * 1978–1999 stays possible there. An unknown date always does.
 */
export function isLeadPossible(era: EraCode, region: string | undefined): boolean {
  if (era === 'since_2000') return false;
  if (era === '1978_1999') return region !== 'US';
  return true;
}
