import { useCallback, useMemo } from 'react';
import { useDispatch, useSelector } from 'react-redux';
import { applyChange, isShelfChange, type Dossier, type PieceChange } from '@/core/dossier';
import { isWorkshopChange } from '@/core/workshop';
import { changeMade, type PendingChange } from './outbox';
import { useGetPieceQuery } from './pieces-api';
import type { AppDispatch, RootState } from './store';

export const makeId = (): string => globalThis.crypto.randomUUID();

/** The piece as the owner sees it: what the server holds with the changes that are still on their way. */
export function overlay(
  stored: Dossier | undefined,
  pending: readonly PendingChange[],
  pieceId: string,
): Dossier | undefined {
  return pending
    .filter((entry) => entry.pieceId === pieceId)
    .reduce<Dossier | undefined>(
      (dossier, { change }) =>
        isShelfChange(change) || isWorkshopChange(change) ? dossier : applyChange(dossier, change),
      stored,
    );
}

export interface PieceView {
  dossier: Dossier | undefined;
  loading: boolean;
  /** 404 is a piece that is not there; anything else is a server that is not. */
  error: 'missing' | 'unreachable' | null;
  retry: () => void;
}

export function usePiece(pieceId: string): PieceView {
  const pending = useSelector((state: RootState) => state.outbox.pending);
  const { data, error, isLoading, refetch } = useGetPieceQuery(pieceId, { skip: pieceId === '' });
  const dossier = useMemo(() => overlay(data, pending, pieceId), [data, pending, pieceId]);
  const missing = error !== undefined && 'status' in error && error.status === 404;
  const failure = dossier || error === undefined ? null : missing ? 'missing' : 'unreachable';
  return { dossier, loading: isLoading && !dossier, error: failure, retry: () => void refetch() };
}

/** Makes a change: it shows at once and is stored as soon as the server has it. */
export function useChange(pieceId: string): (change: PieceChange) => void {
  const dispatch = useDispatch<AppDispatch>();
  return useCallback((change) => void dispatch(changeMade({ id: makeId(), pieceId, change })), [dispatch, pieceId]);
}
