import {
  type CLUE_FACTS,
  type CauseCode,
  type ClueCode,
  type FindingCode,
  type GroundFact,
  type RemedyCode,
  type SymptomCode,
  type SymptomGroup,
} from '@/core/knowledge';
import { lowerFirst } from '@/core/shared';
import type { CauseBelief, CausesBelief, Evidence, LeavingWay, RecoveryLabel, RuledOut } from '@/core/trouble';
import { listWords } from './lists';
import { sayFinding } from './trouble';
import { describeChance } from './chances';

/* What is wrong, what may have made it, what to look at and what becomes of it. Total: a new code has its words or does not compile. */

interface Named {
  name: string;
  says: string;
}

/** What it looks like, beside its name. */
const LOOKS: Record<SymptomCode, string> = {
  bleed: 'Yellow, brown, orange or pink in the paint',
  scratches_off: 'A thumbnail takes it down',
  peels_in_sheets: 'It lifts and pulls off in pieces',
  chips_within_weeks: 'Small bits gone where it is knocked',
  lifts_or_wrinkles: 'The coat under it rose and creased',
  crackle: 'A net of fine cracks',
  fisheyes: 'Wet paint drew back into round holes',
  haze: 'A cloud in the clear coat',
  yellowing: 'It was whiter than this',
  grain_shows: 'Pores and lines of the wood in the film',
  brush_marks: 'Ridges that did not lie down',
  roller_texture: 'Small bumps all over',
  orange_peel: 'Sprayed, and dimpled like a rind',
  dry_spray: 'Sandy to the hand, dull',
  runs: 'Drops and curtains on edges',
  grit: 'Dust or bits dried in',
  bubbles: 'Small domes or pinholes',
  patchy_sheen: 'Dull and shiny places',
  tape_tore_paint: 'The edge came off with the tape',
  sticky_drawers: 'Running faces drag or hold',
  blocking: 'Door to frame, thing to shelf',
  soft_prints: 'A finger or a vase marks it',
  edge_swell: 'Board grew thick and rough',
  odour_returns: 'Smoke, pet or must again',
  rust_spots: 'Brown points over screws or pins',
  blotchy: 'Dark and light clouds in the wood',
  stays_sticky: 'Oil or wax that stays tacky',
  white_rings: 'Where a cup or a wet glass stood',
  clear_peels: 'It lifts off the wood like a skin',
};
export const saySymptom = (code: SymptomCode): string => LOOKS[code];

export const SYMPTOM_GROUP_WORDS: Record<SymptomGroup, string> = {
  comes_off: 'It comes off',
  comes_through: 'Something comes through',
  in_the_film: 'The film did not turn out',
  soft_or_swollen: 'Soft, stuck or swollen',
  clear_finish: 'On wood that shows',
};

