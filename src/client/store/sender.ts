import {
  CHANGE_HEADER,
  MADE_HEADER,
  NOW_HEADER,
  PAGE_HEADER,
  photoUploadPath,
  SHOP_HEADER,
  toRequest,
  toShelfRequest,
  toWorkshopRequest,
  type ErrorBody,
} from '@/contract';
import { isShelfChange, type Dossier, type ShelfItem } from '@/core/dossier';
import { shutOut } from './access';
import { compareClocks, serverTimeHeard, setBackOf } from './clock';
import type { AppDispatch, AppGetState } from './store';
import { isInWork } from '@/core/work';
import { moveMoments } from '@/core/shared';
import { isWorkshopChange, type Workshop } from '@/core/workshop';
import { isKeptChange, recallChanges, wasKept } from './kept-changes';
import {
  changeMoved,
  changeRefused,
  changesRead,
  changeStored,
  isDrawnFor,
  serverFound,
  serverLost,
  type OutboxState,
  type PendingChange,
} from './outbox';
import { heardCount } from './heard-count';
import { findPicture, forgetPicture } from './kept-pictures';
import { keepPieces } from './kept-shop';
import { currentShop, meetShop, wasCleared } from './shop-id';
import { piecesApi } from './pieces-api';
import { SENDER_WORDS } from '@/words';

/** The first wait before the server is tried again, and the longest: each is twice the one before. */
const RETRY_MS = 3000;
const LONGEST_WAIT_MS = 30_000;

/** This page among all that are open: what it did itself it is not told of. */
export const OWN_PAGE = `${Date.now().toString(36)}-${Math.random().toString(36).slice(2)}`;

/** A hanging server is an absent one. */
const PATIENCE_MS = 15_000;
/** A garage is far from the router: a picture may come this slowly. */
const SLOWEST_BYTES_PER_S = 2000;

export interface Sender {
  /** Sends what waits. */
  send: () => void;
  /** The server is away: looks again until it answers. */
  watch: () => void;
  /** The device is in a network again, or in the hand: what waits to look again looks now. */
  hurry: () => void;
}

/**
 * Sends pending changes one after another, in order, to the shop they were made for, from one tab at a time. A lost
 * server keeps the change and tries again; a refusal lays it aside with the reason; where the server itself fails on a
 * change, what does not depend on it goes on. Sending twice is harmless: ids are ours and every write is repeatable.
 */
