import { useMeasures } from '@/client/store';
import { Notice } from '@/client/ui';
import type { Dossier } from '@/core/dossier';
import { sayWood, sayWorthMore } from '@/words';
import { useWays } from './use-ways';

/** Told at the door where a piece would leave more as wood than painted. */
export function WorthAsWood({ dossier }: { dossier: Dossier }) {
  const told = useWays(dossier);
  const { sayMoney } = useMeasures();
  const title = told && sayWorthMore(told, sayMoney);
  return title ? (
    <Notice tone="go" title={title}>
      {sayWood(told)}
    </Notice>
  ) : null;
}
