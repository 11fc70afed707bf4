export { OwnColour } from './own-colour';
