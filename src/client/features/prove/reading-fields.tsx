import { Controller } from 'react-hook-form';
import { Choices, Column, Field, Row, Small, Strong, Toggle } from '@/client/ui';
import { BLEED_MOMENTS } from '@/core/dossier';
import { INTERFACES, PATCH_LOOK_CODES, TEST_KIND_FACTS, type TestKind } from '@/core/knowledge';
import type { BleedMoment } from '@/core/panel';
import { listAnswers } from '@/core/proof';
import { lowerFirst } from '@/core/shared';
import { MOMENTS } from './kinds';
import { ScoreGlyph } from './score-glyph';
import type { TestFields } from './test-draft';
import { INTERFACE_LABELS, LOOK_LABELS, READING_FIELDS_WORDS, nameReading } from '@/words';

const MOMENT_OPTIONS = BLEED_MOMENTS.map((code) => ({ code, label: MOMENTS[code].label }));
const WHERE_OPTIONS = INTERFACES.map((code) => ({ code, label: INTERFACE_LABELS[code] }));

/** How it held: an answer to hold the patch against, or a number. */
export function AnswerField({ form, kind }: { form: TestFields; kind: TestKind }) {
  const answers = listAnswers(kind);
  const { drawing } = TEST_KIND_FACTS[kind];
  const { error } = form.getFieldState('value', form.formState);
  return (
    <Column gap="$s">
      {answers.length > 0 ? <Strong>{READING_FIELDS_WORDS.howDidItHold}</Strong> : null}
      <Controller
        control={form.control}
        name="value"
        render={({ field }) =>
          answers.length > 0 ? (
            <Choices
              label={READING_FIELDS_WORDS.howDidItHold}
              tileWidth={drawing ? 130 : 60}
              options={answers.map(({ code, hint, score }) => ({
                code,
                label: nameReading(kind, code),
                hint,
                ...(drawing ? { drawing: <ScoreGlyph kind={kind} score={score} /> } : {}),
              }))}
              value={field.value}
              onPick={field.onChange}
            />
          ) : (
            <Field
              label={READING_FIELDS_WORDS.doubleRubsUntilColourComesOff}
              numeric
              step={5}
              value={field.value}
              onChange={field.onChange}
            />
          )
        }
      />
      {error ? (
        <Small role="alert" color="$stop">
          {error.message}
        </Small>
      ) : null}
    </Column>
  );
}

/** Where something let go. */
export function WhereField({ form }: { form: TestFields }) {
  return (
    <Column gap="$s">
      <Strong>{READING_FIELDS_WORDS.whereDidItLetGo}</Strong>
      <Controller
        control={form.control}
        name="where"
        render={({ field }) => (
          <Choices
            label={READING_FIELDS_WORDS.whereDidItLetGo}
            options={WHERE_OPTIONS}
            value={field.value === '' ? undefined : field.value}
            onPick={field.onChange}
          />
        )}
      />
    </Column>
  );
}

/** How a patch of a clear finish looks: nothing of it is an answer too. */
export function LooksField({ form }: { form: TestFields }) {
  return (
    <Column gap="$s">
      <Strong>{READING_FIELDS_WORDS.howDoesItLook}</Strong>
      <Controller
        control={form.control}
        name="looks"
        render={({ field: { value, onChange } }) => (
          <Row gap="$s" flexWrap="wrap" role="group" aria-label={READING_FIELDS_WORDS.howDoesItLook}>
            {PATCH_LOOK_CODES.map((look) => (
              <Toggle
                key={look}
                label={LOOK_LABELS[look]}
                on={value.includes(look)}
                onPress={() => onChange(value.includes(look) ? value.filter((own) => own !== look) : [...value, look])}
              />
            ))}
          </Row>
        )}
      />
    </Column>
  );
}

/** The moment of a bleed watch: by the age of the patch, unless another is picked. */
export function MomentField({ form, byAge }: { form: TestFields; byAge: BleedMoment | null }) {
  return (
    <Column gap="$s">
      <Strong>{READING_FIELDS_WORDS.whichMomentIsIt}</Strong>
      <Small>
        {byAge
          ? READING_FIELDS_WORDS.byTheAgeOfThePatch(lowerFirst(MOMENTS[byAge].label))
          : READING_FIELDS_WORDS.itFollowsFromTheAgeOf}
      </Small>
      <Controller
        control={form.control}
        name="moment"
        render={({ field }) => (
          <Choices
            label={READING_FIELDS_WORDS.whichMomentIsIt}
            options={MOMENT_OPTIONS}
            value={field.value === '' ? (byAge ?? undefined) : field.value}
            onPick={(moment) => field.onChange(moment === byAge ? '' : moment)}
          />
        )}
      />
    </Column>
  );
}
