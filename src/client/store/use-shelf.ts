import { useCallback, useMemo } from 'react';
import { useDispatch, useSelector } from 'react-redux';
import { applyShelfChange, isShelfChange, type ShelfChange, type ShelfItem } from '@/core/dossier';
import { changeMade } from './outbox';
import { useListTinsQuery } from './pieces-api';
import type { AppDispatch, RootState } from './store';
import { makeId } from './use-piece';

const NONE: readonly ShelfItem[] = [];

/** The shop's tins as the owner sees them: what the server holds with the changes still on their way. */
export function useShelf(): readonly ShelfItem[] {
  const { data } = useListTinsQuery();
  const pending = useSelector((state: RootState) => state.outbox.pending);
  return useMemo(
    () =>
      pending.reduce<readonly ShelfItem[]>(
        (tins, { change }) => (isShelfChange(change) ? applyShelfChange(tins, change) : tins),
        data ?? NONE,
      ),
    [data, pending],
  );
}

export function useShelfChange(): (change: ShelfChange) => void {
  const dispatch = useDispatch<AppDispatch>();
  return useCallback((change) => void dispatch(changeMade({ id: makeId(), pieceId: '', change })), [dispatch]);
}
