import { readHex } from '../colour';
import type { PaintCode } from '../knowledge';
import { definedOnly } from '../shared';
import { lookOf, type Look } from './look';
import type { Goal, SecondColour } from './goal-schema';
import type { Dossier, Zone } from './schema';

/** The colour of a piece whose owner named none. */
export const DEFAULT_COLOUR = '#F3EFE6';

/** What is wished for one zone, its own or the piece's. */
export interface ZoneWish {
  look: Look;
  /** Of wood that is to show: woken or done anew; none where either will do. */
  keep?: NonNullable<Goal['keep']>;
  colour: string;
  /** The paint the owner asks for; none where the planner chooses. */
  paint?: PaintCode;
  /** It is asked for this zone, whatever the others get. */
  paintOfItsOwn: boolean;
  sheen?: NonNullable<Goal['sheen']>;
  second?: SecondColour;
}

type Wished = Pick<Dossier, 'goal'>;
type OfZone = Pick<Zone, 'id' | 'role'>;

/** The colour of a piece as a whole; zones may have their own (`wishOf`). */
export const colourOfPiece = ({ goal }: Wished): string => goal?.colour ?? DEFAULT_COLOUR;

/** What is wished for a zone: its own wish before the piece's. */
export function wishOf(dossier: Wished, zone: OfZone): ZoneWish {
  const { goal } = dossier;
  const own = goal?.zones?.[zone.id];
  const look = lookOf(dossier, zone);
  const colour = inOneCase(own?.colour ?? colourOfPiece(dossier));
  const second = own?.second && { ...own.second, colour: inOneCase(own.second.colour) };
  return {
    look,
    colour,
    paintOfItsOwn: own?.paint !== undefined && own.paint !== goal?.paint,
    ...definedOnly({
      keep: look === 'clear' ? (own?.keep ?? goal?.keep) : undefined,
      paint: own?.paint ?? goal?.paint,
      sheen: own?.sheen ?? goal?.sheen,
      // On paint only, and of the same colour it is none.
      second: look === 'opaque' && second?.colour !== colour ? second : undefined,
    }),
  };
}

const inOneCase = (hex: string): string => readHex(hex) ?? hex;

/** What may be wished for a zone apart from the piece; `undefined` takes the wish back. */
export type OwnWish = {
  [K in 'colour' | 'paint' | 'sheen' | 'second']?: NonNullable<Goal['zones']>[string][K] | undefined;
};

/** The wishes with this for some zones; one that has no wish of its own left follows the piece again. */
export function wishZones(goal: Goal, ids: readonly string[], part: OwnWish): Goal {
  const zones = { ...goal.zones };
  for (const id of ids) {
    const own = definedOnly({ ...zones[id], ...part });
    if (Object.keys(own).length > 0) zones[id] = own;
    else delete zones[id];
  }
  return { ...goal, zones };
}

/** The colours that paint is needed in, those of the most zones first; each with the zones that have it. */
export function listColours(dossier: Pick<Dossier, 'goal' | 'zones'>): { colour: string; zones: string[] }[] {
  const found = new Map<string, string[]>();
  const add = (colour: string, id: string): void => {
    found.set(colour, [...(found.get(colour) ?? []), id]);
  };
  for (const zone of dossier.zones ?? []) {
    const { look, colour, second } = wishOf(dossier, zone);
    if (look === 'opaque') add(colour, zone.id);
    if (second) add(second.colour, zone.id);
  }
  return [...found].map(([colour, zones]) => ({ colour, zones })).sort((a, b) => b.zones.length - a.zones.length);
}
