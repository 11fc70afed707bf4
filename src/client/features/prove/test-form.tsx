import { zodResolver } from '@hookform/resolvers/zod';
import { useEffect, useState } from 'react';
import { Controller, useForm, useWatch } from 'react-hook-form';
import { useDispatch, useSelector } from 'react-redux';
import { z } from 'zod';
import { draftDone, draftTyped, type AppDispatch, type RootState } from '@/client/store';
import { Button, Card, Choices, Column, Field, Heading, Notice, Row, Small, Strong } from '@/client/ui';
import { BLEED_MOMENTS, type Dossier, type Panel, type Test, type Treatment, type Zone } from '@/core/dossier';
import { INTERFACES, PREPS, PRIMERS, TEST_KINDS, type InterfaceCode } from '@/core/knowledge';
import { bleedMomentOnPanel, treatmentOnStrip, type BleedMoment } from '@/core/panel';
import { zoneName } from '@/core/piece';
import { bleedMomentAt, countsFromHours, describeTreatment, specifyCutOn } from '@/core/proof';
import { CutDrawing } from './cut-drawing';
import { KIND_OPTIONS, letGo, listAnswers, makeReading, MOMENTS, WHERE } from './kinds';
import { LatticeReader, type LatticeResult } from './lattice-reader';
import { ScoreGlyph } from './score-glyph';
import { TreatmentFields } from './treatment-fields';
import { useTestLog } from './use-test-log';

/** What the gates ask for; other kinds are a tap away. */
const COMMON_KINDS = KIND_OPTIONS.slice(0, 4).map(({ code }) => code);
const MOMENT_OPTIONS = BLEED_MOMENTS.map((code) => ({ code, label: MOMENTS[code].label }));
const WHERE_OPTIONS = INTERFACES.map((code) => ({ code, label: WHERE[code] }));

const formSchema = z
  .object({
    kind: z.enum(TEST_KINDS),
    value: z.string({ error: 'Say how it held.' }).min(1, 'Say how it held.'),
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
    /** Empty while it follows from the age. */
    moment: z.enum([...BLEED_MOMENTS, '']),
    prep: z.enum(PREPS),
    primer: z.enum([...PRIMERS, 'none']),
    coats: z.number(),
    note: z.string().max(500, 'At most 500 characters.'),
  })
  .refine(({ kind, value }) => kind !== 'solvent_rub' || /^\d{1,4}$/.test(value.trim()), {
    path: ['value'],
    message: 'Write a whole number of double rubs, 0 to 9999.',
  });
type FormInput = z.input<typeof formSchema>;

/** What is tested: a strip of a panel, or a patch that was painted by the way. */
export interface Patch {
  panel: Panel;
  strip: string;
}

interface TestFormProps {
  dossier: Dossier;
  zone: Zone;
  patch: Patch | null;
  onPatch: (patch: Patch | null) => void;
  onLog: (test: Test & { id: string }) => void;
}

