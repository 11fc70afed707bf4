export { confirmRow, correctLattice, isRowConfirmed, turnSquare, type Confirmed } from './correct';
export { drawSquare } from './flatten';
export { applyHomography, computeHomography, UNIT_SQUARE, type Quad } from './homography';
export { readLattice, type LatticeOptions } from './lattice';
export { byteOfLinear, type Pixels, type Point } from './pixels';
export { readStrips, type Rect, type StripsOptions } from './strips';
export { rateConfidence, reportLattice, reportStrips } from './report';
