import {
  createApi,
  fetchBaseQuery,
  type BaseQueryFn,
  type FetchArgs,
  type FetchBaseQueryError,
} from '@reduxjs/toolkit/query/react';
import { NOW_HEADER, SHOP_HEADER, type Kerb } from '@/contract';
import type { ShopAccount } from '@/core/earned';
import type { Climate, Dossier, Experience, LogEntry, ShelfItem } from '@/core/dossier';
import type { CountedReading, OpenReadings, ReadingQuestion } from '@/core/learning';
import type { KeptRecipe } from '@/core/mix';
import type { SymptomPattern } from '@/core/trouble';
import type { Findable } from '@/core/find';
import type { PiecesAsked, PieceSummary } from '@/core/work';
import type { Workshop } from '@/core/workshop';
import { shutOut } from './access';
import { compareClocks, serverTimeHeard } from './clock';
import { answerAway } from './away';
import { findAnswer, findKeptPiece, forgetPieces, keepAnswer, keepPieces } from './kept-shop';
import { serverLost, type OutboxState } from './outbox';
import { overlay } from './overlay';
import { meetShop } from './shop-id';

/** What the workshop's instruments say now; none where no device is set up. */
export type InstrumentReadings =
  { device: null } | { device: { name: string; simulated: boolean }; air: Climate; moisture_pct: number };

/** Summaries fetched at a time: a screen and a half on a phone, twice over. */
const PAGE = 24;

/** A server that does not answer for so long is away. */
const PATIENCE_MS = 8000;
const ask = fetchBaseQuery({ baseUrl: '/api', timeout: PATIENCE_MS });

const PIECE = /^\/pieces\/([^/?]+)$/;

/** What was answered last, as far as this browser kept it. */
function recallAnswer(path: string): Promise<unknown> {
  const [, piece] = PIECE.exec(path) ?? [];
  return piece === undefined ? findAnswer(path) : findKeptPiece(piece);
}

function keepAnswered(path: string, data: unknown): void {
  if (PIECE.test(path)) return void keepPieces([{ dossier: data as Dossier }]);
  void keepAnswer(path, data, new Date().toISOString());
  if (path === IN_WORK) void keepPieces((data as { pieces: Dossier[] }).pieces.map((dossier) => ({ dossier })));
}

/**
 * Asks the server. What it answers is kept, and answers in its place while it is away; a device it does not know any more
 * is noted.
 */
const askServer: BaseQueryFn<string | FetchArgs, unknown, FetchBaseQueryError> = async (asked, api, options) => {
  const answer = await ask(asked, api, options);
  const headers = answer.meta?.response?.headers;
  const shop = headers?.get(SHOP_HEADER);
  const ahead = compareClocks(headers?.get(NOW_HEADER));
  if (ahead !== null) api.dispatch(serverTimeHeard(ahead));
  if (shop) meetShop(shop);
  if (answer.error?.status === 401) api.dispatch(shutOut());
  if (typeof asked !== 'string') return answer;
  if (!answer.error) {
    if (shop) keepAnswered(asked, answer.data);
    return answer;
  }
  // A number is the server's own answer; a fault of its own is as good as none.
  const away = typeof answer.error.status !== 'number' || answer.error.status >= 500;
  if (!away) {
    const [, gone] = answer.error.status === 404 ? (PIECE.exec(asked) ?? []) : [];
    if (gone !== undefined) void forgetPieces([gone]);
    return answer;
  }
  api.dispatch(serverLost());
  const { pending } = (api.getState() as { outbox: OutboxState }).outbox;
  const kept =
    (await answerAway(asked, (stored, id) => overlay(stored, pending, id) ?? stored)) ?? (await recallAnswer(asked));
  return kept === undefined ? answer : { data: kept };
};

const IN_WORK = '/lists/in-work';