/** Logs one test. A strip brings its treatment and its age; a patch by the way has those of the system taken. */
export function TestForm({ dossier, zone, patch, onPatch, onLog }: TestFormProps) {
  const dispatch = useDispatch<AppDispatch>();
  const formName = `prove/${dossier.piece.id ?? ''}/${zone.id}`;
  const draft = useSelector((state: RootState) => state.drafts[formName]) as FormInput | undefined;
  const [photo, setPhoto] = useState<LatticeResult | null>(null);
  const [allKinds, setAllKinds] = useState(false);
  const chosen = dossier.chosen?.zones.find(({ id }) => id === zone.id)?.treatment;
  const start: FormInput = {
    kind: 'nail',
    value: '',
    age: '',
    where: '',
    moment: '',
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
  const strips = (dossier.panels ?? []).filter((panel) => panel.zone === zone.id);
  const strip = patch?.panel.strips.find(({ code }) => code === patch.strip);
  useEffect(() => {
    if (patch?.panel.coated_at) setValue('age', String(hoursSince(patch.panel.coated_at)));
  }, [patch, setValue]);

  const own: Treatment = {
    prep: values.prep,
    primer: values.primer,
    coats: values.primer === 'none' ? 0 : values.coats,
  };
  const treatment = patch ? treatmentOnStrip(dossier, patch.panel, patch.strip, values.kind) : own;
  const { busy, trouble, log, forget } = useTestLog(dossier.piece.id ?? '', zone.id, onLog);
  const momentOf = (ageH: number): BleedMoment =>
    patch ? bleedMomentOnPanel(patch.panel, ageH, dossier.climate) : bleedMomentAt(ageH);
  const logged = (withPicture: boolean) =>
    handleSubmit(async ({ kind, value, age, where, moment, note }) => {
      const read = kind === 'cross_cut' && photo ? photo : null;
      const test: Omit<Test, 'id'> = {
        zone: zone.id,
        kind,
        treatment,
        ...(patch ? { panel: patch.panel.id, strip: patch.strip } : {}),
        age_h: age,
        at: new Date().toISOString(),
        reading: read
          ? {
              removed_pct: Math.round(read.removedPct * 10) / 10,
              by: read.corrected ? 'photo_corrected' : 'photo',
              confidence: read.confidence,
            }
          : makeReading(kind, value.trim(), moment === '' ? momentOf(age) : moment),
        ...(where === '' ? {} : { interface: where as InterfaceCode }),
        ...(note.trim() === '' ? {} : { note: note.trim() }),
      };
      if (!(await log(test, withPicture ? (read?.picture ?? null) : null))) return;
      setPhoto(null);
      dispatch(draftDone({ form: formName }));
      reset({ ...start, prep: values.prep, primer: values.primer, coats: values.coats, age: values.age });
    });
  const answers = listAnswers(values.kind);
  const lattice = specifyCutOn(dossier, zone.id, treatment);
  const ageH = Number(values.age.replace(',', '.'));
  const byAge = values.age.trim() !== '' && ageH >= 0 ? momentOf(ageH) : null;
  return (
    <Card gap="$l" render="section" aria-label="Log a test">
      <Heading>Log a test of the {zoneName(zone).toLowerCase()}</Heading>
      {strips.length > 0 ? (
        <Choices
          label="What is tested"
          options={[
            ...strips.flatMap((panel, i) =>
              panel.strips
                .map(({ code }) => code)
                .sort()
                .map((code) => ({
                  code: `${panel.id}/${code}`,
                  label: strips.length > 1 ? `Panel ${i + 1}, ${code}` : `Strip ${code}`,
                })),
            ),
            { code: '', label: 'Another patch' },
          ]}
          value={patch ? `${patch.panel.id}/${patch.strip}` : ''}
          onPick={(key) => {
            const panel = strips.find(({ id }) => key.startsWith(`${id}/`));
            onPatch(panel ? { panel, strip: key.slice(panel.id.length + 1) } : null);
          }}
        />
      ) : null}
      {strip ? (
        <Small>{describeTreatment(treatment)}</Small>
      ) : (
        <TreatmentFields values={values} treatment={own} onSet={(name, value) => setValue(name, value as never)} />
      )}
      <Controller
        control={control}
        name="kind"
        render={({ field }) => (
          <Choices
            label="Kind of test"
            tileWidth={110}
            options={
              allKinds || !COMMON_KINDS.includes(field.value)
                ? KIND_OPTIONS
                : KIND_OPTIONS.slice(0, COMMON_KINDS.length)
            }
            value={field.value}
            onPick={(kind) => {
              field.onChange(kind);
              setValue('value', '');
              setPhoto(null);
              forget();
            }}
          />
        )}
      />
      {allKinds ? null : (
        <Row>
          <Button look="quiet" onPress={() => setAllKinds(true)}>
            Other kinds of test…
          </Button>
        </Row>
      )}
      {values.kind === 'cross_cut' ? (
        <Column gap="$m">
          <CutDrawing cut={lattice} />
          {photo ? (
            <Row gap="$s" alignItems="center" flexWrap="wrap">
              <Strong>{`From the photograph: ${photo.removedPct.toFixed(1)} % bare`}</Strong>
              <Button
                look="quiet"
                onPress={() => {
                  setPhoto(null);
                  setValue('value', '');
                }}
              >
                Read by eye instead
              </Button>
            </Row>
          ) : (
            <LatticeReader
              cuts={lattice.cuts === 11 ? 11 : 6}
              coat={treatment.paint ? dossier.goal?.colour : undefined}
              onUse={(result) => {
                setPhoto(result);
                setValue('value', 'photo');
              }}
            />
          )}
        </Column>
      ) : null}
      {values.kind === 'bleed_watch' ? (
        <Column gap="$s">
          <Strong>Which moment is it?</Strong>
          <Small>
            {byAge
              ? `By the age of the patch: ${MOMENTS[byAge].label.toLowerCase()}. Pick another where the clear coat came later.`
              : 'It follows from the age of the patch, below.'}
          </Small>
          <Controller
            control={control}
            name="moment"
            render={({ field }) => (
              <Choices
                label="Which moment is it?"
                options={MOMENT_OPTIONS}
                value={field.value === '' ? (byAge ?? undefined) : field.value}
                onPick={(moment) => field.onChange(moment === byAge ? '' : moment)}
              />
            )}
          />
        </Column>
      ) : null}
      {photo ? null : (
        <Column gap="$s">
          {answers.length > 0 ? <Strong>How did it hold?</Strong> : null}
          <Controller
            control={control}
            name="value"
            render={({ field }) =>
              answers.length > 0 ? (
                <Choices
                  label="How did it hold?"
                  tileWidth={values.kind === 'pencil' ? 60 : 130}
                  options={answers.map(({ score, ...answer }) => ({
                    ...answer,
                    ...(values.kind === 'pencil' ? {} : { drawing: <ScoreGlyph kind={values.kind} score={score} /> }),
                  }))}
                  value={field.value}
                  onPick={field.onChange}
                />
              ) : (
                <Field
                  label="Double rubs until colour comes off"
                  numeric
                  value={field.value}
                  onChange={field.onChange}
                />
              )
            }
          />
          {errors.value ? (
            <Small role="alert" color="$stop">
              {errors.value.message}
            </Small>
          ) : null}
        </Column>
      )}
      {letGo(values.kind, photo ? String(photo.removedPct) : values.value) ? (
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
      {trouble ? (
        <Notice
          tone="stop"
          live
          title="Not logged yet"
          action={
            <Row gap="$s" flexWrap="wrap">
              <Button onPress={() => void logged(false)()}>Log it without the picture</Button>
            </Row>
          }
        >
          {`${trouble.message} ${trouble.retry ? 'Your answers and the picture stay here as long as this page is open: log it again when the server is back.' : 'Your answers stay here.'}`}
        </Notice>
      ) : null}
      <Button look="main" disabled={busy} onPress={() => void logged(true)()}>
        {busy ? 'Sending the picture…' : 'Log this test'}
      </Button>
    </Card>
  );
}

/** Hours since an instant, to the tenth. */
export const hoursSince = (instant: string): number =>
  Math.max(0, Math.round((Date.now() - Date.parse(instant)) / 360_000) / 10);
