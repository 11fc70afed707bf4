import {
  CLEAR_FACTS,
  HARDWARE,
  leavesBare,
  minutesFor,
  PAINT_FACTS,
  PRIMER_FACTS,
  PRIMERS,
  TOPCOATS,
  WORK_RATES,
  type ClearCode,
  type PaintCode,
  type PrepCode,
  type PrimerCode,
  type TopcoatCode,
} from '../knowledge';
import type { Treatment } from '../dossier';
import type { PrimerTint } from '../film';
import { mostLikelyState } from '../survey';
import { measureCoats, needed, pass, step, take, whyNeed, work, type Choice, type Step } from './choice';
import { coatMinutes, coatsWaitH, coatStep, offer, sandBetween, tinOf } from './coats';
import { forecastCoats, listContrasts, listFarSide } from './cover';
import { cureDaysOf, isOfGrip, listAskedKinds, type Requirement } from '../proof';
import { bleedsAfter, isBleeding, showsWood, type Ground } from './ground';
import { makeHandSteps } from './hand-rules';
import type { Product } from './product';
import type { StepReason } from './reasons';
import { blocksStain } from './risk';
import { countBare, findRepairs, isLate, makeRepairSteps } from './repairs';
import { barrierWith, clearCoats, stainSteps } from './stages-clear';
import { hardwareMinutes, isHandle, type Stage } from './stages-ground';
import type { StepName } from './step-name';
import type { SurfaceState } from './surface-state';

/** Knots and single stains get a seal of their own before the whole-face primer, where there are any. */
export const SPOT_SEALING: Stage = {
  id: 'spot_sealing',
  choices: ({ prep }, ground, products) => {
    if (ground.look === 'leave') return sealSmell(ground, products);
    return sealSpotsFirst(ground, products, prep).map((choice) => followedBy(choice, setUp(ground)));
  },
};

/** What is set up before the first coat. */
const setUp = (ground: Ground): Step[] => [
  ...makeHandSteps(ground, ['spray_tent', 'gun_card', 'can_card', 'stand']),
  ...makeHandSteps(ground, ['mask_wood'], { meets: [...ground.meetsOther] }),
];

/** A way with more to do at its end. */
function followedBy(choice: Choice, steps: readonly Step[]): Choice {
  if (steps.length === 0) return choice;
  return {
    ...choice,
    minutes: choice.minutes + steps.reduce((sum, { minutes }) => sum + minutes, 0),
    waitH: choice.waitH + steps.reduce((sum, { waitH }) => sum + waitH, 0),
    steps: () => [...choice.steps(), ...steps],
  };
}

function sealSpotsFirst(ground: Ground, products: readonly Product[], prep: PrepCode): Choice[] {
  const knots = (ground.zone.defects ?? []).find(({ code }) => code === 'knot');
  const bleeds = isBleeding(ground, prep) && (ground.bleedsInSpots || knots !== undefined);
  if (ground.look !== 'opaque' || !(bleeds || ground.stains.p > 0)) return [pass()];
  const spots = ground.stains.spots || 5;
  const seals: readonly PrimerCode[] = ['shellac_primer', 'shellac_clear', 'aerosol_stainblock'];
  return [
    pass(),
    ...offer(products, seals).map((product) => {
      const ml = 5 * Math.max(2, spots);
      const own = step(
        'spot_seal',
        knots ? 'seal_knots' : 'seal_stains',
        WORK_RATES.spot.perPart * spots,
        product.recoatH,
        needed(ground, 'stain_block') > 0 ? whyNeed(ground, 'stain_block') : { code: 'stains_return' },
        {
          class: product.class,
          coats: 1,
          recoatH: product.recoatH,
          ml,
          ...tinOf(product),
        },
      );
      return take('spot_seal', { spotSeal: product.class as PrimerCode }, [own], {
        product,
        coats: 1,
        ml,
        splashes: 0,
      });
    }),
  ];
}

/** A smell sits in the faces that are left, too: clear shellac holds it and is hardly seen. */
function sealSmell(ground: Ground, products: readonly Product[]): Choice[] {
  if (needed(ground, 'odour_seal') <= 0.5) return [pass()];
  return [
    pass({ skips: 'odour_inside' }),
    ...offer(products, ['shellac_clear'] as const).map((product) => {
      const ml = measureCoats(ground, product, 1, true);
      const own = step(
        'spot_seal',
        'seal_smell',
        minutesFor(WORK_RATES.clear, ground.size),
        product.recoatH,
        { code: 'smell_from_bare_faces' },
        {
          class: product.class,
          coats: 1,
          recoatH: product.recoatH,
          ml,
          ...tinOf(product),
        },
      );
      return take('spot_seal', {}, [own], { product, coats: 1, ml, splashes: 0 });
    }),
  ];
}

