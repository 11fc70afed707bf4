import { useMemo } from 'react';
import { useSelector } from 'react-redux';
import type { Dossier } from '@/core/dossier';
import { useListPiecesQuery } from './pieces-api';
import type { RootState } from './store';
import { overlay } from './use-piece';

/** All pieces as the owner sees them: the server's with the changes still on their way. */
export function usePieces(): { pieces: Dossier[] | undefined; loading: boolean; failed: boolean; retry: () => void } {
  const { data, error, isLoading, refetch } = useListPiecesQuery();
  const pending = useSelector((state: RootState) => state.outbox.pending);
  const pieces = useMemo(() => {
    if (!data) return undefined;
    if (pending.length === 0) return data;
    const ids = new Set(data.map((dossier) => dossier.piece.id));
    const fresh = [...new Set(pending.map(({ pieceId }) => pieceId))].filter((id) => id !== '' && !ids.has(id));
    const all = [
      ...fresh.map((id) => overlay(undefined, pending, id)),
      ...data.map((dossier) => overlay(dossier, pending, dossier.piece.id ?? '')),
    ];
    return all.filter((dossier) => dossier !== undefined);
  }, [data, pending]);
  return { pieces, loading: isLoading, failed: error !== undefined && !data, retry: () => void refetch() };
}
