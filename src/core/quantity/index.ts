export {
  buyTins,
  countSittings,
  isFilmClass,
  listSizes,
  priceConsumables,
  pricePerMl,
  priceSplashes,
  priceTins,
  withLoss,
  type FilmClass,
} from './costs';
export { tabulateTins, listUsualTins, type Purchase, type TinSize } from './tins';
export { convertPaintShareToMixShare } from './thinning';