const CAUSES: Record<CauseCode, Named> = {
  no_stain_block: { name: 'No stain block', says: 'Nothing under the paint holds the colour back.' },
  thin_blocker: { name: 'Too little blocker', says: 'What should hold the colour back lies too thin.' },
  knots: { name: 'Knots', says: 'Resin of knots comes through anything waterborne.' },
  dye_or_tannin: { name: 'Dye or tannin of the wood', says: 'Colour of the wood or an old stain dissolves and rises.' },
  filler_pulled_tannin: {
    name: 'Filler drew colour up',
    says: 'Waterborne filler left unsealed pulls it into the paint.',
  },
  self_blocking_wait_skipped: {
    name: 'Wait of the blocker skipped',
    says: 'A blocker holds only once it has dried its night.',
  },
  not_dulled: { name: 'Not dulled', says: 'What shone was not scratched: nothing to hold on to.' },
  dirty: { name: 'Dirt or grease under it', says: 'It holds on dirt, and the dirt lets go.' },
  wrong_primer: { name: 'A primer that does not grip here', says: 'This kind does not hold on such a face.' },
  thinned_primer: { name: 'Thinned primer', says: 'Thinned, it has too little binder to hold.' },
  tested_too_early: { name: 'Tested too early', says: 'It is not hard yet, and may still get there.' },
  wax_or_silicone: { name: 'Wax or silicone under it', says: 'Polish that nothing sticks to.' },
  old_coat_failing: { name: 'The old coat lets go', says: 'The new coat holds; what is under it does not.' },
  used_before_cured: { name: 'Used before it was cured', says: 'Dry is not hard: it was handled too soon.' },
  no_primer: { name: 'No primer', says: 'Paint alone chips where it is knocked.' },
  knock: { name: 'A hard knock', says: 'Any film gives way to that.' },
  recoat_too_soon: { name: 'Next coat too soon', says: 'The solvent of the second coat lifted the first.' },
  solvent_over_soft: { name: 'Strong solvent over a soft coat', says: 'It bit into the coat beneath.' },
  window_missed: { name: 'Too long between coats', says: 'The coat had closed, and was not dulled again.' },
  coat_over_undried: { name: 'Coated over what was still wet inside', says: 'The skin dried first and tore.' },
  too_thick: { name: 'Too thick', says: 'A thick film dries outside in.' },
  hard_over_soft: { name: 'Hard film over a soft one', says: 'What is below moves more than what is above.' },
  silicone: { name: 'Silicone', says: 'Polish that makes wet paint draw back.' },
  grease: { name: 'Grease', says: 'Fingers, kitchens: paint draws back from it.' },
  wb_clear_over_dark: { name: 'Waterborne clear over a dark colour', says: 'It dries with a bluish veil over dark.' },
  damp: { name: 'Damp or cold air', says: 'Water caught in the film.' },
  oil_over_pale: { name: 'Oil over a pale colour', says: 'Oil yellows by itself, most in the dark.' },
  bleed: { name: 'Colour from below', says: 'Not the coat: the wood or a stain comes through.' },
  smoke: { name: 'Smoke or grease from below', says: 'Years of it rise with the damp of the paint.' },
  not_filled: { name: 'Grain was not filled', says: 'No film hides open pores.' },
  filler_sank: { name: 'Filler sank', says: 'Wetted again, or coated before it was hard.' },
  sprayed_over_pores: { name: 'Sprayed over pores', says: 'Spray bridges pores and falls in later.' },
  too_thick_paint: { name: 'Paint too thick to level', says: 'It set before it lay down.' },
  overworked: { name: 'Brushed too long', says: 'Gone over again once it had begun to set.' },
  loaded_roller: { name: 'Loaded roller', says: 'Too much paint on the last pass.' },
  too_far_or_much_air: { name: 'Too far off, or too much air', says: 'Drops dry before they land.' },
  heavy_coat: { name: 'A heavy coat', says: 'More than a standing face can hold.' },
  pooled_in_corner: { name: 'Pooled in corners', says: 'Edges and holes let go of what gathers there.' },
  dust_left: { name: 'Dust not wiped off', says: 'Sanding dust, or the room’s.' },
  bits_in_paint: { name: 'Bits in the paint or brush', says: 'Skin and dry paint: strain it.' },
  shaken: { name: 'Shaken, not stirred', says: 'Air in the tin is air in the film.' },
  loaded_foam: { name: 'Loaded foam roller', says: 'Foam pumps air when it is full.' },
  face_lifting: { name: 'The face itself lifts', says: 'Veneer or foil lets go of its board.' },
  moisture: { name: 'Moisture under the film', says: 'Damp wood or air wants out.' },
  uneven_absorption: { name: 'It drank unevenly', says: 'Fills and bare places take more.' },
  touched_up: { name: 'Touched up', says: 'A second layer on one place shines otherwise.' },
  uneven_film: { name: 'Uneven film', says: 'Thick here, thin there.' },
  taped_too_soon: { name: 'Taped too soon', says: 'The coat held the tape better than the face.' },
  tape_left_long: { name: 'Tape left too long', says: 'Its glue set.' },
  not_scored: { name: 'Edge not scored', says: 'The film bridged onto the tape.' },
  not_cured: { name: 'Not cured yet', says: 'It hardens for weeks.' },
  soft_paint: { name: 'A paint that stays soft', says: 'Wall paint and its like never get hard.' },
  not_conditioned: { name: 'Wood that takes stain unevenly', says: 'Pine, birch, maple and cherry drink in clouds.' },
  sanded_unevenly: { name: 'Sanded unevenly', says: 'Coarse scratches and end grain drink more.' },
  glue_left: { name: 'Glue left on the wood', says: 'Stain and oil do not get in where glue is.' },
  oil_left_on: { name: 'Oil not wiped off', says: 'What does not soak in stays a sticky film.' },
  oily_wood: { name: 'Oily wood', says: 'The oil of teak and its kin keeps a coat from drying.' },
  heat_or_wet: { name: 'Heat or water', says: 'A hot cup or a wet glass turned the coat white.' },
  soft_finish: { name: 'A finish too soft for the place', says: 'Wax and shellac mark on a top in daily use.' },
  film_over_oil: { name: 'Film over oiled wood', says: 'A film cannot hold on what the oil left.' },
  coats_on_running_faces: { name: 'Paint on running faces', says: 'They fit before, and not with two films more.' },
  water_in_edge: { name: 'Water in the board’s edge', says: 'Board swells, and does not go back.' },
  smell_not_sealed: { name: 'Smell was not sealed', says: 'Only shellac and oil types hold it.' },
  inside_left: { name: 'Inside faces left', says: 'It comes out where nothing was sealed.' },
  steel_under_water: { name: 'Steel under waterborne paint', says: 'Screws, pins or wire wool rust.' },
};
export const nameCause = (code: CauseCode): string => CAUSES[code].name;
const sayCause = (code: CauseCode): string => CAUSES[code].says;

