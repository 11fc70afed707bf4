import { sayDate } from '@/client/features/shop-plan';
import { useMeasures } from '@/client/store';
import { Body, Column, Disclosure, Heading, Row, Small, Strong, FigureBlock } from '@/client/ui';
import type { TakenRecovery } from '@/core/trouble';
import { TAKEN_WAY_WORDS, formatChance, nameStep, nameWayOut, sayWayOut } from '@/words';
import { sayDays, sayHours } from './spans';

/** The way out that was taken, with what it was to cost then. */
export function TakenWay({ taken: { recovery, steps }, now }: { taken: TakenRecovery; now: string }) {
  const { sayMoney } = useMeasures();
  const { remedy, at, figures } = recovery;
  return (
    <Column gap="$m" render="section" aria-label={TAKEN_WAY_WORDS.wayOut}>
      <Column gap="$xs">
        <Heading>{nameWayOut(remedy)}</Heading>
        <Small>{TAKEN_WAY_WORDS.takenOn(sayDate(at, now))}</Small>
      </Column>
      {figures ? (
        <Row rowGap="$s" columnGap="$l" flexWrap="wrap">
          <FigureBlock figure={formatChance(figures.holds)} words={TAKEN_WAY_WORDS.holdItWasSaid} />
          <FigureBlock figure={sayHours(figures.hands_on_min)} words={TAKEN_WAY_WORDS.ofYourHands} />
          <FigureBlock figure={sayDays(figures.elapsed_h)} words={TAKEN_WAY_WORDS.onTheCalendar} />
          <FigureBlock figure={sayMoney(figures.materials_cost)} words={TAKEN_WAY_WORDS.forMaterials} />
        </Row>
      ) : null}
      <Body>{sayWayOut(remedy)}</Body>
      <Disclosure label={TAKEN_WAY_WORDS.stepsAndWhy(steps.length)}>
        {() => (
          <Column role="list" gap="$m">
            {steps.map((step, i) => (
              <Column key={i} role="listitem">
                <Strong>{`${i + 1}. ${nameStep(step)}`}</Strong>
                <Small>{step.why}</Small>
              </Column>
            ))}
          </Column>
        )}
      </Disclosure>
    </Column>
  );
}
