import type { EraCode, LeadKit } from './codes';

/**
 * Whether a coat of this date may hold lead. United States: consumer paint was limited in 1978 (16 CFR 1303; work
 * rules 40 CFR 745). Elsewhere the date differs, and an unset region is not assumed to be the safe one, so
 * 1978–1999 stays possible there. An unknown date always does.
 */
export function isLeadPossible(era: EraCode, region: string | undefined): boolean {
  if (era === 'since_2000') return false;
  if (era === '1978_1999') return !isUnitedStates(region);
  return true;
}

/** However it is written. */
const isUnitedStates = (region: string | undefined): boolean => region !== undefined && /^\s*us\s*$/i.test(region);

/** Ways to test a coat for lead. Only a laboratory or an instrument in trained hands is called sure (common practice). */
export const LEAD_KIT_FACTS: Record<LeadKit, { label: string; sure: boolean }> = {
  home_swab: { label: 'Home swab', sure: false },
  chip_to_laboratory: { label: 'Paint chip sent to a laboratory', sure: true },
  xray_by_professional: { label: 'X-ray reading by a professional', sure: true },
};

/** Whom to turn to after a positive test. The kind of practice is named, never a firm; local law decides. */
export function turnToForLead(region: string | undefined): string {
  if (isUnitedStates(region))
    return 'Turn to a certified lead inspector, or for work for others to a certified renovator (40 CFR 745).';
  return 'Ask the local health or building authority for certified lead practice; local law decides what you may do yourself.';
}
