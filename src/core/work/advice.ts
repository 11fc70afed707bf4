import type { Goal, Zone } from '../dossier';
import { findDust, findProduct, findRepairStep, hasStrongFumes, isWholeCoat, OPERATION_FACTS } from '../knowledge';
import { isFilm } from './film-times';
import type { Task } from './tasks';

/** A caution: shown at the step where it bites. One that `holds` must be seen once in each sitting before going on. */
export interface Caution {
  code:
    | 'lead'
    | 'fumes'
    | 'two_part'
    | 'oily_rags'
    | 'dust'
    | 'spray'
    | 'cleaners'
    | 'heat_and_strippers'
    | 'blades'
    | 'tipping'
    | 'mould'
    | 'insects'
    | 'glue'
    | 'rust'
    | 'child'
    | 'food';
  holds: boolean;
  title: string;
  text: string;
}

/** Always deferring to the product's label and safety data sheet, to local law and to licensed practice. */
const CAUTIONS: Record<Caution['code'], Omit<Caution, 'code'>> = {
  lead: {
    holds: true,
    title: 'Old coat: lead is possible',
    text: 'A negative swab can be wrong. Sand wet, with extraction and a P2 mask; keep children and pregnant people away; no heat gun.',
  },
  fumes: {
    holds: true,
    title: 'Strong, flammable vapour',
    text: 'Open two sides of the room. No flame, pilot light or sparking tool. Organic-vapour respirator and gloves. The label and its safety sheet decide.',
  },
  two_part: {
    holds: true,
    title: 'Two-part product',
    text: 'Its hardener can make you allergic for life: the respirator its safety sheet names, gloves, no skin contact. Mix exactly; it sets in the pot.',
  },
  oily_rags: {
    holds: true,
    title: 'Oily rags can catch fire by themselves',
    text: 'Lay them flat outdoors to dry, or keep them in water in a lidded metal can. Never in a heap or a bin.',
  },
  dust: {
    holds: false,
    title: 'Dust',
    text: 'Extraction or damp sanding, P2 or N95 at least. Dust of MDF, hardwood and chalk-type paint travels far.',
  },
  spray: {
    holds: true,
    title: 'Spray mist',
    text: 'Combined-filter respirator, moving air, nothing that sparks. Start and stop off the piece.',
  },
  cleaners: {
    holds: false,
    title: 'Gloves and goggles',
    text: 'Never bring bleach and ammonia cleaners together. Rinse: what is left of the cleaner lets primer go.',
  },
  heat_and_strippers: {
    holds: true,
    title: 'Stripper and heat',
    text: 'Gloves, moving air. Heat below scorching, never on foil or vinyl, never where lead may be. Sludge is hazardous waste.',
  },
  blades: {
    holds: false,
    title: 'Blade',
    text: 'Cut away from your other hand; cap the blade before you put it down.',
  },
  mould: {
    holds: true,
    title: 'Mould',
    text: 'P2 mask, gloves, goggles, damp cloths, moving air. Never mix cleaners with bleach and ammonia. Much of it, or asthma in the house: a specialist.',
  },
  insects: {
    holds: true,
    title: 'Woodworm treatment',
    text: 'By its label only: gloves, air, no food, children or animals near. Some treatments are for licensed users.',
  },
  glue: {
    holds: false,
    title: 'Glue',
    text: 'Contact glue is flammable and its vapour strong: open air. Keep skin off fast ones.',
  },
  rust: {
    holds: false,
    title: 'Rust dust',
    text: 'Goggles and P2 mask; wire comes off the brush.',
  },
  child: {
    holds: false,
    title: 'For a child',
    text: 'Only coats that their labels name for toys or nursery furniture, cured to the last day. Anchor it.',
  },
  food: {
    holds: false,
    title: 'Food lies here',
    text: 'Only a last coat that its label names for food contact, cured right through.',
  },
  tipping: {
    holds: false,
    title: 'Lift and anchor',
    text: 'Two people for anything heavy or with glass. A tall piece leaves with a strap against tipping.',
  },
};

