import { zodResolver } from '@hookform/resolvers/zod';
import { useEffect } from 'react';
import { Controller, useForm, useWatch } from 'react-hook-form';
import { useDispatch, useSelector } from 'react-redux';
import { z } from 'zod';
import { draftDone, draftTyped, makeId, type AppDispatch, type RootState } from '@/client/store';
import { Button, Card, Choices, Column, Field, Heading, Row, Small, Strong, type ChoiceOption } from '@/client/ui';
import { BLEED_MOMENTS, type Dossier, type Test, type Treatment, type Zone } from '@/core/dossier';
import { INTERFACES, PREPS, PRIMERS, type InterfaceCode } from '@/core/knowledge';
import { zoneName } from '@/core/piece';
import { countsFromHours, CROSS_CUT_WORDS, estimateFilm, SCORE_WORDS, specifyCut } from '@/core/proof';
import { TreatmentFields } from './treatment-fields';

const KINDS = ['nail', 'cross_cut', 'fork', 'tape', 'bleed_watch'] as const;
type Kind = (typeof KINDS)[number];
const KIND_OPTIONS: readonly ChoiceOption<Kind>[] = [
  { code: 'nail', label: 'Thumbnail', hint: 'five hard strokes' },
  { code: 'cross_cut', label: 'Cross-cut', hint: 'lattice and tape' },
  { code: 'fork', label: 'Fork', hint: 'tine, firm' },
  { code: 'tape', label: 'Tape', hint: 'press, pull flat' },
  { code: 'bleed_watch', label: 'Bleed watch', hint: 'by eye, beside a clean card' },
];
type Moment = (typeof BLEED_MOMENTS)[number];
const MOMENTS: Record<Moment, { label: string; hours: number }> = {
  '1h': { label: '1 hour', hours: 1 },
  overnight: { label: 'Next morning', hours: 12 },
  after_clear: { label: 'After the last coat', hours: 24 },
  '48h': { label: '48 hours', hours: 48 },
  '7d': { label: 'A week', hours: 168 },
};
const MOMENT_OPTIONS = BLEED_MOMENTS.map((code) => ({ code, label: MOMENTS[code].label }));
const WHERE: Record<InterfaceCode, string> = {
  paint_from_paint: 'Between paint coats',
  paint_from_primer: 'Paint off primer',
  primer_from_substrate: 'Primer off the surface',
  old_coat_from_substrate: 'Old coat off the surface',
  substrate_itself: 'In the surface itself',
};
const WHERE_OPTIONS = INTERFACES.map((code) => ({ code, label: WHERE[code] }));

const formSchema = z.object({
  kind: z.enum(KINDS),
  score: z.string({ error: 'Say how it held.' }).min(1, 'Say how it held.'),
  age: z
    .string()
    .transform((text) => (text.trim() === '' ? NaN : Number(text.replace(',', '.'))))
    .pipe(
      z
        .number({ error: 'Write how many hours ago the patch was coated.' })
        .min(0, 'Not before it was coated.')
        .max(100_000, 'At most 100 000 h.'),
    ),
  where: z.string(),
  moment: z.enum(BLEED_MOMENTS),
  prep: z.enum(PREPS),
  primer: z.enum([...PRIMERS, 'none']),
  coats: z.number(),
  note: z.string().max(500, 'At most 500 characters.'),
});
type FormInput = z.input<typeof formSchema>;

interface TestFormProps {
  dossier: Dossier;
  zone: Zone;
  onLog: (test: Test & { id: string }) => void;
}

