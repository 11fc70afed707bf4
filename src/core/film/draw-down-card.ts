import { escapeXml } from '../shared';

/** Words on a card, all told by its caller. */
export interface CardWords {
  title: string;
  /** Beside the line that shows whether it was printed at its size. */
  checkLine: string;
  overBlack: string;
  overWhite: string;
  bare: string;
  tin: string;
}

/** The card: a sheet 150 × 190 mm, its two halves to be coated, bare paper above, a line of 100 mm. */
const WIDTH = 150;
const HEIGHT = 190;
const CHECK_MM = 100;
const INK = '#000000';

/**
 * A black-and-white card for drawing one coat down over, as SVG at true scale (1 unit = 1 mm), after the cards of ISO 6504-3:
 * black and white side by side, so that one stroke of the roller covers both.
 */
export function drawCard({ title, checkLine, overBlack, overWhite, bare, tin }: CardWords): string {
  const text = (x: number, y: number, words: string, size = 4): string =>
    `<text x="${x}" y="${y}" font-family="sans-serif" font-size="${size}" fill="${INK}">${escapeXml(words)}</text>`;
  const [left, half] = [10, (WIDTH - 20) / 2];
  return [
    `<svg xmlns="http://www.w3.org/2000/svg" width="${WIDTH}mm" height="${HEIGHT}mm" viewBox="0 0 ${WIDTH} ${HEIGHT}" role="img" aria-label="${escapeXml(title)}">`,
    `<rect x="0" y="0" width="${WIDTH}" height="${HEIGHT}" fill="#FFFFFF"/>`,
    text(left, 12, title, 5),
    text(left, 20, tin),
    text(left, 44, bare),
    `<rect x="${left}" y="60" width="${half}" height="90" fill="${INK}"/>`,
    `<rect x="${left + half}" y="60" width="${half}" height="90" fill="none" stroke="${INK}" stroke-width="0.3"/>`,
    text(left, 157, overBlack),
    text(left + half, 157, overWhite),
    `<path d="M${left} 170 h${CHECK_MM} m0 -2 v4 m-${CHECK_MM} -4 v4" stroke="${INK}" stroke-width="0.4" fill="none"/>`,
    text(left, 180, checkLine),
    '</svg>',
  ].join('\n');
}
