import {
  PREP_FACTS,
  PRIMER_FACTS,
  TEST_KIND_FACTS,
  TOPCOAT_FACTS,
  PATCH_LOOKS,
  type InterfaceCode,
  type PatchLook,
  type TestKind,
} from '@/core/knowledge';
import type { Treatment } from '@/core/dossier';
import { severityOf, type GateReason, type JudgedTest, type Lack, type Proof } from '@/core/proof';
import { lowerFirst } from '@/core/shared';
import { DEFAULT_LOCALE } from './language';
import { lookUp, type Words } from './look-up';

/** "Scuff 150, shellac primer ×2". */
export const describeTreatment = (treatment: Treatment | undefined): string => {
  const { prep = 'none', primer = 'none', coats = 1, paint, clear = 'none' } = treatment ?? {};
  const primed = primer === 'none' ? [] : [`${lowerFirst(PRIMER_FACTS[primer].label)}${coats > 1 ? ` ×${coats}` : ''}`];
  // On wood the clear coat is what is proved.
  const cleared = paint === undefined && clear !== 'none' ? [lowerFirst(TOPCOAT_FACTS[clear].label)] : [];
  const put = [...primed, ...cleared];
  return `${PREP_FACTS[prep].label}, ${put.join(', ') || 'no primer'}`;
};

/** Where a coat let go. */
export const INTERFACE_LABELS: Record<InterfaceCode, string> = {
  paint_from_paint: 'Between paint coats',
  paint_from_primer: 'Paint off primer',
  primer_from_substrate: 'Primer off the surface',
  old_coat_from_substrate: 'Old coat off the surface',
  substrate_itself: 'In the surface itself',
};

const LACKS: Record<Lack, string> = {
  treatment: 'the record lacks what was put on the patch',
  age: 'the record lacks the age of the patch',
  confidence: 'the picture leaves the class a guess: take it again, or look and log it by eye',
};

/** How a patch of a clear finish looks. */
export const LOOK_LABELS: Record<PatchLook, string> = {
  wrinkled: 'Wrinkled',
  blushed: 'White haze',
  blotchy: 'Blotchy',
};
const LOOK_CURES: Record<PatchLook, string> = {
  wrinkled: 'The coats do not take each other: another clear coat, or bare wood first.',
  blushed: 'Damp was caught in it: put it on thinner, in drier air, or use another.',
  blotchy: 'Stain looks blotchy: condition the wood first if you mind it.',
};
const sayLooks = (looks: readonly PatchLook[] = []): string =>
  looks.map((look) => ` ${LOOK_LABELS[look]}. ${LOOK_CURES[look]}`).join('');

/** What came of a reading. */
export const sayVerdict = (judged: JudgedTest): string => `${sayHold(judged)}${sayLooks(judged.looks)}`;

function sayHold({ verdict, severity, ageH, countsFromH, lacks, limit, letGo, looks = [] }: JudgedTest): string {
  // It is by its looks that it failed: how it held then says little.
  if (verdict === 'fail' && looks.some((look) => PATCH_LOOKS[look].spoils)) return 'It does not pass as it looks.';
  const place = letGo ? ` It let go ${lowerFirst(INTERFACE_LABELS[letGo])}.` : '';
  switch (verdict) {
    case 'incomplete':
      return `Severity ${severity} of 5, but ${LACKS[lacks ?? 'age']}.`;
    case 'early':
      return `Severity ${severity} of 5 at ${ageH} h, early. Readings count from ${countsFromH} h.${place}`;
    case 'pass':
      return `Severity ${severity} of 5 at ${ageH} h. It holds.`;
    case 'fail':
      return `Severity ${severity} of 5 at ${ageH} h, and ${sayLimit(limit)} is the most that passes.${place}`;
  }
}

const sayLimit = (limit: JudgedTest['limit']): string =>
  'severity' in limit
    ? String(limit.severity)
    : `a mean ΔE00 of ${limit.deMean} with ${limit.deWorst} at the worst spot`;

/** The same with the test it is about. */
export const sayTest = (judged: JudgedTest): string =>
  `${TEST_KIND_FACTS[judged.kind].label}: ${lowerFirst(sayVerdict(judged))}`;

