import { zodResolver } from '@hookform/resolvers/zod';
import { useEffect } from 'react';
import { useForm, useWatch, type UseFormReturn } from 'react-hook-form';
import { useDispatch, useSelector } from 'react-redux';
import { z } from 'zod';
import { draftDone, draftTyped, type AppDispatch, type RootState, timeNow } from '@/client/store';
import { BLEED_MOMENTS, type Dossier, type Panel, type Test, type Treatment, type Zone } from '@/core/dossier';
import { INTERFACES, PATCH_LOOK_CODES, PREPS, PRIMERS, TEST_KIND_FACTS, TEST_KINDS } from '@/core/knowledge';
import { bleedMomentOnPanel, treatmentOnStrip, type BleedMoment } from '@/core/panel';
import { bleedMomentAt, clearOf, makeReading } from '@/core/proof';
import type { LatticeResult } from './lattice-reader';
import { TEST_DRAFT_WORDS } from '@/words';

const draftSchema = z
  .object({
    kind: z.enum(TEST_KINDS),
    value: z.string({ error: TEST_DRAFT_WORDS.sayHowItHeld }).min(1, TEST_DRAFT_WORDS.sayHowItHeld),
    age: z
      .string()
      .transform((text) => (text.trim() === '' ? NaN : Number(text.replace(',', '.'))))
      .pipe(
        z
          .number({ error: TEST_DRAFT_WORDS.writeHowManyHoursAgoThe })
          .min(0, TEST_DRAFT_WORDS.notBeforeItWasCoated)
          .max(100_000, TEST_DRAFT_WORDS.atMost100000H),
      ),
    where: z.enum([...INTERFACES, '']),
    looks: z.array(z.enum(PATCH_LOOK_CODES)),
    /** Empty while it follows from the age. */
    moment: z.enum([...BLEED_MOMENTS, '']),
    prep: z.enum(PREPS),
    primer: z.enum([...PRIMERS, 'none']),
    coats: z.number(),
    note: z.string().max(500, TEST_DRAFT_WORDS.atMost500Characters),
  })
  .refine(({ kind, value }) => TEST_KIND_FACTS[kind].reads !== 'double_rubs' || /^\d{1,4}$/.test(value.trim()), {
    path: ['value'],
    message: TEST_DRAFT_WORDS.writeAWholeNumberOfDouble,
  });
export type TestInput = z.input<typeof draftSchema>;
export type TestFields = UseFormReturn<TestInput, unknown, z.output<typeof draftSchema>>;

/** The answer while a picture of the lattice gives it. */
export const FROM_PHOTO = 'photo';

/** What is tested: a strip of a panel, or a patch that was painted by the way. */
export interface Patch {
  panel: Panel;
  strip: string;
}

/** A test that is being written down. It survives a reload; a strip brings its treatment and its age. */
export function useTestDraft(dossier: Dossier, zone: Zone, patch: Patch | null) {
  const dispatch = useDispatch<AppDispatch>();
  const formName = `prove/${dossier.piece.id ?? ''}/${zone.id}`;
  const draft = useSelector((state: RootState) => state.drafts[formName]) as TestInput | undefined;
  const chosen = dossier.chosen?.zones.find(({ id }) => id === zone.id)?.treatment;
  const start: TestInput = {
    kind: 'nail',
    value: '',
    age: '',
    where: '',
    looks: [],
    moment: '',
    note: '',
    prep: chosen?.prep ?? 'scuff_150',
    primer: chosen?.primer ?? 'bonding_primer_wb',
    coats: chosen?.coats ?? 1,
  };
  const form: TestFields = useForm({
    resolver: zodResolver(draftSchema),
    // A picture does not survive a reload, and so what was read from it does not either.
    defaultValues: draft ? { ...start, ...draft, value: draft.value === FROM_PHOTO ? '' : draft.value } : start,
  });
  const { control, setValue, reset, handleSubmit } = form;
  const values = useWatch({ control }) as TestInput;
  useEffect(() => {
    dispatch(draftTyped({ form: formName, values }));
  }, [values, formName, dispatch]);
  useEffect(() => {
    if (patch?.panel.coated_at) setValue('age', String(hoursSince(patch.panel.coated_at)));
  }, [patch, setValue]);

  const own: Treatment = {
    prep: values.prep,
    primer: values.primer,
    coats: values.primer === 'none' ? 0 : values.coats,
    // Of a clear finish on wood the whole of it is on the patch.
    ...(chosen?.clear && chosen.paint === undefined ? { clear: chosen.clear } : {}),
  };
  const treatment = patch ? treatmentOnStrip(dossier, patch.panel, patch.strip, values.kind) : own;
  const momentOf = (ageH: number): BleedMoment =>
    patch ? bleedMomentOnPanel(patch.panel, ageH, dossier.climate) : bleedMomentAt(ageH);
  const ageH = Number(values.age.replace(',', '.'));

  /** Hands the test over when all its fields are right; `photo` is what a picture of the lattice gave. */
  const submit = (photo: LatticeResult | null, onTest: (test: Omit<Test, 'id'>) => Promise<void>) =>
    handleSubmit(({ kind, value, age, where, looks, moment, note }) =>
      onTest({
        zone: zone.id,
        kind,
        treatment,
        ...(patch ? { panel: patch.panel.id, strip: patch.strip } : {}),
        age_h: age,
        at: timeNow(),
        reading: {
          ...(photo ? toReading(photo) : makeReading(kind, value.trim(), moment === '' ? momentOf(age) : moment)),
          ...(clearOf(treatment) ? { looks } : {}),
        },
        ...(where === '' ? {} : { interface: where }),
        ...(note.trim() === '' ? {} : { note: note.trim() }),
      }),
    );
  const done = (): void => {
    dispatch(draftDone({ form: formName }));
    const { prep, primer, coats, age } = values;
    reset({ ...start, prep, primer, coats, age });
  };
  return {
    form,
    values,
    own,
    treatment,
    /** The moment a bleed watch has reached by the age that was written. */
    byAge: values.age.trim() !== '' && ageH >= 0 ? momentOf(ageH) : null,
    submit,
    done,
  };
}

const toReading = ({ removedPct, corrected, confidence }: LatticeResult): Test['reading'] => ({
  removed_pct: Math.round(removedPct * 10) / 10,
  by: corrected ? 'photo_corrected' : 'photo',
  confidence,
});

/** Hours since an instant, to the tenth. */
export const hoursSince = (instant: string): number =>
  Math.max(0, Math.round((Date.parse(timeNow()) - Date.parse(instant)) / 360_000) / 10);
