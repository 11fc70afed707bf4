import { piecesApi } from '@/client/store';
import type { OpeningState, PairingInvitation, PassphraseChange } from '@/contract';

const api = piecesApi.injectEndpoints({
  endpoints: (build) => {
    /** What changes the door answers with how it then stands. */
    const change = <T>(ask: (asked: T) => { url: string; method: string; body?: unknown }) =>
      build.mutation<OpeningState, T>({
        query: ask,
        onQueryStarted: async (_asked, { dispatch, queryFulfilled }) => {
          const { data } = await queryFulfilled.catch(() => ({ data: undefined }));
          if (data) dispatch(api.util.upsertQueryData('getOpening', undefined, data));
        },
      });
    return {
      getOpening: build.query<OpeningState, void>({ query: () => '/opening', keepUnusedDataFor: 0 }),
      setOpening: change<boolean>((open) => ({ url: '/opening', method: 'PUT', body: { open } })),
      setPassphrase: change<PassphraseChange>((body) => ({
        url: '/opening/passphrase',
        method: 'PUT',
        body,
      })),
      /** Ends the pass of one device, or of all. */
      endPass: change<string | null>((id) => ({ url: `/opening/devices${id ? `/${id}` : ''}`, method: 'DELETE' })),
      makeCode: build.mutation<PairingInvitation, void>({ query: () => ({ url: '/opening/code', method: 'POST' }) }),
    };
  },
});

export const {
  useGetOpeningQuery,
  useSetOpeningMutation,
  useSetPassphraseMutation,
  useEndPassMutation,
  useMakeCodeMutation,
} = api;
