import { View } from '@tamagui/core';
import {
  Body,
  Button,
  Column,
  Disclosure,
  Figure,
  Heading,
  LabelledSection,
  Notice,
  Row,
  Rule,
  Small,
  StateMark,
  Strong,
  useIsWide,
} from '@/client/ui';
import type { Dossier } from '@/core/dossier';
import { buildSection, zoneName } from '@/core/piece';
import { formatChance } from '@/core/shared';
import { computeBelief } from '@/core/survey';
import type { CoatingSystem, ZonePlan } from '@/core/systems';
import { ToBuy } from './to-buy';
import { FUME_WORDS, mainFailure, sayDays, sayHours } from './words';

interface SystemCardProps {
  system: CoatingSystem;
  title: string;
  zoneId: string;
  dossier: Dossier;
  taken: boolean;
  onTake: () => void;
}

/** One complete system: its section on the zone shown, four figures, its cautions, and its steps. */
export function SystemCard({ system, title, zoneId, dossier, taken, onTake }: SystemCardProps) {
  const wide = useIsWide();
  const zonePlan = system.zones.find(({ id }) => id === zoneId);
  const zone = dossier.zones?.find(({ id }) => id === zoneId);
  const section = zone && zonePlan ? buildSection(computeBelief(dossier, zone), zonePlan, dossier.goal) : null;
  return (
    <View
      flex={wide ? 1 : undefined}
      flexBasis={wide ? 0 : undefined}
      minWidth={0}
      gap="$m"
      render="article"
      aria-label={title}
    >
      <View minHeight={wide ? 52 : undefined}>
        <Heading>{title}</Heading>
        {zone ? <Small>{`On the ${zoneName(zone).toLowerCase()}`}</Small> : null}
      </View>
      <View minHeight={wide ? 270 : undefined}>{section ? <LabelledSection section={section} /> : null}</View>
      <Rule />
      <Row gap="$l">
        <Number figure={formatChance(system.risk.overall)} words={`go wrong, mostly ${mainFailure(system)}`} />
        <Number figure={sayHours(system.handsOnMin)} words="of your hands" />
      </Row>
      <Rule />
      <Row gap="$l">
        <Number figure={sayDays(system.elapsedH)} words="until the last coat may be touched" />
        <Number
          figure={system.materialsCost.toFixed(0)}
          words={`for materials; fumes: ${FUME_WORDS[system.fumes].toLowerCase()}`}
        />
      </Row>
      <Rule />
      {zonePlan ? <Reasons plan={zonePlan} /> : null}
      <ToBuy supplies={system.supplies} />
      {system.assumes.map((text) => (
        <Small key={text}>{text}</Small>
      ))}
      {system.warnings.map((warning) => (
        <Notice key={warning.text} tone="wait" title={WARNING_TITLES[warning.rule] ?? 'Mind this'}>
          {warning.text}
        </Notice>
      ))}
      {taken ? <StateMark tone="go">You took this one</StateMark> : null}
      <Button look="main" onPress={onTake}>
        {taken ? 'Keep this one and prove it' : 'Take this one'}
      </Button>
    </View>
  );
}

const WARNING_TITLES: Readonly<Record<string, string>> = {
  strong_fumes: 'Fumes',
  two_part_needs_mask: 'Two-part product',
  latex_on_moving_parts: 'Soft paint',
  waterborne_over_filler: 'Filler sinks',
  foil_stays_flexible: 'Foil moves',
  residual_bleed: 'Watch for bleed',
};

function Number({ figure, words }: { figure: string; words: string }) {
  return (
    <Column flex={1}>
      <Figure>{figure}</Figure>
      <Small>{words}</Small>
    </Column>
  );
}

/** Every step with its reason. */
function Reasons({ plan }: { plan: ZonePlan }) {
  return (
    <Disclosure label={`Why these ${plan.steps.length} steps?`}>
      {() => (
        <Column role="list" gap="$m">
          {plan.steps.map((step, i) => (
            <Column key={i} role="listitem">
              <Strong>{`${i + 1}. ${step.label}`}</Strong>
              <Small>{`${step.minutes} min${step.waitH > 0 ? `, then ${step.waitH} h` : ''}${step.ml ? `, ${step.ml} ml` : ''}`}</Small>
              <Body>{step.why}</Body>
            </Column>
          ))}
        </Column>
      )}
    </Disclosure>
  );
}
