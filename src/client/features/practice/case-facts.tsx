import { useMeasures } from '@/client/store';
import { Body, Column, LabelledSection, Row, Small, Strong, Swatch } from '@/client/ui';
import { FINISH_FACTS, labelProduct, OPERATION_FACTS, SUBSTRATE_FACTS, type ProductClass } from '@/core/knowledge';
import type { Exercise, WrongExercise } from '@/core/practice';
import { lowerFirst } from '@/core/shared';
import { drawStory, tellWork } from '@/core/trouble';

/** What is known of the case besides its picture. */
export function CaseFacts({ exercise }: { exercise: Exercise }) {
  const { gauge } = useMeasures();
  switch (exercise.kind) {
    case 'wrong':
      return <CaseLog exercise={exercise} />;
    case 'system': {
      const { substrate, finish, failing, bleeds } = exercise.ground;
      return (
        <Column gap="$s">
          <Body>
            {`${SUBSTRATE_FACTS[substrate].label}, ${FINISH_FACTS[finish].label}. The probe ${bleeds ? 'came through brown' : 'stayed white'}; tape ${failing ? 'took off sheets of the old coat' : 'took nothing off'}.`}
          </Body>
          <Coat colour={exercise.colour} label="The colour it is to be" />
        </Column>
      );
    }
    case 'soon': {
      const { film, climate, hours } = exercise;
      return (
        <Body>
          {`${labelProduct(film)}, put on ${Math.round(hours * 10) / 10} h ago. It is ${gauge('temperature_c').say(climate.temperature_c)} and ${climate.humidity_pct} % in the shop, as it was all the while.`}
        </Body>
      );
    }
    case 'layer': {
      const { paint, primer, old } = exercise.stack;
      return (
        <Column gap="$xs">
          <Strong>From the top</Strong>
          <Coat colour={paint} label="Paint" />
          <Coat colour={primer} label="Primer" />
          <Coat colour={old} label="Old coat" />
          <Small>then wood</Small>
        </Column>
      );
    }
    case 'surface':
    case 'lattice':
    case 'bleed':
      return null;
  }
}

function Coat({ colour, label }: { colour: string; label: string }) {
  return (
    <Row gap="$s" alignItems="center">
      <Swatch colour={colour} />
      <Small color="$ink">{label}</Small>
    </Row>
  );
}

function CaseLog({ exercise: { belief } }: { exercise: WrongExercise }) {
  const rows = tellWork(belief);
  const last = rows.at(-1)?.entry.at ?? new Date(0).toISOString();
  return (
    <Column gap="$s">
      <LabelledSection section={drawStory(belief, last)} />
      <Strong>What is written down</Strong>
      {rows.length === 0 ? <Small>Nothing of this face.</Small> : null}
      <Column role="list" aria-label="The log of this case" gap="$xs">
        {rows.map(({ index, entry, wait }) => (
          <Small key={index} role="listitem" color="$ink">
            {[
              OPERATION_FACTS[entry.op].label,
              entry.class ? lowerFirst(labelProduct(entry.class as ProductClass)) : '',
              entry.grit ? `${entry.grit} grit` : '',
              entry.ml ? `${entry.ml} ml` : '',
              entry.thinned_pct ? `thinned ${entry.thinned_pct} %` : '',
              entry.humidity_pct === undefined ? '' : `${entry.humidity_pct} % humidity`,
              wait ? `${Math.round(wait.wasH)} h after the coat before` : '',
              entry.skipped ? 'left out on purpose' : '',
            ]
              .filter(Boolean)
              .join(', ')}
          </Small>
        ))}
      </Column>
    </Column>
  );
}
