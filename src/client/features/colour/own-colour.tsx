import { useState } from 'react';
import { useDispatch, useSelector } from 'react-redux';
import { colourUsed, type AppDispatch, type RootState } from '@/client/store';
import { Choices, Column, Field, Row, Swatch, Well } from '@/client/ui';
import { readHex } from '@/core/colour';
import { OWN_COLOUR_WORDS } from '@/words';

interface OwnColourProps {
  colour: string;
  onPick: (colour: string) => void;
  label?: string;
}

/** Any other colour: from the device's own picker, as the six digits a paint shop gives, or one that was used before. */
export function OwnColour({ colour, onPick, label = OWN_COLOUR_WORDS.orAnotherColour }: OwnColourProps) {
  const dispatch = useDispatch<AppDispatch>();
  const recent = useSelector((state: RootState) => state.settings.recentColours);
  const [text, setText] = useState(colour);
  const own = readHex(text);
  const keep = (typed: string): void => {
    const hex = readHex(typed);
    if (!hex || hex === readHex(colour)) return;
    dispatch(colourUsed(hex));
    onPick(hex);
  };
  return (
    <Column gap="$s">
      <Row gap="$s" alignItems="flex-end">
        <Well label={OWN_COLOUR_WORDS.pickAColour} value={own ?? colour} onChange={setText} onPick={keep} />
        <Field
          label={label}
          value={text}
          onChange={setText}
          onBlur={() => keep(text)}
          error={own ? undefined : OWN_COLOUR_WORDS.sixDigitsAfterASuchAs}
        />
      </Row>
      {recent.length > 0 ? (
        <Choices
          label={OWN_COLOUR_WORDS.usedBefore}
          options={recent.map((code) => ({ code, label: code, drawing: <Swatch colour={code} /> }))}
          value={readHex(colour) ?? undefined}
          onPick={keep}
        />
      ) : null}
    </Column>
  );
}
