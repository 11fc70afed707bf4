import { View } from '@tamagui/core';
import { router } from 'expo-router';
import { useMemo, useState } from 'react';
import { BrokenSearch, usePlanner } from '@/client/features/planner';
import { makeId, useMeasures, useWorkshop, timeNow } from '@/client/store';
import {
  Body,
  Button,
  Card,
  Choices,
  Column,
  Disclosure,
  Heading,
  LabelledSection,
  Notice,
  Row,
  Rule,
  Small,
  StateMark,
  Strong,
  useIsWide,
  FigureBlock,
} from '@/client/ui';
import { nameZone, type Dossier, type PieceChange, type Trouble } from '@/core/dossier';
import { REMEDY_RATES } from '@/core/knowledge';
import { lowerFirst } from '@/core/shared';
import { buildSection, type Section } from '@/core/piece';
import {
  drawStory,
  noteFound,
  takeRecovery,
  type CausesBelief,
  type LeavingWay,
  type RecoveryWay,
  type RuledOut,
} from '@/core/trouble';
import { sayDays, sayHours } from './spans';
import {
  PHRASES,
  RECOVERY_LABELS,
  WAYS_OUT_WORDS,
  explainWayOut,
  formatChance,
  nameHazard,
  nameLeaving,
  nameRejected,
  nameStep,
  nameWayOut,
  sayHazard,
  sayLeaving,
  sayRuledOut,
  sayRuledOutRemedy,
  sayWhy,
} from '@/words';

interface WaysProps {
  dossier: Dossier;
  change: (change: PieceChange) => void;
  trouble: Trouble;
  belief: CausesBelief;
  now: string;
  /** It is still to be decided. */
  may: boolean;
  onSettle: (how: LeavingWay['how']) => void;
  onFound: (found: NonNullable<Trouble['found']>) => void;
}

/** The ways out side by side, what it costs to leave it, and what is no way out and why. */
export function WaysOut({ dossier, change, trouble, belief, now, may, onSettle, onFound }: WaysProps) {
  const wide = useIsWide();
  const { air } = useWorkshop().workshop;
  const request = useMemo(
    () => ({ kind: 'recoveries' as const, dossier, trouble: trouble.id, now, air: [...air] }),
    [dossier, trouble.id, now, air],
  );
  const { answer, fresh, failed } = usePlanner(request);
  const [picked, setPicked] = useState('r1');
  if (failed) return <BrokenSearch />;
  if (!answer)
    return (
      <Notice tone="wait" live title={WAYS_OUT_WORDS.searching}>
        {WAYS_OUT_WORDS.lookingForEveryWayOutThat}
      </Notice>
    );
  const { alsoAsk, ways, leaving, ruledOut, rejected } = answer;
  const current = ways.find(({ id }) => id === picked) ?? ways[0];
  const take = (way: RecoveryWay): void => {
    const at = timeNow();
    change({ type: 'choice_taken', choice: takeRecovery(dossier, way, at, PHRASES) });
    onFound(noteFound(dossier, belief));
    router.push(`/piece/${dossier.piece.id ?? ''}/work`);
  };
  const showsOn = (zone: string): void => {
    const { symptom } = trouble;
    change({ type: 'trouble_set', trouble: { id: makeId(), zone, symptom, seen_at: timeNow() } });
  };
  const shown = wide ? ways.slice(0, SHOWN_WIDE) : current ? [current] : [];
  return (
    <Column gap="$l" render="section" aria-label={WAYS_OUT_WORDS.wayOut} aria-busy={!fresh}>
      <Heading>{WAYS_OUT_WORDS.wayOut}</Heading>
      {alsoAsk.length > 0 ? (
        <Column gap="$s">
          <Notice tone="wait" title={WAYS_OUT_WORDS.sameWasDoneElsewhere}>
            {WAYS_OUT_WORDS.lookThereToo}
          </Notice>
          <Row gap="$s" flexWrap="wrap">
            {alsoAsk.map((zone) => (
              <Button key={zone} onPress={() => showsOn(zone)}>
                {WAYS_OUT_WORDS.itShowsOn(lowerFirst(nameZone(dossier, zone)))}
              </Button>
            ))}
          </Row>
        </Column>
      ) : null}
      {ways.length === 0 ? (
        <Notice tone="stop" title={WAYS_OUT_WORDS.noWayOutThatMayBe}>
          {ruledOut.some(({ rule }) => rule === 'lead_found')
            ? WAYS_OUT_WORDS.leadWasFoundHereWorkOn
            : WAYS_OUT_WORDS.theRulesLeaveNothingMoreVentilation}
        </Notice>
      ) : null}
      {!wide && ways.length > 1 ? (
        <Choices
          label={WAYS_OUT_WORDS.waysOut}
          options={ways.map((way, i) => ({ code: way.id, label: `${i + 1} ${nameWayOut(way.remedy)}` }))}
          value={current?.id}
          onPick={setPicked}
        />
      ) : null}
      <View flexDirection={wide ? 'row' : 'column'} gap="$xl" alignItems="stretch">
        {shown.map((way) => (
          <WayCard
            key={way.id}
            way={way}
            dossier={dossier}
            belief={belief}
            now={now}
            may={may}
            onTake={() => take(way)}
          />
        ))}
      </View>
      <Rule />
      <Column gap="$m">
        <Heading>{WAYS_OUT_WORDS.orLeaveIt}</Heading>
        <View flexDirection={wide ? 'row' : 'column'} gap="$m">
          {leaving.map((way) => (
            <Leave key={way.how} way={way} may={may} onTake={() => onSettle(way.how)} />
          ))}
        </View>
      </Column>
      <Disclosure label={WAYS_OUT_WORDS.notTheseRuledOutAndWhy(ruledOut.length + rejected.length)}>
        {() => (
          <Column gap="$m">
            {ruledOut.map((out) => (
              <Ruled key={out.remedy} out={out} />
            ))}
            {rejected.map((rejection) => (
              <Column key={`${rejection.layer}${rejection.code}`}>
                <Strong>{nameRejected(rejection)}</Strong>
                <Small>{sayRuledOut(rejection.finding)}</Small>
              </Column>
            ))}
          </Column>
        )}
      </Disclosure>
      <Small>{WAYS_OUT_WORDS.labelsSafetySheetsLocalLawAnd}</Small>
    </Column>
  );
}

