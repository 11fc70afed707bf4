export { tabulateTins, type TinTable, listUsualTins, type Purchase, type TinSize } from './tins';
