import { Choices } from '@/client/ui';
import type { Panel } from '@/core/dossier';
import type { Patch } from './test-draft';
import { PATCH_PICKER_WORDS } from '@/words';

interface PatchPickerProps {
  panels: readonly Panel[];
  patch: Patch | null;
  onPatch: (patch: Patch | null) => void;
}

/** Which strip is tested, or another patch. */
export function PatchPicker({ panels, patch, onPatch }: PatchPickerProps) {
  const strips = panels.flatMap((panel, i) =>
    panel.strips
      .map(({ code }) => code)
      .sort()
      .map((strip) => ({
        code: `${panel.id}/${strip}`,
        label: panels.length > 1 ? PATCH_PICKER_WORDS.panel(i + 1, strip) : PATCH_PICKER_WORDS.strip(strip),
        patch: { panel, strip },
      })),
  );
  if (strips.length === 0) return null;
  return (
    <Choices
      label={PATCH_PICKER_WORDS.whatIsTested}
      options={[
        ...strips.map(({ code, label }) => ({ code, label })),
        { code: '', label: PATCH_PICKER_WORDS.anotherPatch },
      ]}
      value={patch ? `${patch.panel.id}/${patch.strip}` : ''}
      onPick={(code) => onPatch(strips.find((strip) => strip.code === code)?.patch ?? null)}
    />
  );
}
