export { AmountField } from './amount-field';
export { useMoney, type MoneyView } from './use-money';
export { AccountPanel } from './account-panel';
