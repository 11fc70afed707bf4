import { styled } from '@tamagui/core';
import type { ReactNode } from 'react';
import { Pressed, Row } from './layout';
import { Body, Small, Strong } from './text';

const Option = styled(Pressed, {
  paddingHorizontal: '$m',
  alignItems: 'flex-start',
  variants: {
    picked: {
      true: {
        borderColor: '$act',
        backgroundColor: '$actTint',
        outlineWidth: 1,
        outlineStyle: 'solid',
        outlineColor: '$act',
      },
    },
  } as const,
});

export interface ChoiceOption<C extends string> {
  code: C;
  label: string;
  hint?: string;
  drawing?: ReactNode;
}

interface ChoicesProps<C extends string> {
  label: string;
  options: readonly ChoiceOption<C>[];
  value?: C | undefined;
  onPick: (code: C) => void;
  /** How wide a tile is at least; chips are as wide as their words. */
  tileWidth?: number;
}

/** One of several, as chips or as tiles with a drawing. Picked is said by a thick edge, a tint and aria, not colour alone. */
export function Choices<C extends string>({ label, options, value, onPick, tileWidth }: ChoicesProps<C>) {
  return (
    <Row role="radiogroup" aria-label={label} flexWrap="wrap" gap="$s">
      {options.map((option) => (
        <Option
          key={option.code}
          role="radio"
          aria-checked={option.code === value}
          aria-label={option.hint ? `${option.label}, ${option.hint}` : option.label}
          picked={option.code === value}
          onPress={() => onPick(option.code)}
          {...(tileWidth
            ? {
                flexGrow: 1,
                flexBasis: tileWidth,
                minHeight: 64,
                gap: 4,
                justifyContent: option.drawing ? ('flex-start' as const) : ('center' as const),
              }
            : {})}
          {...{ type: 'button' }}
        >
          {option.drawing}
          {tileWidth ? <Strong textAlign="left">{option.label}</Strong> : <Body textAlign="left">{option.label}</Body>}
          {option.hint && tileWidth ? <Small textAlign="left">{option.hint}</Small> : null}
        </Option>
      ))}
    </Row>
  );
}

/** A chip that is on or off. */
export function Toggle({ label, on, onPress }: { label: string; on: boolean; onPress: () => void }) {
  return (
    <Option role="switch" aria-checked={on} aria-label={label} picked={on} onPress={onPress} {...{ type: 'button' }}>
      <Body>{on ? `${label} ✓` : label}</Body>
    </Option>
  );
}
