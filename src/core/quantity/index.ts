export { listCans, tabulateTins, listUsualTins, type Purchase, type TinSize, type TinTable } from './tins';
export { convertPaintShareToMixShare } from './thinning';
