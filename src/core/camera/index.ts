export { drawBetween, drawNormal } from './noise';
export { drawTruth, type LatticeScene, type LatticeTruth } from './lattice-scene';
export { photographLattice, type LatticeShot, type TakenLattice } from './photograph';
export { drawLatticeCase, drawUnreadableCase } from './cases';
export { drawStripsCase, photographStrips, type StripsScene, type StripsShot, type TakenStrips } from './strips-scene';
