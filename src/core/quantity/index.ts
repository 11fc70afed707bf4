export { tabulateTins, listUsualTins, type Purchase, type TinSize, type TinTable } from './tins';
export { describeThinning } from './thinning';
