/* Renders photographs to try the readers on: lattices and strips whose truth is known, by the simulated camera. */
import { mkdirSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import sharp from 'sharp';
import { convertHexToLinearRgb } from '../src/core/colour';
import {
  drawCoatOnCard,
  drawLatticeCase,
  drawPatchesShot,
  drawStripsCase,
  photographLattice,
  photographPatches,
  photographStrips,
} from '../src/core/camera';
import { findScatter } from '../src/core/film';
import type { Pixels } from '../src/core/photo';

const save = (pixels: Pixels, file: string): Promise<unknown> =>
  sharp(pixels.data, { raw: { width: pixels.width, height: pixels.height, channels: 4 } })
    .jpeg({ quality: 90 })
    .toFile(file);

async function render(folder: string): Promise<void> {
  mkdirSync(folder, { recursive: true });
  const { scene, shot } = drawLatticeCase(9);
  const laminate = { cuts: 6, coat: '#F3EFE6', ground: '#8F7352', grain: false, threads: 2, seed: 9 } as const;
  for (const [name, removedPct] of [
    ['held', 0],
    ['failed', 22],
  ] as const) {
    const { glare: _glare, ...plain } = shot;
    const taken = photographLattice({ ...laminate, removedPct }, plain);
    await save(taken.pixels, path.join(folder, `lattice-${name}.jpg`));
  }
  const large = drawLatticeCase(13, 12);
  await save(photographLattice(large.scene, large.shot).pixels, path.join(folder, 'lattice-12-megapixels.jpg'));
  const shine = { strength: 2, radius: 0.4, at: { x: 0.5, y: 0.5 } };
  await save(photographLattice(scene, { ...shot, glare: shine }).pixels, path.join(folder, 'lattice-glare.jpg'));
  const strips = drawStripsCase(4);
  const taken = photographStrips(strips.scene, strips.shot);
  await save(taken.pixels, path.join(folder, 'strips.jpg'));
  const { white, reference, strips: truth } = taken;
  writeFileSync(path.join(folder, 'strips.json'), JSON.stringify({ white, reference, strips: truth }, null, 2));
  const shotOfColour = drawPatchesShot(2);
  const grey = [0.18, 0.18, 0.18] as const;
  const coloured = photographPatches({ patches: [convertHexToLinearRgb('#AFC0B6'), grey], seed: 2 }, shotOfColour);
  await save(coloured.pixels, path.join(folder, 'colour.jpg'));
  const dark = photographPatches(
    { patches: [convertHexToLinearRgb('#AFC0B6'), grey], seed: 2 },
    { ...shotOfColour, gains: [0.06, 0.06, 0.06] },
  );
  await save(dark.pixels, path.join(folder, 'colour-dark.jpg'));
  const { patches, ratio } = drawCoatOnCard('#F3EFE6', findScatter(0.8, 0.86));
  await save(photographPatches({ patches, seed: 3 }, drawPatchesShot(3)).pixels, path.join(folder, 'card.jpg'));
  writeFileSync(path.join(folder, 'card.json'), JSON.stringify({ ratio }));
}

void render(path.resolve(process.env.BRICOLAGE_PHOTOGRAPHS ?? 'data/photographs'));
