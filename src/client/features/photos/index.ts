export { PhotoButton } from './photo-button';
export { PhotoStrip } from './photo-strip';
export { sendPhoto } from './send-photo';
