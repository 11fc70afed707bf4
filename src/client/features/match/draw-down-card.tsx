import { useState } from 'react';
import { MarkedPicture, type MarkedPart } from '@/client/features/picture';
import { Body, Button, Column, FigureBlock, Notice, Small, printSvg } from '@/client/ui';
import type { ShelfItem } from '@/core/dossier';
import { drawCard } from '@/core/film';
import { estimateContrastRatio } from '@/core/knowledge';
import { CARD_WORDS, DRAW_DOWN_CARD_WORDS, sayDecimal } from '@/words';

const PARTS: readonly MarkedPart[] = [
  { code: 'white', label: DRAW_DOWN_CARD_WORDS.bareWhite, start: { x: 0.15, y: 0.12, width: 0.7, height: 0.12 } },
  {
    code: 'overBlack',
    label: DRAW_DOWN_CARD_WORDS.coatOverBlack,
    start: { x: 0.14, y: 0.4, width: 0.3, height: 0.35 },
  },
  {
    code: 'overWhite',
    label: DRAW_DOWN_CARD_WORDS.coatOverWhite,
    start: { x: 0.56, y: 0.4, width: 0.3, height: 0.35 },
  },
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
      <Body>{DRAW_DOWN_CARD_WORDS.printTheCardAtItsSize}</Body>
      <Button onPress={() => printSvg(drawCard({ ...CARD_WORDS, tin: name }))}>
        {DRAW_DOWN_CARD_WORDS.printTheCard}
      </Button>
      <MarkedPicture
        parts={PARTS}
        action={DRAW_DOWN_CARD_WORDS.readTheCard}
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
            figure={sayDecimal(read.ratio, 2)}
            words={DRAW_DOWN_CARD_WORDS.overBlackAsAgainstOverWhite(read.ratio, read.why)}
          />
          <Button look="main" onPress={() => onKeep({ ...tin, contrast_ratio: read.ratio })}>
            {DRAW_DOWN_CARD_WORDS.keepItWithTheTin}
          </Button>
        </>
      ) : null}
      {known === undefined ? (
        <Small>
          {byClass === null
            ? DRAW_DOWN_CARD_WORDS.soFarItsClassIsGone
            : DRAW_DOWN_CARD_WORDS.soFarTheClassIsGone(byClass)}
        </Small>
      ) : (
        <Notice tone="go" title={DRAW_DOWN_CARD_WORDS.measured(sayDecimal(known, 2))}>
          {DRAW_DOWN_CARD_WORDS.plansCountTheCoatsOfThis}
        </Notice>
      )}
      {known === undefined ? null : (
        <Button
          onPress={() => {
            const { contrast_ratio: _ratio, ...without } = tin;
            onKeep(without);
          }}
        >
          {DRAW_DOWN_CARD_WORDS.goByTheClassAgain}
        </Button>
      )}
    </Column>
  );
}
