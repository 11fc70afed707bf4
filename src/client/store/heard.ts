import { QueryStatus } from '@reduxjs/toolkit/query';
import type { LiveChange } from '@/contract';
import { countHeard } from './heard-count';
import { overlay, overlayShelf, overlayWorkshop } from './overlay';
import { findReplaced, replacedHeard } from './replaced';
import { piecesApi } from './pieces-api';
import type { AppDispatch, AppGetState } from './store';

/**
 * Asks anew for what others changed, as far as it is at hand; for everything that is looked at where that is not known. What
 * they replaced of what was just set here is noted.
 */
export const heardOf =
  (changes: readonly LiveChange[] | 'all') =>
  async (dispatch: AppDispatch, getState: AppGetState): Promise<void> => {
    // A new order of the work is not a change of what is kept.
    if (changes === 'all' || changes.some(({ order }) => !order)) countHeard();
    if (changes === 'all') return void dispatch(piecesApi.internalActions.onOnline());
    const { getPiece, listInWork, listTins, getWorkshop, getOrder } = piecesApi.endpoints;
    const anew = { subscribe: false, forceRefetch: true } as const;
    const pieces = new Set(changes.flatMap(({ piece }) => piece ?? []));
    const state = getState();
    await Promise.all([
      ...[...pieces]
        .filter((id) => isLookedAt(getPiece.select(id)(state)))
        .map((id) => askAnew(() => dispatch(getPiece.initiate(id, anew)), isAsked(getPiece.select(id)(state)))),
      ...(pieces.size > 0 && isLookedAt(listInWork.select()(state))
        ? [askAnew(() => dispatch(listInWork.initiate(undefined, anew)), isAsked(listInWork.select()(state)))]
        : []),
      ...(changes.some(({ shelf }) => shelf)
        ? [askAnew(() => dispatch(listTins.initiate(undefined, anew)), isAsked(listTins.select()(state)))]
        : []),
      ...(changes.some(({ workshop }) => workshop)
        ? [askAnew(() => dispatch(getWorkshop.initiate(undefined, anew)), isAsked(getWorkshop.select()(state)))]
        : []),
      ...(changes.some(({ order }) => order) && isLookedAt(getOrder.select()(state))
        ? [askAnew(() => dispatch(getOrder.initiate(undefined, anew)), isAsked(getOrder.select()(state)))]
        : []),
    ]);
    if (pieces.size > 0) dispatch(piecesApi.util.invalidateTags(['Summaries']));
    const now = getState();
    const replaced = findReplaced(now.replaced.own, changes, {
      piece: (id) => overlay(getPiece.select(id)(now).data, now.outbox.pending, id),
      tins: mapped(listTins.select()(now).data, (tins) => overlayShelf(tins, now.outbox.pending)),
      workshop: mapped(getWorkshop.select()(now).data, (shop) => overlayWorkshop(shop, now.outbox.pending)),
    });
    if (replaced.length > 0) dispatch(replacedHeard(replaced));
  };

interface Question {
  status: QueryStatus;
  data?: unknown;
}
const isAsked = ({ status }: Question): boolean => status === QueryStatus.pending;

/** Whether an answer is at hand, or on its way for the first time: that one may be of before what was heard. */
export const isLookedAt = (question: Question): boolean => question.data !== undefined || isAsked(question);

/**
 * Asks for what is there now. A question that is on its way already is not asked a second time by the cache, and its answer
 * may be of before what was heard: it is waited for, and then asked anew.
 */
export async function askAnew(ask: () => PromiseLike<unknown>, isOnItsWay: boolean): Promise<void> {
  if (isOnItsWay) await ask();
  await ask();
}

const mapped = <T, R>(value: T | undefined, of: (known: T) => R): R | undefined =>
  value === undefined ? undefined : of(value);
