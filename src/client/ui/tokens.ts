/** Every colour and measure of the look, named by role. Contrast of text on its ground is at least WCAG AA in both. */
export interface Tones {
  ground: string;
  card: string;
  ink: string;
  softInk: string;
  line: string;
  act: string;
  actTint: string;
  onAct: string;
  go: string;
  goTint: string;
  wait: string;
  waitTint: string;
  stop: string;
  stopTint: string;
}

export const TONES: Readonly<Record<'light' | 'dark', Tones>> = {
  light: {
    ground: '#EDF0EB',
    card: '#FFFFFF',
    ink: '#161D19',
    softInk: '#525F58',
    line: '#C9D1CA',
    act: '#2340C8',
    actTint: '#E3E8FB',
    onAct: '#FFFFFF',
    go: '#146A3D',
    goTint: '#DFF0E6',
    wait: '#8A5000',
    waitTint: '#FBEFD9',
    stop: '#A0341F',
    stopTint: '#F9E4DE',
  },
  dark: {
    ground: '#101412',
    card: '#1A201D',
    ink: '#E9EFEA',
    softInk: '#9BA8A0',
    line: '#333C37',
    act: '#9DB0FF',
    actTint: '#232B4A',
    onAct: '#101412',
    go: '#63C796',
    goTint: '#16301F',
    wait: '#F0B45A',
    waitTint: '#3A2D14',
    stop: '#F08E77',
    stopTint: '#3D211A',
  },
};

/** Steps of four. `target` is the smallest thing a dusty thumb is asked to hit. */
export const SPACE = { none: 0, hair: 1, xs: 4, s: 8, m: 12, l: 16, xl: 24, xxl: 32, target: 48 } as const;
export const RADIUS = { none: 0, corner: 4 } as const;
export const TYPE_SIZE = { small: 14, text: 16, heading: 20, figure: 26, title: 28 } as const;
export const FONT = {
  display: "'Bricolage Grotesque', system-ui, sans-serif",
  text: "'Atkinson Hyperlegible Next', system-ui, sans-serif",
} as const;

/** From this width on there is room for two panes. */
export const WIDE = 900;
