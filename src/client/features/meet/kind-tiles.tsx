import { View } from '@tamagui/core';
import { useMemo, useState } from 'react';
import { Button, Column, PieceDrawing, Pressed, Strong } from '@/client/ui';
import { useGetKerbQuery } from '@/client/store';
import { PIECE_KINDS, type PieceKind, KIND_LABELS } from '@/core/knowledge';
import { buildTemplate } from '@/core/templates';
import { KIND_TILES_WORDS } from '@/words';

/** As many as fit a phone's first screen, two abreast. */
const SHOWN_FIRST = 6;

/** Kinds of piece as drawings: those this shop meets most, the rest behind one tap. */
export function KindTiles({ onPick }: { onPick: (kind: PieceKind) => void }) {
  const { data } = useGetKerbQuery(undefined, { refetchOnMountOrArgChange: true });
  const [all, setAll] = useState(false);
  const kinds = useMemo(() => {
    const met = (data?.kinds ?? []).map(({ kind }) => kind);
    return [...met, ...PIECE_KINDS.filter((kind) => !met.includes(kind))];
  }, [data]);
  const shown = all ? kinds : kinds.slice(0, SHOWN_FIRST);
  return (
    <Column gap="$m">
      <View flexDirection="row" flexWrap="wrap" gap="$s" role="group" aria-label={KIND_TILES_WORDS.kindOfPiece}>
        {shown.map((kind) => (
          <Pressed
            key={kind}
            flexGrow={1}
            flexBasis={150}
            maxWidth={240}
            alignItems="center"
            gap="$xs"
            padding="$s"
            onPress={() => onPick(kind)}
            {...{ type: 'button' }}
          >
            <PieceDrawing shapes={buildTemplate(kind).shapes} width={130} height={82} />
            <Strong textAlign="center">{KIND_LABELS[kind]}</Strong>
          </Pressed>
        ))}
      </View>
      {all ? null : (
        <Button onPress={() => setAll(true)}>{KIND_TILES_WORDS.otherKinds(kinds.length - shown.length)}</Button>
      )}
    </Column>
  );
}
