export { makeTimes, sayDate, saySpan, sayUntil, type Times } from './times';
export { useShopPlan, useShopQuestion, type ShopView } from './use-shop-plan';
