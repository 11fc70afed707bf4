import { View } from '@tamagui/core';
import Check from 'lucide-react-native/icons/check';
import Hourglass from 'lucide-react-native/icons/hourglass';
import OctagonX from 'lucide-react-native/icons/octagon-x';
import MoveRight from 'lucide-react-native/icons/move-right';
import type { ReactNode } from 'react';
import { Column, Row } from './layout';
import { Body, Small, Strong } from './text';
import { useTones } from './use-tones';

export type Tone = 'act' | 'go' | 'wait' | 'stop';

const ICONS = { act: MoveRight, go: Check, wait: Hourglass, stop: OctagonX };

/** A state never stands in colour alone: it has a shape and a word. */
export function ToneIcon({ tone, size = 18 }: { tone: Tone; size?: number }) {
  const Icon = ICONS[tone];
  return <Icon size={size} color={useTones()[tone]} strokeWidth={2.6} aria-hidden />;
}

export function StateMark({ tone, children }: { tone: Tone; children: string }) {
  return (
    <Row alignItems="center" gap="$xs">
      <ToneIcon tone={tone} size={16} />
      <Small flexShrink={1} color={`$${tone}`} fontWeight="600">
        {children}
      </Small>
    </Row>
  );
}

interface NoticeProps {
  tone: Tone;
  title: string;
  children?: string | undefined;
  action?: ReactNode;
  live?: boolean;
}

/** Something to know before going on: a tinted block with its shape. */
export function Notice({ tone, title, children, action, live = false }: NoticeProps) {
  return (
    <View
      role={live ? 'status' : undefined}
      backgroundColor={`$${tone}Tint`}
      borderRadius="$corner"
      padding="$m"
      flexDirection="row"
      gap="$m"
    >
      <View paddingTop={3}>
        <ToneIcon tone={tone} />
      </View>
      <Column flex={1} gap="$xs">
        <Strong color={`$${tone}`}>{title}</Strong>
        {children ? <Body>{children}</Body> : null}
        {action}
      </Column>
    </View>
  );
}
