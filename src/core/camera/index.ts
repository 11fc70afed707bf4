export { photographLattice } from './photograph';
export { drawLatticeCase, drawUnreadableCase } from './cases';
export { drawStripsCase, photographStrips } from './strips-scene';