export function makeSender(dispatch: AppDispatch, getState: AppGetState, fetcher: typeof fetch = fetch): Sender {
  let sending = false;
  let again = false;
  let looked = false;
  let timer: ReturnType<typeof setTimeout> | null = null;
  let wait = RETRY_MS;

  const lookNow = (): void => {
    timer = null;
    if (getState().outbox.pending.length > 0) send();
    else void look();
  };
  const lookAgain = (): void => {
    if (timer) return;
    timer = setTimeout(lookNow, wait);
    wait = Math.min(2 * wait, LONGEST_WAIT_MS);
  };
  const hurry = (): void => {
    if (!timer) return;
    clearTimeout(timer);
    wait = RETRY_MS;
    lookNow();
  };
  const answered = (): void => {
    wait = RETRY_MS;
  };

  const hearTime = (answer: Response): void => {
    const ahead = compareClocks(answer.headers?.get(NOW_HEADER));
    if (ahead !== null) dispatch(serverTimeHeard(ahead));
  };

  /** Where nothing waits to be sent, or it is not known what time it is there, the server is asked for nothing but itself. */
  const look = async (): Promise<boolean> => {
    const answer = await fetcher('/api/access', { signal: AbortSignal.timeout(PATIENCE_MS) }).catch(() => null);
    if (!answer || answer.status >= 500) {
      lookAgain();
      return false;
    }
    hearTime(answer);
    answered();
    dispatch(serverFound());
    return true;
  };

  /** A change whose times were told by a clock that was found to be wrong since, with them put right. */
  const straighten = (own: PendingChange): PendingChange => {
    const moved = moveChange(own, setBackOf(getState().clock, own.setBackMs));
    if (moved !== own) dispatch(changeMoved(moved));
    return moved;
  };

  /** Sends one. */
  const sendOne = async (made: PendingChange): Promise<Sent> => {
    const next = straighten(made);
    const request = await makeRequest(next);
    if (!request) {
      dispatch(changeRefused({ id: next.id, message: SENDER_WORDS.thisBrowserNoLongerHasThe }));
      return 'settled';
    }
    const { path, ...asked } = request;
    const heardBefore = heardCount();
    const shop = currentShop();
    const answer = await fetcher(path, {
      ...asked,
      headers: {
        ...asked.headers,
        [PAGE_HEADER]: OWN_PAGE,
        [CHANGE_HEADER]: next.id,
        ...(next.madeAt === undefined ? {} : { [MADE_HEADER]: next.madeAt }),
        ...(shop === null ? {} : { [SHOP_HEADER]: shop }),
      },
    }).catch(() => null);
    if (!answer) return 'lost';
    hearTime(answer);
    // The pass has ended: what waits here waits on until the device is let in again.
    if (answer.status === 401) {
      dispatch(shutOut());
      return 'stop';
    }
    const answering = answer.headers?.get(SHOP_HEADER);
    if (shop !== null && answering && answering !== shop) {
      // Another shop answers here now. This change is not for it, and was not taken by it.
      meetShop(answering);
      return 'stop';
    }
    if (answer.status >= 500) return 'failed';
    const told: unknown = await answer.json().catch(() => undefined);
    // Whatever lies between may answer in the server's place: what is not ours settles nothing.
    if (told === undefined) return 'lost';
    if (answer.ok) {
      await remember(dispatch, next, told);
      // What others did while this was on its way may not be in its answer, which has just taken the place of theirs.
      if (heardCount() !== heardBefore) await askAgain(dispatch, next);
      dispatch(changeStored({ id: next.id }));
      if (next.change.type === 'picture_taken') void forgetPicture(next.change.photoId);
    } else {
      const message = (told as Partial<ErrorBody>).error?.message ?? SENDER_WORDS.theServerRefusedThisChange;
      dispatch(changeRefused({ id: next.id, message }));
    }
    return 'settled';
  };

  const sendAll = async (): Promise<void> => {
    const { outbox } = getState();
    // What was made before this page knew what time it is there is sent when it does.
    if (!looked && outbox.pending.length > 0 && !getState().clock.heard) {
      looked = await look();
      if (!looked) return void dispatch(serverLost());
    }
    const failed = new Set<string>();
    const tried = new Set<string>();
    const next = (): PendingChange | undefined =>
      getState().outbox.pending.find((own) => !tried.has(own.id) && !failed.has(dependsOn(own, getState().outbox)));
    for (let own = next(); own; own = next()) {
      tried.add(own.id);
      // Another tab may have sent it while this one waited for its turn.
      if (!outbox.unkept.includes(own.id) && wasKept.has(own.id) && !wasCleared() && !isKeptChange(own.id)) {
        dispatch(changesRead(recallChanges()));
        continue;
      }
      const sent = await sendOne(own);
      if (sent === 'stop') return;
      if (sent === 'settled') answered();
      if (sent === 'lost' || sent === 'failed') dispatch(serverLost());
      if (sent === 'lost') return lookAgain();
      if (sent === 'failed') failed.add(dependsOn(own, getState().outbox));
    }
    if (failed.size > 0) lookAgain();
    // Another tab may have sent all that waited: whether the server is back is still to be seen from here.
    else if (getState().outbox.awaySince !== null) await look();
  };

  const send = (): void => {
    if (sending) {
      again = true;
      return;
    }
    sending = true;
    if (timer) clearTimeout(timer);
    timer = null;
    const locks = globalThis.navigator?.locks;
    const done = locks ? locks.request(`bricolage-send-${currentShop() ?? ''}`, sendAll) : sendAll();
    void Promise.resolve(done).finally(() => {
      sending = false;
      // What was made while the last answer was on its way.
      if (!again) return;
      again = false;
      send();
    });
  };
  return { send, watch: lookAgain, hurry };
}

