import type { OperationCode, StrippingCode } from './codes';
import { OPERATION_FACTS, type OperationFact } from './operations';
import { findRepairStep } from './repair-steps';
import { STRIPPING_FACTS } from './strippings';

/** The dust of some work: that of the repair it is, else that of its operation. A repair of a later version is taken to make some. */
export function findDust({
  op,
  repair,
  method,
}: {
  op: OperationCode;
  repair?: string | undefined;
  method?: StrippingCode | undefined;
}): OperationFact['dust'] {
  if (method !== undefined) {
    const { dusts, heats, wears } = STRIPPING_FACTS[method];
    // Heat drives lead out of a coat as dust does.
    return wears ? 'sanding' : dusts || heats ? 'chips' : undefined;
  }
  if (repair === undefined) return OPERATION_FACTS[op].dust;
  const fact = findRepairStep(repair);
  return !fact || fact.dry ? 'sanding' : undefined;
}
