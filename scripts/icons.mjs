/* `npm run icons`: the signs of the installed application, drawn here: three coats stepped back over bare wood. */
import { Buffer } from 'node:buffer';
import { mkdirSync } from 'node:fs';
import path from 'node:path';
import sharp from 'sharp';
import { root } from './lib.mjs';

/** `inset` is what a launcher may cut away around the drawing. */
const draw = (inset) => {
  const span = 100 - 2 * inset;
  const at = (share) => inset + span * share;
  const coat = (left, top, colour) =>
    `<rect x="${at(left)}" y="${at(top)}" width="${span * (1 - left)}" height="${span * 0.2}" fill="${colour}"/>`;
  return `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 100 100">
    <rect width="100" height="100" fill="#edf0eb"/>
    ${coat(0.45, 0.08, '#2340c8')}
    ${coat(0.3, 0.3, '#8fa3e8')}
    ${coat(0.15, 0.52, '#ffffff')}
    <rect x="${at(0)}" y="${at(0.74)}" width="${span}" height="${span * 0.2}" fill="#a8774a"/>
    <path d="M${at(0.04)} ${at(0.81)} h${span * 0.6} M${at(0.3)} ${at(0.87)} h${span * 0.6}" stroke="#7c5330" stroke-width="1.4"/>
  </svg>`;
};

const folder = path.join(root, 'public/icons');
mkdirSync(folder, { recursive: true });
for (const [name, size, inset] of [
  ['icon-192', 192, 10],
  ['icon-512', 512, 10],
  // A launcher may cut a circle out of it: the drawing keeps to the inner four fifths.
  ['maskable-512', 512, 20],
])
  await sharp(Buffer.from(draw(inset)), { density: 600 })
    .resize(size, size)
    .png({ palette: true })
    .toFile(path.join(folder, `${name}.png`));