/** What to look at, as a question, and what may be answered. */
const CLUES: { [C in ClueCode]: { asks: string; answers: Record<(typeof CLUE_FACTS)[C]['answers'][number], string> } } =
  {
    colour: {
      asks: 'What colour is it?',
      answers: { yellow: 'Yellow', brown: 'Brown', orange: 'Orange', pink: 'Pink or red', blue: 'Blue or grey' },
    },
    where: {
      asks: 'Where is it?',
      answers: {
        knots: 'Over knots',
        rings: 'In rings',
        joints_or_fills: 'Over joints or fills',
        all_over: 'All over',
        thin_places: 'Where it lies thin',
        edges: 'On edges',
        patches: 'In patches',
      },
    },
    when: {
      asks: 'When did it show?',
      answers: {
        at_once: 'At once',
        minutes: 'Within minutes',
        next_coat: 'With the next coat',
        next_day: 'The next day',
        after_clear: 'After the clear coat',
        days: 'Within days',
        months: 'After months',
      },
    },
    wipes_off: { asks: 'Does it wipe off with a damp cloth?', answers: { yes: 'Yes', no: 'No' } },
    lets_go: {
      asks: 'Where does it let go?',
      answers: {
        paint_from_paint: 'Paint from paint',
        paint_from_primer: 'Paint from primer',
        primer_from_substrate: 'Primer from the face',
        old_coat_from_substrate: 'Old coat from the wood',
        substrate_itself: 'The face itself tears',
      },
    },
    flake_back: {
      asks: 'What is on the back of a flake?',
      answers: { clean: 'Nothing, clean', old_paint: 'Old paint', greasy: 'Greasy', waxy: 'Waxy' },
    },
    film_age_h: {
      asks: 'How old is the coat that shows it?',
      answers: { before: 'Younger than its full hardness', after: 'As hard as it gets' },
    },
    used_after_d: {
      asks: 'How many days after the last coat was it used?',
      answers: { before: 'Before it was cured', after: 'Once it was cured' },
    },
    pattern: { asks: 'Even, or in patches?', answers: { even: 'Even, everywhere', patches: 'In patches' } },
    feel: {
      asks: 'How does the film feel to a nail?',
      answers: { soft: 'Soft, it dents', brittle: 'Brittle, it chips' },
    },
    face: {
      asks: 'On which faces?',
      answers: { edges: 'Edges and corners', faces: 'Flat faces', running_faces: 'Where it slides' },
    },
    damp: { asks: 'Was it damp when it dried?', answers: { yes: 'Damp or cold', no: 'Dry and warm' } },
    down_to: {
      asks: 'Down to what?',
      answers: { wood: 'Wood', board: 'Board', primer: 'Primer', old_coat: 'The old coat' },
    },
  };
