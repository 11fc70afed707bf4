/** What changed, as the server tells it: a piece, the shelf, the workshop, or the order of the open jobs. */
export interface LiveChange {
  piece?: string;
  shelf?: true;
  workshop?: true;
  order?: true;
  /** The page that did it. */
  by?: string;
  /** The device of that page, by its name; none for the computer itself. */
  device?: string;
}
