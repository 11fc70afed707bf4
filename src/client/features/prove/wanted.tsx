import { Button, Column, Notice, StateMark, Strong, type Tone } from '@/client/ui';
import { zoneName, type Dossier, type Zone } from '@/core/dossier';
import { judgePrimeGate, listWanted, type Requirement } from '@/core/proof';
import { lowerFirst } from '@/core/shared';
import { WANTED_WORDS, sayLogged, sayWanted } from '@/words';

const TONES: Record<Requirement['state'], Tone> = {
  met: 'go',
  failed: 'stop',
  early: 'wait',
  incomplete: 'wait',
  missing: 'act',
};

/** What the zone still has to show before it is painted, each with its state. */
export function Wanted({ dossier, zone }: { dossier: Dossier; zone: Zone }) {
  const wanted = listWanted(dossier, zone);
  if (wanted.length === 0) return null;
  return (
    <Column gap="$xs" role="list" aria-label={WANTED_WORDS.wanted}>
      <Strong>{WANTED_WORDS.wanted}</Strong>
      {wanted.map((own) => (
        <Column key={own.shows} role="listitem">
          <StateMark tone={TONES[own.state]}>{sayWanted(own)}</StateMark>
        </Column>
      ))}
    </Column>
  );
}

interface LoggedProps {
  dossier: Dossier;
  zone: Zone;
  /** The test that was logged last. */
  testId: string;
  /** Zones that are still to be proved. */
  next: readonly Zone[];
  onNext: (id: string) => void;
}

/** What came of the test just logged, with what is still wanted here; the next zone is offered, never switched to. */
export function Logged({ dossier, zone, testId, next, onNext }: LoggedProps) {
  const test = dossier.tests?.find(({ id }) => id === testId);
  if (!test) return null;
  const open = judgePrimeGate(dossier, zone).state === 'open';
  const said = sayLogged(test, dossier, listWanted(dossier, zone));
  return (
    <Notice
      live
      tone={open ? 'go' : said.held ? 'wait' : 'stop'}
      title={said.title}
      action={
        open && next[0] ? (
          <Button onPress={() => onNext(next[0]!.id)}>{WANTED_WORDS.goOnWith(lowerFirst(zoneName(next[0])))}</Button>
        ) : undefined
      }
    >
      {said.rest}
    </Notice>
  );
}
