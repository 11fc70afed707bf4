import type { PrepCode } from './codes';

export const PREP_GROUPS = ['none', 'liquid_degloss', 'scuff', 'bare'] as const;
export type PrepGroup = (typeof PREP_GROUPS)[number];

/** A way to dull or bare a face before the first coat (common practice). */
export interface PrepFact {
  label: string;
  /** Those of a group leave the same kind of surface: their readings are counted together. */
  group: PrepGroup;
  /** The paper it is done with. */
  grit?: number;
  /** How soon somebody would try it, unasked: 1 first; left out, hardly ever (common practice). */
  tried?: number;
  /** A fine soft pad: its scratch is shallow. */
  soft?: true;
  /** The grit whose scratch holds a coat alike. */
  holdsAs?: PrepCode;
}

export const PREP_FACTS: Record<PrepCode, PrepFact> = {
  none: { label: 'Not dulled', group: 'none', tried: 1 },
  scuff_120: { label: 'Scuff 120', group: 'scuff', grit: 120, holdsAs: 'scuff_150' },
  scuff_150: { label: 'Scuff 150', group: 'scuff', grit: 150 },
  scuff_180: { label: 'Scuff 180', group: 'scuff', grit: 180, holdsAs: 'scuff_150' },
  scuff_220: { label: 'Scuff 220', group: 'scuff', grit: 220, soft: true },
  liquid_degloss: { label: 'Deglosser', group: 'liquid_degloss', tried: 11 },
  strip: { label: 'Stripped', group: 'bare' },
  sand_bare: { label: 'Sanded bare', group: 'bare', grit: 150 },
};

export const leavesBare = (prep: PrepCode): boolean => PREP_FACTS[prep].group === 'bare';

/** Scratches are left for the coat to hold on to. */
export const isScuff = (prep: PrepCode): boolean =>
  PREP_FACTS[prep].group === 'scuff' || PREP_FACTS[prep].group === 'bare';
