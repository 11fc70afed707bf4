/** What there is one of besides tins, which are named by their id. */
export const SPRAY_PLACE = 'spray_place';
