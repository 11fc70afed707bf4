import { useState } from 'react';
import { MarkedPicture, type MarkedPart } from '@/client/features/picture';
import { Body, Button, Column, FigureBlock, Notice, Small, printSvg } from '@/client/ui';
import type { ShelfItem } from '@/core/dossier';
import { drawCard } from '@/core/film';
import { estimateContrastRatio } from '@/core/knowledge';
import { CARD_WORDS } from '@/words';

const PARTS: readonly MarkedPart[] = [
  { code: 'white', label: 'Bare white', start: { x: 0.15, y: 0.12, width: 0.7, height: 0.12 } },
  { code: 'overBlack', label: 'Coat over black', start: { x: 0.14, y: 0.4, width: 0.3, height: 0.35 } },
  { code: 'overWhite', label: 'Coat over white', start: { x: 0.56, y: 0.4, width: 0.3, height: 0.35 } },
];

interface DrawDownCardProps {
  tin: ShelfItem;
  name: string;
  onKeep: (tin: ShelfItem) => void;
}

/** How well one coat of a tin hides, on a printed card: the figure takes the place of the class's. */
export function DrawDownCard({ tin, name, onKeep }: DrawDownCardProps) {
  const [read, setRead] = useState<{ ratio: number; why: string } | null>(null);
  const known = tin.contrast_ratio;
  const byClass = tin.colour ? estimateContrastRatio(tin.colour) : null;
  return (
    <Column gap="$m">
      <Body>
        Print the card at its size, check its line with a ruler, and put one coat across both halves as you paint a
        piece. When it is dry, photograph the whole card.
      </Body>
      <Button onPress={() => printSvg(drawCard({ ...CARD_WORDS, tin: name }))}>Print the card</Button>
      <MarkedPicture
        parts={PARTS}
        action="Read the card"
        read={async (reader, { white, overBlack, overWhite }) => {
          const answer = await reader.readDrawDown({ white: white!, overBlack: overBlack!, overWhite: overWhite! });
          if ('kind' in answer) return answer.message;
          if (!answer.usable) return answer.why;
          setRead({ ratio: answer.contrast_ratio, why: answer.why });
          return null;
        }}
      />
      {read ? (
        <>
          <FigureBlock
            figure={read.ratio.toFixed(2)}
            words={`over black as against over white. ${read.ratio >= 0.98 ? 'One coat hides.' : 'One coat does not hide; the plan counts how many do.'} ${read.why}`}
          />
          <Button look="main" onPress={() => onKeep({ ...tin, contrast_ratio: read.ratio })}>
            Keep it with the tin
          </Button>
        </>
      ) : null}
      {known === undefined ? (
        <Small>
          {byClass === null ? 'So far its class is gone by.' : `So far the class is gone by: about ${byClass}.`}
        </Small>
      ) : (
        <Notice tone="go" title={`Measured: ${known.toFixed(2)}`}>
          Plans count the coats of this tin by it.
        </Notice>
      )}
      {known === undefined ? null : (
        <Button
          onPress={() => {
            const { contrast_ratio: _ratio, ...without } = tin;
            onKeep(without);
          }}
        >
          Go by the class again
        </Button>
      )}
    </Column>
  );
}
