import type { HandCode } from '@/core/knowledge';
import type { Task } from '@/core/work';

/** Why a step of the hand is there, and what comes of leaving it out. */
const HAND_WORDS: Record<HandCode, { why: string; without: string }> = {
  label_parts: {
    why: 'Parts that look alike are not: each closes in its own opening only.',
    without: 'Which door went where is tried out with wet hinges.',
  },
  mask_room: {
    why: 'It is painted where it stands.',
    without: 'Drips and mist land on the wall and the floor.',
  },
  mask_hinges: {
    why: 'You leave doors and drawers on: slower edges, and they may stick.',
    without: 'Paint in a hinge cracks at the first opening and flakes.',
  },
  mask_runners: {
    why: 'Spray mist builds up where wood slides: drawers dry shut.',
    without: 'Runners have to be sanded bare and waxed after.',
  },
  stand: {
    why: 'Both sides in one sitting: backs first, then turned onto points for the faces.',
    without: 'Each side waits for the other to dry: about a day more.',
  },
  spray_tent: {
    why: 'Mist travels metres and lands as grit; its vapour must go out and meet no spark.',
    without: 'Mist on all that is near, dust in the coat, and vapour where you breathe.',
  },
  gun_card: {
    why: 'What the fan does wrong is seen on card in a minute, on a face in an hour.',
    without: 'Spider legs, runs or a dry, rough face are found on the piece.',
  },
  can_card: {
    why: 'A spitting nozzle is found on card, not on the face.',
    without: 'Spits and the first heavy stroke land on the piece.',
  },
  mask_wood: {
    why: 'Paint first, the wood last: it is sanded before, kept clean under tape, and finished once the paint is dry.',
    without: 'Paint on bare wood has to be sanded out of it.',
  },
  brush_edges: {
    why: 'A gun lays little on an edge and too much beside it: edges by brush first, faces over them.',
    without: 'Edges stay thin and wear through first, or the faces beside them run.',
  },
  room_edges: {
    why: 'Each room sees the edge that opens into it, and the hinge edge from the other side.',
    without: 'One room sees a strip of the other room’s colour.',
  },
  tape_line: {
    why: 'The paler colour goes on first; along it the darker one is taped once it has had its time.',
    without: 'The line is cut in by hand, and is as straight as the hand.',
  },
  tape_second: {
    why: 'A sharp edge is a sealed edge: what creeps under the tape is then the first colour.',
    without: 'The edges are cut in by hand, and are as straight as the hand.',
  },
  pull_tape: {
    why: 'Fresh paint lets go of the tape cleanly; dry paint has to be scored first.',
    without: 'Tape left on tears a ragged edge, and takes paint along.',
  },
  dust_again: { why: 'It stood for weeks: dust lies on it again.', without: 'The dust is painted in.' },
  dull_again: {
    why: 'The last coat has cured: the next does not take on what shines.',
    without: 'The next coat may be peeled off it like a film.',
  },
};

export const sayHand = (hand: HandCode): string => HAND_WORDS[hand].why;
export const sayWithoutHand = (hand: HandCode): string => HAND_WORDS[hand].without;

/** What comes of it when the time for a step is missed. `again`: when it may be done after that, in words. */
export const sayClosing = ({ hand }: Pick<Task, 'hand'>, again: string | null): string =>
  hand === 'pull_tape'
    ? `After that the coat has skinned over: leave the tape until ${again ?? 'it is dry'}, and score along it first.`
    : `After that the window for the next coat is closed${again ? ` until ${again}` : ''}.`;
