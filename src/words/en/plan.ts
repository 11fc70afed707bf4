import { nameZone, type Defect, type Dossier } from '@/core/dossier';
import {
  DEFECT_FACTS,
  FAULT_ANSWERS,
  findCheck,
  labelProduct,
  PREP_FACTS,
  PRIMER_FACTS,
  STRIPPING_FACTS,
  type PrepCode,
  type PrimerCode,
  type ProductClass,
} from '@/core/knowledge';
import { convertPaintShareToMixShare } from '@/core/quantity';
import { lowerFirst, upperFirst } from '@/core/shared';
import { labelState, listAnswers } from '@/core/survey';
import type {
  Assumption,
  Considered,
  Difference,
  FaultNote,
  Phrases,
  Plan,
  PlanBlock,
  Rejection,
  StepReason,
  TurningPoint,
  NamedClass,
} from '@/core/systems';
import { sayColour } from './colour';
import { sayHand } from './hand';
import { listWords } from './lists';
import { lookUp, type Words } from './look-up';
import { sayRuledOut, sayStripRule } from './rules';
import { sayHazard, sayHold, sayNeed } from './surface';
import { describeChance } from './chances';
import { nameStep } from './steps';

type ReasonOf<C extends StepReason['code']> = Extract<StepReason, { code: C }>;

