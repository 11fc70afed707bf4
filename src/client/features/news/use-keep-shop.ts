import { useEffect } from 'react';
import { useDispatch } from 'react-redux';
import { findMark, keepChanged, piecesApi, type AppDispatch } from '@/client/store';
import type { ChangedPieces } from '@/contract';

const api = piecesApi.injectEndpoints({
  endpoints: (build) => ({
    listChanged: build.query<ChangedPieces, string>({
      query: (since) => ({ url: `/lists/changed?since=${encodeURIComponent(since)}` }),
      keepUnusedDataFor: 0,
    }),
  }),
});

/**
 * Keeps the pieces that changed last in this browser, whether they were opened here or not, so that each can be read and
 * judged where the server is away. Only what changed since the last time is fetched.
 * @param of which time the shop is of, as far as this page has heard: another is fetched anew
 */
export function useKeepShop(laterMs: number, of: number): void {
  const dispatch = useDispatch<AppDispatch>();
  const [fetchChanged] = api.useLazyListChangedQuery();
  useEffect(() => {
    const keep = async (): Promise<void> => {
      const { data } = await fetchChanged(await findMark());
      // What is shown may be of that other time as well.
      if (data && (await keepChanged(data))) dispatch(piecesApi.internalActions.onOnline());
      // What all pieces taught is kept with its answer: of one piece it is worked out from that.
      await dispatch(piecesApi.endpoints.getExperience.initiate(undefined, { subscribe: false, forceRefetch: true }));
    };
    const timer = setTimeout(() => {
      // Asked for once there is something to lose; a browser may keep it only as long as it has room.
      void navigator.storage?.persist?.();
      void keep();
    }, laterMs);
    return () => clearTimeout(timer);
  }, [dispatch, fetchChanged, laterMs, of]);
}