export const PRIMING: Stage = {
  id: 'priming',
  choices: (state, ground, products) =>
    showsWood(ground)
      ? [
          pass(),
          ...(leavesBare(state.prep) || state.renewed || ground.pRawWood >= 0.5 ? [] : barrierWith(products, ground)),
        ]
      : ground.look !== 'opaque'
        ? [pass()]
        : [pass(), ...primeWith(offer(products, PRIMERS), state, ground)],
};

/** A second primer of another class, where it does something the first does not. */
export const PRIMING_AGAIN: Stage = {
  id: 'priming_again',
  choices: (state, ground, products) => {
    const [first] = state.primers;
    if (ground.look !== 'opaque' || !first || first.coats > 1) return [pass()];
    const bleeds = isBleeding(ground, state.prep);
    const smells = needed(ground, 'odour_seal') > 0.1;
    const adds = (code: PrimerCode): boolean =>
      (bleeds && blocksStain(code) && !blocksStain(first.code)) ||
      (smells && PRIMER_FACTS[code].odour === 'seals' && PRIMER_FACTS[first.code].odour !== 'seals');
    const others = offer(products, PRIMERS).filter((product) => adds(product.class as PrimerCode));
    return [pass(), ...primeWith(others, state, ground)];
  },
};

function primeWith(products: readonly Product[], state: SurfaceState, ground: Ground): Choice[] {
  return products.flatMap((product) => {
    const code = product.class as PrimerCode;
    return PRIMER_FACTS[code].coats.map((coats) => {
      const primers = [...state.primers, { code, coats }];
      const first = state.primers.length === 0;
      const ml = measureCoats(ground, product, coats, first);
      const minutes = coatMinutes('prime', product, coats, ground);
      const proof = first ? planProof(ground, { prep: state.prep, primer: code, coats }) : null;
      const recoatH = recoatAsBlocker(product, code, ground, state.prep);
      const waitH = recoatH * coats;
      return {
        op: 'prime' as const,
        sets: { primers },
        minutes: minutes + (proof?.minutes ?? 0),
        waitH: waitH + (proof?.waitH ?? 0),
        splashes: 0,
        product,
        coats,
        ml,
        steps: () => [
          ...(proof ? [proofStep(proof)] : []),
          coatStep(
            'prime',
            { ...product, recoatH },
            coats,
            minutes,
            ml,
            whyPrimer(first, state.prep, code, ground),
            ground,
          ),
        ],
      };
    });
  });
}

/** Hours between coats: those of the label in this air, and the night that some blockers want where they are relied on. */
function recoatAsBlocker({ recoatH }: Product, code: PrimerCode, ground: Ground, prep: PrepCode): number {
  const between = isBleeding(ground, prep) ? (PRIMER_FACTS[code].blocksFrom?.betweenH ?? 0) : 0;
  return Math.max(recoatH, between);
}

interface Proof {
  minutes: number;
  waitH: number;
  wanted: readonly Requirement[];
}

/**
 * The patch before the piece: what the treatment still has to show here; none where all of it was shown. Of zones that are
 * read alike one has the patch, and the others wait for it.
 */
export function planProof(ground: Ground, treatment: Treatment): Proof | null {
  const wanted = ground
    .proofOf(treatment, bleedsAfter(ground, treatment.prep ?? 'none'))
    .filter(({ state }) => state !== 'met');
  if (wanted.length === 0) return null;
  return {
    minutes: ground.alike[0] === ground.zone.id ? WORK_RATES.proof.once : 0,
    waitH: Math.max(...wanted.map(({ fromH }) => fromH)),
    wanted,
  };
}

export function proofStep({ minutes, waitH, wanted }: Proof): Step {
  const bleedWatch = wanted.some(({ shows }) => !isOfGrip(shows));
  const tests = listAskedKinds(wanted.map(({ shows }) => shows));
  return { ...step('proof', 'prove', minutes, waitH, [{ code: 'proof', waitH, bleedWatch }], { tests }), minutes };
}

