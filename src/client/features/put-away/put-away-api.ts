import { piecesApi } from '@/client/store';
import type { PutAway } from '@/contract';
import type { Dossier } from '@/core/dossier';

const api = piecesApi.injectEndpoints({
  endpoints: (build) => ({
    listPutAway: build.query<PutAway, void>({ query: () => '/lists/put-away', keepUnusedDataFor: 0 }),
    deletePiece: build.mutation<unknown, string>({
      query: (id) => ({ url: `/pieces/${id}`, method: 'DELETE' }),
      invalidatesTags: ['Summaries'],
    }),
    bringBack: build.mutation<Dossier, string>({
      query: (id) => ({ url: `/pieces/${id}/back`, method: 'POST' }),
      invalidatesTags: ['Summaries'],
    }),
  }),
});

export const { useListPutAwayQuery, useDeletePieceMutation, useBringBackMutation } = api;