const REASONS: { [C in StepReason['code']]: Words<ReasonOf<C>> } = {
  need: ({ need }) => sayNeed(need),
  faults_seen: ({ faults }) => {
    const names = faults.map((code, i) => (i === 0 ? upperFirst : lowerFirst)(DEFECT_FACTS[code].label));
    return `${listWords(names)} seen here. Left: ${lowerFirst(FAULT_ANSWERS[faults[0]!].left.says)}`;
  },
  zone_left: 'You leave this zone as it is.',
  hand: ({ hand, edge }) => (edge ? `${sayHand(hand)} Here the opening edge is ${sayColour(edge)}.` : sayHand(hand)),
  handles_apart: 'Painted by themselves, hung on a wire: no tape, no runs round the foot.',
  handles_harden: ({ hours }) => `A handle is gripped each time: ${hours} h until it is hard.`,
  scratches_show: 'A clear finish shows every scratch the last grit left.',
  spirit_shows:
    'Wet with spirit the wood looks as it will finished: swirls and glue show while they can still be sanded.',
  coat_flows: 'The old coat flows again under its own solvent: crazing and bloom close.',
  rubbed_even: 'What has flowed shines unevenly until it is rubbed.',
  wakes_coat: 'The coat is sound and only dull: wax fills fine scratches for a year or two.',
  grain_raised_once: 'Waterborne clear raises the grain: raised and sanded once before, it stays down.',
  blotches: 'Pine, birch, maple and cherry take stain in blotches unless the wood is half sealed first.',
  parts_coats: 'Dewaxed shellac holds on the old coat, and the clear coat holds on it.',
  flat_parts: 'Flat parts run less; labels on the part and in its opening.',
  dust_holds_nothing: 'Dust under primer is a layer that holds nothing.',
  deglosser_softens: 'The old coat is one that deglosser softens. Keep within the label’s time before priming.',
  strips_by: ({ method, ruledOut }) =>
    [`${STRIPPING_FACTS[method].label}. ${STRIPPING_FACTS[method].waste}`, ...ruledOut.map(sayStripRule)].join(' '),
  hangs_on_what_lets_go: 'What comes after holds no better than what is under it: all of it comes off.',
  raw_board_swells: 'Raw board swells with water: no wet cloth on it before it is sealed.',
  raw_wood_wants_sanding:
    'A fresh scratch with the grain: paint holds on it, and the surface no longer drinks unevenly.',
  metal_same_day: 'Bright metal dulls and rusts overnight: abrade, wipe and prime it in one day.',
  outdoors_or_not: 'Without moving air solvent is used outdoors or not at all.',
  glass_stays: 'Paint holds on glass for months at most: it is taped and left.',
  let_it_out: 'What comes through goes on coming for two days: nothing over it until it has.',
  let_it_harden: 'What is soft underneath lifts again: it hardens first.',
  hardens_till: ({ hours }) => `It is as hard as it gets only ${hours} h from now: wait once, then test again.`,
  runners_bare: 'Paint on paint sticks: running faces are sanded bare and waxed, and nothing else is.',
  stripping_raises_grain: 'Stripping raises the grain.',
  stain_wants_bare: 'Stain takes on bare wood only.',
  shine_must_go: 'Everything shiny must go dull, or the primer has nothing to bite.',
  raw_board_drinks: 'Under the foil is raw board: nothing waterborne onto it before it is sealed.',
  stains_return: 'What stained once comes through paint again.',
  smell_from_bare_faces: 'A smell comes out of the faces that are left bare as well.',
  proof: ({ waitH, bleedWatch }) =>
    bleedWatch
      ? 'Coat a patch and paint over it, watch it for 48 h, then scratch it. Go on only if nothing comes through and it holds.'
      : `Coat a patch, wait ${waitH} h, scratch and cut it. Go on only if it holds.`,
  nibs_show: 'Paint shows every nib of primer.',
  flaws_show:
    'One colour shows flaws that wood hides. Dab primer on whatever you fill: bare filler shows as a dull patch.',
  bare_spots_drink: 'Bare filler and bare wood drink paint and show as dull patches.',
  look_asked_for: 'The look you asked for.',
  paint_wants_sealing: 'This paint needs sealing here.',
  wood_wants_protection: 'Protects the wood and lets it show.',
  closing: 'After a day at least, a week is safer. Sand stray paint off runners and edges first.',
  curing: ({ days }) =>
    `Full strength after about ${days} days: until then no wet things, no weights, felt under what stands on it. The label decides.`,
  hand_over: 'What is on it, when it is cured, and how to clean it until then.',
  slower_in_this_air: ({ labelH, airH }) => `The label says ${labelH} h between coats; in this air about ${airH} h.`,
  never_thin: 'Never thin it.',
  brush_into_pores: 'Brush the first coat into the pores, spray the rest.',
  thin_by_label: ({ share }) =>
    `Spray thin coats. Thin only as far as the label allows: usually no more than ${describeThinning(share)}.`,
  second_colour: ({ coats, shows, share, over }) => {
    const part = `${Math.round(share * 100)} % of the faces`;
    if (shows) return `Even ${coats} coats may let the first colour show: try it on a patch. It takes ${part}.`;
    const hides = `${coats === 1 ? 'One thin coat hides' : `${coats} thin coats hide`} ${over ? 'the first colour' : 'the ground'}`;
    return `${hides} (an estimate from film optics). It takes ${part}.`;
  },
  coats_hide: ({ coats, shows, over }) => {
    if (shows) return `Even ${coats} coats may let the ground show through this colour: try a patch first.`;
    return over
      ? `${coats} coats hide the ground over ${over.tint ?? ''} primer; over white it would take ${over.whiteCoats} (an estimate from film optics).`
      : `${coats} thin coats hide the ground (an estimate from film optics), each after the recoat time of the last.`;
  },
  primes: ({ primer, grips, blocks, smell }) => {
    const { slick, block, odour, note } = PRIMER_FACTS[primer];
    const parts = [
      ...(grips ? [`grip on a slick face: ${RATINGS[slick]}`] : []),
      ...(blocks ? [`holds colour back: ${RATINGS[block]}`] : []),
      ...(smell ? [SMELLS[odour]] : []),
    ];
    return `${upperFirst(parts.join('; ') || 'an even ground that paint sticks to')}. ${note}`;
  },
  own_tests: ({ surface, tests, held }) => {
    const outcome = held === tests ? (tests === 1 ? 'held' : 'all held') : `${held} held`;
    return `${countTests(tests)} of it on ${labelState(surface)} count in the chances: ${outcome}.`;
  },
  tests_alike: ({ tests }) => `${countTests(tests)} of it on a surface like this count a little.`,
};

const SMELLS = { seals: 'seals the smell in', some: 'holds some of the smell', none: 'does not seal smells' } as const;

