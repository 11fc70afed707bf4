export { chooseTins, describeThinning, listUsualTins, type Purchase, type TinSize } from './tins';
