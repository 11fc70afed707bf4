import { createApi, fetchBaseQuery } from '@reduxjs/toolkit/query/react';
import type { Dossier } from '@/core/dossier';

/** What the server holds. Writes do not go through here but through the outbox. */
export const piecesApi = createApi({
  reducerPath: 'piecesApi',
  baseQuery: fetchBaseQuery({ baseUrl: '/api' }),
  refetchOnReconnect: true,
  endpoints: (build) => ({
    listPieces: build.query<Dossier[], void>({
      query: () => '/pieces',
      transformResponse: (answer: { pieces: Dossier[] }) => answer.pieces,
    }),
    getPiece: build.query<Dossier, string>({ query: (id) => `/pieces/${id}` }),
  }),
});

export const { useListPiecesQuery, useGetPieceQuery } = piecesApi;
