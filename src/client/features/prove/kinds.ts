import type { TestKind } from '@/core/knowledge';
import { listTestKinds, TEST_KIND_FACTS } from '@/core/knowledge';
import type { BleedMoment } from '@/core/panel';
import type { ChoiceOption } from '@/client/ui';
import { KINDS_WORDS } from '@/words';

const toOption = (kind: TestKind): ChoiceOption<TestKind> => {
  const { label, hint } = TEST_KIND_FACTS[kind];
  return { code: kind, label, hint };
};

/** Every kind of test, the ones in daily use first. */
export const KIND_OPTIONS = listTestKinds().map(toOption);
export const COMMON_KIND_OPTIONS = KIND_OPTIONS.filter(({ code }) => TEST_KIND_FACTS[code].common);

// prettier-ignore
export const MOMENTS: Record<BleedMoment, { label: string }> = {
  '1h': { label: KINDS_WORDS.oneHour }, overnight: { label: KINDS_WORDS.nextMorning }, after_clear: { label: KINDS_WORDS.afterTheLastCoat },
  '48h': { label: KINDS_WORDS.twoDays }, '7d': { label: KINDS_WORDS.aWeek },
};
