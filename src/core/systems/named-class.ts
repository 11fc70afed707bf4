import { PRIMER_FACTS, type PrimerCode, type Rating } from '../knowledge';
import type { Need } from '../survey';
import { blocksStain } from './risk';
import type { CoatStack } from './surface-state';

/** How the primer that is taken stands to what Read named: grip on a slick face, holding colour back. */
export type NamedClass = { primer: PrimerCode } &
  /** It is of the class that was named. */
  (
    | { code: 'as_named'; need: 'bonding_primer' | 'stain_block' }
    /** Grip was named: this one grips well enough once scuffed, and holds colour back besides; or weighs less in all. */
    | { code: 'grips_and_blocks' | 'grips_enough' }
    /** A block was named, and the colour hides what comes through. */
    | { code: 'hidden_by_dark' }
  );

/** More likely needed than not. */
const NAMED = 0.5;
const GRIPS_BEST: readonly Rating[] = ['very_good', 'best'];

/** Why the class that Read named is or is not the one that is taken; nothing where it named none or nothing is primed. */
export function compareWithNamed(needs: readonly Need[], { primers }: CoatStack, pale: boolean): NamedClass | null {
  const isNamed = (code: Need['code']): boolean => needs.some((need) => need.code === code && need.p >= NAMED);
  const [grip, block] = [isNamed('bonding_primer'), isNamed('stain_block')];
  const [first] = primers;
  if (!first || !(grip || block)) return null;
  const primer = first.code;
  const blocks = primers.some(({ code }) => blocksStain(code));
  if (grip && GRIPS_BEST.includes(PRIMER_FACTS[primer].slick))
    return { code: 'as_named', need: 'bonding_primer', primer };
  if (grip) return { code: block && blocks ? 'grips_and_blocks' : 'grips_enough', primer };
  if (blocks) return { code: 'as_named', need: 'stain_block', primer };
  return pale ? null : { code: 'hidden_by_dark', primer };
}
