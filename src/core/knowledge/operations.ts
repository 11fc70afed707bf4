import type { CautionCode } from './cautions';
import { PAINTS, PRIMERS, TOPCOATS, type OperationCode, type ProductClass } from './codes';

/** Kinds of work in which somebody is quick or slow (common practice). */
export type PaceGroup = 'washing' | 'dulling' | 'coating' | 'small';

/** What an operation is to the shop, all on its row (common practice). */
export interface OperationFact {
  label: string;
  /** Dry dust or chips of the old coat or the ground: lead forbids both; sanding asks for a mask besides. */
  dust?: 'sanding' | 'chips';
  /** It puts a film on, and this is what the film is. */
  coat?: 'primer' | 'paint' | 'clear' | 'seal';
  /** Put on with a pad, whatever other coats are put on with. */
  byPad?: true;
  /** Something wet that is no film and dries in the air as waterborne coats do. */
  dries?: true;
  /** Done with a cleaner that wants gloves, and rinsing. */
  cleans?: true;
  /** Takes dirt and grease off, before anything else is done. */
  washes?: true;
  /** Makes dull what shines: the ground before the first coat, or a coat before the next. */
  dulls?: 'ground' | 'between';
  /** Can be laid down at any minute and taken up again. */
  splits?: true;
  /** Goes on by itself or when the piece is fetched: no work for a sitting of the owner's. */
  untimed?: true;
  /** Belongs to letting a piece go, once all that goes on it has gone on. */
  leaves?: true;
  /** May go on while woodworm or wet mould holds the piece back. */
  whileAlive?: true;
  /** The group of work by whose logged times an owner's pace for it is learned; small work where none is named. */
  pace?: Exclude<PaceGroup, 'small'>;
  /** It changes what a coat meets: a patch before it would be one of another ground. */
  beforePatch?: true;
  /** Dangers of its own, whatever it is done with. */
  cautions?: readonly CautionCode[];
  /** What matters while doing it, most telling first; a product that is put on in its own way says its own. */
  says?: readonly string[];
  saysOfDoors?: readonly string[];
  saysOfMouldings?: readonly string[];
}

