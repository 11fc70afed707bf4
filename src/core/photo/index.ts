export { confirmRow, correctLattice, isRowConfirmed, turnSquare, type Confirmed } from './correct';
export { drawSquare } from './flatten';
export { applyHomography, computeHomography, UNIT_SQUARE, type Quad } from './homography';
export { readLattice, type LatticeOptions, type LatticeReading, type PictureFault } from './lattice';
export { byteOfLinear, type Pixels, type Point } from './pixels';
export { readStrips, type Rect, type StripFault, type StripReading, type StripsOptions } from './strips';
export { rateConfidence } from './confidence';
