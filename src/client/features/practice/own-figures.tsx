import Svg, { Line, Path, Text } from 'react-native-svg';
import { useSetup } from '@/client/store';
import { Body, Card, Column, Disclosure, FONT, Heading, Small, Strong, Toggle, useTones } from '@/client/ui';
import { findCheck, MISREADING_RATE } from '@/core/knowledge';
import { calibrate, measureSlips, tellProgress, type KindProgress } from '@/core/practice';
import type { Workshop } from '@/core/workshop';
import { OWN_FIGURES_WORDS, nameExercise, sayCalibration } from '@/words';

/** What was learnt so far: how sure one may be, how it went, and how often each look is misread. */
export function OwnFigures({ workshop }: { workshop: Workshop }) {
  const { practice } = workshop;
  if (practice.length === 0) return null;
  return (
    <Column gap="$l">
      <Card gap="$s" render="section" aria-label={OWN_FIGURES_WORDS.howSureYouMayBe}>
        <Heading>{OWN_FIGURES_WORDS.howSureYouMayBe}</Heading>
        {calibrate(practice).map((own) => (
          <Body key={own.confidence}>{sayCalibration(own)}</Body>
        ))}
        <Small>{OWN_FIGURES_WORDS.fewAnswersAreDrawnToYour}</Small>
      </Card>
      <Card gap="$m" render="section" aria-label={OWN_FIGURES_WORDS.howItWent}>
        <Heading>{OWN_FIGURES_WORDS.howItWent}</Heading>
        {tellProgress(practice).map((own) => (
          <ProgressCurve key={own.kind} progress={own} />
        ))}
      </Card>
      <OwnMisreadings workshop={workshop} />
    </Column>
  );
}

const WIDTH = 300;
const HEIGHT = 64;

/** Share right after each answer, newest at the right. */
function ProgressCurve({ progress: { kind, answers, curve } }: { progress: KindProgress }) {
  const tones = useTones();
  const last = Math.round(curve.at(-1)! * 10);
  const x = (i: number): number => 28 + (curve.length < 2 ? 0 : (i / (curve.length - 1)) * (WIDTH - 36));
  const y = (share: number): number => 6 + (1 - share) * (HEIGHT - 12);
  const path = curve.map((share, i) => `${i === 0 ? 'M' : 'L'}${x(i).toFixed(1)} ${y(share).toFixed(1)}`).join('');
  const words = { fontFamily: FONT.text, fontSize: 11, fill: tones.softInk };
  const said = OWN_FIGURES_WORDS.in10RightLatelyOf(last, answers);
  return (
    <Column gap={2}>
      <Strong>{nameExercise(kind)}</Strong>
      <Small>{said}</Small>
      {curve.length > 2 ? (
        <Svg
          width="100%"
          height={HEIGHT}
          viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
          role="img"
          aria-label={`${nameExercise(kind)}: ${said}`}
        >
          {[0, 0.5, 1].map((share) => (
            <Line key={share} x1={28} x2={WIDTH - 8} y1={y(share)} y2={y(share)} stroke={tones.line} />
          ))}
          <Text x={2} y={y(1) + 5} {...words}>
            {OWN_FIGURES_WORDS.all}
          </Text>
          <Text x={2} y={y(0) + 2} {...words}>
            {OWN_FIGURES_WORDS.none}
          </Text>
          <Path d={path} fill="none" stroke={tones.act} strokeWidth={2.4} strokeLinejoin="round" />
        </Svg>
      ) : null}
    </Column>
  );
}

/** Looks that were read, and whether what was measured is to count in the shop's own diagnoses. */
function OwnMisreadings({ workshop }: { workshop: Workshop }) {
  const setUp = useSetup(workshop);
  const slips = measureSlips(workshop.practice);
  const on = workshop.setup.own_misreadings === true;
  if (slips.length === 0 && !on) return null;
  const percent = (rate: number): string => `${Math.round(rate * 100)} %`;
  return (
    <Card gap="$m" render="section" aria-label={OWN_FIGURES_WORDS.howOftenYouMisread}>
      <Heading>{OWN_FIGURES_WORDS.howOftenYouMisread}</Heading>
      <Body>{OWN_FIGURES_WORDS.aDiagnosisTakesEverybodyToMisread(percent(MISREADING_RATE))}</Body>
      <Toggle
        label={OWN_FIGURES_WORDS.countItInMyDiagnoses}
        on={on}
        onPress={() => setUp({ own_misreadings: on ? undefined : true })}
      />
      <Disclosure label={OWN_FIGURES_WORDS.whatWasMeasured}>
        {() => (
          <Column gap="$xs" role="list" aria-label={OWN_FIGURES_WORDS.misreadingsByCheck}>
            {slips.map(({ check, looks, slips: wrong, rate }) => (
              <Small key={check} role="listitem" color="$ink">
                {OWN_FIGURES_WORDS.ofMisreadTakenAs(findCheck(check)!.title, wrong, looks, percent(rate))}
              </Small>
            ))}
            <Small>{OWN_FIGURES_WORDS.twentyLooksOfEverybodyAreCounted}</Small>
          </Column>
        )}
      </Disclosure>
    </Card>
  );
}
