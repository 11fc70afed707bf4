import { Choices, Column, DefectGlyph, Strong, type ChoiceOption, Sheet } from '@/client/ui';
import type { Zone } from '@/core/dossier';
import { DEFECT_FACTS, DEFECT_LISTS, type DefectCode } from '@/core/knowledge';
import { rankDefects, type ZoneDiagnosis } from '@/core/survey';
import { DEFECT_PICKER_WORDS } from '@/words';

interface DefectPickerProps {
  zone: Zone;
  diagnosis: ZoneDiagnosis;
  onPick: (code: DefectCode) => void;
}

/** So many are offered first. */
const LIKELY = 10;

const asTile = (code: DefectCode): ChoiceOption<DefectCode> => ({
  code,
  label: DEFECT_FACTS[code].label,
  drawing: <DefectGlyph code={code} />,
});

/** What the eye meets, drawn: first what this ground and this part have most often, then all others by kind. */
export function DefectPicker({ zone, diagnosis, onPick }: DefectPickerProps) {
  return (
    <Sheet label={DEFECT_PICKER_WORDS.addDamageOrAStain}>
      {(close) => {
        const pick = (code: DefectCode): void => {
          onPick(code);
          close();
        };
        const likely = rankDefects(diagnosis.belief, zone.role).slice(0, LIKELY);
        const others = DEFECT_LISTS.map(({ label, codes }) => ({
          label,
          codes: codes.filter((code) => !likely.includes(code)),
        })).filter(({ codes }) => codes.length > 0);
        return [{ label: DEFECT_PICKER_WORDS.likelyHere, codes: likely }, ...others].map(({ label, codes }) => (
          <Column key={label} gap="$s">
            <Strong>{label}</Strong>
            <Choices label={label} tileWidth={100} options={codes.map(asTile)} onPick={pick} />
          </Column>
        ));
      }}
    </Sheet>
  );
}
