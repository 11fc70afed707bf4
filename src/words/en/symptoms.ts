import type { SymptomCode } from '@/core/knowledge';

/** What is seen, in the words of whoever sees it. */
const SYMPTOMS: Record<SymptomCode, { name: string; says: string }> = {
  bleed: { name: 'Colour comes through', says: 'Yellow, brown, orange or pink in the paint' },
  scratches_off: { name: 'Scratches off', says: 'A thumbnail takes it down' },
  peels_in_sheets: { name: 'Peels in sheets', says: 'It lifts and pulls off in pieces' },
  chips_within_weeks: { name: 'Chips', says: 'Small bits gone where it is knocked' },
  lifts_or_wrinkles: { name: 'Lifted or wrinkled', says: 'The coat under it rose and creased' },
  crackle: { name: 'Cracks like mud', says: 'A net of fine cracks' },
  fisheyes: { name: 'Craters', says: 'Wet paint drew back into round holes' },
  haze: { name: 'Milky haze', says: 'A cloud in the clear coat' },
  yellowing: { name: 'Turned yellow', says: 'It was whiter than this' },
  grain_shows: { name: 'Grain shows', says: 'Pores and lines of the wood in the film' },
  brush_marks: { name: 'Brush marks', says: 'Ridges that did not lie down' },
  roller_texture: { name: 'Roller texture', says: 'Small bumps all over' },
  orange_peel: { name: 'Orange peel', says: 'Sprayed, and dimpled like a rind' },
  dry_spray: { name: 'Rough dry spray', says: 'Sandy to the hand, dull' },
  runs: { name: 'Runs and sags', says: 'Drops and curtains on edges' },
  grit: { name: 'Grit in the film', says: 'Dust or bits dried in' },
  bubbles: { name: 'Bubbles', says: 'Small domes or pinholes' },
  patchy_sheen: { name: 'Patchy sheen', says: 'Dull and shiny places' },
  tape_tore_paint: { name: 'Tape tore paint', says: 'The edge came off with the tape' },
  sticky_drawers: { name: 'Drawers stick', says: 'Running faces drag or hold' },
  blocking: { name: 'Faces stick together', says: 'Door to frame, thing to shelf' },
  soft_prints: { name: 'Soft, takes prints', says: 'A finger or a vase marks it' },
  edge_swell: { name: 'Edge swelled', says: 'Board grew thick and rough' },
  odour_returns: { name: 'Smell is back', says: 'Smoke, pet or must again' },
  rust_spots: { name: 'Rust spots', says: 'Brown points over screws or pins' },
};
export const nameSymptom = (code: SymptomCode): string => SYMPTOMS[code].name;
export const saySymptom = (code: SymptomCode): string => SYMPTOMS[code].says;
