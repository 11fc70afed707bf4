import { useState } from 'react';
import {
  BeliefBar,
  Body,
  Button,
  Card,
  Column,
  Heading,
  Notice,
  Row,
  SectionDrawing,
  Small,
  Strong,
  Subheading,
} from '@/client/ui';
import type { PieceChange, Zone } from '@/core/dossier';
import { FINISH_FACTS, findAnswer, findCheck, SUBSTRATE_FACTS } from '@/core/knowledge';
import { buildSection } from '@/core/piece';
import { formatChance } from '@/core/shared';
import type { EvidenceItem, Need, Ranked, ZoneDiagnosis } from '@/core/survey';

interface VerdictProps {
  zone: Zone;
  diagnosis: ZoneDiagnosis;
  change: (change: PieceChange) => void;
}

/** What the surface is taken for, how sure that is, what follows, and why. */
export function Verdict({ zone, diagnosis, change }: VerdictProps) {
  const { belief, needs, contradictions } = diagnosis;
  const section = buildSection(belief);
  const likely = needs.filter(({ code, p }) => p >= 0.25 && code !== 'degloss_liquid_ok');
  return (
    <Column gap="$m" render="section" aria-label="Verdict">
      <Row gap="$l" alignItems="flex-start">
        <SectionDrawing section={section} width={76} height={128} />
        <Column flex={1} gap="$xs">
          <Small>On it</Small>
          <Strong>{describeTop(belief.finish, (code) => FINISH_FACTS[code].label)}</Strong>
          <Small>Under it</Small>
          <Strong>{describeTop(belief.substrate, (code) => SUBSTRATE_FACTS[code].label)}</Strong>
          <Small>{SUBSTRATE_FACTS[belief.substrate[0]!.code].matters}</Small>
        </Column>
      </Row>
      <Column>
        {topWithRest(belief.substrate).map(({ code, p }) => (
          <BeliefBar key={code} p={p} label={code === 'rest' ? 'Something else' : SUBSTRATE_FACTS[code].label} />
        ))}
      </Column>
      {contradictions.map((contradiction) => (
        <Notice key={contradiction.check} tone="wait" title="These answers do not fit together">
          {contradiction.why}
        </Notice>
      ))}
      <Needs needs={likely} />
      <Evidence
        evidence={diagnosis.evidence}
        onWithdraw={(observationId) => change({ type: 'observation_withdrawn', zoneId: zone.id, observationId })}
      />
    </Column>
  );
}

/** The belief in two lines, beside the question, so that it is seen to move. */
export function BeliefLine({ diagnosis }: { diagnosis: ZoneDiagnosis }) {
  const { belief } = diagnosis;
  return (
    <Row gap="$m" alignItems="center" role="status" aria-label="Belief">
      <SectionDrawing section={buildSection(belief)} width={44} height={56} decorative />
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
  return `${words.charAt(0).toUpperCase()}${words.slice(1)}, ${formatChance(top.p)}`;
}

function topWithRest<C extends string>(list: readonly Ranked<C>[]): { code: C | 'rest'; p: number }[] {
  const top = list.slice(0, 3);
  const rest = 1 - top.reduce((sum, { p }) => sum + p, 0);
  return rest > 0.01 ? [...top, { code: 'rest', p: rest }] : top;
}

function Needs({ needs }: { needs: readonly Need[] }) {
  return (
    <Column gap="$s">
      <Heading>So it needs</Heading>
      <Column role="list" gap="$s">
        {needs.map((need) => (
          <Row key={need.code} role="listitem" gap="$m" alignItems="baseline">
            <Strong width={112} fontVariant={['tabular-nums']}>
              {formatChance(need.p)}
            </Strong>
            <Column flex={1}>
              <Body>{need.extent === 'spot' ? `${need.label}, on the spots` : need.label}</Body>
              <Small>{need.why.split(' Chance that')[0]}</Small>
            </Column>
          </Row>
        ))}
      </Column>
    </Column>
  );
}

const STRENGTH_WORDS: Readonly<Record<string, string>> = {
  '+++': 'very strong',
  '++': 'strong',
  '+': 'some',
  '-': 'some',
  '--': 'strong',
  '---': 'very strong',
};

function Evidence({ evidence, onWithdraw }: { evidence: readonly EvidenceItem[]; onWithdraw: (id: string) => void }) {
  const [open, setOpen] = useState(false);
  if (evidence.length === 0)
    return <Small>No check made yet: this is what the kind, the age and the room suggest.</Small>;
  return (
    <Column gap="$s">
      <Button look="quiet" onPress={() => setOpen(!open)}>
        {open
          ? 'Close the reasons'
          : `Why? ${evidence.length === 1 ? 'One answer' : `${evidence.length} answers`} so far`}
      </Button>
      {open
        ? evidence.map((item) => (
            <Card key={`${item.check}-${item.observationId ?? ''}`} gap="$xs">
              <Subheading>{findAnswer(item.check, item.result)?.label ?? item.result}</Subheading>
              <Small>{findCheck(item.check)?.title ?? item.check}</Small>
              <Body>{`${STRENGTH_WORDS[item.strength] ?? ''} evidence ${item.speaks} ${item.aboutLabel} (common practice)`}</Body>
              {item.observationId ? (
                <Button onPress={() => onWithdraw(item.observationId!)}>Take this answer back</Button>
              ) : null}
            </Card>
          ))
        : null}
    </Column>
  );
}
