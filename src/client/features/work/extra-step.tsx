import { useState } from 'react';
import { Button, Column, Field, MomentField, Row, SelectField, Sheet, Strong, Toggle } from '@/client/ui';
import { timeNow } from '@/client/store';
import { listTreated, nameZone, type LogEntry } from '@/core/dossier';
import { isWholeCoat, labelProduct, listClassesFor, OPERATION_FACTS, type OperationCode } from '@/core/knowledge';
import { EXTRA_STEP_WORDS } from '@/words';
import { momentOf } from './moments';
import type { WorkView } from './use-work';

/** What people do besides a plan. */
const OFFERED: readonly OperationCode[] = [
  'degrease',
  'scuff',
  'sand',
  'dust',
  'fill',
  'spot_seal',
  'prime',
  'denib',
  'paint',
  'topcoat',
  'repair',
  'strip',
];

/** Something that was done and that no step of the plan stands for: it goes into the log all the same. */
export function ExtraStep({ view }: { view: WorkView }) {
  return <Sheet label={EXTRA_STEP_WORDS.somethingBesides}>{(close) => <ExtraForm view={view} onDone={close} />}</Sheet>;
}

function ExtraForm({ view, onDone }: { view: WorkView; onDone: () => void }) {
  const { piece, timeZone } = view;
  const treated = listTreated(piece.dossier);
  const [op, setOp] = useState<OperationCode>('degrease');
  const [code, setCode] = useState('');
  const [zones, setZones] = useState<readonly string[]>(treated.length === 1 ? [treated[0]!.id] : []);
  const [moment, setMoment] = useState('');
  const [note, setNote] = useState('');
  const classes = listClassesFor(op);
  const at = moment === '' ? timeNow() : momentOf(moment, timeZone);
  const right = zones.length > 0 && at !== undefined && at <= timeNow();
  const keep = (): void => {
    const whole = isWholeCoat(op);
    view.logExtra(
      zones.map((zone): LogEntry => ({
        zone,
        op,
        at: at!,
        extra: true,
        ...(moment === '' ? {} : { logged_at: timeNow() }),
        ...(code === '' ? {} : { class: code }),
        ...(whole ? { coats: 1 } : {}),
        ...(note === '' ? {} : { note }),
      })),
    );
    onDone();
  };
  return (
    <Column gap="$m">
      <SelectField
        label={EXTRA_STEP_WORDS.what}
        value={op}
        options={OFFERED.map((own) => ({ code: own, label: OPERATION_FACTS[own].label }))}
        onPick={(own) => {
          setOp(own as OperationCode);
          setCode('');
        }}
      />
      {classes.length > 0 ? (
        <SelectField
          label={EXTRA_STEP_WORDS.withWhat}
          value={code}
          options={[
            { code: '', label: EXTRA_STEP_WORDS.nothingNamed },
            ...classes.map((own) => ({ code: own, label: labelProduct(own) })),
          ]}
          onPick={setCode}
        />
      ) : null}
      <Column gap="$xs" role="group" aria-label={EXTRA_STEP_WORDS.where}>
        <Strong>{EXTRA_STEP_WORDS.where}</Strong>
        <Row gap="$s" flexWrap="wrap">
          {treated.map(({ id }) => (
            <Toggle
              key={id}
              label={nameZone(piece.dossier, id)}
              on={zones.includes(id)}
              onPress={() => setZones(zones.includes(id) ? zones.filter((own) => own !== id) : [...zones, id])}
            />
          ))}
        </Row>
      </Column>
      <MomentField label={EXTRA_STEP_WORDS.when} kind="datetime-local" value={moment} onChange={setMoment} />
      <Field label={EXTRA_STEP_WORDS.note} value={note} onChange={setNote} />
      <Button look="main" disabled={!right} onPress={keep}>
        {EXTRA_STEP_WORDS.keepIt}
      </Button>
    </Column>
  );
}
