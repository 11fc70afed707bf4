import { router, useLocalSearchParams, usePathname } from 'expo-router';
import type { ReactNode } from 'react';
import { useChange, usePiece } from '@/client/store';
import { Button, Notice } from '@/client/ui';
import type { Dossier, PieceChange } from '@/core/dossier';
import { Guide } from './late';
import { PieceHeader } from './piece-header';
import { Screen } from './screen';
import { Skeleton, Unreachable } from './waiting-states';
import { PIECE_SCREEN_WORDS } from '@/words';

export interface PieceParts {
  dossier: Dossier;
  change: (change: PieceChange) => void;
}

interface PieceScreenProps {
  stage: string;
  note?: (dossier: Dossier) => string;
  children: (parts: PieceParts) => ReactNode;
  action?: (parts: PieceParts) => ReactNode;
}

export const useRouteParam = (name: string): string => {
  const value = useLocalSearchParams()[name];
  return typeof value === 'string' ? value : '';
};

/** A screen of one piece, with its states of loading, missing and out of reach. */
export function PieceScreen({ stage, note, children, action }: PieceScreenProps) {
  const id = useRouteParam('id');
  const path = usePathname();
  const { dossier, loading, error, retry } = usePiece(id);
  const change = useChange(id);
  if (!dossier) {
    return (
      <Screen title={stage} header={<PieceHeader id={id} name={loading ? 'Opening…' : 'Piece'} note="" />}>
        {loading ? <Skeleton /> : null}
        {error === 'missing' ? (
          <Notice
            tone="stop"
            title={PIECE_SCREEN_WORDS.thereIsNoSuchPiece}
            action={<Button onPress={() => router.replace('/pieces')}>{PIECE_SCREEN_WORDS.allPieces}</Button>}
          >
            {PIECE_SCREEN_WORDS.itMayHaveBeenRemovedOr}
          </Notice>
        ) : null}
        {error === 'unreachable' ? <Unreachable retry={retry} /> : null}
      </Screen>
    );
  }
  const parts = { dossier, change };
  const name = dossier.piece.name ?? id;
  return (
    <Screen
      title={`${name}: ${stage}`}
      header={<PieceHeader id={id} name={name} note={note?.(dossier) ?? ''} />}
      action={action?.(parts)}
    >
      <Guide card={path.split('/').at(-1) ?? ''} />
      {children(parts)}
    </Screen>
  );
}
