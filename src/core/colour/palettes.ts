import { labOfHex } from './describe';

/** Two of the shop's colours that go on one piece, and what speaks for them. */
export interface Palette {
  kind: 'strong' | 'quiet' | 'warm_cool' | 'tonal';
  /** The paler for the body, the darker for the fronts, as most people do it. */
  body: string;
  fronts: string;
}

/** Difference of lightness L* between two colours, 0–100: from about 40 a contrast is called strong (common practice). */
export const contrastOfPair = (a: string, b: string): number => Math.abs(labOfHex(a).l - labOfHex(b).l);

const hueOf = (a: number, b: number): number => (Math.atan2(b, a) * 180) / Math.PI;

/** How well a pair is each kind of pair, the higher the better; none where it is not one. */
const JUDGED: Record<Palette['kind'], (light: number, hue: number, chroma: number) => number | null> = {
  // A pale body under dark fronts.
  strong: (light) => (light >= 35 ? light : null),
  // Two that stand near each other.
  quiet: (light, hue) => (light >= 8 && light < 25 && hue < 60 ? 30 - light : null),
  // One from the warm side of the circle and one from the cool, neither of them grey.
  warm_cool: (light, hue, chroma) => (hue > 110 && chroma > 8 && light >= 8 ? hue : null),
  // The same hue, lighter and darker.
  tonal: (light, hue, chroma) => (hue < 25 && chroma > 6 && light >= 25 ? light - hue : null),
};

/**
 * Two to four pairs out of some colours, the best of each kind, no pair twice; none of fewer than two colours that differ.
 * An estimate of taste: the owner has the last word. Colours sRGB.
 */
export function suggestPalettes(colours: readonly string[]): Palette[] {
  const pairs = colours.flatMap((a, i) => colours.slice(i + 1).map((b) => [a, b] as const));
  const found: Palette[] = [];
  for (const kind of Object.keys(JUDGED) as Palette['kind'][]) {
    let best: { score: number; palette: Palette } | null = null;
    for (const [a, b] of pairs) {
      const [first, second] = [labOfHex(a), labOfHex(b)];
      const turn = Math.abs(hueOf(first.a, first.b) - hueOf(second.a, second.b));
      const chroma = Math.min(Math.hypot(first.a, first.b), Math.hypot(second.a, second.b));
      const score = JUDGED[kind](Math.abs(first.l - second.l), Math.min(turn, 360 - turn), chroma);
      const [body, fronts] = first.l >= second.l ? [a, b] : [b, a];
      if (score === null || (best && score <= best.score)) continue;
      if (found.some((own) => own.body === body && own.fronts === fronts)) continue;
      best = { score, palette: { kind, body, fronts } };
    }
    if (best) found.push(best.palette);
  }
  return found;
}