/** Sanding between primer and paint, and the filling that waits for the primer. */
export const SMOOTHING: Stage = {
  id: 'smoothing',
  keyAfter: (state, ground, products) => {
    if (state.primers.length === 0) return state.prep;
    // What the coats to come hang on: how many of each colour over this primer.
    const covers = [ground, ...listFarSide(ground)].flatMap((face) =>
      listContrasts(face, products).map((contrast) => {
        const { coats, tint } = forecastCoats(face, state.prep, state.primers, contrast);
        return `${coats},${tint ?? ''}`;
      }),
    );
    return `primed,${covers.join()}`;
  },
  choices: (state, ground, products) => {
    const { lines, ways } = findRepairs(ground, state);
    const late = lines.filter(({ fact }) => isLate(fact, ground) && fact.phase !== 'last');
    const caulk = makeRepairSteps(late, ['after_prime']);
    if (ground.look !== 'opaque') return [caulk.length > 0 ? take('caulk', {}, caulk) : pass()];
    const primed = state.primers.length > 0;
    const before = [...(primed ? [smoothPrimer(ground)] : []), ...makeRepairSteps(late, ['fill'])];
    // What is filled then gets its own dab of primer; after the seals, for these show no less than the rest.
    const after = [...caulk, ...(primed && ground.schools.fill !== 'before' ? [lookAndFill(ground)] : [])];
    // Filled or bared before, and nothing of a primer over it: it lies as open as what is filled now.
    const open = countBare(primed ? late : lines);
    const patches = ways.find(({ fault }) => fault.code === 'bare_patches')?.fault.spots ?? 0;
    const what = open === 0 ? 'prime_bare' : patches > 0 ? 'prime_fills_and_bare' : 'prime_fills';
    const seals = open + patches > 0 ? sealSpots(state, ground, products, open + patches, what) : [];
    if (seals.length === 0) {
      const steps = [...before, ...after];
      return [steps.length > 0 ? take('denib', {}, steps, { closesGround: true }) : pass({ closesGround: true })];
    }
    return seals.map(({ seal, product, ml }) =>
      take('denib', {}, [...before, seal, ...after], { closesGround: true, product, coats: 1, ml }),
    );
  },
};

const smoothPrimer = (ground: Ground): Step =>
  work('denib', 'sand_smooth', WORK_RATES.denib, ground.size, { code: 'nibs_show' }, { grit: 220 });

const lookAndFill = (ground: Ground): Step =>
  work('fill', 'look_and_fill', WORK_RATES.look_and_fill, ground.size, { code: 'flaws_show' });

const SEAL_ML_A_FILL = 3;

/** A dab of primer on every open place: of the class that is on already, or of one that goes over filler in this air. */
function sealSpots(
  state: SurfaceState,
  ground: Ground,
  products: readonly Product[],
  spots: number,
  what: StepName,
): { seal: Step; product: Product; ml: number }[] {
  const own = state.primers.at(-1)?.code;
  const wanted: PrimerCode[] = own
    ? [own]
    : ground.ventilation === 'none'
      ? ['stainblock_primer_wb']
      : ['shellac_primer'];
  const ml = Math.max(5, Math.round((SEAL_ML_A_FILL * spots) / 5) * 5);
  const why: StepReason = { code: 'bare_spots_drink' };
  return offer(products, wanted).map((product) => {
    const seal = step('spot_seal', what, 2 + Math.min(8, spots / 2), product.recoatH, why, {
      class: product.class,
      coats: 1,
      recoatH: product.recoatH,
      ml,
      ...tinOf(product),
    });
    return { seal, product, ml };
  });
}

export const STAINING: Stage = {
  id: 'staining',
  choices: (_state, ground) => {
    if (ground.look !== 'stain') return [pass()];
    return [take('stain', {}, stainSteps(ground))];
  },
};

/** Coats of clear: one where a paint only wants help, two where it must carry the wear. */
export const TOPCOATING: Stage = {
  id: 'topcoating',
  choices: (state, ground, products) => {
    if (showsWood(ground))
      return clearCoats(state, ground, products).map((choice) => proveClear(choice, state, ground));
    const bare = pass({ skips: 'topcoat' });
    if (state.paint && !wantsClear(state.paint, ground)) return [bare];
    const clears = TOPCOATS.filter((code) => code !== 'none' && !CLEAR_FACTS[code].woodOnly);
    const one = state.paint && state.paint !== 'chalk_paint' && !ground.hardWorn;
    // A top in daily use wants three of waterborne (common practice).
    const coats = ({ carrier }: Product): number =>
      one ? 1 : carrier === 'water' && ground.hardWorn && ground.zone.role === 'top' ? 3 : 2;
    return [bare, ...offer(products, clears).map((product) => clearWith(product, coats(product), state, ground))];
  },
};

/** A clear system is proved like any other: a patch of the whole of it; wax over a sound coat needs none. */
function proveClear(choice: Choice, { prep, primers }: SurfaceState, ground: Ground): Choice {
  const clear = choice.sets.topcoat;
  if (choice.op !== 'topcoat' || clear === undefined || clear === 'none') return choice;
  const [primer] = primers;
  const proof = planProof(ground, { prep, primer: primer?.code ?? 'none', coats: primer?.coats ?? 0, clear });
  if (!proof) return choice;
  return {
    ...choice,
    minutes: choice.minutes + proof.minutes,
    waitH: choice.waitH + proof.waitH,
    steps: () => [proofStep(proof), ...choice.steps()],
  };
}

