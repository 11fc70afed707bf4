import { useStore } from 'react-redux';
import { overlay } from './overlay';
import { piecesApi } from './pieces-api';
import type { RootState } from './store';
import { USE_PIECE_NAME_WORDS } from '@/words';

/** What a piece is called, as far as it is at hand. */
export function usePieceName(): (id: string) => string {
  const { getState } = useStore<RootState>();
  return (id) => {
    const state = getState();
    const { data } = piecesApi.endpoints.getPiece.select(id)(state);
    return overlay(data, state.outbox.pending, id)?.piece.name ?? USE_PIECE_NAME_WORDS.aPiece;
  };
}
