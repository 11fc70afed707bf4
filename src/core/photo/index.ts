export { drawSquare } from './flatten';
export { findCorners, type FoundCorners } from './corners';
export {
  applyHomography,
  computeHomography,
  estimateTilt,
  isConvex,
  UNIT_SQUARE,
  type Homography,
  type Quad,
} from './homography';
export { readLattice, type LatticeOptions, type LatticeReading, type PictureFault } from './lattice';
export { boxBlur, byteOfLinear, linearOfByte, median, quantile, type Pixels, type Plane, type Point } from './pixels';
export { readStrips, type Rect, type StripFault, type StripReading, type StripsOptions } from './strips';
export { FAULT_WORDS, LEAST_CONFIDENCE, LEAST_TOLD, rateConfidence, reportLattice, reportStrips } from './report';