export const askClue = (code: ClueCode): string => CLUES[code].asks;
export const sayAnswer = (clue: ClueCode, answer: string): string =>
  (CLUES[clue].answers as Record<string, string>)[answer] ?? answer;

const GROUND: Record<GroundFact, string> = {
  knots: 'Knots here',
  tannin: 'Wood that bleeds here',
  bleed: 'Colour that may come through here',
  slick: 'A slick, closed face here',
  wax: 'Wax or polish here',
  silicone: 'Silicone here',
  grease: 'Grease here',
  failing: 'An old coat that fails here',
  open_grain: 'Open grain here',
  odour: 'A smell here',
  dark: 'A dark colour here',
  thin_face: 'Veneer or foil here',
  blotching: 'Wood that blotches here',
  oily: 'Oily wood here',
  oiled: 'Oiled wood here',
};

/** What the log shows to be in order, by what it would have found. */
const CLEARED: Partial<Record<FindingCode, string>> = {
  not_cleaned: 'It was cleaned.',
  not_dewaxed: 'The wax was washed off.',
  not_dulled: 'It was dulled as asked.',
  no_primer: 'It was primed.',
  wrong_primer_for_ground: 'The primer is one for such a face.',
  no_stain_block: 'A stain block went on.',
  spots_not_sealed: 'Spots were sealed.',
  one_coat_of_blocker: 'The blocker had all its coats.',
  thinned: 'The primer was not thinned.',
  recoat_too_soon: 'The waits between coats were kept.',
  recoat_window_missed: 'No coat came too late.',
  clear_too_soon: 'The clear coat waited.',
  too_cold: 'The air was warm enough.',
  too_hot: 'The air was not too warm.',
  too_damp: 'The air was dry enough.',
  below_dew_margin: 'The face was well above the dew point.',
  filler_unsealed: 'Fills were sealed.',
  no_denib: 'It was sanded between coats.',
  too_thick: 'The coats took no more than planned.',
  used_before_cured: 'It cured before it was used.',
  wb_clear_over_dark: 'The clear coat suits the colour.',
  oil_over_pale: 'The clear coat suits the colour.',
};

/** One thing that speaks for a cause or against it. */
function sayEvidence(evidence: Evidence): string {
  switch (evidence.kind) {
    case 'finding':
      return sayFinding(evidence.finding);
    case 'cleared':
      return CLEARED[evidence.code] ?? 'The log shows none of it.';
    case 'ground':
      return `${GROUND[evidence.fact]}: ${describeChance(evidence.p)}.`;
    case 'clue':
      return `Seen: ${lowerFirst(sayAnswer(evidence.clue, evidence.answer))}.`;
  }
}

/** What speaks for a cause and what against it, in a sentence or two. */
export function explainCause({ code, evidence }: CauseBelief): string {
  const part = (is: (factor: number) => boolean): string =>
    evidence
      .filter(({ factor }) => is(factor))
      .map(sayEvidence)
      .join(' ');
  const [speaksFor, against] = [part((factor) => factor > 1), part((factor) => factor < 1)];
  return [sayCause(code), speaksFor && `For it: ${speaksFor}`, against && `Against it: ${against}`]
    .filter(Boolean)
    .join(' ');
}

/** What is believed, in one sentence: one cause, more than one, or that it cannot be told. */
export function sayCauses({ causes, other }: Pick<CausesBelief, 'causes' | 'other'>): string {
  const likely = causes.filter(({ p }) => p >= 0.5);
  if (likely.length > 1)
    return `More than one thing: ${listWords(likely.map(({ code }) => lowerFirst(nameCause(code))))}.`;
  const [first, second] = causes;
  if (!first || other >= 0.5) return 'It cannot be told from this: something else may be at work.';
  if (likely.length === 1) return `Most likely: ${lowerFirst(nameCause(first.code))}, ${describeChance(first.p)}.`;
  return `It cannot be told yet: ${lowerFirst(nameCause(first.code))}${second ? ` or ${lowerFirst(nameCause(second.code))}` : ''}, or both.`;
}

