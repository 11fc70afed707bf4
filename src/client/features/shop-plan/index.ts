export { makeTimes, sayDate, saySpan, sayUntil, type Times } from './times';
export { useShopPlan, type ShopView } from './use-shop-plan';
