import {
  createApi,
  fetchBaseQuery,
  type BaseQueryFn,
  type FetchArgs,
  type FetchBaseQueryError,
} from '@reduxjs/toolkit/query/react';
import type { Climate, Dossier, Experience, LogEntry, ShelfItem } from '@/core/dossier';
import type { CountedReading, ReadingQuestion } from '@/core/learning';
import type { PieceSummary } from '@/core/work';
import type { Workshop } from '@/core/workshop';
import { shutOut } from './access';

export interface InstrumentReadings {
  simulated: boolean;
  air: Climate;
  moisture_pct: number;
}

/** Summaries fetched at a time: a screen and a half on a phone, twice over. */
const PAGE = 24;

const ask = fetchBaseQuery({ baseUrl: '/api' });

/** Asks the server, and notes when it does not know this device any more. */
const askServer: BaseQueryFn<string | FetchArgs, unknown, FetchBaseQueryError> = async (asked, api, options) => {
  const answer = await ask(asked, api, options);
  if (answer.error?.status === 401) api.dispatch(shutOut());
  return answer;
};

/** What the server holds. Writes do not go through here but through the outbox. */
export const piecesApi = createApi({
  reducerPath: 'piecesApi',
  baseQuery: askServer,
  refetchOnReconnect: true,
  tagTypes: ['Summaries'],
  endpoints: (build) => ({
    /** Pieces in work, and how many there are in all. */
    listInWork: build.query<{ pieces: Dossier[]; total: number }, void>({ query: () => '/lists/in-work' }),
    /** The readings that stand behind a figure of the findings. */
    listReadings: build.query<CountedReading[], ReadingQuestion>({
      query: (asked) => `/lists/readings?${new URLSearchParams({ ...asked }).toString()}`,
      transformResponse: (answer: { readings: CountedReading[] }) => answer.readings,
      keepUnusedDataFor: 0,
    }),
    /** Logged work that was timed, over all pieces. */
    listTimes: build.query<{ log: LogEntry[] }[], void>({
      query: () => '/lists/times',
      transformResponse: (answer: { times: { log: LogEntry[] }[] }) => answer.times,
    }),
    /** All pieces that are meant by some words, a stretch at a time. */
    listSummaries: build.infiniteQuery<{ pieces: PieceSummary[]; total: number }, string, number>({
      query: ({ queryArg, pageParam }) =>
        `/lists/summaries?find=${encodeURIComponent(queryArg)}&from=${pageParam}&count=${PAGE}`,
      infiniteQueryOptions: {
        initialPageParam: 0,
        getNextPageParam: ({ total }, _pages, from) => (from + PAGE < total ? from + PAGE : undefined),
      },
      providesTags: ['Summaries'],
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
  useListInWorkQuery,
  useListReadingsQuery,
  useListTimesQuery,
  useListSummariesInfiniteQuery,
  useGetPieceQuery,
  useListTinsQuery,
  useGetWorkshopQuery,
  useGetExperienceQuery,
  useLazyGetInstrumentsQuery,
} = piecesApi;
