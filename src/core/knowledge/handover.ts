import type { Basis } from './codes';

// prettier-ignore
export const HANDOVER_CHECKS = [
  'refit', 'hinges', 'runners', 'anti_tip', 'felt', 'touch_up', 'food', 'child', 'lead', 'flaws',
] as const;
export type HandoverCheckCode = (typeof HANDOVER_CHECKS)[number];

/** What makes a check be of a piece. */
export type HandoverWhere =
  'always' | 'comes_apart' | 'doors' | 'drawers' | 'storage_tall' | 'on_feet' | 'food' | 'child' | 'lead';

export interface HandoverCheck {
  code: HandoverCheckCode;
  label: string;
  why: string;
  where: HandoverWhere;
  /** Said to whoever takes the piece, in its papers too. */
  told?: true;
  basis: Basis;
  source?: string;
}

/** A piece of storage so tall can pull over a child that climbs it. Source: ASTM F2057, 27 inches (from memory). */
export const TIPS_FROM_MM = 686;

/** What is seen to before a piece leaves, in the order it is done. */
// prettier-ignore
export const HANDOVER_FACTS: readonly HandoverCheck[] = [
  { code: 'refit', label: 'Doors, drawers and shelves are back in their places', why: 'By the numbers on their labels: each was fitted to its own opening.', where: 'comes_apart', basis: 'practice' },
  { code: 'hinges', label: 'No paint in the hinge recesses, every door closes', why: 'A film in a recess stands the door off and is torn when it is forced.', where: 'doors', basis: 'practice' },
  { code: 'runners', label: 'Runners clean and waxed, every drawer runs', why: 'Paint on a runner sticks to paint, and pulls off in flakes.', where: 'drawers', basis: 'practice' },
  { code: 'anti_tip', label: 'The strap against tipping goes with it', why: 'A tall piece with open drawers or doors falls on a child that climbs it. Fixed to the wall by whoever has it next.', where: 'storage_tall', told: true, basis: 'published', source: 'ASTM F2057 (from memory)' },
  { code: 'felt', label: 'Felt pads under its feet', why: 'Rubber and vinyl draw plasticiser into a young film and stain floors; felt does neither.', where: 'on_feet', basis: 'practice' },
  { code: 'touch_up', label: 'A jar for touching up, labelled', why: 'The same batch hides a chip; the next one seldom does. With what it is, the date, and what goes under it.', where: 'always', basis: 'practice' },
  { code: 'food', label: 'Said: food lies only on what the label names for it', why: 'Only the label of the last coat can say so, and only once it has cured right through.', where: 'food', told: true, basis: 'practice' },
  { code: 'child', label: 'Said: what the coats’ labels name it for', why: 'For a child only coats named for toys or nursery furniture, cured to the last day, and fixed to the wall.', where: 'child', told: true, basis: 'practice' },
  { code: 'lead', label: 'Said: an old coat under it may hold lead', why: 'Whoever sands it next must know. A negative swab can be wrong; local rules on telling a buyer come first.', where: 'lead', told: true, basis: 'practice' },
  { code: 'flaws', label: 'Flaws that stay are written down', why: 'What was told is no complaint.', where: 'always', basis: 'practice' },
];
