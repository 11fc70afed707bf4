import { useMeasures } from '@/client/store';
import { Body, Column, LabelledSection, Row, Small, Strong, Swatch } from '@/client/ui';
import { FINISH_FACTS, labelProduct, OPERATION_FACTS, SUBSTRATE_FACTS, type ProductClass } from '@/core/knowledge';
import type { Exercise, WrongExercise } from '@/core/practice';
import { lowerFirst } from '@/core/shared';
import { drawStory, tellWork } from '@/core/trouble';
import { CASE_FACTS_WORDS } from '@/words';

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
            {CASE_FACTS_WORDS.theProbeTape(
              SUBSTRATE_FACTS[substrate].label,
              FINISH_FACTS[finish].label,
              bleeds,
              failing,
            )}
          </Body>
          <Coat colour={exercise.colour} label={CASE_FACTS_WORDS.theColourItIsToBe} />
        </Column>
      );
    }
    case 'soon': {
      const { film, climate, hours } = exercise;
      return (
        <Body>
          {CASE_FACTS_WORDS.putOnHAgoItIs(
            labelProduct(film),
            Math.round(hours * 10) / 10,
            gauge('temperature_c').say(climate.temperature_c),
            climate.humidity_pct,
          )}
        </Body>
      );
    }
    case 'layer': {
      const { paint, primer, old } = exercise.stack;
      return (
        <Column gap="$xs">
          <Strong>{CASE_FACTS_WORDS.fromTheTop}</Strong>
          <Coat colour={paint} label={CASE_FACTS_WORDS.paint} />
          <Coat colour={primer} label={CASE_FACTS_WORDS.primer} />
          <Coat colour={old} label={CASE_FACTS_WORDS.oldCoat} />
          <Small>{CASE_FACTS_WORDS.thenWood}</Small>
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
      <Strong>{CASE_FACTS_WORDS.whatIsWrittenDown}</Strong>
      {rows.length === 0 ? <Small>{CASE_FACTS_WORDS.nothingOfThisFace}</Small> : null}
      <Column role="list" aria-label={CASE_FACTS_WORDS.theLogOfThisCase} gap="$xs">
        {rows.map(({ index, entry, wait }) => (
          <Small key={index} role="listitem" color="$ink">
            {[
              OPERATION_FACTS[entry.op].label,
              entry.class ? lowerFirst(labelProduct(entry.class as ProductClass)) : '',
              entry.grit ? CASE_FACTS_WORDS.grit(entry.grit) : '',
              entry.ml ? CASE_FACTS_WORDS.ml(entry.ml) : '',
              entry.thinned_pct ? CASE_FACTS_WORDS.thinned(entry.thinned_pct) : '',
              entry.humidity_pct === undefined ? '' : CASE_FACTS_WORDS.humidity(entry.humidity_pct),
              wait ? CASE_FACTS_WORDS.hAfterTheCoatBefore(Math.round(wait.wasH)) : '',
              entry.skipped ? CASE_FACTS_WORDS.leftOutOnPurpose : '',
            ]
              .filter(Boolean)
              .join(', ')}
          </Small>
        ))}
      </Column>
    </Column>
  );
}
