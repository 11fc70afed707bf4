export {
  computeLuminance,
  convertHexToLinearRgb,
  convertLabToLinearRgb,
  convertLinearRgbToHex,
  convertLinearRgbToLab,
  type Lab,
  type LinearRgb,
} from './convert';
export { compareColours, describeColour, labOfHex, shiftColour, type ColourName, type ColourWay } from './describe';
export { computeDeltaE00 } from './difference';
export { readHex } from './hex';
export { contrastOfPair, suggestPalettes, type Palette } from './palettes';
export { rankTins, type Match } from './match';
