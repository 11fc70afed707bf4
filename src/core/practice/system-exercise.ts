import { DOSSIER_FORMAT, type Dossier, type Observation } from '../dossier';
import { type FinishCode, type SubstrateCode } from '../knowledge';
import { makeRandom } from '../shared';
import { FACETS, STATES, drawSurface, type PracticeSurface } from '../survey';
import { listConsidered, planPiece, type Considered, type ZonePlan } from '../systems';

export interface SystemExercise {
  kind: 'system';
  skill: string;
  seed: number;
  ground: { substrate: SubstrateCode; finish: FinishCode; failing: boolean; bleeds: boolean };
  colour: string;
  /** Primers to choose among, "none" for none; those joined by "+" are two. */
  options: readonly string[];
  right: readonly string[];
  taken: Pick<ZonePlan, 'minutes' | 'waitH' | 'risk'>;
  /** What came of each other option. */
  others: readonly Considered[];
}

export const PRIMED_GROUNDS = [
  'knotty_softwood',
  'tannin_rich_wood',
  'open_grain_hardwood',
  'wood_veneer',
  'hpl_laminate',
  'melamine_board',
  'thermofoil',
  'mdf',
] as const satisfies readonly SubstrateCode[];

const COLOURS = ['#F3EFE6', '#E7E2D3', '#2F3B40', '#5E6F5C'] as const;
const OPTIONS = 5;
const MOST_DRAWS = 400;
const MOST_TRIES = 20;
/** Far enough on that no other case of the skill is met. */
const NEXT_SEED = 100_003;

function drawGround(substrate: SubstrateCode, random: () => number): PracticeSurface {
  for (let tries = 0; tries < MOST_DRAWS; tries += 1) {
    const surface = drawSurface(random);
    const state = STATES[surface.stateIndex]!;
    if (state.substrate === substrate && state.finish !== 'unknown') return surface;
  }
  throw new Error(`No ${substrate} in ${MOST_DRAWS} surfaces.`);
}

/** A ground that is known, and primers for it: which is taken, what the others would cost, and what rules them out. */
export function drawSystemExercise(substrate: SubstrateCode, seed: number): SystemExercise {
  for (let tries = 0; tries < MOST_TRIES; tries += 1) {
    const drawn = tryToDraw(substrate, seed, seed + tries * NEXT_SEED);
    if (drawn) return drawn;
  }
  throw new Error(`No way for ${substrate} in ${MOST_TRIES} draws.`);
}

/** One case; none where nothing holds on it, or where there is nothing to choose between. */
function tryToDraw(substrate: SubstrateCode, seed: number, from: number): SystemExercise | null {
  const random = makeRandom(from * 3_266_489 + 11);
  const surface = drawGround(substrate, random);
  const { finish } = STATES[surface.stateIndex]!;
  const bleeds = FACETS.seep[surface.facets.seep]!.bleed === true;
  const failing = FACETS.soundness[surface.facets.soundness]!.soundness === 'failing';
  const colour = COLOURS[Math.floor(random() * COLOURS.length)]!;
  const observations: Observation[] = [
    { check: 'bleed_probe', result: bleeds ? 'brown' : 'stays_white' },
    { check: 'tape_pull', result: failing ? 'sheets' : 'nothing' },
    { check: 'crawl_dab', result: 'lies_flat' },
  ];
  const dossier: Dossier = {
    format: DOSSIER_FORMAT,
    piece: { id: 'practice', kind: 'sideboard', history: { era: 'since_2000' } },
    zones: [{ id: 'face', role: 'front', area_m2: 1, stated: { substrate, finish }, observations }],
    goal: { look: 'opaque', colour },
  };
  const taken = planPiece(dossier).systems[0]?.zones[0];
  if (!taken) return null;
  const own = taken.stack.primers.map(({ code }) => code).join('+') || 'none';
  const all = listConsidered(dossier, taken, 'prime').filter(({ verdict }) => verdict !== 'beaten');
  const kinds = (['ruled_out', 'dearer'] as const).map((verdict) =>
    shuffle(
      all.filter((other) => other.verdict === verdict),
      random,
    ),
  );
  const others = Array.from({ length: OPTIONS }, (_, i) => [kinds[0]![i], kinds[1]![i]])
    .flat()
    .filter((other) => other !== undefined)
    .slice(0, OPTIONS - 1);
  if (others.length === 0) return null;
  return {
    kind: 'system',
    skill: substrate,
    seed,
    ground: { substrate, finish, failing, bleeds },
    colour,
    options: shuffle([own, ...others.map(({ code }) => code)], random),
    right: [own],
    taken: { minutes: taken.minutes, waitH: taken.waitH, risk: taken.risk },
    others,
  };
}

function shuffle<T>(list: readonly T[], random: () => number): T[] {
  const mixed = [...list];
  for (let i = mixed.length - 1; i > 0; i -= 1) {
    const j = Math.floor(random() * (i + 1));
    [mixed[i], mixed[j]] = [mixed[j]!, mixed[i]!];
  }
  return mixed;
}
