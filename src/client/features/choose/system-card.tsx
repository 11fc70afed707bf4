import { View } from '@tamagui/core';
import {
  Button,
  Column,
  Disclosure,
  Heading,
  LabelledSection,
  Notice,
  Row,
  Rule,
  Small,
  StateMark,
  useIsWide,
  FigureBlock,
} from '@/client/ui';
import { wishOf, zoneName, type Dossier } from '@/core/dossier';
import { buildSection } from '@/core/piece';
import { lowerFirst } from '@/core/shared';
import { isPaleWish } from '@/core/proof';
import { assessZone, computeBelief } from '@/core/survey';
import { compareWithNamed, listLowering, type CoatingSystem } from '@/core/systems';
import { useMeasures } from '@/client/store';
import {
  CHOOSE_WORDS,
  FUME_WORDS,
  SYSTEM_CARD_WORDS,
  formatChance,
  formatChanceRange,
  sayAssumption,
  sayNamedClass,
  sayWarnings,
} from '@/words';
import { FaultList } from './fault-list';
import { HourList } from './hour-list';
import { JobList } from './job-list';
import { Layers } from './layers';
import { RiskParts } from './risk-parts';
import type { SystemDate } from './use-dates';
import { ToBuy } from './to-buy';
import { mainFailure, sayBasis, sayHours } from './words';

interface SystemCardProps {
  system: CoatingSystem;
  title: string;
  zoneId: string;
  dossier: Dossier;
  taken: boolean;
  /** When it could be collected; null while that is worked out. */
  date: SystemDate | null;
  onTake: () => void;
}

/** Beside others, it is known by its name however far down one has read. */
const STICKY = { position: 'sticky', top: 0, zIndex: 1 } as const;

/** One complete system: its section on the zone shown, four figures, its cautions, and its steps. */
export function SystemCard({ system, title, zoneId, dossier, taken, date, onTake }: SystemCardProps) {
  const wide = useIsWide();
  const { sayMoney } = useMeasures();
  const zonePlan = system.zones.find(({ id }) => id === zoneId);
  const zone = dossier.zones?.find(({ id }) => id === zoneId);
  const named =
    zone && zonePlan
      ? compareWithNamed(assessZone(dossier, zone).needs, zonePlan.stack, isPaleWish(wishOf(dossier, zone)))
      : null;
  const section = zone && zonePlan ? buildSection(computeBelief(dossier, zone), zonePlan) : null;
  return (
    <View
      flex={wide ? 1 : undefined}
      flexBasis={wide ? 0 : undefined}
      minWidth={0}
      gap="$m"
      render="article"
      aria-label={title}
    >
      <View minHeight={wide ? 52 : undefined} paddingVertical="$xs" backgroundColor="$ground" {...(wide ? STICKY : {})}>
        <Heading>{title}</Heading>
        {zone ? <Small>{SYSTEM_CARD_WORDS.onThe(lowerFirst(zoneName(zone)))}</Small> : null}
      </View>
      {named ? <Small color="$ink">{sayNamedClass(named)}</Small> : null}
      <View minHeight={wide ? 270 : undefined}>{section ? <LabelledSection section={section} /> : null}</View>
      <Rule />
      <Row>
        <FigureBlock
          figure={formatChance(system.risk.overall)}
          words={SYSTEM_CARD_WORDS.goWrongMostly(
            mainFailure(system),
            formatChanceRange(system.risk.overall, system.patches),
            sayBasis(system.patches),
          )}
        />
      </Row>
      <Rule />
      <Row gap="$l">
        <FigureBlock figure={sayHours(system.handsOnMin)} words={SYSTEM_CARD_WORDS.ofYourHands} />
        <ReadyBy date={date} />
      </Row>
      {date?.due ? <StateMark tone={date.due.late ? 'stop' : 'go'}>{date.due.words}</StateMark> : null}
      <Rule />
      <Row>
        <FigureBlock
          figure={sayMoney(system.materialsCost)}
          words={SYSTEM_CARD_WORDS.forMaterialsFumes(lowerFirst(FUME_WORDS[system.fumes]))}
        />
      </Row>
      <Rule />
      <RiskParts risk={system.risk} />
      <Lowering risk={system.risk} />
      <Rule />
      {zonePlan ? (
        <Disclosure label={SYSTEM_CARD_WORDS.stepsAndWhy(zoneName(zone!), zonePlan.steps.length)}>
          {() => <Layers plan={zonePlan} dossier={dossier} />}
        </Disclosure>
      ) : null}
      {zonePlan && zone ? <FaultList zone={zoneName(zone)} faults={zonePlan.faults} /> : null}
      <HourList system={system} dossier={dossier} />
      <JobList system={system} dossier={dossier} />
      <ToBuy supplies={system.supplies} small={system.small} />
      {system.assumes.map((assumption) => (
        <Small key={assumption.zoneName}>{sayAssumption(assumption)}</Small>
      ))}
      {sayWarnings(system.warnings).map((warning) => (
        <Notice key={warning.text} tone="wait" title={warning.title}>
          {warning.text}
        </Notice>
      ))}
      {taken ? <StateMark tone="go">{SYSTEM_CARD_WORDS.youTookThisOne}</StateMark> : null}
      <Button look="main" onPress={onTake}>
        {taken ? SYSTEM_CARD_WORDS.keepThisOneAndProveIt : SYSTEM_CARD_WORDS.takeThisOne}
      </Button>
    </View>
  );
}

/** What would have to be done where more than one in eight go wrong. */
function Lowering({ risk }: Pick<CoatingSystem, 'risk'>) {
  const modes = listLowering(risk);
  if (modes.length === 0) return null;
  return (
    <Column gap="$xs">
      <Small color="$ink">{CHOOSE_WORDS.toLowerIt}</Small>
      {modes.map((mode) => (
        <Small key={mode} color="$ink">
          {CHOOSE_WORDS.lowers[mode]}
        </Small>
      ))}
    </Column>
  );
}

/** When it could be collected, by the owner's hours. */
function ReadyBy({ date }: { date: SystemDate | null }) {
  if (date === null) return <FigureBlock figure={SYSTEM_CARD_WORDS.dateSought} words={SYSTEM_CARD_WORDS.fittingItIn} />;
  if (date.ready === null) return <FigureBlock figure={SYSTEM_CARD_WORDS.noDate} words={SYSTEM_CARD_WORDS.heldBack} />;
  return <FigureBlock figure={date.ready} words={SYSTEM_CARD_WORDS.readyInYourHours(date.soonest)} />;
}