/** What shows it. */
export const TOUCHES: Record<Proof, string> = {
  nail: 'a thumbnail',
  cross_cut: 'a cross-cut or a fork',
  no_bleed: 'a bleed watch',
};
const UNCOVERED = { colour: 'colour coat', clear: 'clear coat' } as const;
const sayMoment = (at: '48h' | '7d'): string => (at === '48h' ? '48 hours' : 'a week');

const DAY = new Intl.DateTimeFormat(DEFAULT_LOCALE, { day: 'numeric', month: 'long', year: 'numeric' });
/** The day of an instant as files have it, whatever the zone of whoever reads it. */
function dayOf(at: string): string {
  const [year, month, day] = at.slice(0, 10).split('-').map(Number) as [number, number, number];
  return DAY.format(new Date(year, month - 1, day));
}

type ReasonOf<C extends GateReason['code']> = Extract<GateReason, { code: C }>;

const REASONS: { [C in GateReason['code']]: Words<ReasonOf<C>> } = {
  left: 'This zone is left as it is.',
  nothing_put_on: 'Nothing is put on this zone.',
  overridden: ({ reason }) => `Passed over by you: “${reason}” It stays in the record.`,
  held: ({ treatments }) => `Held at the right age: ${treatments.map(describeTreatment).join('; ')}.`,
  failed: ({ test, treatment }) => (treatment ? `${describeTreatment(treatment)}. ${sayTest(test)}` : sayTest(test)),
  untested: ({ treatment }) =>
    `No test yet${treatment ? ` for ${lowerFirst(describeTreatment(treatment))}` : ''}. Nothing more goes on until a patch has held.`,
  wants: ({ treatment, touches, countsFromH }) => {
    const later = countsFromH === undefined ? '' : ` Readings count from ${countsFromH} h.`;
    const wanted = touches.map((touch) => TOUCHES[touch]).join(' and ');
    return `${describeTreatment(treatment)}: still wants ${wanted}.${later}`;
  },
  hidden_by_dark: 'Dark paint hides most bleed.',
  no_stain_expected: 'No stain is to be expected here.',
  no_bleed: ({ at, uncovered }) => {
    const named = uncovered.map((layer) => UNCOVERED[layer]).join(' and no ');
    const rest = named === '' ? '' : ` The patch had no ${named} on it: that was not proved.`;
    return `No colour came through in ${sayMoment(at)}.${rest}`;
  },
  bleed_wait: ({ at, incomplete, lastLookH }) => {
    const sofar = incomplete
      ? ` ${sayTest(incomplete)}`
      : lastLookH === undefined
        ? ''
        : ` The last look was at ${lastLookH} h.`;
    return `Colour may come through long after the last coat: read the patch after ${sayMoment(at)}.${sofar}`;
  },
  no_coat_yet: 'No coat is in the log yet.',
  cured: ({ since }) => `Cured since ${dayOf(since)}.`,
  cures: ({ days, until }) => `It cures for ${days} days from the last coat: until ${dayOf(until)}.`,
};

/** Why a gate stands as it does. */
export const sayGate = ({ because }: { because: GateReason }): string => lookUp(REASONS, because.code, because);

/** What an answer of a test is called, before what it means. */
export const nameReading = (kind: TestKind, code: string): string =>
  TEST_KIND_FACTS[kind].reads === 'lattice' ? `Class ${code}` : code;

/** What was read, as it was written down. Example: `{ removed_pct: 12 }` → “12 % bare”. */
export function sayReading(kind: TestKind, reading: Readonly<Record<string, unknown>>): string {
  const { removed_pct, double_rubs, grade, de_mean, de_worst } = reading;
  if (typeof removed_pct === 'number') return `${removed_pct} % bare`;
  if (typeof double_rubs === 'number') return `${double_rubs} double rubs`;
  if (typeof grade === 'string') return `pencil ${grade}`;
  if (typeof de_mean === 'number') return `ΔE00 ${de_mean} on average, ${Number(de_worst)} at the worst spot`;
  const severity = severityOf(kind, reading);
  return `severity ${severity} of 5: ${TEST_KIND_FACTS[kind].anchors?.[severity] ?? ''}`;
}
