import { createApi, fetchBaseQuery } from '@reduxjs/toolkit/query/react';
import type { Dossier, Experience, ShelfItem } from '@/core/dossier';

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
    listTins: build.query<ShelfItem[], void>({
      query: () => '/shelf',
      transformResponse: (answer: { tins: ShelfItem[] }) => answer.tins,
    }),
    /** What the shop's tests say, over all pieces or over all but one. */
    getExperience: build.query<Experience[], string | void>({
      query: (except) => (except ? `/experience?except=${except}` : '/experience'),
      transformResponse: (answer: { experience: Experience[] }) => answer.experience,
    }),
    getPiece: build.query<Dossier, string>({ query: (id) => `/pieces/${id}` }),
  }),
});

export const { useListPiecesQuery, useGetPieceQuery, useListTinsQuery, useGetExperienceQuery } = piecesApi;
