import { applyHomography, computeHomography, UNIT_SQUARE, type Pixels, type Point, type Quad } from '../photo';
import { expose, makeLight } from './lens';
import { drawTruth, makeLatticeSurface, type LatticeScene, type LatticeTruth } from './lattice-scene';

/** Where the camera was held and what light there was. */
export interface LatticeShot {
  width: number;
  height: number;
  /** Away from straight above, degrees, and towards which side. */
  tiltDeg: number;
  tiltTowardsDeg: number;
  /** Turned in the picture's plane, degrees. */
  rollDeg: number;
  /** Side of the lattice as a share of the shorter side of the picture, if it were seen from straight above. */
  fill: number;
  /** Middle of the lattice away from the middle of the picture, as a share of its sides. */
  offset: Point;
  /** Focal length as a share of the longer side. */
  focal: number;
  blurPx: number;
  noise: number;
  gains: readonly [number, number, number];
  /** Light falls off by this share from one side of the picture to the other, towards this side (degrees). */
  unevenness: number;
  unevenTowardsDeg: number;
  /** A shine of the lamp: strength added in linear light, radius as a share of the lattice, and where. */
  glare?: { strength: number; radius: number; at: Point };
  seed: number;
}

export interface TakenLattice {
  pixels: Pixels;
  /** Where the lattice's corners truly are, clockwise from the one nearest the top left of the picture. */
  corners: Quad;
  truth: LatticeTruth;
}

/** How much darker a lens is towards its corners, at the length of the longer side from the middle. */
const CORNER_FALL = 0.25;

/** A photograph of a lattice whose truth is known: a pinhole camera, uneven light, shine, blur and noise. */
export function photographLattice(scene: LatticeScene, shot: LatticeShot): TakenLattice {
  const n = scene.cuts - 1;
  const truth = drawTruth(scene);
  const surface = makeLatticeSurface(scene, truth);
  const corners = projectSquare(shot);
  const toPlane = computeHomography(corners, UNIT_SQUARE)!;
  const { width, height } = shot;
  const planes = [0, 1, 2].map(() => new Float32Array(width * height)) as [Float32Array, Float32Array, Float32Array];
  const light = makeLight(shot, CORNER_FALL);
  for (let y = 0; y < height; y += 1) {
    for (let x = 0; x < width; x += 1) {
      const { x: u, y: v } = applyHomography(toPlane, x, y);
      const [r, g, b] = surface(u * n, v * n);
      const lamp = light(x, y);
      const shine = shineAt(shot, u, v);
      const i = y * width + x;
      planes[0][i] = r * lamp + shine;
      planes[1][i] = g * lamp + shine;
      planes[2][i] = b * lamp + shine;
    }
  }
  const pixels = expose({ width, height, planes }, shot);
  return { pixels, corners, truth };
}

/** Corners of the lattice in the picture: a square turned, tilted and seen through a pinhole. */
function projectSquare(shot: LatticeShot): Quad {
  const radians = Math.PI / 180;
  const [cr, sr] = [Math.cos(shot.rollDeg * radians), Math.sin(shot.rollDeg * radians)];
  const [ct, st] = [Math.cos(shot.tiltDeg * radians), Math.sin(shot.tiltDeg * radians)];
  const [ca, sa] = [Math.cos(shot.tiltTowardsDeg * radians), Math.sin(shot.tiltTowardsDeg * radians)];
  const focal = shot.focal * Math.max(shot.width, shot.height);
  const half = 0.5;
  // At this distance a square of side 1 straight below fills the wanted share.
  const distance = focal / (shot.fill * Math.min(shot.width, shot.height));
  return UNIT_SQUARE.map(({ x, y }) => {
    const px = (x - half) * cr - (y - half) * sr;
    const py = (x - half) * sr + (y - half) * cr;
    // Tilt about the axis across the direction of leaning.
    const along = px * ca + py * sa;
    const across = py * ca - px * sa;
    const [tx, ty] = [along * ct * ca - across * sa, along * ct * sa + across * ca];
    const depth = distance + along * st;
    return {
      x: shot.width * (0.5 + shot.offset.x) + (focal * tx) / depth,
      y: shot.height * (0.5 + shot.offset.y) + (focal * ty) / depth,
    };
  }) as unknown as Quad;
}

function shineAt({ glare }: LatticeShot, u: number, v: number): number {
  if (!glare) return 0;
  const distance = ((u - glare.at.x) ** 2 + (v - glare.at.y) ** 2) / glare.radius ** 2;
  return distance > 9 ? 0 : glare.strength * Math.exp(-distance);
}
