import { sayDate } from '@/client/features/shop-plan';
import { useMeasures } from '@/client/store';
import { Body, Column, Disclosure, Heading, Row, Small, Strong, FigureBlock } from '@/client/ui';
import { formatChance } from '@/core/shared';
import type { TakenRecovery } from '@/core/trouble';
import { nameWayOut, sayWayOut } from '@/words';
import { sayDays, sayHours } from './spans';

/** The way out that was taken, with what it was to cost then. */
export function TakenWay({ taken: { recovery, steps }, now }: { taken: TakenRecovery; now: string }) {
  const { sayMoney } = useMeasures();
  const { remedy, at, figures } = recovery;
  return (
    <Column gap="$m" render="section" aria-label="Way out">
      <Column gap="$xs">
        <Heading>{nameWayOut(remedy)}</Heading>
        <Small>{`Taken on ${sayDate(at, now)}`}</Small>
      </Column>
      {figures ? (
        <Row rowGap="$s" columnGap="$l" flexWrap="wrap">
          <FigureBlock figure={formatChance(figures.holds)} words="hold, it was said" />
          <FigureBlock figure={sayHours(figures.hands_on_min)} words="of your hands" />
          <FigureBlock figure={sayDays(figures.elapsed_h)} words="on the calendar" />
          <FigureBlock figure={sayMoney(figures.materials_cost)} words="for materials" />
        </Row>
      ) : null}
      <Body>{sayWayOut(remedy)}</Body>
      <Disclosure label={`${steps.length} steps, and why`}>
        {() => (
          <Column role="list" gap="$m">
            {steps.map((step, i) => (
              <Column key={i} role="listitem">
                <Strong>{`${i + 1}. ${step.label}`}</Strong>
                <Small>{step.why}</Small>
              </Column>
            ))}
          </Column>
        )}
      </Disclosure>
    </Column>
  );
}
