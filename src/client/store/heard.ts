import type { LiveChange } from '@/contract';
import { piecesApi } from './pieces-api';
import type { AppDispatch, AppGetState } from './store';

/** Asks anew for what others changed, as far as it is at hand; for everything that is looked at where that is not known. */
export const heardOf =
  (changes: readonly LiveChange[] | 'all') =>
  async (dispatch: AppDispatch, getState: AppGetState): Promise<void> => {
    if (changes === 'all') return void dispatch(piecesApi.internalActions.onOnline());
    const { getPiece, listInWork, listTins, getWorkshop } = piecesApi.endpoints;
    const anew = { subscribe: false, forceRefetch: true } as const;
    const pieces = new Set(changes.flatMap(({ piece }) => piece ?? []));
    const state = getState();
    await Promise.all([
      ...[...pieces]
        .filter((id) => getPiece.select(id)(state).data !== undefined)
        .map((id) => dispatch(getPiece.initiate(id, anew))),
      ...(pieces.size > 0 && listInWork.select()(state).data ? [dispatch(listInWork.initiate(undefined, anew))] : []),
      ...(changes.some(({ shelf }) => shelf) ? [dispatch(listTins.initiate(undefined, anew))] : []),
      ...(changes.some(({ workshop }) => workshop) ? [dispatch(getWorkshop.initiate(undefined, anew))] : []),
    ]);
    if (pieces.size > 0) dispatch(piecesApi.util.invalidateTags(['Summaries']));
  };