/** A change was made at most so long after what it tells of, and may tell of something within the day. */
const TOLD_BEFORE_MS = 7 * 86_400_000;
const TOLD_AFTER_MS = 86_400_000;

/** A change with its times set back by so much in all, ms; the same where that is what they are. */
function moveChange(own: PendingChange, setBackMs: number): PendingChange {
  const by = (own.setBackMs ?? 0) - setBackMs;
  const at = Date.parse(own.madeAt ?? '');
  if (by === 0 || Number.isNaN(at)) return own;
  const stretch = [at - TOLD_BEFORE_MS, at + TOLD_AFTER_MS] as const;
  return {
    ...own,
    change: moveMoments(own.change, by, stretch),
    madeAt: new Date(at + by).toISOString(),
    setBackMs,
  };
}

/** What became of sending a change; `stop`: nothing can be sent just now. */
type Sent = 'settled' | 'lost' | 'failed' | 'stop';

/** What a change stands or falls with: its piece, and for paint that was drawn off the work it was for. */
function dependsOn({ pieceId, change }: PendingChange, { pending }: OutboxState): string {
  if (pieceId !== '') return pieceId;
  const work = pending.find((own) => isDrawnFor(change, own.change));
  return work?.pieceId ?? change.type;
}

/**
 * Puts the stored piece into the cache. To be awaited before the change leaves the outbox: in between, the change would
 * be in neither, and what was just answered would vanish for a moment.
 */
async function rememberPiece(dispatch: AppDispatch, id: string, dossier: Dossier): Promise<void> {
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

interface Asked {
  method: string;
  path: string;
  body?: string | Blob;
  headers: Record<string, string>;
  signal: AbortSignal;
}

/** What is asked of the server for a change; null for a picture whose bytes this browser no longer has. */
async function makeRequest({ pieceId, change }: PendingChange): Promise<Asked | null> {
  if (change.type === 'picture_taken') {
    const { photoId, zoneId } = change;
    const body = await findPicture(photoId);
    const path = photoUploadPath(pieceId, photoId, zoneId);
    if (!body) return null;
    const signal = AbortSignal.timeout(PATIENCE_MS + (body.size / SLOWEST_BYTES_PER_S) * 1000);
    return { method: 'PUT', path, body, headers: {}, signal };
  }
  const { body, ...request } = isShelfChange(change)
    ? toShelfRequest(change)
    : isWorkshopChange(change)
      ? toWorkshopRequest(change)
      : toRequest(pieceId, change);
  const signal = AbortSignal.timeout(PATIENCE_MS);
  if (body === undefined) return { ...request, headers: {}, signal };
  return { ...request, body: JSON.stringify(body), headers: { 'Content-Type': 'application/json' }, signal };
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

/** Asks the server for what a change was about. */
async function askAgain(dispatch: AppDispatch, { pieceId, change }: PendingChange): Promise<void> {
  const { getPiece, listTins, getWorkshop } = piecesApi.endpoints;
  const anew = { subscribe: false, forceRefetch: true } as const;
  if (isShelfChange(change)) await dispatch(listTins.initiate(undefined, anew));
  else if (isWorkshopChange(change)) await dispatch(getWorkshop.initiate(undefined, anew));
  else await dispatch(getPiece.initiate(pieceId, anew));
}

async function rememberTins(dispatch: AppDispatch, { tins }: { tins: ShelfItem[] }): Promise<void> {
  await dispatch(piecesApi.util.upsertQueryData('listTins', undefined, tins));
}
