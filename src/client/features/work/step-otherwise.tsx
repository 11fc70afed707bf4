import { useState } from 'react';
import { Body, Button, Column, Field, Row } from '@/client/ui';
import { readNumber } from '@/core/shared';
import type { Doing, Task } from '@/core/work';
import { STEP_OTHERWISE_WORDS, sayWhy } from '@/words';

interface OtherwiseProps {
  task: Task;
  open: boolean;
  onLog: (task: Task, doing: Omit<Doing, 'at' | 'climate'>) => void;
  tin: Doing['tin'];
}

/** Why a step is there, and the other ways to log it: with its minutes, thinned, or left out on purpose. */
export function Otherwise({ task, open, onLog, tin }: OtherwiseProps) {
  const [minutes, setMinutes] = useState('');
  const [thinned, setThinned] = useState('');
  const [note, setNote] = useState('');
  const wrong = (text: string, most: number): string | undefined =>
    text !== '' && (readNumber(text) === undefined || readNumber(text)! > most)
      ? STEP_OTHERWISE_WORDS.aNumberFrom0To(most)
      : undefined;
  const right = wrong(minutes, 600) === undefined && wrong(thinned, 100) === undefined;
  const doing = {
    ...(tin ? { tin } : {}),
    ...(readNumber(minutes) === undefined ? {} : { minutes: readNumber(minutes)! }),
    ...(readNumber(thinned) === undefined ? {} : { thinnedPct: readNumber(thinned)! }),
    ...(note ? { note } : {}),
  };
  return (
    <Column gap="$m">
      <Body>{sayWhy(task.why)}</Body>
      {open ? (
        <>
          <Field
            label={STEP_OTHERWISE_WORDS.took}
            unit={STEP_OTHERWISE_WORDS.min}
            numeric
            step={5}
            most={600}
            value={minutes}
            onChange={setMinutes}
            error={wrong(minutes, 600)}
          />
          {task.ml > 0 ? (
            <Field
              label={STEP_OTHERWISE_WORDS.thinnedBy}
              unit={STEP_OTHERWISE_WORDS.ofThePaint}
              numeric
              value={thinned}
              onChange={setThinned}
              error={wrong(thinned, 100)}
            />
          ) : null}
          <Field label={STEP_OTHERWISE_WORDS.note} value={note} onChange={setNote} />
          <Row gap="$s" flexWrap="wrap">
            <Button disabled={!right} onPress={() => onLog(task, doing)}>
              {STEP_OTHERWISE_WORDS.doneWithThis}
            </Button>
            <Button disabled={!right} onPress={() => onLog(task, { ...doing, skipped: true })}>
              {STEP_OTHERWISE_WORDS.leftOutOnPurpose}
            </Button>
          </Row>
        </>
      ) : null}
    </Column>
  );
}
