import {
  DEFECT_FACTS,
  FAULT_ANSWERS,
  LEAD_KIT_FACTS,
  turnToForLead,
  type DefectCode,
  type LeadKit,
} from '@/core/knowledge';
import { lowerFirst } from '@/core/shared';
import type { Contradiction, Hazard, Need, NextCheck } from '@/core/survey';
import { listWords } from './lists';
import { lookUp, type Words } from './look-up';
import { describeChance, formatChance } from './chances';
import { sayDecimal } from './numbers';

type HazardOf<C extends Hazard['code']> = Extract<Hazard, { code: C }>;

const HAZARD_TITLES: Record<Hazard['code'], string> = {
  lead_found: 'Lead found: stop here',
  lead_not_found: 'No lead found here',
  lead_possible: 'Lead is possible: no sanding yet',
  lead_in_old_clear: 'Old varnish: a mask all the same',
  mould: 'Mould',
  woodworm: 'Woodworm',
  nursery: 'For a child’s room',
  food: 'Food lies here',
};

const HAZARDS: { [C in Hazard['code']]: Words<HazardOf<C>> } = {
  lead_found: ({ region }) =>
    `The test was positive. No sanding, no scraping, no heat; keep children and pregnant people away. ${turnToForLead(region)}`,
  lead_not_found: ({ kit }) => sayNegative(kit),
  lead_possible: ({ ageKnown }) =>
    `${ageKnown ? 'It is old enough for lead in its coat' : 'Its age is not known'}. No dry sanding, power sanding or heat until a lead test is in the record. Swabs can be wrong.`,
  lead_in_old_clear:
    'Clear coats of that age seldom hold lead, but some do. Sand with extraction and a P2 mask; test it if a child is about.',
  mould: 'Mask, damp methods, and find where the moisture comes from.',
  woodworm: 'Keep it apart from other wood and treat by the label.',
  nursery: 'For a child: use products certified for it and wait out the full cure before use.',
  food: 'Only a last coat that its label names for food contact, cured right through; cut on a board.',
};

function sayNegative(kit: LeadKit | undefined): string {
  const by = kit ? LEAD_KIT_FACTS[kit] : undefined;
  const doubt = by?.sure
    ? 'It speaks for the place tested only.'
    : 'Home swabs miss lead: sand wet, with extraction and a P2 mask, all the same.';
  return `No lead was found (${by ? lowerFirst(by.label) : 'kind of test not recorded'}). ${doubt}`;
}

export const nameHazard = ({ code }: Pick<Hazard, 'code'>): string => HAZARD_TITLES[code];

/** What is to be minded, without what holds the work back besides. */
export const sayHazard = (hazard: Hazard): string => lookUp(HAZARDS, hazard.code, hazard);

/** Why a fault that is alive holds the work back, and what ends that. */
export const sayHold = (code: DefectCode): string => {
  const { hold } = FAULT_ANSWERS[code];
  return hold ? `${hold.why} ${hold.end}` : '';
};

type ReasonOf<F extends Need['because']['from']> = Extract<Need['because'], { from: F }>;

const REASONS: { [F in Need['because']['from']]: Words<ReasonOf<F>> } = {
  surface: ({ says }) => says,
  cleaning: ({ greaseLikely }) =>
    greaseLikely
      ? 'Grease is likely here. Sanding first would drive it into the scratches.'
      : '“Looks clean” is worth nothing: degrease before anything else.',
  fault: ({ defect }) => `${DEFECT_FACTS[defect].label} was seen here.`,
  fault_answer: ({ says }) => says,
  smell_of_piece: ({ defect }) => `${DEFECT_FACTS[defect].label}: it sits in every face, inside ones as well.`,
  smelled: ({ smell }) => `${SMELLS[smell] ?? 'It'} was smelled here.`,
  coat_caked: 'The old coat is so thick that detail is lost.',
  moisture: ({ verdict: { measuredPct, equilibriumPct, limitPct } }) =>
    `The meter says ${measuredPct} %; wood in this room settles at ${sayDecimal(equilibriumPct, 1)} %. Paint below ${sayDecimal(limitPct, 1)} %.`,
  lead: 'No dry sanding, no scraping and no heat until it is settled.',
};

const SMELLS: Readonly<Record<string, string>> = { smoke: 'Smoke', pet: 'A pet', musty: 'Must' };

/** What a need follows from. */
export const sayReason = (because: Need['because']): string => lookUp(REASONS, because.from, because);

/** The same with the chance, where the surface itself is what asks for it. */
export const sayNeed = ({ because, p }: Pick<Need, 'because' | 'p'>): string =>
  because.from === 'surface'
    ? `${because.says} Chance that this zone needs it: ${describeChance(p)}.`
    : sayReason(because);

type ClashOf<K extends Contradiction['because']['kind']> = Extract<Contradiction['because'], { kind: K }>;

const CLASHES: { [K in Contradiction['because']['kind']]: Words<ClashOf<K>> } = {
  unforeseen: ({ answer, ground }) =>
    `“${answer}” was not to be foreseen from the rest, which speaks for ${ground}. What was seen to happen counts all the same. Make it once more on another spot.`,
  misfit: ({ answer, ground, against, title, confirmed }) => {
    const named = listWords(against.map((label) => `“${label}”`));
    const rest = named === '' ? 'The rest speaks for' : `${named} ${against.length > 1 ? 'speak' : 'speaks'} for`;
    const cure = confirmed ? 'You made it twice, so make one of the others again.' : `Do this one again: “${title}”`;
    return `“${answer}” hardly fits. ${rest} ${ground}. ${cure}`;
  },
  stated: ({ said, ground }) =>
    `You said ${said}; checks speak for ${ground}. Make one of them again, or take the statement back.`,
  fault: ({ defect, ground, served }) =>
    `${DEFECT_FACTS[defect].label} was seen, but the rest speaks for ${ground}. ${served ? 'Both are provided for.' : 'It is kept, and nothing is planned for it.'} Look again which of the two it is.`,
};

/** What does not go together, and the cure. */
export const sayClash = (because: Contradiction['because']): string => lookUp(CLASHES, because.kind, because);

/** What a check is asked for: the answer that would change most. */
export const sayWorth = ({ moves }: Pick<NextCheck, 'moves'>): string =>
  moves
    ? `“${moves.answer}” would move “${lowerFirst(moves.need)}” from ${formatChance(moves.from)} to ${formatChance(moves.to)}.`
    : 'No answer would change the plan.';

/** What an answer would bring into the plan and take out of it. */
export const sayForesight = (changes: NextCheck['answers'][number]['changes']): string =>
  changes.length === 0
    ? 'the plan stays'
    : `the plan gets ${changes
        .map(({ need, wanted }) => (wanted ? lowerFirst(need) : `no “${lowerFirst(need)}”`))
        .join(', ')}`;
