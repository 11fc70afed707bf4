import type { PieceKind } from './codes';

/** What kinds of piece are called. How they are built and drawn stands with their templates. */
export const KIND_LABELS: Record<PieceKind, string> = {
  dresser: 'Chest of drawers',
  bedside_cabinet: 'Bedside cabinet',
  sideboard: 'Sideboard',
  wardrobe: 'Wardrobe',
  table: 'Table',
  chair: 'Chair or bench',
  desk: 'Desk',
  bureau: 'Bureau',
  bookcase: 'Bookcase',
  hall_stand: 'Hall bench or stand',
  chest: 'Chest',
  vanity_unit: 'Vanity unit',
  mirror_frame: 'Mirror frame',
  kitchen_run: 'Kitchen run',
  interior_door: 'Interior door',
  bench_top: 'Bench top',
  window_sill: 'Window sill',
  other: 'Something else',
};
