import { useState } from 'react';
import { Coloured, OwnColour } from '@/client/features/colour';
import { Body, Column, Notice, Row, Small, Strong, Swatch } from '@/client/ui';
import type { ShelfItem } from '@/core/dossier';
import { labelProduct, isPaint, type ProductClass } from '@/core/knowledge';
import { rankTins } from '@/core/colour';
import { sayColourWays } from '@/words';
import { ColourFromPicture } from './colour-from-picture';

/** Which of the tins comes nearest to a colour, and which way the others are off. */
export function MatchTins({ tins }: { tins: readonly ShelfItem[] }) {
  const [colour, setColour] = useState<string | null>(null);
  const own = tins.flatMap(({ id, name, class: code, colour: hex }) =>
    hex && isPaint(code) ? [{ id, name: name ?? labelProduct(code as ProductClass), colour: hex }] : [],
  );
  const nameOf = (id: string): string => own.find((tin) => tin.id === id)?.name ?? id;
  return (
    <Column gap="$m">
      <ColourFromPicture what="the part that is to be met" onRead={setColour} />
      <OwnColour key={colour ?? ''} label="Or type it" colour={colour ?? '#FFFFFF'} onPick={setColour} />
      {colour ? (
        <>
          <Coloured colour={colour} />
          {own.length === 0 ? (
            <Notice tone="wait" title="No tin with a colour">
              Give your tins of paint their colour on Shelf, and they are held against it here.
            </Notice>
          ) : null}
          <Column role="list" aria-label="Tins, nearest first" gap="$s">
            {rankTins(colour, own).map(({ tin, de, ways, withinError }) => (
              <Row key={tin} role="listitem" gap="$s" alignItems="center">
                <Swatch colour={own.find(({ id }) => id === tin)!.colour} />
                <Column flex={1}>
                  <Strong>{nameOf(tin)}</Strong>
                  <Body>{`It is ${sayColourWays(ways, nameOf(tin))}.`}</Body>
                  <Small>{`ΔE00 ${de.toFixed(1)}${withinError ? ': nearer than a phone can tell' : ''}`}</Small>
                </Column>
              </Row>
            ))}
          </Column>
          <Small>
            A phone is good to about ΔE 3 to 5, a paint shop’s instrument to less than 1: for an exact match take the
            door along.
          </Small>
        </>
      ) : null}
    </Column>
  );
}
