export { makeSmall } from './make-small';
export { PhotoButton } from './photo-button';
export { PhotoStrip } from './photo-strip';
