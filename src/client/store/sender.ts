import { toRequest, toShelfRequest, toWorkshopRequest, type ApiRequest, type ErrorBody } from '@/contract';
import { isShelfChange, type Dossier, type ShelfItem } from '@/core/dossier';
import { shutOut } from './access';
import type { AppDispatch, AppGetState } from './store';
import { isInWork } from '@/core/work';
import { isWorkshopChange, type Workshop } from '@/core/workshop';
import { changeRefused, changeStored, serverFound, serverLost, type PendingChange } from './outbox';
import { keepPieces } from './kept-shop';
import { currentShop, meetShop, SHOP_HEADER } from './shop-id';
import { piecesApi } from './pieces-api';

const RETRY_MS = 3000;

/** This page among all that are open: what it did itself it is not told of. */
export const OWN_PAGE = `${Date.now().toString(36)}-${Math.random().toString(36).slice(2)}`;
const PAGE_HEADER = 'x-bricolage-page';

/** A hanging server is an absent one. */
const PATIENCE_MS = 15_000;

export interface Sender {
  /** Sends what waits. */
  send: () => void;
  /** The server is away: looks again until it answers. */
  watch: () => void;
}

/**
 * Sends pending changes one after another, in order, to the shop they were made for. A lost server keeps the change and
 * tries again; a refusal drops it and says why. Sending twice is harmless: ids are ours and every write is repeatable.
 */
export function makeSender(dispatch: AppDispatch, getState: AppGetState, fetcher: typeof fetch = fetch): Sender {
  let sending = false;
  let timer: ReturnType<typeof setTimeout> | null = null;

  const lookAgain = (): void => {
    if (timer) clearTimeout(timer);
    timer = setTimeout(() => void (getState().outbox.pending.length > 0 ? send() : look()), RETRY_MS);
  };

  /** Where nothing waits to be sent, the server is asked for nothing but itself. */
  const look = async (): Promise<void> => {
    const answer = await fetcher('/api/access', { signal: AbortSignal.timeout(PATIENCE_MS) }).catch(() => null);
    if (answer && answer.status < 500) dispatch(serverFound());
    else lookAgain();
  };

  const send = async (): Promise<void> => {
    if (sending) return;
    sending = true;
    if (timer) clearTimeout(timer);
    try {
      for (let next = getState().outbox.pending[0]; next; next = getState().outbox.pending[0]) {
        const { method, path, body } = requestOf(next);
        const shop = currentShop();
        const answer = await fetcher(path, {
          method,
          signal: AbortSignal.timeout(PATIENCE_MS),
          headers: {
            [PAGE_HEADER]: OWN_PAGE,
            ...(shop === null ? {} : { [SHOP_HEADER]: shop }),
            ...(body === undefined ? {} : { 'Content-Type': 'application/json' }),
          },
          ...(body === undefined ? {} : { body: JSON.stringify(body) }),
        }).catch(() => null);
        if (!answer || answer.status >= 500) {
          dispatch(serverLost());
          lookAgain();
          return;
        }
        const answering = answer.headers?.get(SHOP_HEADER);
        if (shop !== null && answering && answering !== shop) {
          // Another shop answers here now. This change is not for it, and was not taken by it.
          meetShop(answering);
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
  return { send: () => void send(), watch: lookAgain };
}

/**
 * Puts the stored piece into the cache. To be awaited before the change leaves the outbox: in between, the change would
 * be in neither, and what was just answered would vanish for a moment.
 */
export async function rememberPiece(dispatch: AppDispatch, id: string, dossier: Dossier): Promise<void> {
  void keepPieces([{ dossier }]);
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
