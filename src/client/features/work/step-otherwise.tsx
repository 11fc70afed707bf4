import { useState } from 'react';
import { Body, Button, Column, Field, Row } from '@/client/ui';
import { readNumber } from '@/core/shared';
import type { Doing, Task } from '@/core/work';
import { sayWhy } from '@/words';

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
      ? `A number from 0 to ${most}.`
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
            label="Took"
            unit="min"
            numeric
            step={5}
            most={600}
            value={minutes}
            onChange={setMinutes}
            error={wrong(minutes, 600)}
          />
          {task.ml > 0 ? (
            <Field
              label="Thinned by"
              unit="% of the paint"
              numeric
              value={thinned}
              onChange={setThinned}
              error={wrong(thinned, 100)}
            />
          ) : null}
          <Field label="Note" value={note} onChange={setNote} />
          <Row gap="$s" flexWrap="wrap">
            <Button disabled={!right} onPress={() => onLog(task, doing)}>
              Done, with this
            </Button>
            <Button disabled={!right} onPress={() => onLog(task, { ...doing, skipped: true })}>
              Left out on purpose
            </Button>
          </Row>
        </>
      ) : null}
    </Column>
  );
}
