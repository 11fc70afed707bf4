import { escapeXml } from '../shared';

/** What stands on the label of a jar, line by line, the name first, and its colour. */
export interface Label {
  lines: readonly string[];
  colour: string | null;
}

/** Eight labels on a sheet of A4, 90 × 60 mm each, mm. */
const SHEET = { width: 210, height: 297, columns: 2, rows: 4 };
const LABEL = { width: 90, height: 60, gap: 8 };
const LINE_MM = 6;
const MOST_LINES = 8;
const INK = '#161D19';

/** A sheet of labels for jars of one mix, as SVG at true scale (1 unit = 1 mm). */
export function drawLabels({ lines, colour }: Label): string {
  const [left, top] = [
    (SHEET.width - SHEET.columns * LABEL.width - LABEL.gap) / 2,
    (SHEET.height - SHEET.rows * LABEL.height - (SHEET.rows - 1) * LABEL.gap) / 2,
  ];
  const one = (x: number, y: number): string =>
    [
      `<rect x="${x}" y="${y}" width="${LABEL.width}" height="${LABEL.height}" fill="none" stroke="${INK}" stroke-width="0.2" stroke-dasharray="2 1"/>`,
      ...(colour
        ? [
            `<rect x="${x + LABEL.width - 22}" y="${y + 4}" width="18" height="18" fill="${colour}" stroke="${INK}" stroke-width="0.2"/>`,
          ]
        : []),
      ...lines
        .slice(0, MOST_LINES)
        .map(
          (line, i) =>
            `<text x="${x + 4}" y="${y + 9 + i * LINE_MM}" font-family="sans-serif" font-size="${i === 0 ? 5 : 3.6}" fill="${INK}">${escapeXml(line)}</text>`,
        ),
    ].join('');
  const labels = Array.from({ length: SHEET.rows * SHEET.columns }, (_, i) =>
    one(
      left + (i % SHEET.columns) * (LABEL.width + LABEL.gap),
      top + Math.floor(i / SHEET.columns) * (LABEL.height + LABEL.gap),
    ),
  );
  return [
    `<svg xmlns="http://www.w3.org/2000/svg" width="${SHEET.width}mm" height="${SHEET.height}mm" viewBox="0 0 ${SHEET.width} ${SHEET.height}" role="img" aria-label="${escapeXml(lines[0] ?? '')}">`,
    ...labels,
    '</svg>',
  ].join('\n');
}
