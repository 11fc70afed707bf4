export { listCans, tabulateTins, listUsualTins, type Purchase, type TinSize, type TinTable } from './tins';
export { convertPaintShareToMixShare, describeThinning } from './thinning';
