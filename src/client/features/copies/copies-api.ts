import { piecesApi } from '@/client/store';
import type { Arrival, BackupList, Clashes } from '@/contract';

/** A large shop is not copied in a moment. */
const LONG_MS = 10 * 60_000;
/** So slowly it may come here, from a phone in the garage. */
const SLOWEST_BYTES_PER_S = 20_000;

const api = piecesApi.injectEndpoints({
  endpoints: (build) => ({
    listCopies: build.query<BackupList, void>({ query: () => '/keeping/backups', keepUnusedDataFor: 0 }),
    makeCopy: build.mutation<BackupList, void>({
      query: () => ({ url: '/keeping/backups', method: 'POST', timeout: LONG_MS }),
      onQueryStarted: async (_asked, { dispatch, queryFulfilled }) => {
        const { data } = await queryFulfilled.catch(() => ({ data: undefined }));
        if (data) dispatch(api.util.upsertQueryData('listCopies', undefined, data));
      },
    }),
    putBack: build.mutation<{ restored: string; pictures_missing?: number }, string>({
      query: (at) => ({ url: `/keeping/backups/${encodeURIComponent(at)}/restore`, method: 'POST', timeout: LONG_MS }),
    }),
    lookAt: build.mutation<Arrival, File>({
      query: (file) => ({
        url: '/keeping/arrivals',
        method: 'POST',
        body: file,
        timeout: LONG_MS + (file.size / SLOWEST_BYTES_PER_S) * 1000,
      }),
    }),
    takeIn: build.mutation<{ pieces: number }, { id: string; clashes: Clashes }>({
      query: ({ id, clashes }) => ({
        url: `/keeping/arrivals/${id}/take`,
        method: 'POST',
        body: { clashes },
        timeout: LONG_MS,
      }),
      invalidatesTags: ['Summaries'],
    }),
    dropArrival: build.mutation<unknown, string>({
      query: (id) => ({ url: `/keeping/arrivals/${id}`, method: 'DELETE' }),
    }),
  }),
});

export const {
  useListCopiesQuery,
  useMakeCopyMutation,
  usePutBackMutation,
  useLookAtMutation,
  useTakeInMutation,
  useDropArrivalMutation,
} = api;
