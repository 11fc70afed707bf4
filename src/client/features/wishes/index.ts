export { Wishes } from './wishes';
export { HandList } from './hand-list';
