import { styled } from '@tamagui/core';
import type { ReactNode } from 'react';
import { Pressed } from './layout';
import { Strong } from './text';

const Frame = styled(Pressed, {
  paddingHorizontal: '$l',
  alignItems: 'center',
  flexDirection: 'row',
  // Long words go on in a second line before they leave the screen.
  flexShrink: 1,
  maxWidth: '100%',
  gap: '$s',
  variants: {
    look: {
      main: {
        backgroundColor: '$act',
        borderColor: '$act',
        minHeight: 52,
        hoverStyle: { opacity: 0.92 },
        pressStyle: { backgroundColor: '$act', opacity: 0.85 },
      },
      plain: {},
      quiet: { backgroundColor: 'transparent', borderColor: 'transparent', hoverStyle: { borderColor: '$line' } },
    },
    off: { true: { opacity: 0.5, cursor: 'default' } },
  } as const,
  defaultVariants: { look: 'plain' },
});

interface ButtonProps {
  children: string;
  onPress: () => void;
  look?: 'main' | 'plain' | 'quiet';
  icon?: ReactNode;
  disabled?: boolean;
  label?: string;
  grow?: boolean;
}

export function Button({
  children,
  onPress,
  look = 'plain',
  icon,
  disabled = false,
  label,
  grow = false,
}: ButtonProps) {
  return (
    <Frame
      look={look}
      off={disabled}
      aria-disabled={disabled}
      aria-label={label}
      onPress={disabled ? undefined : onPress}
      flexGrow={grow ? 1 : 0}
      {...{ type: 'button' }}
    >
      {icon}
      <Strong color={look === 'main' ? '$onAct' : '$ink'} textAlign="center" flexShrink={1}>
        {children}
      </Strong>
    </Frame>
  );
}