// prettier-ignore
export const OPERATION_FACTS: Record<OperationCode, OperationFact> = {
  label: { label: 'Label the parts', whileAlive: true },
  hardware_off: { label: 'Take off hardware', splits: true, cautions: ['tipping'], whileAlive: true, says: ['Label each part where no paint goes, and its opening, with which way is up.', 'Screws, lid stays and straps go back into their holes or into a bag with the number.', 'Look at the gaps: 1.5 mm all round is room for two coats. Where it is tight, plane the edge now.'] },
  clean: { label: 'Clean', pace: 'washing', washes: true, cleans: true, splits: true, whileAlive: true, says: ['Scrub, rinse with clean water, let it dry. “Looks clean” is worth nothing.'], saysOfDoors: ['The backs of doors and round the handles too.'] },
  degrease: { label: 'Degrease', pace: 'washing', washes: true, cleans: true, splits: true, whileAlive: true, says: ['Scrub, rinse with clean water, let it dry. “Looks clean” is worth nothing.'], saysOfDoors: ['The backs of doors and round the handles too.'] },
  dewax: { label: 'Wash off wax', pace: 'washing', says: ['Several clean rags, turned often, until no more comes off.', 'Nothing sticks to what is left.'] },
  desilicone: { label: 'Wash off silicone', pace: 'washing', says: ['Several clean rags, turned often, until no more comes off.', 'Nothing sticks to what is left.'] },
  remove_face: { label: 'Take the face off', beforePatch: true, dust: 'chips', cautions: ['blades'] },
  reglue: { label: 'Glue down', cautions: ['glue'] },
  repair: { label: 'Repair' },
  consolidate: { label: 'Harden', says: ['Until it takes no more, then let it harden right through.'], cautions: ['fumes'] },
  strip: { label: 'Strip', beforePatch: true, pace: 'dulling', dust: 'chips', splits: true, says: ['All of it comes off, or what stays will lift the new coat.'] },
  fill: { label: 'Fill', dust: 'sanding', dries: true, splits: true, says: ['Fill a little proud; it shrinks. Sand 220 when hard.', 'A low lamp along the face shows what light from above hides.'] },
  liquid_degloss: { label: 'Liquid deglosser', pace: 'dulling', dulls: 'ground', cleans: true, says: ['Saturated lint-free cloth, in circles; refold it often. Haze is normal.', 'Prime within the time on its label.'] },
  scuff: { label: 'Scuff', pace: 'dulling', dulls: 'ground', dust: 'sanding', splits: true, says: ['All that shines goes dull; on laminate the scratches must be plain to see.', 'Stay off the edges: cut through, they want spot-priming.'], saysOfMouldings: ['A soft pad in the mouldings.'] },
  sand: { label: 'Sand', pace: 'dulling', dulls: 'ground', dust: 'sanding', splits: true, says: ['All that shines goes dull; on laminate the scratches must be plain to see.', 'Stay off the edges: cut through, they want spot-priming.'], saysOfMouldings: ['A soft pad in the mouldings.'] },
  dust: { label: 'Dust off', cautions: ['dust'], says: ['Vacuum, then a damp or tack cloth. Wipe the floor under it too.'] },
  grain_fill: { label: 'Fill the grain', pace: 'dulling', dust: 'sanding', dries: true, says: ['Across the grain, pressed in; sand 220 until it is left in the pores only.', 'Deep oak wants a second pass.'] },
  edge_seal: { label: 'Seal edges', pace: 'coating', coat: 'seal', says: ['Two thin coats, sanded between. Never flood a board edge with water.'] },
  spot_seal: { label: 'Seal spots', pace: 'coating', coat: 'seal', says: ['A finger’s breadth beyond the stain all round.', 'Two thin dabs hold back more than one thick one.'] },
  dry_out: { label: 'Let dry out', beforePatch: true, whileAlive: true, says: ['Moving air, no heat: boards that dry fast crack.', 'Measure again; the room sets how far it goes.'] },
  wait: { label: 'Wait', beforePatch: true, whileAlive: true, says: ['Nothing over it until its time is up.'] },
  proof: { label: 'Prove on a patch', says: ['A hand’s breadth in a hidden place: clean, dull and prime it now, the rest can wait.', 'Prepared just like the piece. No label where paint will go: the map is the label.'] },
  prime: { label: 'Prime', pace: 'coating', coat: 'primer', says: ['Even and thin; it need not hide.', 'Push it into pores with the brush before you roll.'] },
  caulk: { label: 'Caulk', says: ['On primer, before colour: a thin bead, tooled with a wet finger.', 'Never over a joint that moves. Paint it after the time on its label.'] },
  denib: { label: 'Sand smooth', pace: 'dulling', dulls: 'between', dust: 'sanding', says: ['Light hand, 220; only the nibs go. Wipe after it.', 'A finger along edges and corners finds runs.'] },
  paint: { label: 'Paint', pace: 'coating', coat: 'paint', says: ['Thin and even; two thin coats hold better than one thick one.'] },
  topcoat: { label: 'Clear coat', pace: 'coating', coat: 'clear', says: ['Stir, never shake: bubbles stay.', 'Thin, and only when the paint is dry right through: the next day is safe.'] },
  stain: { label: 'Stain', pace: 'coating', dries: true, cautions: ['oily_rags'], says: ['Try it on a hidden place, and let that dry, before the face.', 'With the grain, end to end, wiped off before it dries. Ends drink more: damp them first.'] },
  refresh: { label: 'Wax and buff', pace: 'coating', coat: 'clear', byPad: true, says: ['A fine pad with a little wax, along the grain; buff when it goes dull.', 'It is recorded as wax: whoever paints it later washes it off first.'] },
  reamalgamate: { label: 'Melt the old coat', pace: 'coating', dries: true, cautions: ['fumes'], says: ['Thin, quick strokes with its own solvent; let it flow and leave it alone.', 'Doors open, no flame. Try a hidden place first: a coat that only wrinkles is another one.'] },
  condition: { label: 'Condition', pace: 'coating', dries: true, cautions: ['fumes'], says: ['Wipe it on until the wood takes no more; stain within the time on its label.', 'Pine, birch, cherry and maple go blotchy without.'] },
  rub_out: { label: 'Rub out', pace: 'dulling', dulls: 'between', splits: true, says: ['With the grain, a grey pad or 0000 wool with a drop of wax.', 'Even dullness all over, and off the edges.'] },
  mask: { label: 'Mask', cautions: ['blades'], says: ['Press the tape’s edge down with a nail; cut it with a blade before you pull.', 'Off at 45° while the coat is fresh, or score it first. Kitchen foil moulds over what stays on.'] },
  set_up: { label: 'Set up' },
  edges: { label: 'Do the edges', pace: 'coating', dries: true, says: ['A thin coat by brush, drawn out towards the edge.'] },
  refit: { label: 'Refit', leaves: true, cautions: ['tipping'], says: ['Clean hinge recesses; sand stray paint off runners and edges.', 'Press nothing together that stays shut overnight.'] },
  cure: { label: 'Cure', untimed: true, leaves: true, says: ['Dry to the touch is not cured: marks and stuck feet come in these weeks.'] },
  handover: { label: 'Hand over', untimed: true, leaves: true, cautions: ['tipping'], says: ['Say what is on it, when it is cured, and what to clean it with until then.'] },
};

/** The classes that a whole coat of an operation may be of; none where it puts none on. */
export function listClassesFor(op: OperationCode): readonly ProductClass[] {
  const { coat } = OPERATION_FACTS[op];
  if (coat === 'primer') return PRIMERS;
  if (coat === 'paint') return PAINTS;
  return coat === 'clear' ? TOPCOATS.filter((code) => code !== 'none') : [];
}

export const paceGroupOf = (op: OperationCode): PaceGroup => OPERATION_FACTS[op].pace ?? 'small';

/** A film goes on: primer, paint, clear or a seal. Its clocks run from then. */
export const isCoat = (op: OperationCode): boolean => OPERATION_FACTS[op].coat !== undefined;

/** A coat over the whole face. */
export const isWholeCoat = (op: OperationCode): boolean => isCoat(op) && OPERATION_FACTS[op].coat !== 'seal';

export const maySpray = (op: OperationCode): boolean => isWholeCoat(op) && OPERATION_FACTS[op].byPad !== true;
