import type { OperationCode } from './codes';
import { findRepairStep } from './repairs';

/** What an operation is to the shop, all on its row (common practice). */
export interface OperationFact {
  label: string;
  /** Dry dust or chips of the old coat or the ground: lead forbids both; sanding asks for a mask besides. */
  dust?: 'sanding' | 'chips';
  /** It puts a film on, and this is what the film is. */
  coat?: 'primer' | 'paint' | 'clear' | 'seal';
  /** Something wet that is no film and dries in the air as waterborne coats do. */
  dries?: true;
  /** Done with a cleaner that wants gloves, and rinsing. */
  cleans?: true;
  /** Can be laid down at any minute and taken up again. */
  splits?: true;
  /** Goes on by itself or when the piece is fetched: no work for a sitting of the owner's. */
  untimed?: true;
  /** May go on while woodworm or wet mould holds the piece back. */
  whileAlive?: true;
  /** Dangers of its own, whatever it is done with. */
  cautions?: readonly ('heat_and_strippers' | 'oily_rags' | 'blades' | 'tipping')[];
}

// prettier-ignore
export const OPERATION_FACTS: Record<OperationCode, OperationFact> = {
  label: { label: 'Label the parts', whileAlive: true },
  hardware_off: { label: 'Take off hardware', splits: true, whileAlive: true },
  clean: { label: 'Clean', cleans: true, splits: true, whileAlive: true },
  degrease: { label: 'Degrease', cleans: true, splits: true, whileAlive: true },
  dewax: { label: 'Wash off wax' },
  desilicone: { label: 'Wash off silicone' },
  remove_face: { label: 'Take the face off', dust: 'chips' },
  reglue: { label: 'Glue down' },
  repair: { label: 'Repair' },
  consolidate: { label: 'Harden' },
  strip: { label: 'Strip', dust: 'chips', splits: true, cautions: ['heat_and_strippers'] },
  fill: { label: 'Fill', dust: 'sanding', dries: true, splits: true },
  liquid_degloss: { label: 'Liquid deglosser', cleans: true },
  scuff: { label: 'Scuff', dust: 'sanding', splits: true },
  sand: { label: 'Sand', dust: 'sanding', splits: true },
  dust: { label: 'Dust off' },
  grain_fill: { label: 'Fill the grain', dust: 'sanding', dries: true },
  edge_seal: { label: 'Seal edges', coat: 'seal' },
  spot_seal: { label: 'Seal spots', coat: 'seal' },
  dry_out: { label: 'Let dry out', whileAlive: true },
  wait: { label: 'Wait', whileAlive: true },
  proof: { label: 'Prove on a patch', cautions: ['blades'] },
  prime: { label: 'Prime', coat: 'primer' },
  caulk: { label: 'Caulk' },
  denib: { label: 'Sand smooth', dust: 'sanding' },
  paint: { label: 'Paint', coat: 'paint' },
  topcoat: { label: 'Clear coat', coat: 'clear' },
  stain: { label: 'Stain', dries: true, cautions: ['oily_rags'] },
  mask: { label: 'Mask' },
  refit: { label: 'Refit', cautions: ['tipping'] },
  cure: { label: 'Cure', untimed: true },
  handover: { label: 'Hand over', untimed: true, cautions: ['tipping'] },
};

/** A film goes on: primer, paint, clear or a seal. Its clocks run from then. */
export const isCoat = (op: OperationCode): boolean => OPERATION_FACTS[op].coat !== undefined;

/** A coat over the whole face, which may be sprayed. */
export const isWholeCoat = (op: OperationCode): boolean => isCoat(op) && OPERATION_FACTS[op].coat !== 'seal';

/** The dust of some work: that of the repair it is, else that of its operation. A repair of a later version is taken to make some. */
export function findDust({ op, repair }: { op: OperationCode; repair?: string | undefined }): OperationFact['dust'] {
  if (repair === undefined) return OPERATION_FACTS[op].dust;
  const fact = findRepairStep(repair);
  return !fact || fact.dry ? 'sanding' : undefined;
}
