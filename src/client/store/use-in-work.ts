import { useMemo } from 'react';
import { useSelector } from 'react-redux';
import type { Dossier } from '@/core/dossier';
import { isInWork } from '@/core/work';
import { piecesApi, useListInWorkQuery } from './pieces-api';
import type { RootState } from './store';
import { overlay } from './overlay';

export interface InWork {
  /** Pieces in work as the owner sees them: the server's with the changes still on their way. */
  pieces: Dossier[] | undefined;
  /** How many pieces the shop has, in work or not. */
  total: number;
  loading: boolean;
  failed: boolean;
  retry: () => void;
}

export function useInWork(): InWork {
  const { data, error, isLoading, refetch } = useListInWorkQuery();
  const pending = useSelector((state: RootState) => state.outbox.pending);
  const state = useSelector((root: RootState) => (pending.length === 0 ? null : root));
  const pieces = useMemo(() => {
    if (!data) return undefined;
    if (!state) return data.pieces;
    const ids = new Set(data.pieces.map(({ piece }) => piece.id));
    // A piece whose system was just taken is not in the list yet, but it is at hand.
    const fresh = [...new Set(pending.map(({ pieceId }) => pieceId))].filter((id) => id !== '' && !ids.has(id));
    return [
      ...fresh.map((id) => overlay(piecesApi.endpoints.getPiece.select(id)(state).data, pending, id)),
      ...data.pieces.map((dossier) => overlay(dossier, pending, dossier.piece.id ?? '')),
    ].filter((dossier): dossier is Dossier => dossier !== undefined && isInWork(dossier));
  }, [data, pending, state]);
  return {
    pieces,
    total: (data?.total ?? 0) + pending.filter(({ change }) => change.type === 'piece_met').length,
    loading: isLoading,
    failed: error !== undefined && !data,
    retry: () => void refetch(),
  };
}
