import { useState } from 'react';
import { Coloured, OwnColour } from '@/client/features/colour';
import { Body, Column, Notice, Row, Small, Strong, Swatch } from '@/client/ui';
import type { ShelfItem } from '@/core/dossier';
import { labelProduct, isPaint, type ProductClass } from '@/core/knowledge';
import { rankTins } from '@/core/colour';
import { MATCH_TINS_WORDS, sayColourWays, sayDecimal } from '@/words';
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
      <ColourFromPicture what={MATCH_TINS_WORDS.thePartThatIsToBe} onRead={setColour} />
      <OwnColour key={colour ?? ''} label={MATCH_TINS_WORDS.orTypeIt} colour={colour ?? '#FFFFFF'} onPick={setColour} />
      {colour ? (
        <>
          <Coloured colour={colour} />
          {own.length === 0 ? (
            <Notice tone="wait" title={MATCH_TINS_WORDS.noTinWithAColour}>
              {MATCH_TINS_WORDS.giveYourTinsOfPaintTheir}
            </Notice>
          ) : null}
          <Column role="list" aria-label={MATCH_TINS_WORDS.tinsNearestFirst} gap="$s">
            {rankTins(colour, own).map(({ tin, de, ways, withinError }) => (
              <Row key={tin} role="listitem" gap="$s" alignItems="center">
                <Swatch colour={own.find(({ id }) => id === tin)!.colour} />
                <Column flex={1}>
                  <Strong>{nameOf(tin)}</Strong>
                  <Body>{MATCH_TINS_WORDS.itIs(sayColourWays(ways, nameOf(tin)))}</Body>
                  <Small>{MATCH_TINS_WORDS.e00(sayDecimal(de, 1), withinError)}</Small>
                </Column>
              </Row>
            ))}
          </Column>
          <Small>{MATCH_TINS_WORDS.aPhoneIsGoodToAbout}</Small>
        </>
      ) : null}
    </Column>
  );
}
