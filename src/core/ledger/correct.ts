import { definedOnly } from '../shared';
import { LIMITS, type MoneyFacts } from '../dossier';

type Corrections = NonNullable<MoneyFacts['corrections']>;
type Corrected = Pick<Corrections, 'materials' | 'hours' | 'consumables'>;

/**
 * What was worked out put right, or left to the log again where it is taken out: what stood there before stays with when
 * that was. `at`: ISO instant. Of very many only the last are kept.
 */
export function correctAccount(
  corrections: Corrections = {},
  part: { [F in keyof Corrected]?: Corrected[F] | undefined },
  at: string,
): Corrections {
  const { earlier = [], ...before } = corrections;
  return { ...definedOnly({ ...before, ...part }), earlier: [...earlier, { ...before, at }].slice(-LIMITS.extras) };
}
