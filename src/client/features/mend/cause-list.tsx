import { Explained } from '@/client/features/terms';
import { BeliefBar, Body, Column, Disclosure, Heading, Small, Strong } from '@/client/ui';
import type { CausesBelief } from '@/core/trouble';
import { CAUSE_LIST_WORDS, explainCause, formatChance, nameCause, sayCauses } from '@/words';

/** Causes this unlikely are not shown. */
const LEAST = 0.04;

/** What made it, as far as it can be told: each cause its own chance, since several may be at work at once. */
export function CauseList({ belief }: { belief: CausesBelief }) {
  const { causes, other } = belief;
  const shown = causes.filter(({ p }, i) => i < 2 || p >= LEAST);
  return (
    <Column gap="$s" render="section" aria-label={CAUSE_LIST_WORDS.whatMadeIt}>
      <Heading>{CAUSE_LIST_WORDS.whatMadeIt}</Heading>
      <Body role="status">{sayCauses(belief)}</Body>
      <Column>
        {shown.map(({ code, p }) => (
          <BeliefBar key={code} label={nameCause(code)} p={p} />
        ))}
        {other >= LEAST ? <BeliefBar label={CAUSE_LIST_WORDS.somethingElse} p={other} /> : null}
      </Column>
      <Small>{CAUSE_LIST_WORDS.eachIsItsOwnChanceMore}</Small>
      <Disclosure label={CAUSE_LIST_WORDS.whatSpeaksForEachAndAgainst}>
        {() => (
          <Column role="list" gap="$m">
            {shown.map((cause) => (
              <Column key={cause.code} role="listitem">
                <Strong>{`${nameCause(cause.code)}, ${formatChance(cause.p)}`}</Strong>
                <Explained small>{explainCause(cause)}</Explained>
              </Column>
            ))}
            <Small>{CAUSE_LIST_WORDS.chancesByCommonPracticeMovedBy}</Small>
          </Column>
        )}
      </Disclosure>
    </Column>
  );
}
