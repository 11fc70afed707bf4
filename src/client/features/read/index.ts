export { ReadScreen } from './read-screen';
