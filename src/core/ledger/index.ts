export { correctAccount } from './correct';
export {
  closeAccount,
  countMaterials,
  CONSUMABLES_PER_M2,
  hourRateOf,
  listAmounts,
  pricePerMl,
  type Earned,
  type Line,
  type LineOf,
} from './ledger';
