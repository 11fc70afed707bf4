export { AheadScreen } from './ahead-screen';