/** Logs one test. The treatment is that of the system taken; what was done otherwise is a tap away. */
export function TestForm({ dossier, zone, onLog }: TestFormProps) {
  const dispatch = useDispatch<AppDispatch>();
  const formName = `prove/${dossier.piece.id ?? ''}/${zone.id}`;
  const draft = useSelector((state: RootState) => state.drafts[formName]) as FormInput | undefined;
  const chosen = dossier.chosen?.zones.find(({ id }) => id === zone.id)?.treatment;
  const start: FormInput = {
    kind: 'nail',
    score: '',
    age: '',
    where: '',
    moment: '48h',
    note: '',
    prep: chosen?.prep ?? 'scuff_150',
    primer: chosen?.primer ?? 'bonding_primer_wb',
    coats: chosen?.coats ?? 1,
  };
  const form = useForm({ resolver: zodResolver(formSchema), defaultValues: draft ?? start });
  const {
    control,
    handleSubmit,
    setValue,
    reset,
    formState: { errors },
  } = form;
  const values = useWatch({ control }) as FormInput;
  useEffect(() => {
    dispatch(draftTyped({ form: formName, values }));
  }, [values, formName, dispatch]);

  const treatment: Treatment = {
    prep: values.prep,
    primer: values.primer,
    coats: values.primer === 'none' ? 0 : values.coats,
  };
  const submit = handleSubmit(({ kind, score, age, where, moment, note }) => {
    onLog({
      id: makeId(),
      zone: zone.id,
      kind,
      treatment,
      age_h: age,
      at: new Date().toISOString(),
      reading: makeReading(kind, Number(score), moment),
      ...(where === '' ? {} : { interface: where as InterfaceCode }),
      ...(note.trim() === '' ? {} : { note: note.trim() }),
    });
    dispatch(draftDone({ form: formName }));
    reset({ ...start, prep: values.prep, primer: values.primer, coats: values.coats, age: values.age });
  });
  return (
    <Card gap="$l" render="section" aria-label="Log a test">
      <Heading>Log a test of the {zoneName(zone).toLowerCase()}</Heading>
      <TreatmentFields values={values} treatment={treatment} onSet={(name, value) => setValue(name, value as never)} />
      <Controller
        control={control}
        name="kind"
        render={({ field }) => (
          <Choices
            label="Kind of test"
            tileWidth={110}
            options={KIND_OPTIONS}
            value={field.value}
            onPick={(kind) => {
              field.onChange(kind);
              setValue('score', '');
            }}
          />
        )}
      />
      {values.kind === 'cross_cut' ? <CutHint treatment={treatment} /> : null}
      {values.kind === 'bleed_watch' ? (
        <Column gap="$s">
          <Strong>When do you look?</Strong>
          <Controller
            control={control}
            name="moment"
            render={({ field }) => (
              <Choices
                label="When do you look?"
                options={MOMENT_OPTIONS}
                value={field.value}
                onPick={(moment) => {
                  field.onChange(moment);
                  setValue('age', String(MOMENTS[moment].hours));
                }}
              />
            )}
          />
        </Column>
      ) : null}
      <Column gap="$s">
        <Strong>How did it hold?</Strong>
        <Controller
          control={control}
          name="score"
          render={({ field }) => (
            <Choices
              label="How did it hold?"
              tileWidth={130}
              options={scoreOptions(values.kind)}
              value={field.value}
              onPick={field.onChange}
            />
          )}
        />
        {errors.score ? (
          <Small role="alert" color="$stop">
            {errors.score.message}
          </Small>
        ) : null}
      </Column>
      {Number(values.score) >= 2 && values.kind !== 'bleed_watch' ? (
        <Column gap="$s">
          <Strong>Where did it let go?</Strong>
          <Controller
            control={control}
            name="where"
            render={({ field }) => (
              <Choices
                label="Where did it let go?"
                options={WHERE_OPTIONS}
                value={field.value as InterfaceCode}
                onPick={field.onChange}
              />
            )}
          />
        </Column>
      ) : null}
      <Column gap="$s">
        <Row>
          <Controller
            control={control}
            name="age"
            render={({ field }) => (
              <Field
                label="Age of the patch"
                unit="hours"
                numeric
                value={field.value}
                onChange={field.onChange}
                error={errors.age?.message}
              />
            )}
          />
        </Row>
        <Small>{`For this patch a reading counts from ${countsFromHours(treatment)} h; sooner it is kept as early.`}</Small>
      </Column>
      <Controller
        control={control}
        name="note"
        render={({ field }) => (
          <Field label="Note, if any" value={field.value} onChange={field.onChange} error={errors.note?.message} />
        )}
      />
      <Button look="main" onPress={() => void submit()}>
        Log this test
      </Button>
    </Card>
  );
}

function makeReading(kind: Kind, score: number, at: Moment): Test['reading'] {
  if (kind === 'cross_cut') return { iso_class: score };
  return kind === 'bleed_watch' ? { at, score } : { score };
}

const WORDS: Record<Kind, readonly string[]> = {
  nail: SCORE_WORDS.scratch,
  fork: SCORE_WORDS.scratch,
  tape: SCORE_WORDS.tape,
  cross_cut: CROSS_CUT_WORDS,
  bleed_watch: SCORE_WORDS.bleed,
};

function scoreOptions(kind: Kind): ChoiceOption<string>[] {
  const words = WORDS[kind];
  return words.map((word, score) => ({
    code: String(score),
    label: kind === 'cross_cut' ? `Class ${score}` : String(score),
    hint: word,
  }));
}

function CutHint({ treatment }: { treatment: Treatment }) {
  const cut = specifyCut(estimateFilm({ treatment }), 'soft');
  const words =
    cut.squares === 0
      ? 'The film is thick: cut an X instead.'
      : `${cut.cuts} cuts each way, ${cut.spacing_mm} mm apart, through to the surface; firm tape, pulled flat.`;
  return <Small>{`${words} Sharp blade, cut away from your hand. (${cut.standard})`}</Small>;
}
