export { crossFactors, designPanel, type PanelDesign, type PanelWish } from './design';
export {
  listReadings,
  scheduleMoments,
  treatmentOnStrip,
  type BleedMoment,
  type DueReading,
  type Moment,
} from './schedule';
export { needsBleedWatch, proposePanel, type Proposal } from './propose';
export { drawStripMap, listTreatments } from './strip-map';
