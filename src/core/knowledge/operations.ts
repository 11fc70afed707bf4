import type { CautionCode } from './cautions';
import { isRubbedOn } from './clears';
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
}

// prettier-ignore
export const OPERATION_FACTS: Record<OperationCode, OperationFact> = {
  label: { label: 'Label the parts', whileAlive: true },
  hardware_off: { label: 'Take off hardware', splits: true, cautions: ['tipping'], whileAlive: true },
  clean: { label: 'Clean', pace: 'washing', washes: true, cleans: true, splits: true, whileAlive: true },
  degrease: { label: 'Degrease', pace: 'washing', washes: true, cleans: true, splits: true, whileAlive: true },
  dewax: { label: 'Wash off wax', pace: 'washing' },
  desilicone: { label: 'Wash off silicone', pace: 'washing' },
  remove_face: { label: 'Take the face off', beforePatch: true, dust: 'chips', cautions: ['blades'] },
  reglue: { label: 'Glue down', cautions: ['glue'] },
  repair: { label: 'Repair' },
  consolidate: { label: 'Harden', cautions: ['fumes'] },
  strip: { label: 'Strip', beforePatch: true, pace: 'dulling', dust: 'chips', splits: true },
  fill: { label: 'Fill', dust: 'sanding', dries: true, splits: true },
  liquid_degloss: { label: 'Liquid deglosser', pace: 'dulling', dulls: 'ground', cleans: true },
  scuff: { label: 'Scuff', pace: 'dulling', dulls: 'ground', dust: 'sanding', splits: true },
  sand: { label: 'Sand', pace: 'dulling', dulls: 'ground', dust: 'sanding', splits: true },
  dust: { label: 'Dust off', cautions: ['dust'] },
  grain_fill: { label: 'Fill the grain', pace: 'dulling', dust: 'sanding', dries: true },
  edge_seal: { label: 'Seal edges', pace: 'coating', coat: 'seal' },
  spot_seal: { label: 'Seal spots', pace: 'coating', coat: 'seal' },
  dry_out: { label: 'Let dry out', beforePatch: true, whileAlive: true },
  wait: { label: 'Wait', beforePatch: true, whileAlive: true },
  proof: { label: 'Prove on a patch' },
  prime: { label: 'Prime', pace: 'coating', coat: 'primer' },
  caulk: { label: 'Caulk' },
  denib: { label: 'Sand smooth', pace: 'dulling', dulls: 'between', dust: 'sanding' },
  paint: { label: 'Paint', pace: 'coating', coat: 'paint' },
  topcoat: { label: 'Clear coat', pace: 'coating', coat: 'clear' },
  stain: { label: 'Stain', pace: 'coating', dries: true, cautions: ['oily_rags'] },
  refresh: { label: 'Wax and buff', pace: 'coating', coat: 'clear', byPad: true },
  reamalgamate: { label: 'Melt the old coat', pace: 'coating', dries: true, cautions: ['fumes'] },
  condition: { label: 'Condition', pace: 'coating', dries: true, cautions: ['fumes'] },
  rub_out: { label: 'Rub out', pace: 'dulling', dulls: 'between', splits: true },
  mask: { label: 'Mask', cautions: ['blades'] },
  set_up: { label: 'Set up' },
  edges: { label: 'Do the edges', pace: 'coating', dries: true },
  refit: { label: 'Refit', leaves: true, cautions: ['tipping'] },
  cure: { label: 'Cure', untimed: true, leaves: true },
  handover: { label: 'Hand over', untimed: true, leaves: true, cautions: ['tipping'] },
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

/** What may go through a gun, of the class that is put on: what is rubbed on never does. */
export const maySpray = (op: OperationCode, code: string | undefined): boolean =>
  isWholeCoat(op) && OPERATION_FACTS[op].byPad !== true && !isRubbedOn(code);
