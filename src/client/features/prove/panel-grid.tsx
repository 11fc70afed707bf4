import { View } from '@tamagui/core';
import { ScrollView } from 'react-native';
import { makeId, timeNow } from '@/client/store';
import { Column, Row, Small, Strong, ToneIcon, type Tone } from '@/client/ui';
import type { Dossier, Panel, Test } from '@/core/dossier';
import { TEST_KIND_FACTS } from '@/core/knowledge';
import { layGrid, tapCell, type GridCell, type GridColumn } from '@/core/panel';
import { lowerFirst } from '@/core/shared';
import { CELL_WORDS, PANEL_GRID_WORDS, sayMoment } from '@/words';

const TONES: Record<NonNullable<GridCell['verdict']>, Tone> = {
  pass: 'go',
  fail: 'stop',
  early: 'wait',
  incomplete: 'wait',
};
const CELL = 76;

interface PanelGridProps {
  dossier: Dossier;
  panel: Panel;
  onLog: (test: Test & { id: string }) => void;
  onWithdraw: (id: string) => void;
}

/** Strips by what may be read now: a tap says that it held, the next that it did not, the last takes it back. */
export function PanelGrid({ dossier, panel, onLog, onWithdraw }: PanelGridProps) {
  const { columns, cells } = layGrid(dossier, panel, timeNow());
  if (columns.length === 0) return null;
  const tap = (cell: GridCell): void => {
    const made = tapCell(panel, cell, { now: timeNow(), id: makeId() });
    if ('withdraw' in made) onWithdraw(made.withdraw);
    else onLog(made.test);
  };
  return (
    <Column gap="$xs" role="group" aria-label={PANEL_GRID_WORDS.readTheStrips}>
      <Strong>{PANEL_GRID_WORDS.readTheStrips}</Strong>
      <Small>{PANEL_GRID_WORDS.howToTap}</Small>
      <ScrollView horizontal style={{ maxWidth: '100%' }} contentContainerStyle={{ flexDirection: 'column' }}>
        <Row gap={4} alignItems="flex-end">
          <View width={40} />
          {columns.map((column) => (
            <Small key={keyOf(column)} width={CELL} fontSize={12} lineHeight={15} aria-hidden>
              {nameColumn(column)}
            </Small>
          ))}
        </Row>
        {panel.strips.map(({ code }) => (
          <Row
            key={code}
            gap={4}
            alignItems="center"
            marginTop={4}
            role="group"
            aria-label={PANEL_GRID_WORDS.strip(code)}
          >
            <Strong width={40}>{code}</Strong>
            {cells
              .filter(({ strip }) => strip === code)
              .map((cell) => (
                <CellButton key={keyOf(cell.column)} cell={cell} onPress={() => tap(cell)} />
              ))}
          </Row>
        ))}
      </ScrollView>
    </Column>
  );
}

const keyOf = ({ moment, kind }: GridColumn): string => `${kind}/${moment.on ?? moment.bleedAt}`;
const nameColumn = ({ moment, kind }: GridColumn): string =>
  moment.bleedAt ? sayMoment(moment) : PANEL_GRID_WORDS.on(TEST_KIND_FACTS[kind].label, moment.on === 'primer');

function CellButton({ cell, onPress }: { cell: GridCell; onPress: () => void }) {
  const { strip, column, mark, verdict, open } = cell;
  const words = mark ? CELL_WORDS[mark] : verdict ? PANEL_GRID_WORDS.verdicts[verdict] : PANEL_GRID_WORDS.notRead;
  const tone = verdict && TONES[verdict];
  return (
    <View
      render="button"
      width={CELL}
      minHeight={48}
      padding={4}
      gap={2}
      borderWidth={1}
      borderColor={tone ? `$${tone}` : '$line'}
      borderRadius="$corner"
      backgroundColor={tone ? `$${tone}Tint` : open ? '$card' : '$ground'}
      alignItems="center"
      justifyContent="center"
      cursor={open ? 'pointer' : 'default'}
      aria-disabled={!open}
      aria-label={PANEL_GRID_WORDS.cell(strip, lowerFirst(nameColumn(column)), lowerFirst(words))}
      onPress={open ? onPress : undefined}
      {...{ type: 'button' }}
    >
      {tone ? <ToneIcon tone={tone} size={16} /> : null}
      <Small fontSize={12} lineHeight={15} color="$ink" textAlign="center">
        {tone || open ? words : ''}
      </Small>
    </View>
  );
}
