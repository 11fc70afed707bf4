export { PiecesScreen } from './pieces-screen';
