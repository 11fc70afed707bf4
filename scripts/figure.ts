/** One line of the bench: what was measured, what is wanted, and what it stands beside. */
export interface Figure {
  name: string;
  value: number;
  unit: string;
  target: string;
  reference: string;
}
