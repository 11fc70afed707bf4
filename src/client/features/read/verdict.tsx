import { Explained } from '@/client/features/terms';
import { BeliefBar, Body, Column, Heading, Row, SectionDrawing, Small, Strong } from '@/client/ui';
import { FINISH_FACTS, SUBSTRATE_FACTS } from '@/core/knowledge';
import { buildSection } from '@/core/piece';
import { upperFirst } from '@/core/shared';
import type { Need, Ranked, ZoneDiagnosis } from '@/core/survey';
import { Evidence } from './evidence';
import type { ReadingParts } from './reading-words';
import { VERDICT_WORDS, formatChance, sayDecimal, sayReason, saySection } from '@/words';

/** What the surface is taken for, how sure that is, what follows, and why. */
export function Verdict({ zone, diagnosis, change }: ReadingParts) {
  const { belief, needs } = diagnosis;
  const section = buildSection(belief);
  const likely = needs.filter(({ code, p }) => p >= 0.25 && code !== 'degloss_liquid_ok');
  return (
    <Column gap="$m" render="section" aria-label={VERDICT_WORDS.verdict}>
      <Row gap="$l" alignItems="flex-start">
        <SectionDrawing section={section} width={76} height={128} says={saySection(section)} />
        <Column flex={1} gap="$xs">
          <Small>{VERDICT_WORDS.onIt}</Small>
          <Strong>{describeTop(belief.finish, (code) => FINISH_FACTS[code].label)}</Strong>
          <Small>{VERDICT_WORDS.underIt}</Small>
          <Strong>{describeTop(belief.substrate, (code) => SUBSTRATE_FACTS[code].label)}</Strong>
          <Small>{SUBSTRATE_FACTS[belief.substrate[0]!.code].matters}</Small>
        </Column>
      </Row>
      <Column>
        {topWithRest(belief.substrate).map(({ code, p }) => (
          <BeliefBar
            key={code}
            p={p}
            label={code === 'rest' ? VERDICT_WORDS.somethingElse : SUBSTRATE_FACTS[code].label}
          />
        ))}
      </Column>
      {diagnosis.moisture ? (
        <Small>
          {VERDICT_WORDS.moistureTheRoomSettlesAt(
            diagnosis.moisture.measuredPct,
            sayDecimal(diagnosis.moisture.equilibriumPct, 1),
            diagnosis.moisture.state,
          )}
        </Small>
      ) : null}
      <Needs needs={likely} />
      <Evidence zone={zone} evidence={diagnosis.evidence} change={change} />
    </Column>
  );
}

/** The belief in two lines, beside the question, so that it is seen to move. */
export function BeliefLine({ diagnosis }: { diagnosis: ZoneDiagnosis }) {
  const { belief } = diagnosis;
  return (
    <Row gap="$m" alignItems="center" role="status" aria-label={VERDICT_WORDS.belief}>
      <SectionDrawing section={buildSection(belief)} width={44} height={56} />
      <Column flex={1}>
        {belief.substrate.slice(0, 2).map(({ code, p }) => (
          <BeliefBar key={code} p={p} label={SUBSTRATE_FACTS[code].label} />
        ))}
      </Column>
    </Row>
  );
}

function describeTop<C extends string>(list: readonly Ranked<C>[], label: (code: C) => string): string {
  const top = list[0]!;
  const words = label(top.code);
  return `${upperFirst(words)}, ${formatChance(top.p)}`;
}

function topWithRest<C extends string>(list: readonly Ranked<C>[]): { code: C | 'rest'; p: number }[] {
  const top = list.slice(0, 3);
  const rest = 1 - top.reduce((sum, { p }) => sum + p, 0);
  return rest > 0.01 ? [...top, { code: 'rest', p: rest }] : top;
}

function Needs({ needs }: { needs: readonly Need[] }) {
  return (
    <Column gap="$s">
      <Heading>{VERDICT_WORDS.soItNeeds}</Heading>
      <Column role="list" gap="$s">
        {needs.map((need) => (
          <Row key={need.code} role="listitem" gap="$m" alignItems="baseline">
            <Strong width={112} fontVariant={['tabular-nums']}>
              {formatChance(need.p)}
            </Strong>
            <Column flex={1}>
              <Body>{need.extent === 'spot' ? VERDICT_WORDS.onTheSpots(need.label) : need.label}</Body>
              <Explained small>{sayReason(need.because)}</Explained>
            </Column>
          </Row>
        ))}
      </Column>
    </Column>
  );
}
