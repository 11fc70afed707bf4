import { useEffect } from 'react';
import { useDispatch } from 'react-redux';
import { findNewest, forgetPieces, keepPieces, piecesApi, type AppDispatch } from '@/client/store';
import type { Dossier } from '@/core/dossier';

const api = piecesApi.injectEndpoints({
  endpoints: (build) => ({
    listChanged: build.query<{ pieces: { dossier: Dossier; changedAt: string }[]; gone: string[] }, string>({
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
  const dispatch = useDispatch<AppDispatch>();
  const [fetchChanged] = api.useLazyListChangedQuery();
  useEffect(() => {
    const keep = async (): Promise<void> => {
      const { data } = await fetchChanged(await findNewest());
      if (data) await forgetPieces(data.gone);
      if (data) await keepPieces(data.pieces);
      // What all pieces taught is kept with its answer: of one piece it is worked out from that.
      await dispatch(piecesApi.endpoints.getExperience.initiate(undefined, { subscribe: false, forceRefetch: true }));
    };
    const timer = setTimeout(() => void keep(), laterMs);
    return () => clearTimeout(timer);
  }, [dispatch, fetchChanged, laterMs]);
}
