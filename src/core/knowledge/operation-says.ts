import type { HandCode, OperationCode } from './codes';

/** What is said while an operation is done, apart from its facts: only the screens of work load it. */
export interface OperationSays {
  /** What matters while doing it, most telling first; a product that is put on in its own way says its own. */
  says: readonly string[];
  saysOfDoors?: readonly string[];
  saysOfMouldings?: readonly string[];
}

// prettier-ignore
export const OPERATION_SAYS: Partial<Record<OperationCode, OperationSays>> = {
  hardware_off: { says: ['Label each part where no paint goes, and its opening, with which way is up.', 'Screws, lid stays and straps go back into their holes or into a bag with the number.', 'Look at the gaps: 1.5 mm all round is room for two coats. Where it is tight, plane the edge now.'] },
  clean: { says: ['Scrub, rinse with clean water, let it dry. “Looks clean” is worth nothing.'], saysOfDoors: ['The backs of doors and round the handles too.'] },
  degrease: { says: ['Scrub, rinse with clean water, let it dry. “Looks clean” is worth nothing.'], saysOfDoors: ['The backs of doors and round the handles too.'] },
  dewax: { says: ['Several clean rags, turned often, until no more comes off.', 'Nothing sticks to what is left.'] },
  desilicone: { says: ['Several clean rags, turned often, until no more comes off.', 'Nothing sticks to what is left.'] },
  consolidate: { says: ['Until it takes no more, then let it harden right through.'] },
  strip: { says: ['All of it comes off, or what stays will lift the new coat.'] },
  fill: { says: ['Fill a little proud; it shrinks. Sand 220 when hard.', 'A low lamp along the face shows what light from above hides.'] },
  liquid_degloss: { says: ['Saturated lint-free cloth, in circles; refold it often. Haze is normal.', 'Prime within the time on its label.'] },
  scuff: { says: ['All that shines goes dull; on laminate the scratches must be plain to see.', 'Stay off the edges: cut through, they want spot-priming.'], saysOfMouldings: ['A soft pad in the mouldings.'] },
  sand: { says: ['All that shines goes dull; on laminate the scratches must be plain to see.', 'Stay off the edges: cut through, they want spot-priming.'], saysOfMouldings: ['A soft pad in the mouldings.'] },
  dust: { says: ['Vacuum, then a damp or tack cloth. Wipe the floor under it too.'] },
  grain_fill: { says: ['Across the grain, pressed in; sand 220 until it is left in the pores only.', 'Deep oak wants a second pass.'] },
  edge_seal: { says: ['Two thin coats, sanded between. Never flood a board edge with water.'] },
  spot_seal: { says: ['A finger’s breadth beyond the stain all round.', 'Two thin dabs hold back more than one thick one.'] },
  dry_out: { says: ['Moving air, no heat: boards that dry fast crack.', 'Measure again; the room sets how far it goes.'] },
  wait: { says: ['Nothing over it until its time is up.'] },
  proof: { says: ['A hand’s breadth in a hidden place: clean, dull and prime it now, the rest can wait.', 'Prepared just like the piece. No label where paint will go: the map is the label.'] },
  prime: { says: ['Even and thin; it need not hide.', 'Push it into pores with the brush before you roll.'] },
  caulk: { says: ['On primer, before colour: a thin bead, tooled with a wet finger.', 'Never over a joint that moves. Paint it after the time on its label.'] },
  denib: { says: ['Light hand, 220; only the nibs go. Wipe after it.', 'A finger along edges and corners finds runs.'] },
  paint: { says: ['Thin and even; two thin coats hold better than one thick one.'] },
  topcoat: { says: ['Stir, never shake: bubbles stay.', 'Thin, and only when what is under it is dry right through: the next day is safe.'] },
  stain: { says: ['Try it on a hidden place, and let that dry, before the face.', 'With the grain, end to end, wiped off before it dries. Ends drink more: damp them first.'] },
  refresh: { says: ['A fine pad with a little wax, along the grain; buff when it goes dull.', 'It is recorded as wax: whoever paints it later washes it off first.'] },
  reamalgamate: { says: ['Thin, quick strokes with its own solvent; let it flow and leave it alone.', 'Doors open, no flame. Try a hidden place first: a coat that only wrinkles is another one.'] },
  condition: { says: ['Wipe it on until the wood takes no more; stain within the time on its label.', 'Pine, birch, cherry and maple go blotchy without.'] },
  rub_out: { says: ['With the grain, a grey pad or 0000 wool with a drop of wax.', 'Even dullness all over, and off the edges.'] },
  mask: { says: ['Press the tape’s edge down with a nail; cut it with a blade before you pull.', 'Off at 45° while the coat is fresh, or score it first. Kitchen foil moulds over what stays on.'] },
  edges: { says: ['A thin coat by brush, drawn out towards the edge.'] },
  refit: { says: ['Clean hinge recesses; sand stray paint off runners and edges.', 'Press nothing together that stays shut overnight.'] },
  cure: { says: ['Dry to the touch is not cured: marks and stuck feet come in these weeks.'] },
  handover: { says: ['Say what is on it, when it is cured, and what to clean it with until then.'] },
};

