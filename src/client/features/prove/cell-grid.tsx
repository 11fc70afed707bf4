import { View } from '@tamagui/core';
import { useEffect, useMemo } from 'react';
import { Image, ScrollView } from 'react-native';
import { Button, Column, Row, Small } from '@/client/ui';
import { isRowConfirmed, type Confirmed } from '@/core/photo';
import { CELL_GRID_WORDS } from '@/words';

interface CellGridProps {
  cells: readonly (readonly number[])[];
  /** The lattice seen straight on. */
  square: Blob | null;
  confirmed: Confirmed;
  onToggle: (at: number) => void;
  onConfirmRow: (row: number) => void;
}

const SIDE = 300;
/** With a hundred squares each would be too small for a finger: the grid is wider then, and scrolls. */
const FINE_SIDE = 480;

/** The lattice square by square over the picture: a hatched square has lost its coat, a tap puts it right. */
export function CellGrid({ cells, square, confirmed, onToggle, onConfirmRow }: CellGridProps) {
  const url = useMemo(() => (square ? URL.createObjectURL(square) : null), [square]);
  useEffect(() => (url ? () => URL.revokeObjectURL(url) : undefined), [url]);
  const n = cells.length;
  const side = n > 5 ? FINE_SIDE : SIDE;
  return (
    <Column gap="$s">
      <ScrollView horizontal style={{ maxWidth: '100%' }} contentContainerStyle={{ width: side }}>
        <View
          position="relative"
          width={side}
          height={side}
          role="group"
          aria-label={CELL_GRID_WORDS.squaresOfTheLattice}
        >
          {url ? (
            <Image
              source={{ uri: url }}
              style={{ position: 'absolute', width: side, height: side }}
              accessibilityLabel={CELL_GRID_WORDS.theLatticeStraightened}
            />
          ) : null}
          {cells.map((row, r) => (
            <Row key={r} position="relative" height={side / n}>
              {row.map((share, c) => (
                <View
                  key={c}
                  render="button"
                  role="checkbox"
                  aria-checked={share >= 0.5 ? true : share > 0.02 ? 'mixed' : false}
                  aria-label={CELL_GRID_WORDS.rowSquareBare(r + 1, c + 1, Math.round(share * 100))}
                  width={side / n}
                  height={side / n}
                  padding={0}
                  borderWidth={share > 0.02 ? 2 : 1}
                  borderColor={share > 0.02 ? '$stop' : '$line'}
                  backgroundColor="transparent"
                  alignItems="flex-end"
                  justifyContent="flex-end"
                  cursor="pointer"
                  onPress={() => onToggle(r * n + c)}
                  {...{ type: 'button' }}
                >
                  {share > 0.02 ? (
                    <View backgroundColor="$stop" paddingHorizontal={3} borderRadius={2}>
                      <Small color="$onAct" fontSize={n > 5 ? 11 : 13} lineHeight={16}>
                        {String(Math.round(share * 100))}
                      </Small>
                    </View>
                  ) : null}
                </View>
              ))}
            </Row>
          ))}
        </View>
      </ScrollView>
      <Small>{CELL_GRID_WORDS.redSquaresHaveLostCoatWith}</Small>
      <Row gap="$xs" flexWrap="wrap" role="group" aria-label={CELL_GRID_WORDS.confirmRows}>
        {cells.map((_row, r) => {
          const done = isRowConfirmed(confirmed, cells, r);
          return (
            <Button key={r} disabled={done} label={CELL_GRID_WORDS.rowIsRight(r + 1)} onPress={() => onConfirmRow(r)}>
              {done ? CELL_GRID_WORDS.row(r + 1) : CELL_GRID_WORDS.rowIsRight(r + 1)}
            </Button>
          );
        })}
      </Row>
    </Column>
  );
}
