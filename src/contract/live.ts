/** What changed, as the server tells it: a piece, the shelf, or the workshop. */
export interface LiveChange {
  piece?: string;
  shelf?: true;
  workshop?: true;
  /** The page that did it. */
  by?: string;
  /** The device of that page, by its name; none for the computer itself. */
  device?: string;
}
