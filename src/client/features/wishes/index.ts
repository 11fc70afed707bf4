export { Wishes } from './wishes';
export { HandList } from './hand-list';
export { PaintedPiece } from './painted-piece';
