import { useState } from 'react';
import { Controller } from 'react-hook-form';
import { Button, Card, Choices, Column, Field, Heading, Notice, Row, Small, Strong } from '@/client/ui';
import { zoneName, type Dossier, type Test, type Zone } from '@/core/dossier';
import { TEST_KIND_FACTS } from '@/core/knowledge';
import { clearOf, countsFromHours, letsGo, makeReading, specifyCutOn } from '@/core/proof';
import { CutDrawing } from './cut-drawing';
import { COMMON_KIND_OPTIONS, KIND_OPTIONS } from './kinds';
import { LatticeReader, type LatticeResult } from './lattice-reader';
import { PatchPicker } from './patch-picker';
import { AnswerField, LooksField, MomentField, WhereField } from './reading-fields';
import { FROM_PHOTO, useTestDraft, type Patch, type TestFields } from './test-draft';
import { TreatmentFields } from './treatment-fields';
import { useTestLog } from './use-test-log';
import { lowerFirst } from '@/core/shared';
import { TEST_FORM_WORDS, describeTreatment } from '@/words';

interface TestFormProps {
  dossier: Dossier;
  zone: Zone;
  patch: Patch | null;
  onPatch: (patch: Patch | null) => void;
  onLog: (test: Test & { id: string }) => void;
}

/** Logs one test. A strip brings its treatment and its age; a patch by the way has those of the system taken. */
export function TestForm({ dossier, zone, patch, onPatch, onLog }: TestFormProps) {
  const { form, values, own, treatment, byAge, submit, done } = useTestDraft(dossier, zone, patch);
  const { busy, trouble, log, forget } = useTestLog(dossier.piece.id ?? '', zone.id, onLog);
  const [photo, setPhoto] = useState<LatticeResult | null>(null);
  const { reads } = TEST_KIND_FACTS[values.kind];
  const read = (result: LatticeResult | null): void => {
    setPhoto(result);
    // The answer is the picture's: what was picked by eye no longer says anything.
    form.setValue('value', result ? FROM_PHOTO : '');
  };
  const logged = (withPicture: boolean) =>
    submit(photo, async (test) => {
      if (!(await log(test, withPicture ? (photo?.picture ?? null) : null))) return;
      setPhoto(null);
      done();
    });
  const cut = specifyCutOn(dossier, zone.id, treatment);
  const reading = photo
    ? { removed_pct: photo.removedPct }
    : values.value && makeReading(values.kind, values.value, '48h');
  return (
    <Card gap="$l" render="section" aria-label={TEST_FORM_WORDS.logATest}>
      <Heading>
        {TEST_FORM_WORDS.logATestOfThe}
        {lowerFirst(zoneName(zone))}
      </Heading>
      <PatchPicker
        panels={(dossier.panels ?? []).filter((panel) => panel.zone === zone.id)}
        patch={patch}
        onPatch={onPatch}
      />
      {patch ? (
        <Small>{describeTreatment(treatment)}</Small>
      ) : (
        <TreatmentFields values={values} treatment={own} onSet={(name, value) => form.setValue(name, value as never)} />
      )}
      <KindField
        form={form}
        onChange={() => {
          read(null);
          forget();
        }}
      />
      {reads === 'lattice' ? (
        <Column gap="$m">
          <CutDrawing cut={cut} />
          {photo ? (
            <Row gap="$s" alignItems="center" flexWrap="wrap">
              <Strong>{TEST_FORM_WORDS.fromThePhotographBare(photo.removedPct.toFixed(1))}</Strong>
              <Button look="quiet" onPress={() => read(null)}>
                {TEST_FORM_WORDS.readByEyeInstead}
              </Button>
            </Row>
          ) : (
            <LatticeReader
              cuts={cut.cuts === 11 ? 11 : 6}
              coat={treatment.paint ? dossier.goal?.colour : undefined}
              onUse={read}
            />
          )}
        </Column>
      ) : null}
      {reads === 'bleed' ? <MomentField form={form} byAge={byAge} /> : null}
      {photo ? null : <AnswerField form={form} kind={values.kind} />}
      {reading && letsGo(values.kind, reading) ? <WhereField form={form} /> : null}
      {clearOf(treatment) ? <LooksField form={form} /> : null}
      <Column gap="$s">
        <Row>
          <Controller
            control={form.control}
            name="age"
            render={({ field, fieldState }) => (
              <Field
                label={TEST_FORM_WORDS.ageOfThePatch}
                unit={TEST_FORM_WORDS.hours}
                numeric
                step={1}
                value={field.value}
                onChange={field.onChange}
                error={fieldState.error?.message}
              />
            )}
          />
        </Row>
        <Small>{TEST_FORM_WORDS.forThisPatchAReadingCounts(countsFromHours(treatment))}</Small>
      </Column>
      <Controller
        control={form.control}
        name="note"
        render={({ field, fieldState }) => (
          <Field
            label={TEST_FORM_WORDS.noteIfAny}
            value={field.value}
            onChange={field.onChange}
            error={fieldState.error?.message}
          />
        )}
      />
      {trouble ? (
        <Notice
          tone="stop"
          live
          title={TEST_FORM_WORDS.notLoggedYet}
          action={
            <Row gap="$s" flexWrap="wrap">
              <Button onPress={() => void logged(false)()}>{TEST_FORM_WORDS.logItWithoutThePicture}</Button>
            </Row>
          }
        >
          {TEST_FORM_WORDS.yourAnswersStayHere(trouble)}
        </Notice>
      ) : null}
      <Button look="main" disabled={busy} onPress={() => void logged(true)()}>
        {busy ? TEST_FORM_WORDS.keepingThePicture : TEST_FORM_WORDS.logThisTest}
      </Button>
    </Card>
  );
}

/** Those in daily use are offered first; others are a tap away. */
function KindField({ form, onChange }: { form: TestFields; onChange: () => void }) {
  const [all, setAll] = useState(false);
  return (
    <>
      <Controller
        control={form.control}
        name="kind"
        render={({ field }) => (
          <Choices
            label={TEST_FORM_WORDS.kindOfTest}
            tileWidth={110}
            options={all || !TEST_KIND_FACTS[field.value].common ? KIND_OPTIONS : COMMON_KIND_OPTIONS}
            value={field.value}
            onPick={(kind) => {
              field.onChange(kind);
              onChange();
            }}
          />
        )}
      />
      {all ? null : (
        <Row>
          <Button look="quiet" onPress={() => setAll(true)}>
            {TEST_FORM_WORDS.otherKindsOfTest}
          </Button>
        </Row>
      )}
    </>
  );
}
