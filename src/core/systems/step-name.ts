import type { HandCode, OperationCode, StrippingCode } from '../knowledge';

/** What a step is called, as a code: the room of words says it, with what else the step carries. */
export type StepName =
  | 'clean_and_leave'
  | 'clean_dry'
  | 'coat'
  | 'come_out'
  | 'condition'
  | 'cure'
  | 'degloss'
  | 'degloss_mouldings'
  | 'degrease'
  | 'dry_out'
  | 'dust'
  | 'grain_filler'
  | 'hand'
  | 'hand_over'
  | 'harden'
  | 'look_and_fill'
  | 'look_with_spirit'
  | 'mask_glass'
  | 'melt_lacquer'
  | 'melt_shellac'
  | 'prime_bare'
  | 'prime_fills'
  | 'prime_fills_and_bare'
  | 'prove'
  | 'raise_grain'
  | 'refit'
  | 'refresh'
  | 'refit_handles'
  | 'repair'
  | 'rub_out'
  | 'sand_between'
  | 'sand_raw'
  | 'sand_runners'
  | 'sand_smooth'
  | 'sand_to_bare'
  | 'sand_with_grain'
  | 'scuff'
  | 'scuff_softly'
  | 'seal_board'
  | 'seal_edges'
  | 'seal_knots'
  | 'seal_smell'
  | 'seal_stains'
  | 'solvent_wash'
  | 'spackle_brush'
  | 'spackle_knife'
  | 'stain'
  | 'strip_failed'
  | 'strip_old'
  | 'take_off_handles'
  | 'take_off_labelled'
  | 'take_off_numbered'
  | 'test_again'
  | 'wash_off_wax'
  | 'wax_runners'
  | 'wipe_metal';

/** What the name of a step hangs on. A step that was kept before steps had names has the words it was taken with alone. */
export interface NamedStep {
  name?: string;
  label?: string;
  class?: string;
  grit?: number;
  coats?: number;
  repair?: string;
  method?: StrippingCode;
  tint?: string;
  hand?: HandCode;
}

/** What the name of a task hangs on: its step, and which coat of how many. */
export interface NamedTask extends NamedStep {
  op: OperationCode;
  key: string;
  coat: number;
  coats: number;
}

/** The same for steps of one name: what is one job on several zones. */
export const identifyStep = ({
  name,
  label,
  class: code,
  grit,
  coats,
  repair,
  method,
  tint,
  hand,
}: NamedStep): string => [name ?? label, code, grit, coats ?? 1, repair, method, tint, hand].join('/');
