import { PREP_FACTS, type ClearCode } from '../knowledge';
import type { Choice, Test, Treatment } from '../dossier';

/** A treatment with the coats that go over it, as it was taken or is thought of. */
export type Wanted = Pick<Choice['zones'][number], 'treatment' | 'stack'>;

const primerOf = (treatment: Treatment | undefined): string => treatment?.primer ?? 'none';
const coatsOf = (treatment: Treatment | undefined): number => treatment?.coats ?? (treatment?.primer ? 1 : 0);
/** Grits whose scratch holds alike count as one. */
const prepOf = (treatment: Treatment | undefined): string => {
  const prep = treatment?.prep ?? 'none';
  return PREP_FACTS[prep].holdsAs ?? prep;
};

/** The same for two treatments that are the same preparation, primer and coats of it. */
export const treatmentKey = (treatment: Treatment | undefined): string =>
  [prepOf(treatment), primerOf(treatment), coatsOf(treatment), clearOf(treatment) ?? []].flat().join('/');

/** A clear finish on wood is part of what is tested; over paint it is not. */
export const clearOf = (treatment: Treatment | undefined): ClearCode | undefined =>
  treatment?.paint === undefined && treatment?.clear !== 'none' ? treatment?.clear : undefined;

/** Is a patch one of the system: the same preparation, primer and coats, and no other paint or clear on it? */
export function covers(tested: Treatment | undefined, { treatment, stack }: Wanted): boolean {
  if (!tested || treatmentKey(tested) !== treatmentKey(treatment)) return false;
  const [paint, clear] = [stack?.paint ?? treatment.paint, stack?.topcoat ?? treatment.clear];
  const paintCoats = stack?.paint_coats ?? treatment.paint_coats;
  if (tested.paint !== undefined && paint !== undefined && tested.paint !== paint) return false;
  if (tested.clear !== undefined && clear !== undefined && tested.clear !== clear) return false;
  // More paint than will be put on would hide what the piece will show.
  return tested.paint === undefined || paintCoats === undefined || (tested.paint_coats ?? 1) <= paintCoats;
}

/** A grip that failed rules out its preparation and primer in any number of coats: what lets go is the first of them. */
export const failsGripOf = ({ treatment: tested }: Test, { treatment }: Wanted): boolean =>
  tested !== undefined &&
  prepOf(tested) === prepOf(treatment) &&
  primerOf(tested) === primerOf(treatment) &&
  clearOf(tested) === clearOf(treatment);

/**
 * Colour that came through rules out its blocker at that many coats or fewer, whatever the preparation: more of them, or
 * another class, may still hold it.
 */
export const failsBlockOf = ({ treatment: tested }: Test, { treatment }: Wanted): boolean =>
  tested !== undefined && primerOf(tested) === primerOf(treatment) && coatsOf(treatment) <= coatsOf(tested);

/** What will lie on the piece and did not lie on the patch. */
export function listUncovered(tested: Treatment | undefined, wanted: Wanted | undefined): ('colour' | 'clear')[] {
  const clear = wanted?.stack?.topcoat ?? wanted?.treatment.clear ?? 'none';
  return [
    ...(tested?.paint === undefined ? (['colour'] as const) : []),
    ...(clear !== 'none' && (tested?.clear ?? 'none') === 'none' ? (['clear'] as const) : []),
  ];
}