/** What the server holds. Writes do not go through here but through the outbox. */
export const piecesApi = createApi({
  reducerPath: 'piecesApi',
  baseQuery: askServer,
  refetchOnReconnect: true,
  tagTypes: ['Summaries'],
  endpoints: (build) => ({
    /** Pieces in work, and how many there are in all. */
    listInWork: build.query<{ pieces: Dossier[]; total: number }, void>({ query: () => IN_WORK }),
    /** The readings that stand behind a figure of the findings. */
    listReadings: build.query<CountedReading[], ReadingQuestion>({
      query: (asked) => `/lists/readings?${new URLSearchParams({ ...asked }).toString()}`,
      transformResponse: (answer: { readings: CountedReading[] }) => answer.readings,
      keepUnusedDataFor: 0,
    }),
    /** What pieces with the same fault have in common. */
    listPatterns: build.query<SymptomPattern[], void>({
      query: () => '/lists/patterns',
      transformResponse: (answer: { patterns: SymptomPattern[] }) => answer.patterns,
    }),
    /** Logged work that was timed, over all pieces. */
    listTimes: build.query<{ log: LogEntry[] }[], void>({
      query: () => '/lists/times',
      transformResponse: (answer: { times: { log: LogEntry[] }[] }) => answer.times,
    }),
    /** The order in which all open jobs are best done: the server's, so that all who ask have the same plan. */
    getOrder: build.query<string[], void>({
      query: () => '/lists/order',
      transformResponse: (answer: { order: string[] }) => answer.order,
    }),
    /** All pieces that are meant by some words, a stretch at a time. */
    listSummaries: build.infiniteQuery<{ pieces: PieceSummary[]; total: number }, PiecesAsked, number>({
      query: ({ queryArg: { find, kind, show, sort }, pageParam }) =>
        `/lists/summaries?find=${encodeURIComponent(find)}${kind ? `&kind=${kind}` : ''}&show=${show}&sort=${sort}&from=${pageParam}&count=${PAGE}`,
      infiniteQueryOptions: {
        initialPageParam: 0,
        getNextPageParam: ({ total }, _pages, from) => (from + PAGE < total ? from + PAGE : undefined),
      },
      providesTags: ['Summaries'],
    }),
    /** What is written down, by some words. */
    findAll: build.query<Findable[], string>({
      query: (words) => `/lists/find?words=${encodeURIComponent(words)}&count=40`,
      transformResponse: (answer: { found: Findable[] }) => answer.found,
      keepUnusedDataFor: 0,
    }),
    /** What pieces earned, and what stands in the garage. */
    getEarned: build.query<ShopAccount, void>({ query: () => '/lists/earned' }),
    /** What a new piece starts from. */
    getKerb: build.query<Kerb, void>({ query: () => '/lists/kerb' }),
    /** Colours that were mixed, over all pieces. */
    listRecipes: build.query<KeptRecipe[], void>({
      query: () => '/lists/recipes',
      transformResponse: (answer: { recipes: KeptRecipe[] }) => answer.recipes,
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
    /** Readings on faces that are not known yet: they count once those are read. */
    listOpenReadings: build.query<OpenReadings[], void>({
      query: () => '/experience/open',
      transformResponse: (answer: { open: OpenReadings[] }) => answer.open,
      keepUnusedDataFor: 0,
    }),
    getWorkshop: build.query<Workshop, void>({ query: () => '/workshop' }),
    /** Whether the invented workshop can be looked round, and whether it is. */
    getVisit: build.query<{ possible: boolean; visiting: boolean }, void>({ query: () => '/visit' }),
    goVisiting: build.mutation<void, boolean>({
      query: (visiting) => ({ url: '/visit', method: visiting ? 'PUT' : 'DELETE' }),
    }),
    /** What the workshop's instruments say now. */
    getInstruments: build.query<InstrumentReadings, void>({ query: () => '/instruments', keepUnusedDataFor: 0 }),
    getPiece: build.query<Dossier, string>({ query: (id) => `/pieces/${id}` }),
  }),
});

export const {
  useListInWorkQuery,
  useListReadingsQuery,
  useListPatternsQuery,
  useGetOrderQuery,
  useListTimesQuery,
  useListSummariesInfiniteQuery,
  useGetPieceQuery,
  useGetEarnedQuery,
  useGetKerbQuery,
  useListRecipesQuery,
  useListOpenReadingsQuery,
  useListTinsQuery,
  useGetWorkshopQuery,
  useGetExperienceQuery,
  useGetInstrumentsQuery,
  useLazyGetInstrumentsQuery,
  useFindAllQuery,
  useGetVisitQuery,
  useGoVisitingMutation,
} = piecesApi;