const REMEDIES: Record<RemedyCode, Named> = {
  wait: { name: 'Wait and test again', says: 'It may still harden; a test says whether it did.' },
  ease: { name: 'Free the running faces', says: 'Sand them bare, wax them, leave the rest alone.' },
  touch_up: { name: 'Mend the places', says: 'Work on what shows, and leave the rest.' },
  recoat: { name: 'Sand flat, coat again', says: 'The layers stay; the last of them is made new.' },
  seal_over: {
    name: 'Seal over, coat again',
    says: 'What is on stays; a barrier goes over it, and new coats over that.',
  },
  strip: { name: 'Take it off, start again', says: 'Down to what was there before, and another way from there.' },
};
export const nameWayOut = (code: RemedyCode): string => REMEDIES[code].name;
export const sayWayOut = (code: RemedyCode): string => REMEDIES[code].says;

export const RECOVERY_LABELS: Record<RecoveryLabel, string> = {
  recommended: 'Recommended',
  surest: 'Surest',
  soonest: 'Soonest',
  cheapest: 'Cheapest',
};

const LEAVING: Record<LeavingWay['how'], Named> = {
  live_with: { name: 'Leave it and live with it', says: 'Nothing is done.' },
  as_it_is: { name: 'Let it go as it is', says: 'Said openly, at a lower price.' },
};
export const nameLeaving = (how: LeavingWay['how']): string => LEAVING[how].name;
/** What it costs to leave it. */
export function sayLeaving({ how, worsens, priceLoss, loses }: LeavingWay): string {
  const grows = worsens > 0 ? ` It grows worse ${describeChance(worsens)} times.` : ' It stays as it is.';
  const lost =
    how === 'live_with'
      ? ''
      : ` It costs about ${Math.round(priceLoss * 100)} % of the price${loses === null ? '' : `, ${loses}`}.`;
  return `${LEAVING[how].says}${lost}${grows}`;
}

/** Why a way out is none here. */
export function sayRuledOutRemedy(out: RuledOut): string {
  switch (out.rule) {
    case 'does_not_clear_up':
      return out.remedy === 'wait'
        ? 'It does not clear up by waiting: it goes on coming.'
        : 'More paint or clear does not hold it back: it comes through those, too.';
    case 'hope_has_ended':
      return 'It is past its full hardness: waiting longer changes nothing.';
    case 'tried_before':
      return 'It was waited for once, and failed again.';
    case 'all_over':
      return 'It is all over the face, not in places.';
    case 'lead_found':
      return 'Lead was found here: work on it is for certified practice.';
    case 'no_way_through':
      return 'The rules leave no layers for it here.';
    case 'leaves_cause':
      return `It leaves ${listWords(out.causes.map((code) => lowerFirst(nameCause(code))))} as it is.`;
  }
}

/** Why a way out is proposed: what it serves, what it leaves, and what is behind it. */
export function explainWayOut(remedy: RemedyCode, serves: readonly CauseCode[], leaves: readonly CauseCode[]): string {
  const names = (codes: readonly CauseCode[]): string => listWords(codes.map((code) => lowerFirst(nameCause(code))));
  const rest =
    leaves.length === 0
      ? ''
      : remedy === 'wait'
        ? ` If the test fails again, it was ${names(leaves)}.`
        : ` It leaves ${names(leaves)}.`;
  return `${sayWayOut(remedy)}${serves.length > 0 ? ` It answers ${names(serves)}.` : ''}${rest}`;
}

/** Why a look is worth having. */
export const sayNextClue = (turnsTo: readonly RemedyCode[]): string =>
  turnsTo.length > 0
    ? `The answer may turn the way out to: ${listWords(turnsTo.map((code) => lowerFirst(nameWayOut(code))))}.`
    : 'The answer makes the way out surer.';
