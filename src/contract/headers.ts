/** Which shop answers, and which a change is for. */
export const SHOP_HEADER = 'x-bricolage-shop';
/** The server's own time, with every answer: by it a device sees that its clock is wrong. */
export const NOW_HEADER = 'x-bricolage-now';
/** The id of a change, by which it is known when it comes again; and when it was made, by the clock of its maker. */
export const CHANGE_HEADER = 'x-bricolage-change';
export const MADE_HEADER = 'x-bricolage-made';
/** Which open page a change is of: what it did itself it is not told. */
export const PAGE_HEADER = 'x-bricolage-page';
