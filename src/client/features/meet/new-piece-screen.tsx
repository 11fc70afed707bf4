import { router } from 'expo-router';
import { useDispatch } from 'react-redux';
import { BackHeader, Screen } from '@/client/features/piece-frame';
import { changeMade, makeId, useGetKerbQuery, useWorkshop, type AppDispatch } from '@/client/store';
import { Body, Column, Heading } from '@/client/ui';
import { DOSSIER_FORMAT, numberName, startWishes, type Dossier } from '@/core/dossier';
import { KIND_LABELS, type PieceKind } from '@/core/knowledge';
import { buildTemplate, KIND_TEMPLATES } from '@/core/templates';

import { KindTiles } from './kind-tiles';
import { NEW_PIECE_SCREEN_WORDS, nameNewZone } from '@/words';

/** A new piece: one tap on what it is. Everything else has a sensible start and is put right on Meet. */
export function NewPieceScreen() {
  const dispatch = useDispatch<AppDispatch>();
  const { region } = useWorkshop().workshop.setup;
  const { data } = useGetKerbQuery(undefined, { refetchOnMountOrArgChange: true });
  const numbered = (kind: PieceKind): number => data?.kinds.find((own) => own.kind === kind)?.numbered ?? 0;
  const pick = (kind: PieceKind): void => {
    const id = makeId();
    const change = { type: 'piece_met' as const, dossier: meetPiece(id, kind, region, numbered(kind)) };
    dispatch(changeMade({ id: makeId(), pieceId: id, change }));
    router.replace(`/piece/${id}/meet`);
  };
  return (
    <Screen title={NEW_PIECE_SCREEN_WORDS.newPiece} header={<BackHeader title={NEW_PIECE_SCREEN_WORDS.newPiece} />}>
      <Column gap="$m">
        <Heading>{NEW_PIECE_SCREEN_WORDS.whatIsIt}</Heading>
        <Body>{NEW_PIECE_SCREEN_WORDS.oneTapAddsItAndSays}</Body>
        <KindTiles onPick={pick} />
      </Column>
    </Screen>
  );
}

/** The piece as it is met: zones and wishes by its kind and usual size. */
function meetPiece(id: string, kind: PieceKind, region: string | undefined, numbered: number): Dossier {
  const { zones } = buildTemplate(kind, undefined, undefined, nameNewZone);
  const { size } = KIND_TEMPLATES[kind];
  return {
    format: DOSSIER_FORMAT,
    piece: {
      id,
      kind,
      name: numberName(KIND_LABELS[kind], numbered),
      size_mm: { ...size },
      ...(region ? { region } : {}),
    },
    zones,
    goal: startWishes(zones),
  };
}
