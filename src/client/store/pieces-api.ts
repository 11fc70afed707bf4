import { createApi, fetchBaseQuery } from '@reduxjs/toolkit/query/react';
import type { Climate, Dossier, Experience, ShelfItem } from '@/core/dossier';
import type { Workshop } from '@/core/workshop';

export interface InstrumentReadings {
  simulated: boolean;
  air: Climate;
  moisture_pct: number;
}

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
    getWorkshop: build.query<Workshop, void>({ query: () => '/workshop' }),
    /** What the workshop's instruments say now. */
    getInstruments: build.query<InstrumentReadings, void>({ query: () => '/instruments', keepUnusedDataFor: 0 }),
    getPiece: build.query<Dossier, string>({ query: (id) => `/pieces/${id}` }),
  }),
});

export const {
  useListPiecesQuery,
  useGetPieceQuery,
  useListTinsQuery,
  useGetWorkshopQuery,
  useGetExperienceQuery,
  useLazyGetInstrumentsQuery,
} = piecesApi;
