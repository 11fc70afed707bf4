export { photographLattice } from './photograph';
export { drawLatticeCase, drawUnreadableCase } from './cases';
export { isPictured, photographCheck } from './check-pictures';
export {
  BREAKS,
  drawChipStack,
  isBleed,
  MARKS,
  photographChip,
  photographFault,
  photographMark,
  type Break,
  type Mark,
} from './fault-pictures';
export { photographShine, SHINES } from './lamp-pictures';
export { drawStripsCase, photographStrips } from './strips-scene';
export { drawCoatOnCard, drawPatchesShot, photographPatches, type PatchesShot } from './patches-scene';
