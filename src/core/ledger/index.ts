export { correctAccount } from './correct';
export { closeAccount, countMaterials, hourRateOf, listAmounts, type Earned, type Line, type LineOf } from './ledger';
