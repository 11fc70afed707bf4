export { listWays, type AgainstWood, type Way, type Ways } from './ways';
