export { tellAccount, tellSale, tellTraits, toShown, type PieceAccount } from './account';
export { ACCOUNT_TABLE } from './account-table';
export { COMPARED_BY, type Advice, type CompareBy, type Comparison, type Group } from './compare';
export { foreseeSale, type ForeseenSale, type Sale, type SaleRange, type SaleTraits } from './foresee-sale';
export { readShopAccount, type ShopAccount } from './shop-account';
