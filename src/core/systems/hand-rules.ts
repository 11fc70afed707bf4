import { HAND_FACTS, HANDS, type HandCode, type HandFact } from '../knowledge';
import { step, type Step } from './choice';
import type { Ground } from './ground';

/** Doors and drawer fronts: they touch, and have edges that show. */
const hasLips = ({ zone }: Ground): boolean => zone.role === 'door' || zone.role === 'drawer_front';
/** A second colour lies over the first one, with edges to be taped. */
export const isBanded = ({ second }: Ground): boolean =>
  second !== null && second.lies !== 'far_side' && second.share > 0;
const isPainted = ({ look }: Ground): boolean => look === 'opaque';

/**
 * What asks for work of the hand on a zone that is treated, by the shape of the piece, its colours and the tool (common
 * practice). What is asked for after a rest, the log decides (`work/pauses`).
 */
const ASKED: Readonly<Record<HandCode, (ground: Ground) => boolean>> = {
  label_parts: ({ moves, parts, schools }) => moves && parts > 1 && schools.doors !== 'on',
  mask_room: ({ inPlace }) => inPlace,
  mask_hinges: ({ moves, schools }) => moves && schools.doors === 'on',
  mask_runners: ({ moves, application, zone }) => moves && application !== 'brush_roll' && zone.role !== 'door',
  stand: (ground) => isPainted(ground) && hasLips(ground) && ground.schools.doors !== 'on',
  spray_tent: ({ application, leads }) => leads && application === 'spray',
  gun_card: ({ application, leads }) => leads && application === 'spray',
  can_card: ({ application, leads }) => leads && application === 'aerosol',
  mask_wood: (ground) => isPainted(ground) && ground.meetsOther.length > 0,
  brush_edges: (ground) => isPainted(ground) && hasLips(ground) && ground.application !== 'brush_roll',
  room_edges: ({ second, zone }) => second?.lies === 'far_side' && zone.role === 'edge',
  tape_line: (ground) => isPainted(ground) && ground.meets.length > 0,
  tape_second: isBanded,
  pull_tape: (ground) => isBanded(ground) || (isPainted(ground) && ground.meets.length + ground.meetsOther.length > 0),
  dust_again: () => false,
  dull_again: () => false,
};

const isAsked = (ground: Ground, hand: HandCode): boolean => ground.look !== 'leave' && ASKED[hand](ground);

/** Whether a step of the hand is on the plan of a zone: its rule asks for it and the owner does not leave it out. */
const isPlanned = (ground: Ground, hand: HandCode): boolean => isAsked(ground, hand) && !ground.without.has(hand);

/** Metres of edge or tape that a step is about. */
function measureMetres({ area, parts, second, meets, meetsOther, size }: Ground, hand: HandCode): number {
  if (hand === 'mask_room') return Math.min(size.edgeM, 2 * Math.sqrt(area));
  // Lips of parts as if they were square and painted on both sides.
  if (hand === 'brush_edges') return 4 * parts * Math.sqrt(area / (2 * parts));
  if (hand === 'mask_wood') return 2 * Math.sqrt(area);
  const bands = second && hand !== 'tape_line' ? second.tapeM : 0;
  // A zone meets the next along about half of its outline (estimate).
  const line = meets.length + meetsOther.length > 0 && hand !== 'tape_second' ? 2 * Math.sqrt(area) : 0;
  return bands + line;
}

/** Minutes of a step of the hand on a zone, without what is once a sitting. */
function handMinutes(ground: Ground, hand: HandCode): number {
  const { perM2 = 0, perPart = 0, perM = 0 }: HandFact = HAND_FACTS[hand];
  return perM2 * ground.area + perPart * ground.parts + perM * measureMetres(ground, hand);
}

/** A door between two rooms: what its opening edge is painted, that of the room it opens into. */
function opening({ goal, colour, second }: Ground, hand: HandCode): { edge?: string } {
  if (hand !== 'room_edges' || !second) return {};
  return { edge: goal.opens_to === 'far' ? second.colour : colour };
}

/** The steps of these rules that are done on a zone, in this order. */
export const makeHandSteps = (ground: Ground, hands: readonly HandCode[], more: Partial<Step> = {}): Step[] =>
  hands
    .filter((hand) => isPlanned(ground, hand))
    .map((hand) => {
      const { op, waitH = 0, material, once }: HandFact = HAND_FACTS[hand];
      return step(
        op,
        'hand',
        handMinutes(ground, hand),
        waitH,
        { code: 'hand', hand, ...opening(ground, hand) },
        {
          hand,
          ...(material ? { material } : {}),
          ...(once ? { once } : {}),
          ...more,
        },
      );
    });

/** Work of the hand on a piece by one rule: the zones it is asked for on, and whether the owner leaves it out. */
export interface HandWork {
  hand: HandCode;
  zones: string[];
  minutes: number;
  leftOut: boolean;
}

/** What the rules of the hand ask for on a piece, in the order it is done. */
export const listHandWork = (grounds: readonly Ground[]): HandWork[] =>
  HANDS.flatMap((hand) => {
    const asked = grounds.filter((ground) => isAsked(ground, hand));
    if (asked.length === 0) return [];
    const { once = 0 }: HandFact = HAND_FACTS[hand];
    const minutes = asked.reduce((sum, ground) => sum + handMinutes(ground, hand), once);
    const leftOut = asked[0]!.without.has(hand);
    return [{ hand, zones: asked.map(({ zone }) => zone.id), minutes: Math.max(1, Math.round(minutes)), leftOut }];
  });
