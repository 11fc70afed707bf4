/** What changed, as the server tells it: a piece, the shelf, or the workshop. */
export interface LiveChange {
  piece?: string;
  shelf?: true;
  workshop?: true;
  /** The page that did it. */
  by?: string;
}
