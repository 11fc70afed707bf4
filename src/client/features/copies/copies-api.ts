import { piecesApi } from '@/client/store';
import type { BackupList } from '@/contract';

const api = piecesApi.injectEndpoints({
  endpoints: (build) => ({
    listCopies: build.query<BackupList, void>({ query: () => '/keeping/backups', keepUnusedDataFor: 0 }),
    makeCopy: build.mutation<BackupList, void>({
      query: () => ({ url: '/keeping/backups', method: 'POST' }),
      onQueryStarted: async (_asked, { dispatch, queryFulfilled }) => {
        const { data } = await queryFulfilled.catch(() => ({ data: undefined }));
        if (data) dispatch(api.util.upsertQueryData('listCopies', undefined, data));
      },
    }),
    putBack: build.mutation<unknown, string>({
      query: (at) => ({ url: `/keeping/backups/${encodeURIComponent(at)}/restore`, method: 'POST' }),
    }),
  }),
});

export const { useListCopiesQuery, useMakeCopyMutation, usePutBackMutation } = api;
