import { useCallback, useMemo } from 'react';
import { useDispatch, useSelector } from 'react-redux';
import type { ShelfChange, ShelfItem } from '@/core/dossier';
import { changeMade } from './outbox';
import { overlayShelf } from './overlay';
import { useListTinsQuery } from './pieces-api';
import type { AppDispatch, RootState } from './store';
import { makeId } from './use-piece';

const NONE: readonly ShelfItem[] = [];

/** The shop's tins as the owner sees them: what the server holds with the changes still on their way. */
export function useShelf(): readonly ShelfItem[] {
  const { data } = useListTinsQuery();
  const pending = useSelector((state: RootState) => state.outbox.pending);
  return useMemo(() => overlayShelf(data ?? NONE, pending), [data, pending]);
}

export function useShelfChange(): (change: ShelfChange) => void {
  const dispatch = useDispatch<AppDispatch>();
  return useCallback((change) => void dispatch(changeMade({ id: makeId(), pieceId: '', change })), [dispatch]);
}
