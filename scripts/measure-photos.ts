/* Reads photographs of the simulated camera and prints how near the truth each reading came, as JSON. Used by the bench and the tests. */
import {
  drawLatticeCase,
  drawStripsCase,
  drawUnreadableCase,
  photographLattice,
  photographStrips,
} from '../src/core/camera';
import { rateConfidence, readLattice, readStrips } from '../src/core/photo';
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

const [kind, ...seeds] = process.argv.slice(2);
const measure = {
  lattice: (seed: number) => [measureLattice(seed, 2)],
  lattice12: (seed: number) => [measureLattice(seed, 12)],
  unreadable: (seed: number) => [measureUnreadable(seed)],
  strips: measureStrips,
}[kind as 'lattice'];
process.stdout.write(JSON.stringify(seeds.flatMap((seed): unknown[] => measure(Number(seed)))));
