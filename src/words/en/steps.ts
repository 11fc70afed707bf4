import {
  findRepairStep,
  HAND_FACTS,
  isWholeCoat,
  labelProduct,
  OPERATION_FACTS,
  STRIPPING_FACTS,
  type OperationCode,
  type ProductClass,
} from '@/core/knowledge';
import { lowerFirst } from '@/core/shared';
import type { NamedStep, NamedTask, StepName } from '@/core/systems';
import { isReadingTask } from '@/core/work';

export const TINTS: Readonly<Record<string, string>> = { grey: 'grey', dark: 'dark' };

/** What a coat is called: its class, and the tint that was asked for. White is what primers are. */
export function nameCoat(code: string, tint?: string): string {
  const tinted = tint === undefined ? undefined : TINTS[tint];
  const name = labelProduct(code as ProductClass);
  return tinted ? `${name}, tinted ${tinted}` : name;
}

const by =
  (what: string) =>
  ({ method }: NamedStep): string =>
    method ? `${what}: ${lowerFirst(STRIPPING_FACTS[method].label)}` : what;
const over =
  (what: string) =>
  ({ class: code }: NamedStep): string =>
    code ? `${what} with ${lowerFirst(nameCoat(code))}` : what;

const NAMES: Record<StepName, string | ((step: NamedStep) => string | undefined)> = {
  clean_dry: 'Clean dry: vacuum, tack cloth, spirit on a rag',
  clean_and_leave: 'Clean and leave as it is',
  coat: ({ class: code, tint, coats = 1 }) => code && `${nameCoat(code, tint)}${coats > 1 ? ` ×${coats}` : ''}`,
  come_out: 'Let it come out',
  condition: 'Condition the wood, let it soak in',
  cure: 'Let it cure',
  degloss: 'Liquid deglosser',
  degloss_mouldings: 'Liquid deglosser in the mouldings',
  degrease: 'Degrease, rinse, dry',
  dry_out: 'Let it dry out',
  dust: 'Vacuum and wipe',
  grain_filler: 'Grain filler across the grain, sand 220',
  hand: ({ hand }) => hand && HAND_FACTS[hand].label,
  hand_over: 'Hand over with its care note',
  harden: 'Let it harden',
  mask_glass: 'Tape the glass, do not paint it',
  look_with_spirit: 'Wipe with spirit, look for scratches and glue',
  melt_lacquer: 'Melt the lacquer with its thinner',
  melt_shellac: 'Melt the shellac with alcohol',
  raise_grain: 'Damp once, dry, sand 220',
  refresh: ({ class: code }) =>
    code === 'wax' ? 'Wax with a fine pad and buff' : 'Oil with a fine pad, wipe off every trace',
  rub_out: 'Rub out with a fine pad',
  look_and_fill: 'Look along a low lamp, fill what shows',
  prime_bare: 'Spot-prime the bare patches',
  prime_fills: 'Spot-prime the fills',
  prime_fills_and_bare: 'Spot-prime the fills and bare patches',
  prove: 'Prove it on a patch',
  refit: 'Refit and check that it closes',
  refit_handles: 'Put the handles back on',
  repair: ({ repair }) => repair && findRepairStep(repair)?.label,
  sand_between: ({ grit = 220, coats = 1 }) => `Sand smooth between coats, ${grit}${coats > 1 ? ` ×${coats}` : ''}`,
  sand_raw: ({ grit }) => `Sand the raw wood, ${grit ?? ''}`,
  sand_runners: 'Sand the running faces bare',
  sand_smooth: 'Sand smooth, 220',
  sand_to_bare: ({ grit }) => `Sand to bare wood, ${grit ?? ''}`,
  sand_with_grain: ({ grit }) => `Sand with the grain, ${grit ?? ''}`,
  scuff: ({ grit }) => `Scuff ${grit ?? ''}`,
  scuff_softly: ({ grit }) => `Scuff ${grit ?? ''}, soft pad`,
  seal_board: 'Seal the raw board',
  seal_edges: 'Seal the raw edges',
  seal_knots: over('Seal knots'),
  seal_smell: 'Seal the smell in, clear',
  seal_stains: over('Seal stains'),
  solvent_wash: 'Solvent wash',
  spackle_brush: 'Brush spackle across the grain, sand 220',
  spackle_knife: 'Press spackle in with a knife, sand 220',
  stain: 'Stain',
  strip_failed: by('Take off what failed'),
  strip_old: by('Strip the old coat'),
  take_off_handles: 'Take the handles off, one screw to each in a bag',
  take_off_labelled: 'Take off, label in two places',
  take_off_numbered: 'Take off, screws into numbered bags',
  test_again: 'Test it again',
  wash_off_wax: 'Wash off the wax',
  wax_runners: 'Wax the running faces',
  wipe_metal: 'Wipe with spirit, prime the same day',
};

type SaidStep = NamedStep & { op: OperationCode };

/** What a step is called. One of a name that is not known here has the words it was taken with. */
export function nameStep(step: SaidStep): string {
  const said = step.name === undefined ? undefined : NAMES[step.name as StepName];
  return (typeof said === 'function' ? said(step) : said) ?? step.label ?? OPERATION_FACTS[step.op].label;
}

/** The same without how often: names of whole coats carry their number. */
const nameOne = (step: SaidStep): string =>
  isWholeCoat(step.op) && step.class !== undefined ? nameCoat(step.class, step.tint) : nameStep(step);

/** What a task is called: its step, and which coat of how many. */
export function nameTask(task: NamedTask): string {
  if (isReadingTask(task)) return 'Read the patch';
  return task.coats > 1 ? `${nameOne(task)}, coat ${task.coat} of ${task.coats}` : nameStep(task);
}
