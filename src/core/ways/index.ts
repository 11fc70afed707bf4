export { listWays, type AgainstWood, type Way, type WayCode, type Ways } from './ways';
