import { useState } from 'react';
import type { PieceParts } from '@/client/features/piece-frame';
import { useMeasures } from '@/client/store';
import { Column, Field, Row, Small } from '@/client/ui';
import { KIND_TEMPLATES, remeasure, type Size } from '@/core/templates';
import { SIZE_FIELDS_WORDS, nameNewZone } from '@/words';

const SIDES = [
  ['width', SIZE_FIELDS_WORDS.width],
  ['depth', SIZE_FIELDS_WORDS.depth],
  ['height', SIZE_FIELDS_WORDS.height],
] as const;
const MOST_SIDE_MM = 10_000;

/** Its three sides: areas that were worked out follow. */
export function SizeFields({ dossier, change }: PieceParts) {
  const gauge = useMeasures().gauge('side_mm');
  const size: Size = dossier.piece.size_mm ?? KIND_TEMPLATES[dossier.piece.kind].size;
  const [typed, setTyped] = useState<Partial<Record<keyof Size, string>>>({});
  const read = (side: keyof Size): number =>
    typed[side] === undefined ? size[side] : (gauge.read(typed[side], size[side]) ?? NaN);
  const isRight = (mm: number): boolean => mm > 0 && mm <= MOST_SIDE_MM;
  const keep = (): void => {
    const next = { width: read('width'), depth: read('depth'), height: read('height') };
    const changed = SIDES.some(([side]) => next[side] !== size[side]);
    if (!changed || !SIDES.every(([side]) => isRight(next[side]))) return;
    remeasure(dossier, { size_mm: next }, nameNewZone).forEach((own) => change(own));
    setTyped({});
  };
  return (
    <Column gap="$s">
      <Row gap="$s">
        {SIDES.map(([side, label]) => (
          <Field
            key={side}
            label={label}
            unit={gauge.unit}
            numeric
            value={typed[side] ?? gauge.write(size[side])}
            onChange={(text) => setTyped({ ...typed, [side]: text })}
            onBlur={keep}
            error={isRight(read(side)) ? undefined : SIZE_FIELDS_WORDS.moreThan0AtMost(gauge.say(MOST_SIDE_MM))}
          />
        ))}
      </Row>
      <Small>{SIZE_FIELDS_WORDS.aRoughGuessWillDoAreas}</Small>
    </Column>
  );
}
