export { BoxPicture } from './box-picture';
export { MarkedPicture, type MarkedPart } from './marked-picture';
export { makePictureReader, type LatticeReport, type PictureReader, type StripsReport } from './picture-reader';
export { useOpenedPicture, type OpenedPicture } from './use-opened-picture';
