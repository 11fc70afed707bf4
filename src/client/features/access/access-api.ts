import { piecesApi } from '@/client/store';
import type { AccessState, Enter } from '@/contract';

const api = piecesApi.injectEndpoints({
  endpoints: (build) => ({
    getAccess: build.query<AccessState, void>({ query: () => '/access' }),
    enter: build.mutation<AccessState, Enter>({ query: (body) => ({ url: '/access', method: 'POST', body }) }),
    leave: build.mutation<void, void>({ query: () => ({ url: '/access', method: 'DELETE' }) }),
  }),
});

export const { useEnterMutation, useGetAccessQuery } = api;

/** How this browser stands to the shop; nothing until the server has told it. */
export const useAccess = (): AccessState | undefined => api.useGetAccessQuery().data;

/** Ends this device's own pass; the page begins anew without it. */
export function useLeave(): () => Promise<void> {
  const [leave] = api.useLeaveMutation();
  return async () => {
    const answer = await leave();
    if (!answer.error) location.replace('/enter');
  };
}
