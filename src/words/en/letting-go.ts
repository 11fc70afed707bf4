import {
  CURE_MOMENTS,
  momentsOf,
  type CoatTold,
  type Cure,
  type CureMoment,
  type Leaving,
  type PieceTold,
  type Transport,
} from '@/core/handover';
import {
  labelProduct,
  OPERATION_FACTS,
  SUBSTRATE_FACTS,
  type HandoverCheckCode,
  type ProductClass,
} from '@/core/knowledge';
import { lowerFirst, upperFirst } from '@/core/shared';
import { sayColour } from './colour';
import { listWords } from './lists';

/** What may be done from a moment of the cure on. */
const MOMENTS: Record<CureMoment, { name: string; until: string }> = {
  handle: { name: 'Handle it with care, refit it', until: 'Do not touch it: the film is soft.' },
  put_down: { name: 'Put things down on it', until: 'Put nothing down on it: it sticks and marks.' },
  wash: { name: 'Wipe it with water and mild soap', until: 'Dust it with a dry soft cloth only.' },
  cured: { name: 'Use it like any other', until: 'No tape, no rubber feet, no hot cups.' },
};
export const nameCureMoment = (moment: CureMoment): string => MOMENTS[moment].name;
/** What is not done before a moment of the cure. */
export const sayUntil = (moment: CureMoment): string => MOMENTS[moment].until;

export const LEAVINGS: Record<Leaving, string> = {
  at_work: 'Work on it is not done',
  ripening: 'Painted, and curing',
  to_see_to: 'Cured; some things are to be seen to',
  for_sale: 'Ready to be let go',
  waits: 'Sold, and waiting for pick-up',
  gone: 'Handed over',
};

export const TRANSPORTS: Record<Transport, string> = {
  not_yet: 'It stays where it is: the last coat is too soft to be held anywhere.',
  wrapped:
    'Only wrapped: a soft cloth on every painted face, boards so that nothing presses. Glass tops, knobs and straps pull young paint off.',
  free: 'As any other piece: blankets between it and the van.',
};

/** What is said to a buyer, as far as a label, a law or a licensed practice decides more. */
const SAID: Partial<Record<HandoverCheckCode, string>> = {
  anti_tip:
    'Fix it to the wall with the strap that comes with it before anything is put in: open drawers and doors tip it.',
  food: 'Put food on a board or a plate, not on the paint, unless the label of its last coat names it for food.',
  child: 'For a child’s room: what its coats may be used for stands on their labels. Ask before you use it for one.',
  lead: 'Under the new coats lies an old one that may hold lead. Do not sand, scrape or heat it; ask someone licensed first.',
};

const sayCoat = ({ class: code, coats, zones }: CoatTold): string =>
  `${coats} ${coats === 1 ? 'coat' : 'coats'} of ${lowerFirst(labelProduct(code))} (${listWords(zones.map(lowerFirst))})`;

/** What a clear finish asks of whoever lives with it. */
const CARE_OF: Partial<Record<ProductClass, string>> = {
  wipe_on_oil:
    'Oiled: when it looks dry, about once a year, wipe the same oil on, and off again. Lay the rags flat outdoors.',
  hardwax_oil:
    'Hardwax oil: a worn spot is rubbed with a fine pad and oiled again by itself. Lay the rags flat outdoors.',
  shellac_clear: 'Shellac: keep alcohol, scent and heat off it. A scratch melts in again under a little shellac.',
  wax: 'Waxed: buff it now and then, wax it again in a year or two. Water and heat mark it.',
};

/** The last coat of each zone. */
const listLastCoats = ({ coats }: PieceTold): ProductClass[] => {
  const last = new Map(coats.flatMap(({ zones, class: code }) => zones.map((zone) => [zone, code] as const)));
  return [...new Set(last.values())];
};

/** The care note of a piece, one page of Markdown. `sayDay` writes the day of an ISO instant. */
export function writeCareNote(told: PieceTold, cure: Cure | null, sayDay: (at: string) => string): string {
  const lines = [`# ${told.name}: how to look after it`, ''];
  if (told.coats.length > 0) lines.push('## What is on it', '', ...told.coats.map((coat) => `- ${sayCoat(coat)}`), '');
  if (cure)
    lines.push(
      '## From when',
      '',
      ...CURE_MOMENTS.map((moment) => `- ${nameCureMoment(moment)}: from ${sayDay(momentsOf(cure)[moment])}`),
      '',
    );
  lines.push(
    '## Every day',
    '',
    '- Wipe it with a soft cloth, water and a little mild soap; dry it after. No scouring, no solvent, no wax spray.',
    ...listLastCoats(told).flatMap((code) => (CARE_OF[code] ? [`- ${CARE_OF[code]}`] : [])),
    '- Coasters under cups, mats under what is hot, felt under what is moved.',
    '- No sticky tape, no rubber or soft plastic feet on it: they draw into the film and stay.',
    '',
    '## When it chips',
    '',
    '- Clean the spot, rub its edge down lightly with fine paper, dab thin coats on with a small brush, a night between.',
    told.touchUp
      ? `- The jar that goes with it is marked: ${told.touchUp}.`
      : '- Ask for a little of the paint: another batch is seldom the same.',
    ...told.recipe.map(
      ({ name, parts }) =>
        `- Its colour, ${name}: ${parts.map((part) => `${part.parts} ${part.parts === 1 ? 'part' : 'parts'} ${part.name}`).join(', ')}.`,
    ),
    ...told.colours.map(({ colour, zones }) =>
      told.colours.length === 1
        ? `- Its colour on a screen, to go by: ${colour}.`
        : `- ${upperFirst(sayColour(colour))} (${colour} on a screen): ${lowerFirst(listWords(zones))}.`,
    ),
    '',
  );
  const said = told.said.flatMap((code) => SAID[code] ?? []);
  if (said.length > 0) lines.push('## Mind this', '', ...said.map((own) => `- ${own}`), '');
  lines.push('What the labels of the products say, and the law where you live, come before this note.');
  return `${lines.join('\n')}\n`;
}

/** Facts for a sale text, in Markdown: no more is promised than is known. `saySize` writes its three sides. */
export function writeListing(
  told: PieceTold,
  cure: Cure | null,
  saySize: (size: NonNullable<PieceTold['size']>) => string,
  sayDay: (at: string) => string,
): string {
  const done = told.done.filter((op) => !OPERATION_FACTS[op].untimed && !OPERATION_FACTS[op].coat);
  const lines = [
    `# ${told.name}`,
    '',
    ...(told.size ? [`- Size: ${saySize(told.size)}`] : []),
    ...(told.grounds.length > 0
      ? [`- Made of: ${listWords(told.grounds.map((code) => lowerFirst(SUBSTRATE_FACTS[code].label)))}`]
      : []),
    ...(done.length > 0 ? [`- Done to it: ${listWords(done.map((op) => lowerFirst(OPERATION_FACTS[op].label)))}`] : []),
    ...told.coats.map((coat) => `- Finish: ${sayCoat(coat)}`),
    ...(cure ? [`- Cured right through from ${sayDay(cure.curedAt)}`] : []),
    `- Flaws: ${told.flaws ?? 'none written down'}`,
    ...(told.said.includes('lead') ? ['- An old coat under the paint may hold lead.'] : []),
    ...(told.said.includes('anti_tip') ? ['- Goes with a strap to fix it to the wall.'] : []),
  ];
  return `${lines.join('\n')}\n`;
}
