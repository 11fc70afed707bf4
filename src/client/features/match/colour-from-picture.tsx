import { useState } from 'react';
import { MarkedPicture, type MarkedPart } from '@/client/features/picture';
import { Body, Column, Small, Toggle } from '@/client/ui';
import { COLOUR_FROM_PICTURE_WORDS } from '@/words';

const PAPER: MarkedPart = {
  code: 'white',
  label: COLOUR_FROM_PICTURE_WORDS.whitePaper,
  start: { x: 0.12, y: 0.1, width: 0.76, height: 0.14 },
};
const PART: MarkedPart = {
  code: 'part',
  label: COLOUR_FROM_PICTURE_WORDS.theColour,
  start: { x: 0.15, y: 0.45, width: 0.3, height: 0.35 },
};
const GREY: MarkedPart = {
  code: 'grey',
  label: COLOUR_FROM_PICTURE_WORDS.greyCard,
  start: { x: 0.58, y: 0.45, width: 0.25, height: 0.35 },
};

interface ColourFromPictureProps {
  /** What is to be photographed. */
  what: string;
  onRead: (colour: string) => void;
}

/** A colour measured on a photograph with a sheet of white paper in it. */
export function ColourFromPicture({ what, onRead }: ColourFromPictureProps) {
  const [withGrey, setWithGrey] = useState(false);
  const [told, setTold] = useState<string | null>(null);
  return (
    <Column gap="$s">
      <Body>{COLOUR_FROM_PICTURE_WORDS.layASheetOfWhitePaper(what)}</Body>
      <Toggle
        label={COLOUR_FROM_PICTURE_WORDS.aGreyCard18LiesThere}
        on={withGrey}
        onPress={() => setWithGrey(!withGrey)}
      />
      <MarkedPicture
        parts={withGrey ? [PAPER, PART, GREY] : [PAPER, PART]}
        action={COLOUR_FROM_PICTURE_WORDS.readTheColour}
        read={async (reader, boxes) => {
          const answer = await reader.readColour({
            white: boxes.white!,
            part: boxes.part!,
            ...(withGrey ? { grey: boxes.grey! } : {}),
          });
          if ('kind' in answer) return answer.message;
          if (!answer.usable) return answer.why;
          setTold(answer.why);
          onRead(answer.colour);
          return null;
        }}
      />
      {told ? <Small role="status">{told}</Small> : null}
    </Column>
  );
}
