import { PAINT_FACTS, PAINTS, type PaintCode } from '../knowledge';
import { measureCoats, pass, type Choice, type Step } from './choice';
import { coatMinutes, coatsWaitH, coatStep, offer, sandBetween } from './coats';
import { contrastOf, forecastCoats, forecastOver, listFarSide, type Cover } from './cover';
import { bleedsAfter, type Ground } from './ground';
import { isBanded, makeHandSteps } from './hand-rules';
import { isOffered, type Product } from './product';
import type { StepReason } from './reasons';
import { planProof, proofStep } from './stages-coats';
import type { Stage } from './stages-ground';
import type { SurfaceState } from './surface-state';

export const PAINTING: Stage = {
  id: 'painting',
  keyAfter: ({ paint, paintCoats, tint, secondColour }) => [paint, paintCoats, tint, secondColour].join(),
  choices: (state, ground, products) => {
    if (ground.look !== 'opaque') return [pass()];
    const paints = offer(products, ground.paint ? [ground.paint] : PAINTS);
    return paints
      .filter((product) => isOffered(product, ground.colour))
      .flatMap((product) => paintWith(product, state, ground, paints));
  },
};

/** A paint on a zone, with each that the second colour may be taken from where one is wished: of the same class. */
function paintWith(product: Product, state: SurfaceState, ground: Ground, paints: readonly Product[]): Choice[] {
  const { second } = ground;
  const base = layBase(product, state, ground);
  if (!second || second.share === 0) return [base];
  return paints
    .filter((other) => other.class === product.class && isOffered(other, second.colour))
    .map((other) => laySecond(base, product, other, state, ground, second));
}

/** What a second colour leaves of a zone to the first one: bands and fields lie over it, a far side beside it. */
const baseShare = ({ second }: Ground): number => (second?.lies === 'far_side' ? 1 - second.share : 1);

function layBase(product: Product, state: SurfaceState, ground: Ground): Choice {
  const cover = forecastCoats(ground, state.prep, state.primers, contrastOf(product, ground.colour));
  const { coats } = cover;
  const first = state.primers.length === 0;
  const area = ground.area * baseShare(ground);
  const ml = measureCoats(ground, product, coats, first, area);
  const minutes = coatMinutes('paint', product, coats, ground, area);
  const between = sandBetween(product, coats, ground, area);
  const { prep, primers } = state;
  const treatment = { prep, primer: primers[0]?.code ?? ('none' as const), coats: primers[0]?.coats ?? 0 };
  // Under a primer its own patch was planned with it; only one that was watched under another paint is asked anew.
  const under = first ? [] : ground.proofOf(treatment, bleedsAfter(ground, prep));
  const own = planProof(ground, { ...treatment, paint: product.class as PaintCode });
  const proof = own && (first || under.every(({ state: shown }) => shown === 'met')) ? own : null;
  const { recoatH } = product;
  const before = makeHandSteps(ground, ['room_edges', 'brush_edges'], { class: product.class });
  // Along another zone's colour: tape once that has dried, and the zone waits for the coats of the other.
  const line = makeHandSteps(ground, ['tape_line'], { meets: [...ground.meets], afterH: tapeFrom(product) });
  const otherH = line.length > 0 ? coatsWaitH(product, coats) - recoatH + tapeFrom(product) : 0;
  const pull = isBanded(ground) ? [] : makeHandSteps(ground, ['pull_tape']);
  const hand = [...before, ...line, ...between, ...pull];
  return {
    op: 'paint',
    sets: { paint: product.class as PaintCode, paintCoats: coats, tint: cover.tint, colour: ground.colour },
    minutes: minutes + sumOf(hand, 'minutes') + (proof?.minutes ?? 0),
    waitH: coatsWaitH(product, coats) + sumOf(hand, 'waitH') + otherH + (proof?.waitH ?? 0),
    splashes: 0,
    product,
    coats,
    ml,
    steps: () => [
      ...(proof ? [proofStep(proof)] : []),
      ...before,
      ...line,
      coatStep('paint', product, coats, minutes, ml, whyCoats(cover), ground, ground.colour),
      ...between,
      ...pull,
    ],
  };
}

const sumOf = (steps: readonly Step[], figure: 'minutes' | 'waitH'): number =>
  steps.reduce((sum, own) => sum + own[figure], 0);
const tapeFrom = (product: Product): number =>
  Math.max(product.recoatH, PAINT_FACTS[product.class as PaintCode].tapeFromH);

/** The second colour after the first one: taped over it where it lies on it, and on the primer on the far side. */
function laySecond(
  base: Choice,
  under: Product,
  product: Product,
  state: SurfaceState,
  ground: Ground,
  wished: NonNullable<Ground['second']>,
): Choice {
  const { share, colour } = wished;
  const over = wished.lies !== 'far_side';
  const contrast = contrastOf(product, colour);
  const { coats, shows } = over
    ? forecastOver(ground.colour, colour, contrast)
    : forecastCoats(listFarSide(ground)[0]!, state.prep, state.primers, contrast);
  const area = ground.area * share;
  const ml = measureCoats(ground, product, coats, !over && state.primers.length === 0, area);
  const minutes = coatMinutes('paint', product, coats, ground, area);
  const between = sandBetween(product, coats, ground, area);
  const tape = makeHandSteps(ground, ['tape_second'], { afterH: tapeFrom(under) });
  const pull = over ? makeHandSteps(ground, ['pull_tape']) : [];
  const hand = [...tape, ...between, ...pull];
  const restH = tape.length > 0 ? tapeFrom(under) - under.recoatH : 0;
  return {
    ...base,
    sets: { ...base.sets, secondColour: colour },
    minutes: base.minutes + minutes + sumOf(hand, 'minutes'),
    waitH: base.waitH + restH + coatsWaitH(product, coats) + sumOf(hand, 'waitH'),
    also: { product, ml, coats },
    steps: () => [
      ...base.steps(),
      ...tape,
      coatStep(
        'paint',
        product,
        coats,
        minutes,
        ml,
        [{ code: 'second_colour', coats, shows, share, over }],
        ground,
        colour,
      ),
      ...between,
      ...pull,
    ],
  };
}

const whyCoats = ({ coats, shows, whiteCoats, tint }: Cover): StepReason[] => [
  { code: 'coats_hide', coats, shows, ...(whiteCoats === undefined ? {} : { over: { tint, whiteCoats } }) },
];
