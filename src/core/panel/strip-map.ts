import type { Panel, Treatment } from '../dossier';
import { treatmentKey } from '../proof';
import { escapeXml } from '../shared';

/** Room around the panel for codes, the corner mark and the list of treatments, mm. */
const MARGIN_MM = 14;
const LINE_MM = 5;
const INK = '#161D19';

/**
 * The strip map as SVG at true scale (1 unit = 1 mm). Codes stand outside the strips, because what is written on a strip
 * is painted over; the corner that is marked on the piece is marked on the map. `caption` and `legend` are written under it.
 */
export function drawStripMap(panel: Panel, title: string, caption: string, legend: readonly string[]): string {
  const { width_mm: width, height_mm: height, strips } = panel;
  const total = { width: width + 2 * MARGIN_MM, height: height + 2 * MARGIN_MM + (legend.length + 2) * LINE_MM };
  const shapes = strips.map(({ code, x_mm, y_mm, width_mm, height_mm, control }) => {
    const [x, y] = [x_mm + MARGIN_MM, y_mm + MARGIN_MM];
    // The code stands on the tape above its strip.
    return [
      `<rect x="${x}" y="${y}" width="${width_mm}" height="${height_mm}" fill="none" stroke="${INK}" stroke-width="0.3"${control ? ' stroke-dasharray="2 1"' : ''}/>`,
      text(x + width_mm / 2, y - 1.2, 4, code, 'middle'),
    ].join('');
  });
  const corner = `<path d="M${MARGIN_MM} ${MARGIN_MM} h8 l-8 8 z" fill="${INK}"/>`;
  const below = height + 2 * MARGIN_MM;
  const lines = [
    text(MARGIN_MM, below, 3.6, caption, 'start'),
    ...legend.map((line, i) => text(MARGIN_MM, below + (i + 1) * LINE_MM, 3.2, line, 'start')),
  ];
  return [
    `<svg xmlns="http://www.w3.org/2000/svg" width="${total.width}mm" height="${total.height}mm" viewBox="0 0 ${total.width} ${total.height}" role="img" aria-label="${escapeXml(title)}">`,
    `<rect x="${MARGIN_MM}" y="${MARGIN_MM}" width="${width}" height="${height}" fill="none" stroke="${INK}" stroke-width="0.5"/>`,
    corner,
    ...shapes,
    ...lines,
    '</svg>',
  ].join('\n');
}

/** The strips of a panel by what is on them, controls apart. */
export function groupStrips({ strips }: Pick<Panel, 'strips'>): {
  codes: string[];
  treatment: Treatment;
  control: boolean;
}[] {
  const groups = new Map<string, { codes: string[]; treatment: Treatment; control: boolean }>();
  for (const { code, treatment, control } of strips) {
    const key = `${treatmentKey(treatment)}${control ? '/control' : ''}`;
    const group = groups.get(key) ?? { codes: [], treatment, control };
    group.codes = [...group.codes, code].sort();
    groups.set(key, group);
  }
  return [...groups.values()];
}

const text = (x: number, y: number, size: number, words: string, anchor: 'start' | 'middle'): string =>
  `<text x="${x}" y="${y}" font-family="sans-serif" font-size="${size}" text-anchor="${anchor}" fill="${INK}">${escapeXml(words)}</text>`;
