import { useEffect } from 'react';
import { findNewest, keepPieces, piecesApi } from '@/client/store';
import type { Dossier } from '@/core/dossier';

const api = piecesApi.injectEndpoints({
  endpoints: (build) => ({
    listChanged: build.query<{ pieces: { dossier: Dossier; changedAt: string }[] }, string>({
      query: (since) => ({ url: `/lists/changed?since=${encodeURIComponent(since)}` }),
      keepUnusedDataFor: 0,
    }),
  }),
});

/**
 * Keeps the pieces that changed last in this browser, whether they were opened here or not, so that each can be read and
 * judged where the server is away. Only what changed since the last time is fetched.
 */
export function useKeepShop(laterMs: number): void {
  const [fetchChanged] = api.useLazyListChangedQuery();
  useEffect(() => {
    const keep = async (): Promise<void> => {
      const { data } = await fetchChanged(await findNewest());
      if (data) await keepPieces(data.pieces);
    };
    const timer = setTimeout(() => void keep(), laterMs);
    return () => clearTimeout(timer);
  }, [fetchChanged, laterMs]);
}
