import type { ZoneName } from '@/core/templates';

const NAMES: Record<ZoneName, string> = {
  apron: 'Apron',
  back: 'Back',
  back_rest: 'Back rest',
  carcass_front_and_plinth: 'Carcass front and plinth',
  cornice: 'Cornice',
  doors: 'Doors',
  drawer_fronts: 'Drawer fronts',
  drawer_sides: 'Drawer sides',
  edge_of_the_top: 'Edge of the top',
  edges: 'Edges',
  end_panels: 'End panels',
  face: 'Face',
  frame: 'Frame',
  frame_and_feet: 'Frame and feet',
  frame_and_plinth: 'Frame and plinth',
  front: 'Front',
  front_frame: 'Front frame',
  inside: 'Inside',
  legs: 'Legs',
  legs_and_rail: 'Legs and rail',
  legs_and_rails: 'Legs and rails',
  lid: 'Lid',
  panel_mouldings: 'Panel mouldings',
  panels: 'Panels',
  pedestal: 'Pedestal',
  seat: 'Seat',
  shelves: 'Shelves',
  sides: 'Sides',
  stiles_and_rails: 'Stiles and rails',
  top: 'Top',
  underside: 'Underside',
};

/** What a zone is called until its owner calls it otherwise. */
export const nameNewZone = (name: ZoneName): string => NAMES[name];
