export { CompareScreen } from './compare-screen';
export { PieceGlance } from './piece-glance';
