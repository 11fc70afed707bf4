import {
  CLEAR_FACTS,
  FACED_BOARDS,
  FILM_FACTS,
  isWholeCoat,
  leavesBare,
  type ClearCode,
  type FinishCode,
  type OperationCode,
  type PrepCode,
  type SubstrateCode,
} from '../knowledge';
import { DEFAULT_COLOUR, type Treatment, type ZoneWish } from '../dossier';
import { PRIMER_TINTS, type PrimerTint } from '../film';
import { mostLikelyState, type Belief } from '../survey';
import type { NamedStep, ZonePlan } from '../systems';

/** One layer of a cut through a zone, from the substrate up. Drawn by the client; pure data here. */
export type SectionLayer =
  | { kind: 'substrate'; substrate: SubstrateCode; certainty: number }
  | { kind: 'finish'; finish: FinishCode }
  | ({ kind: 'tooth' } & Dulling)
  | {
      kind: 'coat';
      layer: 'primer' | 'paint' | 'clear' | 'seal';
      /** It soaks into the wood, or melts into the coat under it; left out, it lies on it. */
      lies?: 'in' | 'melts';
      filmUm: number;
      colour: string;
      code: keyof typeof FILM_FACTS;
      coats: number;
      tint: PrimerTint;
      note: CoatNote | null;
      /** How far it has come in the work; left out where a section shows a plan. */
      state?: CoatState;
      /** What is found in the log points to it. */
      suspect?: boolean;
    };
/** How the ground is dulled: by the step of a plan, or by the preparation of a treatment. */
type Dulling = { step: NamedStep & { op: OperationCode }; minutes: number } | { prep: PrepCode };
/** What is said beside a coat: how it is planned, how far it has come, or that it was there before. */
export type CoatNote =
  { code: 'planned'; ml: number; recoatH: number; coats: number } | { code: 'as_it_is' | 'of_before' | 'as_logged' };
export type CoatState = 'planned' | 'wet' | 'dry' | 'cured';

export interface Section {
  layers: SectionLayer[];
}

const CLEAR = '#FFFFFF';

/** What is to be put on, from the bottom up. */
type Work =
  | ({ op: 'dull' } & Dulling)
  | {
      op: 'coat';
      layer: 'primer' | 'paint' | 'clear';
      code: keyof typeof FILM_FACTS;
      coats: number;
      note: CoatNote | null;
      tint?: PrimerTint;
      /** Of paint, where it is not the zone's. */
      colour?: string;
    };

/** The cut through a zone as believed now and, with a plan, as it is to become. */
export function buildSection(belief: Belief, plan?: ZonePlan): Section {
  return draw(belief, plan ? planWork(plan) : [], plan?.stack.prep);
}

/** As `buildSection`, from the treatment that was taken: what a list of pieces shows. */
export function buildTreatedSection(
  belief: Belief,
  treatment: Treatment,
  wish?: Pick<ZoneWish, 'colour' | 'paint'>,
): Section {
  const { prep = 'none', primer = 'none', coats = 1 } = treatment;
  const work: Work[] = [];
  if (prep !== 'none') work.push({ op: 'dull', prep });
  if (primer !== 'none') work.push({ op: 'coat', layer: 'primer', code: primer, coats, note: null });
  const clear = treatment.clear ?? 'none';
  if (treatment.paint === undefined && clear !== 'none')
    work.push({ op: 'coat', layer: 'clear', code: clear, coats: CLEAR_FACTS[clear].coats, note: null });
  else if (work.length > 0)
    work.push({
      op: 'coat',
      layer: 'paint',
      code: treatment.paint ?? wish?.paint ?? 'wb_alkyd_enamel',
      coats: treatment.paint_coats ?? 2,
      note: null,
    });
  return draw(belief, work, prep, wish?.colour);
}

/** A coat of the work on a zone, from the bottom up. */
export interface WorkCoat {
  layer: 'primer' | 'paint' | 'clear';
  code: keyof typeof FILM_FACTS;
  tint?: PrimerTint;
  colour?: string;
  note: CoatNote;
  state: CoatState;
  suspect?: boolean;
}

