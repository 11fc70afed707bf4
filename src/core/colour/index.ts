export { computeLuminance, convertHexToLinearRgb, convertLinearRgbToLab, type Lab, type LinearRgb } from './convert';
export { computeDeltaE00 } from './difference';
export { readHex } from './hex';
