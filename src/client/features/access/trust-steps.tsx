import Svg, { Circle, Line, Path, Rect } from 'react-native-svg';
import { Body, Column, Disclosure, LinkButton, Row, Small, useTones } from '@/client/ui';
import { TRUST_STEPS_WORDS } from '@/words';

interface Step {
  draw: 'warning' | 'download' | 'settings' | 'switch' | 'home';
  text: string;
}

const FIRST: readonly Step[] = [
  {
    draw: 'warning',
    text: TRUST_STEPS_WORDS.thePhoneWarnsThatTheConnection,
  },
  { draw: 'download', text: TRUST_STEPS_WORDS.downloadTheWorkshopsCertificateWith },
];
const WAYS: readonly { label: string; steps: readonly Step[] }[] = [
  {
    label: TRUST_STEPS_WORDS.whereItSaysGeneral,
    steps: [
      { draw: 'settings', text: TRUST_STEPS_WORDS.settingsAtTheTopProfileDownloaded },
      {
        draw: 'switch',
        text: TRUST_STEPS_WORDS.settingsGeneralAboutAtTheEnd,
      },
    ],
  },
  {
    label: TRUST_STEPS_WORDS.whereItSaysSecurity,
    steps: [
      {
        draw: 'settings',
        text: TRUST_STEPS_WORDS.settingsSearchForCertificateInstall,
      },
      { draw: 'switch', text: TRUST_STEPS_WORDS.pickTheFileYouDownloaded },
    ],
  },
];
const LAST: readonly Step[] = [{ draw: 'home', text: TRUST_STEPS_WORDS.openTheAddressAgainTheWarning }];

/** How a phone comes to trust the shop: what it will show, and why that is right. */
export function TrustSteps({ fingerprint }: { fingerprint?: string | undefined }) {
  const [way] = WAYS;
  return (
    <Column gap="$m">
      <Steps steps={FIRST} />
      <LinkButton href="/authority.crt">{TRUST_STEPS_WORDS.downloadTheCertificate}</LinkButton>
      {fingerprint ? <Small>{TRUST_STEPS_WORDS.itsFingerprintSha256ShouldThe(fingerprint)}</Small> : null}
      {WAYS.map((own) => (
        <Disclosure key={own.label} label={own.label}>
          {() => <Steps steps={own.steps} from={FIRST.length} />}
        </Disclosure>
      ))}
      <Steps steps={LAST} from={FIRST.length + way!.steps.length} />
      <Small>{TRUST_STEPS_WORDS.theKeyOfThisAuthorityLies}</Small>
    </Column>
  );
}

function Steps({ steps, from = 0 }: { steps: readonly Step[]; from?: number }) {
  return (
    <Column role="list" gap="$m">
      {steps.map(({ draw, text }, i) => (
        <Row key={draw} role="listitem" gap="$m" alignItems="flex-start">
          <StepDrawing draw={draw} />
          <Body flex={1}>{`${from + i + 1}. ${text}`}</Body>
        </Row>
      ))}
    </Column>
  );
}

/** A small phone with what it shows at this step. */
function StepDrawing({ draw }: Pick<Step, 'draw'>) {
  const { ink, act, wait, card, line } = useTones();
  return (
    <Svg width={44} height={64} viewBox="0 0 44 64" aria-hidden>
      <Rect x={2} y={2} width={40} height={60} rx={6} fill={card} stroke={ink} strokeWidth={2} />
      <Line x1={17} y1={57} x2={27} y2={57} stroke={line} strokeWidth={2} />
      {draw === 'warning' ? (
        <Path d="M22 16 L34 38 H10 Z M22 24 v7 M22 34 v1" fill="none" stroke={wait} strokeWidth={2.5} />
      ) : null}
      {draw === 'download' ? (
        <Path d="M22 14 v20 M14 27 l8 8 l8 -8 M12 42 h20" fill="none" stroke={act} strokeWidth={2.5} />
      ) : null}
      {draw === 'settings' ? (
        <>
          <Path d="M9 16 h26 M9 26 h26 M9 36 h26 M9 46 h26" stroke={line} strokeWidth={3} />
          <Path d="M9 16 h26" stroke={act} strokeWidth={5} />
        </>
      ) : null}
      {draw === 'switch' ? (
        <>
          <Rect x={11} y={22} width={22} height={13} rx={6.5} fill={act} />
          <Circle cx={26.5} cy={28.5} r={4.5} fill={card} />
        </>
      ) : null}
      {draw === 'home' ? (
        <>
          <Path d="M10 14 h8 v8 h-8 z M26 14 h8 v8 h-8 z M10 30 h8 v8 h-8 z" fill={line} />
          <Path d="M26 30 h8 v8 h-8 z" fill={act} />
        </>
      ) : null}
    </Svg>
  );
}
