export { tellAccount, toShown, type PieceAccount } from './account';
export { COMPARED_BY, type Advice, type CompareBy, type Comparison, type Group } from './compare';
export { foreseeSale, type ForeseenSale, type Sale, type SaleRange, type SaleTraits } from './foresee-sale';
export { readShopAccount, type ShopAccount } from './shop-account';
