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
  /** What matters while doing it, most telling first. */
  says: readonly string[];
  cautions?: readonly CautionCode[];
  basis: Basis;
}

/** What glass is taped with. */
export const GLASS_TAPE = 'Low-tack tape';

// prettier-ignore
export const HAND_FACTS: Record<HandCode, HandFact> = {
  label_parts: { op: 'label', label: 'Number the parts and their openings', perPart: 1, says: ['Where no paint goes, on the part and in its opening, with which way is up.', 'A picture of it all before the first screw.'], basis: 'practice' },
  mask_room: { op: 'mask', label: 'Tape walls, floor and what stays on', once: 5, perM: 1.2, material: 'Masking tape and film', says: ['Film on the floor first, taped to the wall; paper tears when it is wet.', 'Kitchen foil moulds over handles and hinges that stay on.'], basis: 'practice' },
  mask_hinges: { op: 'mask', label: 'Mask hinges and frame', once: 5, perPart: 2, says: ['Press the tape’s edge down with a nail.', 'Foil moulds over a hinge better than tape does.'], basis: 'practice' },
  mask_runners: { op: 'mask', label: 'Tape dovetails and runners', perPart: 2, says: ['Mist creeps into joints and makes drawers stick: tape over them whole.', 'A loose runner is tightened now, not after the paint.'], basis: 'practice' },
  stand: { op: 'set_up', label: 'Stand the parts on points, backs up', once: 5, perPart: 0.5, says: ['Backs first: when they may be touched, turn each part onto four points and do its face.', 'Look at the underside and the lower corners for runs while they are wet.', 'Doors dry standing or lying open; nothing leans on a wet edge.'], cautions: ['tipping'], basis: 'practice' },
  spray_tent: { op: 'set_up', label: 'Hang the tent, set the fan', once: 35, material: 'Film and battens for a tent', says: ['About 3.5 × 3.5 m, light from two sides, the fan drawing away from the piece.', 'Nothing that sparks or burns: no pilot light, no heater, no phone on charge.', 'Wet the floor: dust stays down.'], cautions: ['spray'], basis: 'practice' },
  gun_card: { op: 'set_up', label: 'Set the gun on a card', once: 10, material: 'Card for trial strokes', says: ['Strain what you pour, time the cup and write the seconds down.', 'Strokes on card until the fan is even from end to end: see the card for the gun.'], cautions: ['spray'], basis: 'practice' },
  can_card: { op: 'set_up', label: 'Try the can on a card', once: 5, material: 'Card for trial strokes', says: ['Shake for two minutes after the ball comes loose.', 'Moving before you press, off the piece at both ends; turn the can over and blow it clear after.'], cautions: ['spray'], basis: 'practice' },
  mask_wood: { op: 'mask', label: 'Tape along the wood that stays wood', once: 2, perM: 1.5, material: 'Low-tack tape', says: ['Once the wood is sanded and its dust is gone, before the first coat: bare wood drinks whatever creeps under.', 'Press the edge down with a nail; paper over the rest of the face.', 'What lands on the wood all the same is wiped off at once, along the grain.'], basis: 'practice' },
  brush_edges: { op: 'edges', label: 'Brush lips and edges before the faces', perM: 0.6, waitH: 1, says: ['A thin coat by brush, drawn out towards the edge: no bead is left on the arris.', 'What ran onto the face is wiped off at once; the face is sprayed over it.'], basis: 'practice' },
  room_edges: { op: 'edges', label: 'Part the colours on the edges of the door', once: 6, material: 'Masking tape', says: ['The opening edge takes the colour of the room the door opens into, the hinge edge that of the other.', 'Stand in each room with the door ajar: what you see belongs to that room.'], basis: 'practice' },
  tape_line: { op: 'mask', label: 'Tape the line to the other colour', perM: 2, waitH: 0.5, material: 'Low-tack tape', says: ['Only on paint that has had its time: sooner, the tape takes it along.', 'Press the edge down with a nail, then seal it with the paler colour or clear: what creeps under is that.'], basis: 'practice' },
  tape_second: { op: 'mask', label: 'Tape for the second colour, seal its edge', once: 3, perM: 3, waitH: 0.5, material: 'Low-tack tape', says: ['Measure from one edge and mark both ends with a pencil dot.', 'Press the edge down with a nail, then seal it with the first colour or clear: what creeps under is that.', 'Only on paint that has had its time: sooner, the tape takes it along.'], basis: 'practice' },
  pull_tape: { op: 'mask', label: 'Pull the tape', once: 1, perM: 0.5, says: ['Back over itself at 45°, slowly, while the coat is fresh.', 'Dry already? Score along it with a sharp blade first, or it takes a strip of paint along.'], basis: 'practice' },
  dust_again: { op: 'dust', label: 'Dust again after the rest', once: 3, waitH: 0.5, says: ['It stood: vacuum, then a damp or tack cloth, and the floor under it.', 'A mix that stood: stir it, strain it and try it on card, or throw it away.', 'Wood takes up damp in weeks: read the meter again.'], basis: 'practice' },
  dull_again: { op: 'denib', label: 'Dull again after the rest, 220', once: 2, perM2: 5, perM: 0.3, says: ['A coat that has cured takes the next one no better than a factory finish: no shine may be left.', 'Stay off the edges.'], basis: 'practice' },
};
