import { useMemo } from 'react';
import { usePlanner } from '@/client/features/planner';
import { useGetKerbQuery } from '@/client/store';
import type { Dossier } from '@/core/dossier';
import { hourRateOf } from '@/core/ledger';
import type { Ways } from '@/core/ways';

/** Paint, refresh and refinish of a piece, with what it should sell for by the shop's own sales and the typed range. */
export function useWays(dossier: Dossier): Ways | null {
  const { data } = useGetKerbQuery(undefined);
  const request = useMemo(() => {
    const hourRate = hourRateOf(dossier.money ?? {});
    return { kind: 'ways' as const, dossier, hourRate, sales: data?.sales ?? [] };
  }, [data, dossier]);
  return usePlanner(request).answer;
}
