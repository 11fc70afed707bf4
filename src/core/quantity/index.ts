export { chooseTins, listUsualTins, type Purchase, type TinSize } from './tins';