const SHOWN_WIDE = 3;

const Ruled = ({ out }: { out: RuledOut }) => (
  <Column>
    <Strong>{nameWayOut(out.remedy)}</Strong>
    <Small>{sayRuledOutRemedy(out)}</Small>
  </Column>
);

interface WayCardProps {
  way: RecoveryWay;
  dossier: Dossier;
  belief: CausesBelief;
  now: string;
  may: boolean;
  onTake: () => void;
}

function WayCard({ way, dossier, belief, now, may, onTake }: WayCardProps) {
  const wide = useIsWide();
  const { sayMoney } = useMeasures();
  const { remedy, labels, holds, serves, leaves, plan, blocked } = way;
  const section = useMemo(() => drawAfter(way, dossier, belief, now), [way, dossier, belief, now]);
  const title = nameWayOut(remedy);
  return (
    <View
      flex={wide ? 1 : undefined}
      flexBasis={wide ? 0 : undefined}
      minWidth={0}
      gap="$m"
      render="article"
      aria-label={title}
    >
      <Column gap="$xs">
        <Heading>{title}</Heading>
        {labels.length > 0 ? <Small>{labels.map((own) => RECOVERY_LABELS[own]).join(' · ')}</Small> : null}
      </Column>
      <Row rowGap="$s" columnGap="$l" flexWrap="wrap">
        <FigureBlock figure={formatChance(holds)} words={WAYS_OUT_WORDS.hold} />
        <FigureBlock figure={sayHours(plan.handsOnMin)} words={WAYS_OUT_WORDS.ofYourHands} />
        <FigureBlock figure={sayDays(plan.elapsedH)} words={WAYS_OUT_WORDS.onTheCalendar} />
        <FigureBlock figure={sayMoney(plan.materialsCost)} words={WAYS_OUT_WORDS.forMaterials} />
      </Row>
      <Body>{explainWayOut(remedy, serves, leaves)}</Body>
      {blocked.map((hazard) => (
        <Notice key={hazard.code} tone="stop" title={nameHazard(hazard)}>
          {sayHazard(hazard)}
        </Notice>
      ))}
      {may ? (
        <Button look="main" label={WAYS_OUT_WORDS.takeThisWayOutNamed(title)} onPress={onTake}>
          {WAYS_OUT_WORDS.takeThisWayOut}
        </Button>
      ) : null}
      {section ? <LabelledSection section={section} /> : null}
      <Disclosure label={WAYS_OUT_WORDS.stepsAndWhy(plan.steps.length)}>
        {() => (
          <Column role="list" gap="$m">
            {plan.steps.map((step, i) => (
              <Column key={i} role="listitem">
                <Strong>{`${i + 1}. ${nameStep(step)}`}</Strong>
                <Small>
                  {[WAYS_OUT_WORDS.min(step.minutes), step.waitH > 0 ? WAYS_OUT_WORDS.then(sayDays(step.waitH)) : '']
                    .filter(Boolean)
                    .join(' · ')}
                </Small>
                <Small color="$ink">{sayWhy(step.why)}</Small>
              </Column>
            ))}
          </Column>
        )}
      </Disclosure>
    </View>
  );
}

/** The face as the way out leaves it: over what lies there, or from the bare face up; none where the layers stay. */
function drawAfter({ plan, remedy }: RecoveryWay, dossier: Dossier, belief: CausesBelief, now: string): Section | null {
  if (!plan.zone) return null;
  const fresh = buildSection(belief.view.belief, plan.zone);
  if (!REMEDY_RATES[remedy].over) return fresh;
  const below = drawStory(belief, now).layers.map((layer) =>
    layer.kind === 'coat' ? { ...layer, suspect: false } : layer,
  );
  const above = fresh.layers.filter(({ kind }) => kind === 'coat' || kind === 'tooth');
  return { layers: [...below, ...above] };
}

function Leave({ way, may, onTake }: { way: LeavingWay; may: boolean; onTake: () => void }) {
  const wide = useIsWide();
  return (
    <Card gap="$s" flex={wide ? 1 : undefined}>
      <Strong>{nameLeaving(way.how)}</Strong>
      <Body>{sayLeaving(way)}</Body>
      {way.worsens >= 0.5 ? <StateMark tone="wait">{WAYS_OUT_WORDS.moreLikelyThanNotItGoes}</StateMark> : null}
      {may ? (
        <Row>
          <Button onPress={onTake}>{nameLeaving(way.how)}</Button>
        </Row>
      ) : null}
    </Card>
  );
}