const countTests = (tests: number): string => (tests === 1 ? 'Your own test' : `Your own ${tests} tests`);
const RATINGS: Record<(typeof PRIMER_FACTS)[PrimerCode]['slick'], string> = {
  none: 'none',
  poor: 'poor',
  fair: 'fair',
  good: 'good',
  very_good: 'very good',
  best: 'best',
};

/** "10 % of the paint, which is 9 % of the mix". */
export const describeThinning = (shareOfPaint: number): string =>
  `${Math.round(shareOfPaint * 100)} % of the paint, which is ${Math.round(convertPaintShareToMixShare(shareOfPaint) * 100)} % of the mix`;

/** Why a step is done: what was written down when the system was taken stands as it was said then. */
export const sayWhy = (why: string | readonly StepReason[]): string =>
  typeof why === 'string' ? why : why.map((reason) => lookUp(REASONS, reason.code, reason)).join(' ');

/** What a zone may be, where that is more than one thing. */
export const sayAssumption = ({ zoneName, credible }: Assumption): string => {
  const names = credible.map(({ code, p }) => `${labelState(code)} (${describeChance(p)})`).join(' or ');
  return `${zoneName}: ${names}. The plan serves all of them.`;
};

/** How what is kept with a system is said. */
export const PHRASES: Phrases = { step: nameStep, why: sayWhy, assumes: sayAssumption };

const STOPS: Record<Extract<PlanBlock, { kind: 'climate' }>['stop'], string> = {
  cold: 'Too cold for waterborne coats: at least 10 °C (5 °C for others).',
  hot: 'Too hot: coats skin over above 32 °C.',
  damp: 'Too damp: no coat above 85 % humidity.',
  dew: 'Too near the dew point: the surface must stay 3 °C above it.',
};

/** What stands in the way of a plan, and what would help. */
export function sayPlanBlock({ because }: Pick<Plan['blocked'][number], 'because'>): string {
  switch (because.kind) {
    case 'hold':
      return sayHold(because.defect);
    case 'hazard':
      return sayHazard(because.hazard);
    case 'climate':
      return `${STOPS[because.stop]} Now: ${because.temperatureC} °C, ${because.humidityPct} %.`;
    case 'no_common_paint':
      return 'No paint does for all the zones to be painted. Another sheen, or leaving one of them, would.';
    case 'outdoors':
      return 'It will stand in rain and sun: nothing is planned for that here. Ask for an exterior oil or an exterior paint system, by its label. Reading, cleaning and repairs go on.';
    case 'no_way':
      return `The rules leave nothing here. ${because.findings.map(sayRuledOut).join(' ')} More ventilation, another look or leaving this zone would.`;
  }
}

/** What a rule cut, by its name. */
export function nameRejected({ layer, code, asOnlyOne }: Pick<Rejection, 'layer' | 'code' | 'asOnlyOne'>): string {
  if (layer === 'stain') return 'Stain';
  if (layer === 'prep') return code === 'no_dulling' ? PREP_FACTS.none.label : PREP_FACTS[code as PrepCode].label;
  if (code === 'none') return 'No primer at all';
  const name = labelProduct(code as ProductClass);
  return asOnlyOne ? `${name} as the only primer` : name;
}

const NOTHING: Record<Considered['layer'], string> = {
  prep: 'No dulling',
  prime: 'No primer',
  paint: 'No paint',
  topcoat: 'No topcoat',
};

/** Another way to do a layer, by its name, and what came of it. */
export function sayConsidered(considered: Considered): { what: string; text: string } {
  const { layer, code } = considered;
  const named = layer === 'prep' ? PREP_FACTS[code as PrepCode]?.label : labelProduct(code as ProductClass);
  const what = code === 'none' ? NOTHING[layer] : named;
  switch (considered.verdict) {
    case 'ruled_out':
      return { what, text: sayRuledOut(considered.finding) };
    case 'dearer':
      return { what, text: sayDifference(considered.difference) };
    case 'beaten':
      return { what, text: 'Another way is as good in every respect and better in one.' };
  }
}

