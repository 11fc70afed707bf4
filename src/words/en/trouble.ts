import { findProduct, OPERATION_FACTS, type FindingCode } from '@/core/knowledge';
import { lowerFirst } from '@/core/shared';
import type { Finding } from '@/core/trouble';

const number = (value: number | undefined): string => String(value ?? '');
const coat = ({ class: code }: Finding): string =>
  code === undefined ? 'the coat' : lowerFirst(findProduct(code)?.label ?? code);
const step = ({ op }: Finding): string => (op === undefined ? 'a step' : lowerFirst(OPERATION_FACTS[op].label));

/** What is found against the log, or would be, with its numbers. Total: a new finding has its sentence or does not compile. */
const WORDS: Record<FindingCode, (finding: Finding) => string> = {
  not_cleaned: () => 'It was not cleaned: grease under a coat lets it go.',
  not_dewaxed: () => 'The wax was not washed off: nothing holds on it.',
  not_dulled: ({ was, asked }) =>
    was === undefined
      ? 'What shone was not made dull: a coat finds no hold on it.'
      : `Scuffed with ${was} where ${number(asked)} was asked for: on a slick face that is too fine to hold.`,
  deglosser_on_film: () => 'Liquid deglosser alone does not bite into a factory film.',
  no_primer: () => 'No primer went under the paint.',
  wrong_primer_for_ground: (own) => `On a slick face ${coat(own)} holds poorly.`,
  no_stain_block: () => 'Colour may come through here, and nothing under the paint holds it back.',
  spots_not_sealed: () => 'The spots were not sealed.',
  one_coat_of_blocker: (own) =>
    `${number(own.was)} coat of ${coat(own)} against colour that may come through; ${number(own.asked)} were asked for.`,
  thinned: (own) =>
    own.asked === 0
      ? `Thinned by ${number(own.was)} %: on a slick face ${coat(own)} is not thinned at all.`
      : `Thinned by ${number(own.was)} %; at most ${number(own.asked)} % is allowed.`,
  recoat_too_soon: (own) =>
    `Only ${number(own.was)} h after ${coat(own)}, which wants ${number(own.asked)} h${own.severity === 'minor' ? ' in this air' : ''}.`,
  recoat_window_missed: (own) =>
    `${number(own.was)} h after ${coat(own)}, past its ${number(own.asked)} h, and ${own.severity === 'unknown' ? 'that it was dulled again is not written down' : 'not dulled again'}.`,
  clear_too_soon: (own) =>
    `Clear only ${number(own.was)} h after ${coat(own)}, which is dry right through after ${number(own.asked)} h.`,
  too_hot: (own) => `${number(own.was)} °C for ${coat(own)}, which wants ${number(own.asked)} °C at most.`,
  too_cold: (own) => `${number(own.was)} °C for ${coat(own)}, which wants ${number(own.asked)} °C at least.`,
  too_damp: (own) => `Air at ${number(own.was)} % for ${coat(own)}; ${number(own.asked)} % is the most.`,
  below_dew_margin: (own) =>
    `A surface only ${number(own.was)} °C above the dew point; ${number(own.asked)} °C is the least.`,
  filler_unsealed: () => 'Fills lie unsealed under pale paint: they show through.',
  waterborne_over_filler: (own) => `Over waterborne filler ${coat(own)} wets it again.`,
  wb_clear_over_dark: (own) => `Over a dark colour ${coat(own)} may stay hazy.`,
  oil_over_pale: (own) => `Over a pale colour ${coat(own)} turns yellow.`,
  clear_over_oil: (own) => `On oiled wood ${coat(own)} peels: it is oiled again, or bared first.`,
  no_denib: () => 'Nothing was sanded smooth between coats.',
  too_thick: (own) => `${number(own.was)} ml on each square metre; ${number(own.asked)} were planned.`,
  gate_not_asked: () => 'Paint before the patch has proved the way.',
  gate_overridden: () => 'The gate was passed over, and why is on record.',
  used_before_cured: (own) => `${number(own.was)} days after ${coat(own)}, which cures in ${number(own.asked)}.`,
  moved_before_cured: (own) => `Moved ${number(own.was)} days after ${coat(own)}, which wants ${number(own.asked)}.`,
  shut_before_hard: (own) => `Hung ${number(own.was)} days after ${coat(own)}, which wants ${number(own.asked)}.`,
  not_logged: (own) => `That it was done is not written down: ${step(own)}. It may have been.`,
};

export const sayFinding = (finding: Finding): string => WORDS[finding.code](finding);
