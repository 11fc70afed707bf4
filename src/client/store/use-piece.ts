import { useCallback, useMemo } from 'react';
import { useDispatch, useSelector } from 'react-redux';
import type { Dossier, PieceChange } from '@/core/dossier';
import { changeMade } from './outbox';
import { overlay } from './overlay';
import { useGetPieceQuery } from './pieces-api';
import type { AppDispatch, RootState } from './store';

export const makeId = (): string => globalThis.crypto.randomUUID();

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
export function useChange(pieceId: string): (change: PieceChange, said?: string) => void {
  const dispatch = useDispatch<AppDispatch>();
  return useCallback(
    (change, said) => void dispatch(changeMade({ id: makeId(), pieceId, change, ...(said ? { said } : {}) })),
    [dispatch, pieceId],
  );
}
