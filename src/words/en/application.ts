import type { GunChange, Stroke } from '@/core/application';
import type { GunCode, TechniqueCode } from '@/core/knowledge';

const TECHNIQUES: Record<TechniqueCode, string> = {
  cross_roll: 'Across, at 45° both ways, then all one way',
  strips: 'In strips, each while the last is wet',
  panel_order: 'Edges, panels, rails, stiles',
  tape_pull: 'Back over itself at 45°',
  points: 'Backs first, then turn onto points',
  half_overlap: 'Half over the last, off at both ends',
  load_and_roll: 'Brush it on, roll it off unloaded',
  room_edges: '1 opening edge, 2 hinge edge',
  wipe_off: '1 wipe on, 2 wait, 3 wipe all off along the grain',
  rub_even: 'Along the grain, half over the last, off the edges',
};
export const sayTechnique = (code: TechniqueCode): string => TECHNIQUES[code];

const GUNS: Record<GunCode, string> = { compressor: 'On a compressor', turbine: 'With a turbine' };
export const sayGun = (gun: GunCode): string => GUNS[gun];

const STROKES: Record<Stroke, string> = {
  even: 'Even from end to end',
  spider: 'Spider legs',
  runs: 'Wet, it runs',
  dry: 'Dry and rough',
  cloud: 'A cloud around it',
};
export const sayStroke = (pattern: Stroke): string => STROKES[pattern];

const CHANGES: Record<GunChange, string> = {
  more_air: 'A little more air.',
  less_air: 'Less air.',
  thin_a_little: 'Thin it a little, within the label, and time the cup again.',
  thicken: 'Less thinner next time; let it stand cool.',
  smaller_nozzle: 'A smaller nozzle, or less paint at the needle.',
  larger_nozzle: 'A larger nozzle, or more paint at the needle.',
  nearer: 'Nearer to the face.',
  farther: 'Farther from the face.',
  faster: 'Move faster.',
};
export const sayGunChange = (change: GunChange): string => CHANGES[change];

const BASIS = { published: 'Published', practice: 'Common practice', estimate: 'An estimate' } as const;
/** Where a fact comes from. */
export const sayBasisOf = (basis: keyof typeof BASIS): string => BASIS[basis];
