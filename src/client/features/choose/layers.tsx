import { Explained } from '@/client/features/terms';
import { Body, Column, Disclosure, Small, Strong } from '@/client/ui';
import { FILM_FACTS } from '@/core/knowledge';
import { cureDaysOf } from '@/core/proof';
import type { Dossier } from '@/core/dossier';
import type { Considered, Layer, Step, ZonePlan } from '@/core/systems';
import { useMeasures } from '@/client/store';
import { Coloured } from '@/client/features/colour';
import { usePlanner } from '@/client/features/planner';
import { lowerFirst } from '@/core/shared';
import { LAYERS_WORDS, nameStep, sayConsidered, sayWarnings, sayWhy } from '@/words';

const LAYER_OF: Partial<Record<Step['op'], Layer>> = {
  scuff: 'prep',
  sand: 'prep',
  strip: 'prep',
  liquid_degloss: 'prep',
  prime: 'prime',
  paint: 'paint',
  topcoat: 'topcoat',
};

interface LayersProps {
  plan: ZonePlan;
  dossier: Dossier;
}

/** Every step of a zone; each opens to what it is, how much, how long, why, and what else was considered. */
export function Layers({ plan, dossier }: LayersProps) {
  return (
    <Column gap="$s">
      {plan.steps.map((step, i) => (
        <LayerEntry key={i} number={i + 1} step={step} plan={plan} dossier={dossier} />
      ))}
    </Column>
  );
}

function LayerEntry({ step, number, plan, dossier }: LayersProps & { step: Step; number: number }) {
  const { sayVolume } = useMeasures();
  const cure = step.class && step.class in FILM_FACTS ? cureDaysOf(step.class) : null;
  const amounts = [
    LAYERS_WORDS.min(step.minutes),
    step.ml ? sayVolume(step.ml) : '',
    step.recoatH && step.coats && step.coats > 1 ? LAYERS_WORDS.hBetweenCoats(step.recoatH) : '',
    step.waitH > 0 ? LAYERS_WORDS.thenH(step.waitH) : '',
    cure && step.op !== 'edge_seal' ? LAYERS_WORDS.hardAfterDays(cure) : '',
  ].filter(Boolean);
  const cautions = sayWarnings(plan.warnings.filter((warning) => 'op' in warning && warning.op === step.op));
  return (
    <Disclosure label={`${number}. ${nameStep(step)}`}>
      {() => (
        <Column gap="$s" paddingHorizontal="$m" paddingBottom="$m">
          <Small>{amounts.join(' · ')}</Small>
          {step.colour ? <Coloured colour={step.colour} /> : null}
          <Explained>{sayWhy(step.why)}</Explained>
          {cautions.map(({ rule, text }) => (
            <Body key={rule}>{text}</Body>
          ))}
          <ElseConsidered step={step} plan={plan} dossier={dossier} />
        </Column>
      )}
    </Disclosure>
  );
}

const VERDICTS: Record<Considered['verdict'], string> = {
  ruled_out: LAYERS_WORDS.ruledOut,
  dearer: LAYERS_WORDS.wouldDoButWeighsMore,
  beaten: LAYERS_WORDS.beaten,
};

function ElseConsidered({ step, plan, dossier }: LayersProps & { step: Step }) {
  const layer = LAYER_OF[step.op];
  const { answer } = usePlanner(layer ? { kind: 'considered', dossier, zone: plan, layer } : null);
  if (!layer) return null;
  if (!answer) return <Small role="status">{LAYERS_WORDS.lookingAtWhatElseThereWas}</Small>;
  if (answer.length === 0) return null;
  return (
    <Column gap="$s" role="list" aria-label={LAYERS_WORDS.whatElseWasConsidered}>
      <Strong>{LAYERS_WORDS.whatElseWasConsidered}</Strong>
      {answer.map((considered) => {
        const { what, text } = sayConsidered(considered);
        return (
          <Column key={considered.code} role="listitem">
            <Strong>{`${what}: ${lowerFirst(VERDICTS[considered.verdict])}`}</Strong>
            <Small>{text}</Small>
          </Column>
        );
      })}
    </Column>
  );
}
