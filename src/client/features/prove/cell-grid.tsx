import { View } from '@tamagui/core';
import { useEffect, useMemo } from 'react';
import { Image, ScrollView } from 'react-native';
import { Button, Column, Row, Small } from '@/client/ui';
import { isRowConfirmed, type Confirmed } from '@/core/photo';

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
        <View position="relative" width={side} height={side} role="group" aria-label="Squares of the lattice">
          {url ? (
            <Image
              source={{ uri: url }}
              style={{ position: 'absolute', width: side, height: side }}
              accessibilityLabel="The lattice, straightened"
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
                  aria-label={`Row ${r + 1}, square ${c + 1}: ${Math.round(share * 100)} % bare`}
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
      <Small>Red squares have lost coat, with how much in percent. Tap one to turn it over.</Small>
      <Row gap="$xs" flexWrap="wrap" role="group" aria-label="Confirm rows">
        {cells.map((_row, r) => {
          const done = isRowConfirmed(confirmed, cells, r);
          return (
            <Button key={r} disabled={done} label={`Row ${r + 1} is right`} onPress={() => onConfirmRow(r)}>
              {done ? `Row ${r + 1} ✓` : `Row ${r + 1} is right`}
            </Button>
          );
        })}
      </Row>
    </Column>
  );
}
