import { createFont, createTamagui, createTokens } from '@tamagui/core';
import { FONT, RADIUS, SPACE, TONES, TYPE_SIZE } from './tokens';

const lineHeight = { small: 20, text: 23, heading: 25, figure: 30, title: 32 };
const makeFont = (family: string, heavy: '400' | '600') =>
  createFont({
    family,
    size: { ...TYPE_SIZE, true: TYPE_SIZE.text },
    lineHeight: { ...lineHeight, true: lineHeight.text },
    weight: { true: heavy, plain: '400', strong: '600' },
    letterSpacing: { true: 0 },
  });

const space = { ...SPACE, true: SPACE.l };

const theme = (scheme: 'light' | 'dark') => ({
  ...TONES[scheme],
  background: TONES[scheme].ground,
  color: TONES[scheme].ink,
});

export const config = createTamagui({
  tokens: createTokens({
    size: space,
    space,
    radius: { ...RADIUS, true: RADIUS.corner },
    zIndex: { true: 0, bar: 10 },
    color: {},
  }),
  themes: { light: theme('light'), dark: theme('dark') },
  fonts: { body: makeFont(FONT.text, '400'), heading: makeFont(FONT.display, '600') },
  media: { wide: { minWidth: 900 } },
  settings: { defaultFont: 'body', allowedStyleValues: 'somewhat-strict-web' },
});

export type AppConfig = typeof config;
declare module '@tamagui/core' {
  // The library's own way to make the configuration known to its types.
  // eslint-disable-next-line @typescript-eslint/no-empty-object-type
  interface TamaguiCustomConfig extends AppConfig {}
}
