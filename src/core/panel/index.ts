export { concludePanel, type PanelConclusion, type PanelResult } from './conclude';
export { crossFactors, designPanel, type PanelDesign, type PanelWish } from './design';
export {
  bleedMomentOnPanel,
  listReadings,
  scheduleMoments,
  treatmentOnStrip,
  type BleedMoment,
  type DueReading,
  type Moment,
} from './schedule';
export { layGrid, tapCell, type CellMark, type GridCell, type GridColumn } from './grid';
export { proposePanel, type Proposal } from './propose';
export { drawStripMap, groupStrips } from './strip-map';