/** The cautions of a task. `oldCoat`: lead is possible by date, though a test was negative. */
export function listCautions(
  task: Pick<Task, 'op' | 'class' | 'key' | 'repair'>,
  {
    application,
    oldCoat,
    hazards = [],
  }: { application?: Goal['application']; oldCoat: boolean; hazards?: readonly string[] },
): Caution[] {
  const { op, class: code } = task;
  const repair = task.repair === undefined ? undefined : findRepairStep(task.repair);
  const fact = OPERATION_FACTS[op];
  const product = code === undefined ? undefined : findProduct(code);
  const dust = findDust(task);
  const codes: Caution['code'][] = [];
  if (oldCoat && dust) codes.push('lead');
  if (repair?.caution) codes.push(repair.caution);
  if (hazards.includes('mould') && dust) codes.push('mould');
  if (product?.carrier === 'two_part') codes.push('two_part');
  if (product && hasStrongFumes(product.carrier)) codes.push('fumes');
  if (product?.ragsHeat) codes.push('oily_rags');
  if (isWholeCoat(op) && (application === 'spray' || application === 'aerosol')) codes.push('spray');
  if (dust === 'sanding') codes.push('dust');
  if (fact.cleans) codes.push('cleaners');
  codes.push(...(fact.cautions ?? []));
  if (fact.coat === 'paint' || fact.coat === 'clear' || fact.untimed) {
    if (hazards.includes('nursery')) codes.push('child');
    if (hazards.includes('food')) codes.push('food');
  }
  return [...new Set(codes)].map((own) => ({ code: own, ...CAUTIONS[own] }));
}

/**
 * The two or three things that matter at this step, most telling first (common practice, but for the film and spreading
 * rate, which follow from unit geometry).
 */
export function listFacts(
  task: Pick<Task, 'op' | 'class' | 'coat' | 'coats' | 'grit' | 'ml' | 'repair'>,
  zones: readonly Pick<Zone, 'role' | 'moulded' | 'orientation'>[],
  application: Goal['application'] = 'brush_roll',
): string[] {
  const has = (test: (zone: Pick<Zone, 'role' | 'moulded' | 'orientation'>) => boolean): boolean => zones.some(test);
  const doors = has(({ role }) => role === 'door');
  const flat = has(({ orientation, role }) => orientation === 'horizontal' || role === 'top');
  const repair = task.repair === undefined ? undefined : findRepairStep(task.repair);
  if (repair) return [...repair.facts];
  const facts: (string | false)[] = [];
  switch (task.op) {
    case 'degrease':
    case 'clean':
      facts.push(
        'Scrub, rinse with clean water, let it dry. “Looks clean” is worth nothing.',
        doors && 'The backs of doors and round the handles too.',
      );
      break;
    case 'dewax':
    case 'desilicone':
      facts.push('Several clean rags, turned often, until no more comes off.', 'Nothing sticks to what is left.');
      break;
    case 'hardware_off':
      facts.push(
        'Label each part where no paint goes, and its opening, with which way is up.',
        'Screws go back into their holes or into a bag with the number.',
      );
      break;
    case 'liquid_degloss':
      facts.push(
        'Saturated lint-free cloth, in circles; refold it often. Haze is normal.',
        'Prime within the time on its label.',
      );
      break;
    case 'scuff':
    case 'sand':
      facts.push(
        'All that shines goes dull; on laminate the scratches must be plain to see.',
        'Stay off the edges: cut through, they want spot-priming.',
        has(({ moulded }) => moulded === true) && 'A soft pad in the mouldings.',
      );
      break;
    case 'strip':
      facts.push('All of it comes off, or what stays will lift the new coat.', 'Let it dry for a day before sanding.');
      break;
    case 'dust':
      facts.push('Vacuum, then a damp or tack cloth. Wipe the floor under it too.');
      break;
    case 'fill':
      facts.push(
        'Fill a little proud; it shrinks. Sand 220 when hard.',
        'A low lamp along the face shows what light from above hides.',
      );
      break;
    case 'grain_fill':
      facts.push(
        'Across the grain, pressed in; sand 220 until it is left in the pores only.',
        'Deep oak wants a second pass.',
      );
      break;
    case 'edge_seal':
      facts.push('Two thin coats, sanded between. Never flood a board edge with water.');
      break;
    case 'spot_seal':
      facts.push('A finger’s breadth beyond the stain all round.', 'Two thin dabs hold back more than one thick one.');
      break;
    case 'proof':
      facts.push(
        'On a hidden place of the same surface, prepared just like the piece.',
        'No label where paint will go: the map is the label.',
      );
      break;
    case 'prime':
      facts.push(...primingFacts(task.class));
      break;
    case 'denib':
      facts.push('Light hand, 220; only the nibs go. Wipe after it.', 'A finger along edges and corners finds runs.');
      break;
    case 'paint':
      facts.push(...paintingFacts(task, flat, doors, application));
      break;
    case 'topcoat':
      facts.push(...toppingFacts(task.class));
      break;
    case 'refit':
      facts.push(
        'Clean hinge recesses; sand stray paint off runners and edges.',
        'Press nothing together that stays shut overnight.',
      );
      break;
    case 'mask':
      facts.push(
        'Press the tape’s edge down with a nail; cut it with a blade before you pull.',
        'Off at 45° while the coat is fresh, or score it first. Kitchen foil moulds over what stays on.',
      );
      break;
    case 'dry_out':
      facts.push('Moving air, no heat: boards that dry fast crack.', 'Measure again; the room sets how far it goes.');
      break;
    case 'cure':
      facts.push('Dry to the touch is not cured: marks and stuck feet come in these weeks.');
      break;
    case 'handover':
      facts.push('Say what is on it, when it is cured, and what to clean it with until then.');
      break;
    default:
      break;
  }
  return facts.filter((fact): fact is string => fact !== false).slice(0, 3);
}

