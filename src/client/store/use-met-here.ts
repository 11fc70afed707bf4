import { useMemo } from 'react';
import { useSelector } from 'react-redux';
import type { Dossier } from '@/core/dossier';
import { overlay } from './overlay';
import type { RootState } from './store';

/** New pieces that the server has not got yet, the newest first: no list of its knows them. */
export function useMetHere(): { id: string; piece: Dossier['piece'] }[] {
  const pending = useSelector((state: RootState) => state.outbox.pending);
  return useMemo(
    () =>
      pending
        .flatMap(({ pieceId, change }) =>
          change.type === 'piece_met'
            ? [{ id: pieceId, piece: overlay(undefined, pending, pieceId)?.piece ?? change.dossier.piece }]
            : [],
        )
        .reverse(),
    [pending],
  );
}
