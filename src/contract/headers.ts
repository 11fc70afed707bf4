/** Which shop answers, and which a change is for. */
export const SHOP_HEADER = 'x-bricolage-shop';
/** Which open page a change is of: what it did itself it is not told. */
export const PAGE_HEADER = 'x-bricolage-page';
