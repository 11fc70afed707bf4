import { toRequest, toShelfRequest, toWorkshopRequest, type ApiRequest, type ErrorBody } from '@/contract';
import { isShelfChange, type Dossier, type ShelfItem } from '@/core/dossier';
import { shutOut } from './access';
import type { AppDispatch, AppGetState } from './store';
import { isInWork } from '@/core/work';
import { isWorkshopChange, type Workshop } from '@/core/workshop';
import { changeRefused, changeStored, serverLost, type PendingChange } from './outbox';
import { piecesApi } from './pieces-api';

const RETRY_MS = 3000;

/**
 * Sends pending changes one after another, in order. A lost server keeps the change and tries again; a refusal drops it
 * and says why. Sending twice is harmless: ids are ours and every write is repeatable.
 */
export function makeSender(dispatch: AppDispatch, getState: AppGetState, fetcher: typeof fetch = fetch): () => void {
  let sending = false;
  let timer: ReturnType<typeof setTimeout> | null = null;

  const send = async (): Promise<void> => {
    if (sending) return;
    sending = true;
    if (timer) clearTimeout(timer);
    try {
      for (let next = getState().outbox.pending[0]; next; next = getState().outbox.pending[0]) {
        const { method, path, body } = requestOf(next);
        const answer = await fetcher(path, {
          method,
          ...(body === undefined
            ? {}
            : { body: JSON.stringify(body), headers: { 'Content-Type': 'application/json' } }),
        }).catch(() => null);
        if (!answer || answer.status >= 500) {
          dispatch(serverLost());
          timer = setTimeout(() => void send(), RETRY_MS);
          return;
        }
        if (answer.status === 401) {
          // The pass has ended: what waits here waits on until the device is let in again.
          dispatch(shutOut());
          return;
        }
        if (answer.ok) {
          await remember(dispatch, next, await answer.json());
          dispatch(changeStored({ id: next.id }));
        } else {
          const refusal = (await answer.json().catch(() => null)) as Partial<ErrorBody> | null;
          dispatch(
            changeRefused({ id: next.id, message: refusal?.error?.message ?? 'The server refused this change.' }),
          );
        }
      }
    } finally {
      sending = false;
    }
  };
  return () => void send();
}

/**
 * Puts the stored piece into the cache. To be awaited before the change leaves the outbox: in between, the change would
 * be in neither, and what was just answered would vanish for a moment.
 */
export async function rememberPiece(dispatch: AppDispatch, id: string, dossier: Dossier): Promise<void> {
  await dispatch(piecesApi.util.upsertQueryData('getPiece', id, dossier));
  dispatch(
    piecesApi.util.updateQueryData('listInWork', undefined, ({ pieces, total }) => ({
      pieces: [...(isInWork(dossier) ? [dossier] : []), ...pieces.filter(({ piece }) => piece.id !== id)],
      total,
    })),
  );
  dispatch(piecesApi.util.invalidateTags(['Summaries']));
}

function requestOf({ pieceId, change }: PendingChange): ApiRequest {
  if (isShelfChange(change)) return toShelfRequest(change);
  return isWorkshopChange(change) ? toWorkshopRequest(change) : toRequest(pieceId, change);
}

async function remember(dispatch: AppDispatch, { pieceId, change }: PendingChange, answer: unknown): Promise<void> {
  if (isShelfChange(change)) await rememberTins(dispatch, answer as { tins: ShelfItem[] });
  else if (isWorkshopChange(change))
    await dispatch(piecesApi.util.upsertQueryData('getWorkshop', undefined, answer as Workshop));
  else await rememberPiece(dispatch, pieceId, answer as Dossier);
  // A piece more in the shop: the count is asked for anew before the change leaves the outbox, or it would be short of it.
  if (change.type === 'piece_met')
    await dispatch(piecesApi.endpoints.listInWork.initiate(undefined, { subscribe: false, forceRefetch: true }));
}

async function rememberTins(dispatch: AppDispatch, { tins }: { tins: ShelfItem[] }): Promise<void> {
  await dispatch(piecesApi.util.upsertQueryData('listTins', undefined, tins));
}
