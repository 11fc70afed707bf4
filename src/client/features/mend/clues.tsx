import { useState } from 'react';
import { Button, Choices, Column, Field, Heading, Row, Sheet, Small } from '@/client/ui';
import type { Trouble } from '@/core/dossier';
import { findClue, findSymptom, type ClueCode } from '@/core/knowledge';
import { readNumber } from '@/core/shared';
import { findNextClue, readClues, type CausesBelief } from '@/core/trouble';
import { CLUES_WORDS, askClue, sayAnswer, sayNextClue } from '@/words';

interface CluesProps {
  trouble: Trouble;
  belief: CausesBelief;
  /** It is still to be found out. */
  open: boolean;
  onTell: (clues: NonNullable<Trouble['clues']>) => void;
}

/** One look at a time, the one that may change the way out most; any other may be told as well. */
export function Clues({ trouble, belief, open, onTell }: CluesProps) {
  const [passed, setPassed] = useState<readonly ClueCode[]>([]);
  const next = findNextClue(belief);
  const { clues: asked } = findSymptom(trouble.symptom);
  const told = (clue: ClueCode): boolean => trouble.clues?.[clue] !== undefined;
  const left = asked.filter((clue) => !told(clue));
  const current = next && !passed.includes(next.clue) ? next.clue : null;
  const tell = (clue: ClueCode, answer: string | number): void => onTell({ ...trouble.clues, [clue]: answer });
  const takeBack = (clue: ClueCode): void => {
    const { [clue]: _gone, ...rest } = trouble.clues ?? {};
    onTell(rest);
  };
  return (
    <Column gap="$m" render="section" aria-label={CLUES_WORDS.clues}>
      {!open ? (
        <Heading>{CLUES_WORDS.whatItLookedLike}</Heading>
      ) : current ? (
        <>
          <Column gap="$xs">
            <Heading>{askClue(current)}</Heading>
            <Small>{sayNextClue(next!.turnsTo)}</Small>
          </Column>
          <Answer clue={current} onTell={(answer) => tell(current, answer)} />
          <Row>
            <Button onPress={() => setPassed([...passed, current])}>{CLUES_WORDS.cantTell}</Button>
          </Row>
        </>
      ) : (
        <Column gap="$xs">
          <Heading>{CLUES_WORDS.nothingLeftToLookAtWould}</Heading>
          <Small>{CLUES_WORDS.whatYouTellBesidesMakesThe}</Small>
        </Column>
      )}
      <Told trouble={trouble} belief={belief} {...(open ? { onTakeBack: takeBack } : {})} />
      {open && left.length > 0 ? (
        <Sheet label={CLUES_WORDS.tellMoreOfHowItLooks}>
          {(close) => (
            <Column gap="$l">
              {left.map((clue) => (
                <Column key={clue} gap="$s">
                  <Heading>{askClue(clue)}</Heading>
                  <Answer
                    clue={clue}
                    onTell={(answer) => {
                      close();
                      tell(clue, answer);
                    }}
                  />
                </Column>
              ))}
            </Column>
          )}
        </Sheet>
      ) : null}
    </Column>
  );
}

function Answer({ clue, onTell }: { clue: ClueCode; onTell: (answer: string | number) => void }) {
  const { answers, number } = findClue(clue);
  if (number) return <NumberAnswer clue={clue} unit={number.unit} onTell={onTell} />;
  return (
    <Choices
      label={askClue(clue)}
      tileWidth={140}
      options={answers.map((code) => ({ code, label: sayAnswer(clue, code) }))}
      onPick={onTell}
    />
  );
}

/** Told in days; kept as the clue has it. */
function NumberAnswer({ clue, unit, onTell }: { clue: ClueCode; unit: 'h' | 'd'; onTell: (answer: number) => void }) {
  const [text, setText] = useState('');
  const days = readNumber(text);
  const most = findClue(clue).number!.max / (unit === 'h' ? 24 : 1);
  const wrong = text !== '' && (days === undefined || days < 0 || days > most);
  return (
    <Column gap="$s">
      <Field
        label={CLUES_WORDS.days}
        unit={CLUES_WORDS.daysUnit}
        numeric
        value={text}
        onChange={setText}
        error={wrong ? CLUES_WORDS.daysOutOfRange(Math.floor(most)) : undefined}
      />
      <Row>
        <Button
          look="main"
          disabled={text === '' || wrong}
          onPress={() => days !== undefined && onTell(unit === 'h' ? days * 24 : days)}
        >
          {CLUES_WORDS.keep}
        </Button>
      </Row>
    </Column>
  );
}

interface ToldProps {
  trouble: Trouble;
  belief: CausesBelief;
  onTakeBack?: (clue: ClueCode) => void;
}

/** What was told, and what the log tells by itself. */
function Told({ trouble, belief, onTakeBack }: ToldProps) {
  const known = readClues(trouble, belief.view);
  if (known.length === 0) return null;
  return (
    <Column role="list" gap="$xs" aria-label={CLUES_WORDS.toldSoFar}>
      {known.map(({ clue, answer }) => (
        <Row key={clue} role="listitem" gap="$s" alignItems="center" justifyContent="space-between">
          <Column flex={1}>
            <Small>{askClue(clue)}</Small>
            <Small color="$ink">
              {trouble.clues?.[clue] === undefined
                ? CLUES_WORDS.byTheLog(sayAnswer(clue, answer))
                : sayAnswer(clue, answer)}
            </Small>
          </Column>
          {trouble.clues?.[clue] === undefined || !onTakeBack ? null : (
            <Button look="quiet" label={CLUES_WORDS.takeBackNamed(askClue(clue))} onPress={() => onTakeBack(clue)}>
              {CLUES_WORDS.takeBack}
            </Button>
          )}
        </Row>
      ))}
    </Column>
  );
}
