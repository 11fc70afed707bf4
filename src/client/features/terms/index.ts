export { Explained } from './explained';