/** "11 h of waiting more, 6 min of hands less, goes wrong about 1 in 40 instead of about 1 in 30". */
function sayDifference({ waitH, minutes, risk, takenRisk, takes }: Difference): string {
  const parts = [
    sayMore(waitH, 1, 'h of waiting'),
    sayMore(minutes, 2, 'min of hands'),
    Math.abs(risk - takenRisk) < 0.004
      ? 'goes wrong as often'
      : `goes wrong ${describeChance(risk)} instead of ${describeChance(takenRisk)}`,
    takes.length > 0
      ? `takes ${takes.map(({ class: code, strongFumes }) => `${lowerFirst(labelProduct(code))}${strongFumes ? ', with strong vapour' : ''}`).join(' and ')}`
      : '',
  ];
  return `${upperFirst(parts.filter(Boolean).join(', '))}.`;
}

const sayMore = (difference: number, least: number, unit: string): string =>
  Math.abs(difference) < least ? '' : `${Math.round(Math.abs(difference))} ${unit} ${difference < 0 ? 'less' : 'more'}`;

type Asks = Exclude<TurningPoint['fact']['asks'], 'substrate'>;
const FACTS: Record<Asks, readonly [yes: string, no: string]> = {
  bleeds: ['If it bleeds', 'If it does not bleed'],
  coat_fails: ['If the old coat fails', 'If the old coat holds'],
  wax: ['If there is wax', 'If there is no wax'],
  silicone: ['If there is silicone polish', 'If there is no silicone polish'],
};

/** An open question with one of its answers. */
export const sayFact = (fact: TurningPoint['fact']): string =>
  fact.asks === 'substrate' ? `If it is ${labelState(fact.is)}` : FACTS[fact.asks][fact.is ? 0 : 1];

/** Why the class that Read named is or is not the one that is taken. */
export function sayNamedClass(named: NamedClass): string {
  const primer = lowerFirst(labelProduct(named.primer));
  switch (named.code) {
    case 'as_named':
      return named.need === 'bonding_primer'
        ? `Read named a bonding primer: ${primer} is one.`
        : `Read named a stain block: ${primer} is one.`;
    case 'grips_and_blocks':
      return `Read named a bonding primer. Once scuffed, ${primer} grips well enough, and it holds the colour back, which a bonding primer does not.`;
    case 'grips_enough':
      return `Read named a bonding primer. Once scuffed, ${primer} grips well enough, and takes less time or money in all.`;
    case 'hidden_by_dark':
      return `Read named a stain block. Under this dark colour what comes through does not show, so ${primer} will do.`;
  }
}

/** What would then be best. */
export function sayThen({ prep, primers }: TurningPoint['then']): string {
  const names = primers.map(({ code, coats }) => `${lowerFirst(labelProduct(code))}${coats > 1 ? ` ×${coats}` : ''}`);
  return `${lowerFirst(PREP_FACTS[prep].label)}, ${names.join(' and ') || 'no primer'}`;
}

/** What knowing would save, for those facts that would save something, in a sentence each. */
export const saySavings = (dossier: Dossier, points: readonly TurningPoint[]): string[] =>
  points
    .filter(({ saves }) => saves.money > 0)
    .map(({ zone, fact, p, then, saves, check }) => {
      const hours = saves.hours >= 1 ? ` ${Math.round(saves.hours)} h of waiting less.` : '';
      const minutes = saves.minutes >= 1 ? ` ${Math.round(saves.minutes)} min of hands less.` : '';
      const title = check && findCheck(check)?.title;
      const toFind = title ? ` To find out: ${lowerFirst(title)}.` : '';
      return `${nameZone(dossier, zone)}: ${lowerFirst(sayFact(fact))} (${describeChance(p)}), this would do: ${sayThen(then)}.${hours}${minutes}${toFind}`;
    });

const LEFT = 'Left as it is';

/** What became of a fault, and what leaving it would mean. */
export const sayFault = ({ code, says }: FaultNote): { text: string; left: string } => ({
  text: says ?? LEFT,
  left: FAULT_ANSWERS[code].left.says,
});

/** The ways there are to answer a fault, and what leaving it would mean. */
export function sayAnswers(defect: Defect): { ways: string[]; left: string } {
  const ways = listAnswers(defect);
  return { ways: ways.length > 0 ? ways : [LEFT], left: FAULT_ANSWERS[defect.code].left.says };
}
