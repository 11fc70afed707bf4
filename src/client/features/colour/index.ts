export { Coloured } from './coloured';
export { OwnColour } from './own-colour';
