import type { CautionCode } from './cautions';
import type { Basis, HandCode, OperationCode } from './codes';

/** Work of the hand that no coat and no fault asks for, but the shape of the piece, its colours or the tool do. */
export interface HandFact {
  op: OperationCode;
  label: string;
  /** Minutes once a sitting, for each m², for each part that comes off, for each metre of edge or tape. */
  once?: number;
  perM2?: number;
  perPart?: number;
  perM?: number;
  waitH?: number;
  material?: string;
  cautions?: readonly CautionCode[];
  basis: Basis;
}

/** What glass is taped with. */
export const GLASS_TAPE = 'Low-tack tape';

// prettier-ignore
export const HAND_FACTS: Record<HandCode, HandFact> = {
  label_parts: { op: 'label', label: 'Number the parts and their openings', perPart: 1, basis: 'practice' },
  mask_room: { op: 'mask', label: 'Tape walls, floor and what stays on', once: 5, perM: 1.2, material: 'Masking tape and film', basis: 'practice' },
  mask_hinges: { op: 'mask', label: 'Mask hinges and frame', once: 5, perPart: 2, basis: 'practice' },
  mask_runners: { op: 'mask', label: 'Tape dovetails and runners', perPart: 2, basis: 'practice' },
  stand: { op: 'set_up', label: 'Stand the parts on points, backs up', once: 5, perPart: 0.5, cautions: ['tipping'], basis: 'practice' },
  spray_tent: { op: 'set_up', label: 'Hang the tent, set the fan', once: 35, material: 'Film and battens for a tent', cautions: ['spray'], basis: 'practice' },
  gun_card: { op: 'set_up', label: 'Set the gun on a card', once: 10, material: 'Card for trial strokes', cautions: ['spray'], basis: 'practice' },
  can_card: { op: 'set_up', label: 'Try the can on a card', once: 5, material: 'Card for trial strokes', cautions: ['spray'], basis: 'practice' },
  mask_wood: { op: 'mask', label: 'Tape along the wood that stays wood', once: 2, perM: 1.5, material: 'Low-tack tape', basis: 'practice' },
  brush_edges: { op: 'edges', label: 'Brush lips and edges before the faces', perM: 0.6, waitH: 1, basis: 'practice' },
  room_edges: { op: 'edges', label: 'Part the colours on the edges of the door', once: 6, material: 'Masking tape', basis: 'practice' },
  tape_line: { op: 'mask', label: 'Tape the line to the other colour', perM: 2, waitH: 0.5, material: 'Low-tack tape', basis: 'practice' },
  tape_second: { op: 'mask', label: 'Tape for the second colour, seal its edge', once: 3, perM: 3, waitH: 0.5, material: 'Low-tack tape', basis: 'practice' },
  pull_tape: { op: 'mask', label: 'Pull the tape', once: 1, perM: 0.5, basis: 'practice' },
  dust_again: { op: 'dust', label: 'Dust again after the rest', once: 3, waitH: 0.5, basis: 'practice' },
  dull_again: { op: 'denib', label: 'Dull again after the rest, 220', once: 2, perM2: 5, perM: 0.3, basis: 'practice' },
};
