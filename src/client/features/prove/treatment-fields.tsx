import { Choices, Column, Strong } from '@/client/ui';
import type { Treatment } from '@/core/dossier';
import { PREPS, PRIMER_FACTS, PRIMERS, PREP_FACTS, type PrepCode, type PrimerCode } from '@/core/knowledge';
import { TREATMENT_FIELDS_WORDS, describeTreatment } from '@/words';

interface TreatmentFieldsProps {
  values: { prep: PrepCode; primer: PrimerCode | 'none'; coats: number };
  treatment: Treatment;
  onSet: (name: 'prep' | 'primer' | 'coats', value: string | number) => void;
}

/** What is on the patch: that of the system taken, or what was done otherwise. */
export function TreatmentFields({ values, treatment, onSet }: TreatmentFieldsProps) {
  return (
    <details>
      <summary style={{ minHeight: 48, display: 'flex', alignItems: 'center', cursor: 'pointer' }}>
        <Strong>{TREATMENT_FIELDS_WORDS.patch(describeTreatment(treatment))}</Strong>
      </summary>
      <Column gap="$m" paddingTop="$s">
        <Choices
          label={TREATMENT_FIELDS_WORDS.preparation}
          options={PREPS.map((code) => ({ code, label: PREP_FACTS[code].label }))}
          value={values.prep}
          onPick={(prep) => onSet('prep', prep)}
        />
        <Choices
          label={TREATMENT_FIELDS_WORDS.primer}
          options={[
            ...PRIMERS.map((code) => ({ code, label: PRIMER_FACTS[code].label })),
            { code: 'none' as const, label: TREATMENT_FIELDS_WORDS.noPrimer },
          ]}
          value={values.primer}
          onPick={(primer) => onSet('primer', primer)}
        />
        <Choices
          label={TREATMENT_FIELDS_WORDS.coatsOfPrimer}
          options={['1', '2', '3'].map((code) => ({
            code,
            label: `${code} ${code === '1' ? TREATMENT_FIELDS_WORDS.coat : TREATMENT_FIELDS_WORDS.coats}`,
          }))}
          value={String(values.coats)}
          onPick={(coats) => onSet('coats', Number(coats))}
        />
      </Column>
    </details>
  );
}
