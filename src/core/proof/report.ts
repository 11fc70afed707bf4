import type { Dossier } from '../dossier';
import type { Gate } from './gates';
import { judgeTest } from './judge';

/** `bricolage.proof/1`: every test on the common scale, and the gates. */
export function reportProof(dossier: Dossier, gates: readonly Gate[]) {
  return {
    format: 'bricolage.proof/1' as const,
    tests: (dossier.tests ?? []).map((test) => {
      const { isoClass, countsFromH, ...judged } = judgeTest(test, dossier);
      return {
        ...judged,
        ...(isoClass === undefined ? {} : { iso_class: isoClass }),
        counts_from_h: countsFromH,
      };
    }),
    gates: gates.map(({ zone, gate, state, why }) => ({ zone, gate, state, why })),
  };
}
