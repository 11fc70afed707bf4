export {
  buyTins,
  countSittings,
  listSizes,
  priceConsumables,
  pricePerMl,
  priceSplashes,
  priceTins,
  withLoss,
} from './costs';
export { tabulateTins, listUsualTins, type Purchase, type TinSize } from './tins';
export { convertPaintShareToMixShare } from './thinning';
