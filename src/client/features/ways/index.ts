export { WaysChoice } from './ways-choice';
export { WorthAsWood } from './worth-as-wood';