function primingFacts(code: string | undefined): string[] {
  if (code === 'bonding_primer_wb')
    return ['Thin coats with foam or sponge; heavy ones leave texture.', 'Never thin it.'];
  if (code?.startsWith('shellac'))
    return ['Work fast and leave it: it is dry in minutes and drags when touched again.', 'Alcohol cleans the brush.'];
  if (code === 'bonding_primer_oil') return ['It feels tacky and rolls out slowly. That is right.'];
  if (code === 'bonding_primer_2k')
    return [
      'Measure both parts exactly, stir two minutes, let it stand as the label says.',
      'Note the minute you mixed it.',
    ];
  if (code === 'aerosol_stainblock')
    return ['Light passes, can moving before you press.', 'Thin places bleed: two passes crosswise.'];
  return ['Even and thin; it need not hide.', 'Push it into pores with the brush before you roll.'];
}

function paintingFacts(
  task: Pick<Task, 'coat' | 'coats'>,
  flat: boolean,
  doors: boolean,
  application: Goal['application'],
): string[] {
  if (application === 'spray')
    return ['Start and stop off the piece, half over the last pass.', 'Several light coats; undersides too.'];
  if (application === 'aerosol') return ['Light passes; a wet look means a run is coming.'];
  const facts = ['Brush on, then roll off at once with an unloaded foam roller.'];
  if (doors)
    facts.push('Edges, then panels and mouldings, then rails, then stiles; hardware holes last with a near-dry brush.');
  if (flat) facts.push('In strips about 15 cm wide, so that each is rolled off while it is wet.');
  facts.push(
    task.coat < task.coats
      ? 'This coat need not cover. Leave it alone when it drags.'
      : 'Look against the light while it is wet: runs hide on edges and lower corners.',
  );
  return facts;
}

function toppingFacts(code: string | undefined): string[] {
  if (code === 'wax') return ['A thin film, buffed after half an hour.', 'Nothing sticks over wax later.'];
  if (code === 'wipe_on_oil') return ['Wipe on, wait ten minutes, wipe off all that has not soaked in.'];
  return [
    'Stir, never shake: bubbles stay.',
    'Thin, and only when the paint is dry right through: the next day is safe.',
  ];
}

/** What to pour for a task, ml: its coat and what stays in tray and roller (common practice: 30–50 ml). */
const TRAY_ML = 40;
export const measurePour = ({ ml, op, class: code }: Pick<Task, 'ml' | 'op' | 'class'>): number | null =>
  ml > 0 && isFilm(code) && op !== 'spot_seal' ? Math.ceil((ml + TRAY_ML) / 5) * 5 : ml > 0 ? ml : null;
