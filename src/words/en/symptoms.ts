import type { SymptomCode } from '@/core/knowledge';

/** What is seen, in the words of whoever sees it. */
const SYMPTOMS: Record<SymptomCode, string> = {
  bleed: 'Colour comes through',
  scratches_off: 'Scratches off',
  peels_in_sheets: 'Peels in sheets',
  chips_within_weeks: 'Chips',
  lifts_or_wrinkles: 'Lifted or wrinkled',
  crackle: 'Cracks like mud',
  fisheyes: 'Craters',
  haze: 'Milky haze',
  yellowing: 'Turned yellow',
  grain_shows: 'Grain shows',
  brush_marks: 'Brush marks',
  roller_texture: 'Roller texture',
  orange_peel: 'Orange peel',
  dry_spray: 'Rough dry spray',
  runs: 'Runs and sags',
  grit: 'Grit in the film',
  bubbles: 'Bubbles',
  patchy_sheen: 'Patchy sheen',
  tape_tore_paint: 'Tape tore paint',
  sticky_drawers: 'Drawers stick',
  blocking: 'Faces stick together',
  soft_prints: 'Soft, takes prints',
  edge_swell: 'Edge swelled',
  odour_returns: 'Smell is back',
  rust_spots: 'Rust spots',
};
export const nameSymptom = (code: SymptomCode): string => SYMPTOMS[code];
