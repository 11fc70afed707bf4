/* Reads photographs of the simulated camera and prints how near the truth each reading came, as JSON. Used by the bench and the tests. */
import { computeDeltaE00, convertHexToLinearRgb, convertLinearRgbToLab } from '../src/core/colour';
import {
  drawCoatOnCard,
  drawLatticeCase,
  drawPatchesShot,
  drawStripsCase,
  drawUnreadableCase,
  photographLattice,
  photographPatches,
  photographStrips,
} from '../src/core/camera';
import { rateConfidence, readColour, readDrawDown, readLattice, readStrips } from '../src/core/photo';
import { findScatter } from '../src/core/film';
import { makeRandom } from '../src/core/shared';
import { toIsoClass } from '../src/core/scales';

function measureLattice(seed: number, megapixels: number) {
  const { scene, shot } = drawLatticeCase(seed, megapixels);
  const taken = photographLattice(scene, shot);
  const start = performance.now();
  const reading = readLattice(taken.pixels, { cuts: scene.cuts as 6 | 11 });
  const ms = performance.now() - start;
  // Any corner may come first: the nearest true one is meant.
  const cornersOffPx = Math.max(
    ...(reading.corners ?? []).map(({ x, y }) =>
      Math.min(...taken.corners.map((corner) => Math.hypot(corner.x - x, corner.y - y))),
    ),
  );
  const cells = taken.truth.cells.flat();
  return {
    seed,
    megapixels,
    truthPct: taken.truth.removedPct,
    readPct: reading.removedPct,
    truthClass: toIsoClass(taken.truth.removedPct),
    readClass: toIsoClass(reading.removedPct),
    confidence: rateConfidence(reading),
    faults: reading.faults,
    cornersOffPx,
    cellMiss: reading.cells.flat().reduce((sum, share, i) => sum + Math.abs(share - cells[i]!), 0) / cells.length,
    about: `${scene.cuts} cuts, ${scene.coat} on ${scene.ground}, blur ${shot.blurPx.toFixed(1)}, noise ${shot.noise.toFixed(1)}${shot.glare ? ', shine' : ''}`,
    ms,
  };
}

function measureUnreadable(seed: number) {
  const { scene, shot, spoiling } = drawUnreadableCase(seed);
  const { faults } = readLattice(photographLattice(scene, shot).pixels, { cuts: scene.cuts as 6 | 11 });
  return { seed, spoiling, faults };
}

function measureStrips(seed: number) {
  const { scene, shot } = drawStripsCase(seed);
  const taken = photographStrips(scene, shot);
  return readStrips(taken.pixels, taken).map(({ code, deMean, deWorst, faults }, i) => ({
    seed,
    code,
    faults,
    meanMiss: Math.abs(deMean - taken.strips[i]!.deMean),
    worstMiss: Math.abs(deWorst - taken.strips[i]!.deWorst),
  }));
}

const someHex = (random: () => number): string =>
  `#${[0, 1, 2]
    .map(() =>
      Math.floor(20 + random() * 225)
        .toString(16)
        .padStart(2, '0'),
    )
    .join('')}`;

/** A colour read beside paper, and again through a camera with a curve of its own, without and with a grey card. */
function measureColour(seed: number) {
  const random = makeRandom(seed * 17 + 5);
  const hex = someHex(random);
  const [part, grey] = [convertHexToLinearRgb(hex), [0.18, 0.18, 0.18] as const];
  const truth = convertLinearRgbToLab(part);
  const shot = drawPatchesShot(seed);
  const take = (tone: number) => photographPatches({ patches: [part, grey], seed }, { ...shot, tone });
  const read = (taken: ReturnType<typeof take>, withGrey: boolean) => {
    const start = performance.now();
    const { lab, faults } = readColour(taken.pixels, {
      white: taken.white,
      part: taken.patches[0]!,
      ...(withGrey ? { grey: taken.patches[1]! } : {}),
    });
    return { miss: computeDeltaE00(lab, truth), faults, ms: performance.now() - start };
  };
  const tone = 0.8 + 0.3 * random();
  const curved = take(tone);
  return { seed, hex, tone, plain: read(take(1), false), curved: read(curved, false), withGrey: read(curved, true) };
}

/** A draw-down over black and white whose ratio is known. */
function measureDrawDown(seed: number) {
  const random = makeRandom(seed * 29 + 7);
  const hex = someHex(random);
  const { patches, ratio } = drawCoatOnCard(hex, findScatter(0.5, 0.75 + 0.24 * random()));
  const taken = photographPatches({ patches, seed }, drawPatchesShot(seed));
  const [overBlack, overWhite] = taken.patches as [(typeof taken.patches)[0], (typeof taken.patches)[0]];
  const { contrastRatio, faults } = readDrawDown(taken.pixels, { white: taken.white, overBlack, overWhite });
  const swapped = readDrawDown(taken.pixels, { white: taken.white, overBlack: overWhite, overWhite: overBlack });
  return { seed, hex, ratio, miss: Math.abs(contrastRatio - ratio), faults, swapped: swapped.faults };
}

const [kind, ...seeds] = process.argv.slice(2);
const measure = {
  lattice: (seed: number) => [measureLattice(seed, 2)],
  lattice12: (seed: number) => [measureLattice(seed, 12)],
  unreadable: (seed: number) => [measureUnreadable(seed)],
  strips: measureStrips,
  colour: (seed: number) => [measureColour(seed)],
  drawdown: (seed: number) => [measureDrawDown(seed)],
}[kind as 'lattice'];
process.stdout.write(JSON.stringify(seeds.flatMap((seed): unknown[] => measure(Number(seed)))));