/** Elsewhere a clear coat would only cost: wear, sheen or the owner's school ask for it. */
function wantsClear(paint: PaintCode, { hardWorn, sheen, schools }: Ground): boolean {
  const { seal, sheens } = PAINT_FACTS[paint];
  const otherSheen = sheen !== null && !sheens.includes(sheen);
  return seal === 'always' || (seal === 'hard_worn' && hardWorn) || otherSheen || schools.topcoat === 'always';
}

function clearWith(product: Product, coats: number, state: SurfaceState, ground: Ground): Choice {
  const ml = measureCoats(ground, product, coats, false);
  const minutes = coatMinutes('clear', product, coats, ground);
  // Wax is rubbed in: nothing stands up to be sanded.
  const between = CLEAR_FACTS[product.class as ClearCode].sanded ? sandBetween(product, coats, ground) : [];
  const why: StepReason = { code: state.paint ? 'paint_wants_sealing' : 'wood_wants_protection' };
  return {
    op: 'topcoat',
    sets: { topcoat: product.class as TopcoatCode, topcoats: coats },
    minutes: minutes + between.reduce((sum, own) => sum + own.minutes, 0),
    waitH: coatsWaitH(product, coats),
    splashes: 0,
    product,
    coats,
    ml,
    steps: () => [coatStep('topcoat', product, coats, minutes, ml, [why], ground), ...between],
  };
}

export const REFITTING: Stage = {
  id: 'refitting',
  choices: (state, ground, products) => {
    const steps: Step[] = [];
    const last = products.find((product) => product.class === lastCoat(state));
    const { handleH, recoatH } = last ?? { handleH: 0, recoatH: 0 };
    const handles = isHandle(ground);
    // Shut before it is hard, a door sticks: longer than the next coat would wait. A handle is gripped each time.
    const hardH = handles ? Math.max(handleH, HARDWARE.handle.hardH) : handleH;
    // What stayed on is not put back.
    const hardens = handles || (ground.moves && ground.schools.doors !== 'on' && ground.look !== 'leave');
    if (hardens)
      steps.push(
        step(
          'refit',
          handles ? 'refit_handles' : 'refit',
          hardwareMinutes(ground, 'on'),
          0,
          handles ? { code: 'handles_harden', hours: hardH } : { code: 'closing' },
          hardH > recoatH ? { afterH: hardH } : {},
        ),
      );
    steps.push(...makeRepairSteps(findRepairs(ground, state).lines, ['last']));
    if (ground.look !== 'leave') steps.push(...closing(last));
    if (steps.length === 0) return [pass()];
    const done = take('refit', {}, steps);
    return [hardens ? { ...done, waitH: done.waitH + Math.max(0, hardH - recoatH) } : done];
  },
};

const lastCoat = ({ paint, topcoat }: SurfaceState): string | null => (topcoat !== 'none' ? topcoat : paint);

/** Cure and hand-over close the list. They are not waited for here: a piece may be used gently while it cures. */
function closing(last: Product | undefined): Step[] {
  if (!last) return [];
  const days = cureDaysOf(last.class, last.tins[0]);
  return [
    noWork(step('cure', 'cure', 0, 0, { code: 'curing', days }, { cureDays: days })),
    noWork(step('handover', 'hand_over', 0, 0, { code: 'hand_over' })),
  ];
}

const noWork = (own: Step): Step => ({ ...own, minutes: 0 });

/** Tells the primer steps of a chain what tint the paint over them asks for. */
export function tintPrimers(steps: readonly Step[], tint: PrimerTint | null): Step[] {
  if (!tint) return [...steps];
  return steps.map((own) => {
    if (own.op !== 'prime' || PRIMER_FACTS[own.class as PrimerCode].clear) return own;
    return { ...own, tint };
  });
}

function whyPrimer(first: boolean, prep: PrepCode, primer: PrimerCode, ground: Ground): StepReason[] {
  const grips = first && ground.slickness[2] >= 0.1;
  const blocks = isBleeding(ground, prep);
  const smell = needed(ground, 'odour_seal') > 0.5;
  return [{ code: 'primes', primer, grips, blocks, smell }, ...(first ? whyOwnTests(ground, prep, primer) : [])];
}

function whyOwnTests(ground: Ground, prep: PrepCode, code: PrimerCode): StepReason[] {
  const { own, tests } = ground.pool('adhesion', prep, code);
  const surface = mostLikelyState(ground.belief).substrate;
  if (own.tests > 0) return [{ code: 'own_tests', surface, tests: own.tests, held: own.held }];
  return tests === 0 ? [] : [{ code: 'tests_alike', tests }];
}
