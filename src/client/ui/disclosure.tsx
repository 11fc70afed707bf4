import { styled } from '@tamagui/core';
import ChevronDown from 'lucide-react-native/icons/chevron-down';
import ChevronRight from 'lucide-react-native/icons/chevron-right';
import { useState, type ReactNode } from 'react';
import { Column, Pressed } from './layout';
import { Strong } from './text';
import { useTones } from './use-tones';

const Bar = styled(Pressed, {
  flexDirection: 'row',
  alignItems: 'center',
  justifyContent: 'space-between',
  paddingHorizontal: '$m',
  gap: '$s',
  backgroundColor: 'transparent',
});

interface DisclosureProps {
  label: string;
  /** It is found open. */
  startsOpen?: boolean;
  /** What is shown when open; `close` folds it up again. */
  children: (close: () => void) => ReactNode;
}

/** Something more, one tap away: a bar the whole width that opens what lies under it. */
export function Disclosure({ label, startsOpen = false, children }: DisclosureProps) {
  const [open, setOpen] = useState(startsOpen);
  const tones = useTones();
  const Chevron = open ? ChevronDown : ChevronRight;
  return (
    <Column gap="$m">
      <Bar aria-expanded={open} aria-label={label} onPress={() => setOpen(!open)} {...{ type: 'button' }}>
        <Strong flexShrink={1} textAlign="left">
          {label}
        </Strong>
        <Chevron size={18} color={tones.ink} style={{ flexShrink: 0 }} aria-hidden />
      </Bar>
      {open ? children(() => setOpen(false)) : null}
    </Column>
  );
}