/** The cut through a zone in work: what is on it, and what is still to come; `under`: coats that are gone over. */
export function buildWorkSection(
  belief: Belief,
  prep: PrepCode,
  coats: readonly WorkCoat[],
  colour: string = DEFAULT_COLOUR,
  under: readonly WorkCoat[] = [],
): Section {
  const tooth: Work[] = prep === 'none' ? [] : [{ op: 'dull', prep }];
  const lay = (list: readonly WorkCoat[]): SectionLayer[] =>
    list.flatMap(({ state, suspect, ...coat }) =>
      drawWork({ op: 'coat', coats: 1, ...coat }, colour).map((layer) => ({
        ...layer,
        state,
        ...(suspect ? { suspect } : {}),
      })),
    );
  const ground =
    under.length === 0
      ? draw(belief, tooth, prep, colour).layers
      : [
          ...draw(belief, [], undefined, colour).layers,
          ...lay(under),
          ...tooth.flatMap((own) => drawWork(own, colour)),
        ];
  const all = [...ground, ...lay(coats)];
  return { layers: all };
}

function draw(
  belief: Belief,
  work: readonly Work[],
  prep: PrepCode | undefined,
  colour: string = DEFAULT_COLOUR,
): Section {
  const { substrate, finish } = mostLikelyState(belief);
  const certainty = belief.substrate[0]!.p;
  const layers: SectionLayer[] = [{ kind: 'substrate', substrate, certainty }];
  // A factory film is the face of its board and is drawn with it.
  const ownFace = finish === 'factory_film' && (FACED_BOARDS as readonly string[]).includes(substrate);
  if (finish !== 'bare' && !ownFace && (prep === undefined || !leavesBare(prep))) {
    layers.push({ kind: 'finish', finish });
  }
  layers.push(...work.flatMap((entry) => drawWork(entry, colour)));
  return { layers };
}

function planWork(plan: ZonePlan): Work[] {
  return plan.steps.flatMap((step): Work[] => {
    if (step.op === 'scuff' || step.op === 'sand' || step.op === 'liquid_degloss') {
      return [{ op: 'dull', step, minutes: step.minutes }];
    }
    if (!isWholeCoat(step.op)) return [];
    const code = step.class as keyof typeof FILM_FACTS;
    const layer = step.op === 'prime' ? 'primer' : step.op === 'paint' ? 'paint' : 'clear';
    const coats = step.coats ?? 1;
    const recoatH = step.recoatH ?? FILM_FACTS[code].recoatH;
    return [
      {
        op: 'coat',
        layer,
        code,
        coats,
        note: { code: 'planned', ml: step.ml ?? 0, recoatH, coats },
        ...(step.tint ? { tint: step.tint } : {}),
        ...(step.colour ? { colour: step.colour } : {}),
      },
    ];
  });
}

function drawWork(work: Work, paintColour: string): SectionLayer[] {
  if (work.op === 'dull') {
    const { op: _op, ...how } = work;
    return [{ kind: 'tooth', ...how }];
  }
  const { layer, code, coats, note, tint = 'white', colour: own = paintColour } = work;
  const primerColour = PRIMER_TINTS[tint];
  const colour = layer === 'primer' ? primerColour : layer === 'paint' ? own : CLEAR;
  return Array.from({ length: coats }, () => ({
    kind: 'coat',
    layer,
    ...(layer === 'clear' ? liesOf(code) : {}),
    filmUm: FILM_FACTS[code].dryFilmUm,
    colour,
    code,
    coats,
    tint,
    note,
  }));
}

/** How a clear finish lies: oil in the pores, shellac melted into shellac. */
function liesOf(code: keyof typeof FILM_FACTS): { lies?: 'in' | 'melts' } {
  const lies = code in CLEAR_FACTS ? CLEAR_FACTS[code as ClearCode].lies : 'on';
  return lies === 'in' || lies === 'melts' ? { lies } : {};
}
