import Svg, { Circle, Line, Path, Rect } from 'react-native-svg';
import { Body, Column, Disclosure, LinkButton, Row, Small, useTones } from '@/client/ui';

interface Step {
  draw: 'warning' | 'download' | 'settings' | 'switch' | 'home';
  text: string;
}

const FIRST: readonly Step[] = [
  {
    draw: 'warning',
    text: 'The phone warns that the connection is not private. It says so of every address nobody in the wide world vouches for, and nobody outside can vouch for a computer in your house. Look for “Details” or “Advanced” and go on to the address.',
  },
  { draw: 'download', text: 'Download the workshop’s certificate with the button here.' },
];
const WAYS: readonly { label: string; steps: readonly Step[] }[] = [
  {
    label: 'If your phone’s settings have a page “General”',
    steps: [
      { draw: 'settings', text: 'Settings, at the top: “Profile downloaded”. Install it.' },
      {
        draw: 'switch',
        text: 'Settings, General, About, at the end “Certificate trust settings”: turn on “Bricolage workshop authority”.',
      },
    ],
  },
  {
    label: 'If your phone’s settings have a page “Security”',
    steps: [
      {
        draw: 'settings',
        text: 'Settings, search for “certificate”: install a certificate, of the kind “CA certificate”. The phone says that this lets somebody watch your traffic: this one can vouch only for addresses inside your house.',
      },
      { draw: 'switch', text: 'Pick the file you downloaded.' },
    ],
  },
];
const LAST: readonly Step[] = [
  { draw: 'home', text: 'Open the address again. The warning is gone, and Bricolage can be added to the home screen.' },
];

/** How a phone comes to trust the shop: what it will show, and why that is right. */
export function TrustSteps({ fingerprint }: { fingerprint?: string | undefined }) {
  const [way] = WAYS;
  return (
    <Column gap="$m">
      <Steps steps={FIRST} />
      <LinkButton href="/authority.crt">Download the certificate</LinkButton>
      {fingerprint ? <Small>{`Its fingerprint (SHA-256), should the phone show one: ${fingerprint}`}</Small> : null}
      {WAYS.map((own) => (
        <Disclosure key={own.label} label={own.label}>
          {() => <Steps steps={own.steps} from={FIRST.length} />}
        </Disclosure>
      ))}
      <Steps steps={LAST} from={FIRST.length + way!.steps.length} />
      <Small>
        The key of this authority lies on the computer of the workshop and nowhere else, and it is good for private
        addresses and names ending in .local alone. Remove it from the phone’s settings when you no longer use it.
      </Small>
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
