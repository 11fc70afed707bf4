export { photographLattice } from './photograph';
export { drawLatticeCase, drawUnreadableCase } from './cases';
export { drawStripsCase, photographStrips } from './strips-scene';
export { drawCoatOnCard, drawPatchesShot, photographPatches, type PatchesShot } from './patches-scene';
