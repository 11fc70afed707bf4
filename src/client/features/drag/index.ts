export { useDrag } from './use-drag';
