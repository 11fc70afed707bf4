import { Choices, Column, Disclosure, Small, Strong } from '@/client/ui';
import { toZoneFacts } from '@/core/dossier';
import { FINISH_FACTS, FINISHES, SUBSTRATE_FACTS, SUBSTRATES } from '@/core/knowledge';
import type { ReadingParts } from './reading-words';
import { upperFirst, lowerFirst } from '@/core/shared';
import { STATED_FACTS_WORDS } from '@/words';

const MATERIALS = [
  { code: 'none', label: STATED_FACTS_WORDS.iDoNotKnow },
  ...SUBSTRATES.map((code) => ({ code, label: SUBSTRATE_FACTS[code].label })),
];
const COATS = [
  { code: 'none', label: STATED_FACTS_WORDS.iDoNotKnow },
  ...FINISHES.map((code) => ({ code, label: upperFirst(FINISH_FACTS[code].label) })),
];

/** An owner who knows may say so. It counts for very much, but checks can still speak against it. */
export function StatedFacts({ zone, change }: Pick<ReadingParts, 'zone' | 'change'>) {
  const stated = zone.stated ?? {};
  const state = (part: 'substrate' | 'finish', code: string): void => {
    const { [part]: _old, ...rest } = stated;
    const next = code === 'none' ? rest : { ...rest, [part]: code };
    const { stated: _stated, ...facts } = toZoneFacts(zone);
    const said = Object.keys(next).length > 0 ? { stated: next } : {};
    change({ type: 'zone_set', zoneId: zone.id, facts: { ...facts, ...said } });
  };
  const said = [
    stated.substrate && lowerFirst(SUBSTRATE_FACTS[stated.substrate].label),
    stated.finish && FINISH_FACTS[stated.finish].label,
  ].filter(Boolean);
  return (
    <Disclosure
      label={said.length > 0 ? STATED_FACTS_WORDS.youSaid(said.join(', ')) : STATED_FACTS_WORDS.iKnowWhatThisIs}
    >
      {() => (
        <Column gap="$m">
          <Small>{STATED_FACTS_WORDS.whatYouKnowCountsForVery}</Small>
          <Strong>{STATED_FACTS_WORDS.theMaterial}</Strong>
          <Choices
            label={STATED_FACTS_WORDS.theMaterialAsYouKnowIt}
            options={MATERIALS}
            value={stated.substrate ?? 'none'}
            onPick={(code) => state('substrate', code)}
          />
          <Strong>{STATED_FACTS_WORDS.theCoatOnIt}</Strong>
          <Choices
            label={STATED_FACTS_WORDS.theCoatAsYouKnowIt}
            options={COATS}
            value={stated.finish ?? 'none'}
            onPick={(code) => state('finish', code)}
          />
        </Column>
      )}
    </Disclosure>
  );
}
