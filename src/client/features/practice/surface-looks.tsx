import { useMemo, useState } from 'react';
import { Button, Choices, Column, Heading, Row, Small, Sheet, Strong, useKeys } from '@/client/ui';
import { findCheck, KIND_LABELS } from '@/core/knowledge';
import type { SurfaceExercise } from '@/core/practice';
import { lowerFirst } from '@/core/shared';
import type { PracticeLook } from '@/core/workshop';
import { SURFACE_LOOKS_WORDS, nameAnswer, ROLE_LABELS } from '@/words';
import { MadePicture } from './made-picture';

interface SurfaceLooksProps {
  exercise: SurfaceExercise;
  looks: readonly PracticeLook[];
  onLook: (look: PracticeLook) => void;
  /** A picture is being read: its answers have the keys. */
  reading: string | null;
  onRead: (check: string | null) => void;
}

/** Looks at a made-up surface, each at its price in minutes. What is seen is read off a picture; what is felt is told. */
export function SurfaceLooks({ exercise, looks, onLook, reading, onRead }: SurfaceLooksProps) {
  const minutes = looks.reduce((sum, { check }) => sum + (findCheck(check)?.minutes ?? 0), 0);
  const made = new Set(looks.map(({ check }) => check));
  const left = exercise.checks.filter(({ check }) => !made.has(check));
  const look = (check: string, pictured: boolean): void => {
    const showed = exercise.shows.get(check)!;
    if (pictured) onRead(check);
    else onLook({ check, showed, said: showed });
  };
  return (
    <Column gap="$m">
      <Small>{sayWhere(exercise)}</Small>
      {looks.length > 0 ? (
        <Column role="list" aria-label={SURFACE_LOOKS_WORDS.looksSoFar} gap="$xs">
          {looks.map(({ check, said }) => (
            <Small key={check} role="listitem" color="$ink">
              {`${findCheck(check)!.title}: ${lowerFirst(nameAnswer(check, said))}`}
            </Small>
          ))}
          <Small>{SURFACE_LOOKS_WORDS.ofLookingSoFar(sayMinutes(minutes))}</Small>
        </Column>
      ) : null}
      {reading ? (
        <ReadLook exercise={exercise} check={reading} onLook={onLook} onLeave={() => onRead(null)} />
      ) : (
        <Row>
          <Sheet label={looks.length === 0 ? SURFACE_LOOKS_WORDS.takeAFirstLook : SURFACE_LOOKS_WORDS.takeAnotherLook}>
            {(close) => (
              <Choices
                label={SURFACE_LOOKS_WORDS.looks}
                options={left.map(({ check, minutes: takes, pictured }) => ({
                  code: check,
                  label: `${findCheck(check)!.title} (${sayMinutes(takes)}${pictured ? '' : SURFACE_LOOKS_WORDS.told})`,
                }))}
                onPick={(check) => {
                  close();
                  look(check, left.find((own) => own.check === check)!.pictured);
                }}
              />
            )}
          </Sheet>
        </Row>
      )}
    </Column>
  );
}

const sayMinutes = (minutes: number): string =>
  minutes < 1
    ? SURFACE_LOOKS_WORDS.s(Math.round(minutes * 60))
    : SURFACE_LOOKS_WORDS.min(Math.round(minutes * 10) / 10);

const ERAS = {
  before_1940: SURFACE_LOOKS_WORDS.madeBefore1940,
  '1940_1977': SURFACE_LOOKS_WORDS.madeBetween1940And1977,
  '1978_1999': SURFACE_LOOKS_WORDS.madeBetween1978And1999,
  since_2000: SURFACE_LOOKS_WORDS.madeSince2000,
  unknown: SURFACE_LOOKS_WORDS.nobodyKnowsWhenItWasMade,
} as const;

function sayWhere({ surface: { kind, role, history } }: SurfaceExercise): string {
  const facts = [
    SURFACE_LOOKS_WORDS.ofA(ROLE_LABELS[role], lowerFirst(KIND_LABELS[kind])),
    ERAS[history.era ?? 'unknown'],
    history.painted_before === 'yes' ? SURFACE_LOOKS_WORDS.saidToBePaintedOver : '',
    history.flatpack_marks === 'yes' ? SURFACE_LOOKS_WORDS.withTheHolesAndCamsOf : '',
    history.room ? SURFACE_LOOKS_WORDS.stoodInThe(history.room) : '',
  ];
  return `${facts.filter(Boolean).join('; ')}.`;
}

interface ReadLookProps {
  exercise: SurfaceExercise;
  check: string;
  onLook: (look: PracticeLook) => void;
  onLeave: () => void;
}

function ReadLook({ exercise, check, onLook, onLeave }: ReadLookProps) {
  const [said, setSaid] = useState(false);
  const { title, where, answers } = findCheck(check)!;
  const showed = exercise.shows.get(check)!;
  const read = useMemo(
    () => (code: string) => {
      setSaid(true);
      onLook({ check, showed, said: code });
    },
    [check, showed, onLook],
  );
  useKeys(
    useMemo(
      () => (said ? {} : Object.fromEntries(answers.map(({ code }, i) => [String(i + 1), () => read(code)]))),
      [answers, read, said],
    ),
  );
  return (
    <Column gap="$m" render="section" aria-label={SURFACE_LOOKS_WORDS.look}>
      <Column gap="$xs">
        <Heading>{title}</Heading>
        <Small>{`${where}.`}</Small>
      </Column>
      <MadePicture
        spec={{ of: 'check', check, answer: showed, seed: exercise.seed }}
        label={SURFACE_LOOKS_WORDS.whatIsToBeSeen}
      />
      <Strong>{SURFACE_LOOKS_WORDS.whatDoYouSee}</Strong>
      <Choices
        label={title}
        tileWidth={98}
        options={answers.map(({ code, label, hint }) => ({ code, label, ...(hint ? { hint } : {}) }))}
        onPick={read}
      />
      <Row>
        <Button look="quiet" onPress={onLeave}>
          {SURFACE_LOOKS_WORDS.lookAtSomethingElse}
        </Button>
      </Row>
    </Column>
  );
}
