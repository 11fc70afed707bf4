import { Choices, Column, Strong } from '@/client/ui';
import type { Treatment } from '@/core/dossier';
import { PREPS, PRIMER_FACTS, PRIMERS, PREP_FACTS, type PrepCode, type PrimerCode } from '@/core/knowledge';
import { describeTreatment } from '@/words';

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
        <Strong>{`Patch: ${describeTreatment(treatment)} ▾`}</Strong>
      </summary>
      <Column gap="$m" paddingTop="$s">
        <Choices
          label="Preparation"
          options={PREPS.map((code) => ({ code, label: PREP_FACTS[code].label }))}
          value={values.prep}
          onPick={(prep) => onSet('prep', prep)}
        />
        <Choices
          label="Primer"
          options={[
            ...PRIMERS.map((code) => ({ code, label: PRIMER_FACTS[code].label })),
            { code: 'none' as const, label: 'No primer' },
          ]}
          value={values.primer}
          onPick={(primer) => onSet('primer', primer)}
        />
        <Choices
          label="Coats of primer"
          options={['1', '2', '3'].map((code) => ({ code, label: `${code} ${code === '1' ? 'coat' : 'coats'}` }))}
          value={String(values.coats)}
          onPick={(coats) => onSet('coats', Number(coats))}
        />
      </Column>
    </details>
  );
}
