export { AmountField } from './amount-field';
export { useMoney, type MoneyView } from './use-money';