/** What matters at work of the hand, most telling first. */
// prettier-ignore
export const HAND_SAYS: Record<HandCode, readonly string[]> = {
  label_parts: ['Where no paint goes, on the part and in its opening, with which way is up.', 'A picture of it all before the first screw.'],
  mask_room: ['Film on the floor first, taped to the wall; paper tears when it is wet.', 'Kitchen foil moulds over handles and hinges that stay on.'],
  mask_hinges: ['Press the tape’s edge down with a nail.', 'Foil moulds over a hinge better than tape does.'],
  mask_runners: ['Mist creeps into joints and makes drawers stick: tape over them whole.', 'A loose runner is tightened now, not after the paint.'],
  stand: ['Backs first: when they may be touched, turn each part onto four points and do its face.', 'Look at the underside and the lower corners for runs while they are wet.', 'Doors dry standing or lying open; nothing leans on a wet edge.'],
  spray_tent: ['About 3.5 × 3.5 m, light from two sides, the fan drawing away from the piece.', 'Nothing that sparks or burns: no pilot light, no heater, no phone on charge.', 'Wet the floor: dust stays down.'],
  gun_card: ['Strain what you pour, time the cup and write the seconds down.', 'Strokes on card until the fan is even from end to end: see the card for the gun.'],
  can_card: ['Shake for two minutes after the ball comes loose.', 'Moving before you press, off the piece at both ends; turn the can over and blow it clear after.'],
  mask_wood: ['Once the wood is sanded and its dust is gone, before the first coat: bare wood drinks whatever creeps under.', 'Press the edge down with a nail; paper over the rest of the face.', 'What lands on the wood all the same is wiped off at once, along the grain.'],
  brush_edges: ['A thin coat by brush, drawn out towards the edge: no bead is left on the arris.', 'What ran onto the face is wiped off at once; the face is sprayed over it.'],
  room_edges: ['The opening edge takes the colour of the room the door opens into, the hinge edge that of the other.', 'Stand in each room with the door ajar: what you see belongs to that room.'],
  tape_line: ['Only on paint that has had its time: sooner, the tape takes it along.', 'Press the edge down with a nail, then seal it with the paler colour or clear: what creeps under is that.'],
  tape_second: ['Measure from one edge and mark both ends with a pencil dot.', 'Press the edge down with a nail, then seal it with the first colour or clear: what creeps under is that.', 'Only on paint that has had its time: sooner, the tape takes it along.'],
  pull_tape: ['Back over itself at 45°, slowly, while the coat is fresh.', 'Dry already? Score along it with a sharp blade first, or it takes a strip of paint along.'],
  dust_again: ['It stood: vacuum, then a damp or tack cloth, and the floor under it.', 'A mix that stood: stir it, strain it and try it on card, or throw it away.', 'Wood takes up damp in weeks: read the meter again.'],
  dull_again: ['A coat that has cured takes the next one no better than a factory finish: no shine may be left.', 'Stay off the edges.'],
};
