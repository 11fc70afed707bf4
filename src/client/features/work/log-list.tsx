import { useState } from 'react';
import { useMeasures } from '@/client/store';
import { Button, Column, Disclosure, Field, Row, Small, Strong, MomentField, Sheet } from '@/client/ui';
import { correctWork, nameZone, type LogEntry } from '@/core/dossier';
import { OPERATION_FACTS, labelProduct, type ProductClass } from '@/core/knowledge';
import { minuteAt, instantOf } from '@/core/schedule';
import { groupTaps } from '@/core/work';
import type { WorkView } from './use-work';
import { lowerFirst, readNumber } from '@/core/shared';
import { LOG_LIST_WORDS, nameTask } from '@/words';

/** What was done, newest first; every tap can be put right or taken back. */
export function LogList({ view }: { view: WorkView }) {
  const { dossier } = view.piece;
  const taps = groupTaps(dossier.log ?? []).sort((a, b) => Date.parse(b[0]!.at ?? '') - Date.parse(a[0]!.at ?? ''));
  if (taps.length === 0) return null;
  return (
    <Disclosure label={LOG_LIST_WORDS.theLog(taps.length)}>
      {() => (
        <Column role="list" gap="$s">
          {taps.map((entries) => (
            <Tap key={entries[0]!.work ?? entries[0]!.id ?? entries[0]!.at} view={view} entries={entries} />
          ))}
        </Column>
      )}
    </Disclosure>
  );
}

const total = (entries: readonly LogEntry[], value: (entry: LogEntry) => number | undefined): number | undefined => {
  const values = entries.map(value).filter((own) => own !== undefined);
  return values.length === 0 ? undefined : values.reduce((sum, own) => sum + own, 0);
};

function Tap({ view, entries }: { view: WorkView; entries: LogEntry[] }) {
  const { sayVolume, gauge } = useMeasures();
  const { times, now, piece } = view;
  const [first] = entries as [LogEntry, ...LogEntry[]];
  const task = piece.tasks.find(({ key }) => key === first.task);
  const minutes = total(entries, (entry) => entry.minutes);
  const ml = total(entries, (entry) => entry.ml);
  const label =
    (task && nameTask(task)) ??
    `${OPERATION_FACTS[first.op].label}${first.class ? `, ${lowerFirst(labelProduct(first.class as ProductClass))}` : ''}`;
  const facts = [
    first.at ? times.moment(first.at, now) : '',
    entries.map(({ zone }) => nameZone(piece.dossier, zone)).join(', '),
    first.skipped ? LOG_LIST_WORDS.leftOutOnPurpose : '',
    minutes === undefined ? '' : LOG_LIST_WORDS.min(Math.round(minutes)),
    ml === undefined ? '' : sayVolume(ml),
    first.thinned_pct ? LOG_LIST_WORDS.thinned(first.thinned_pct) : '',
    first.temperature_c === undefined
      ? ''
      : `${gauge('temperature_c').say(first.temperature_c)}, ${first.humidity_pct ?? '?'} %`,
    first.earlier && first.earlier.length > 0 ? LOG_LIST_WORDS.putRight(first.earlier.length) : '',
    first.note ?? '',
  ].filter(Boolean);
  return (
    <Column role="listitem" gap="$xs">
      <Strong>{label}</Strong>
      <Small>{facts.join(' · ')}</Small>
      {first.work ? (
        <Sheet label={LOG_LIST_WORDS.putRightNamed(label)}>
          {(close) => <TapForm view={view} entries={entries} minutes={minutes} ml={ml} onDone={close} />}
        </Sheet>
      ) : null}
    </Column>
  );
}

/** One tap put right from elsewhere: what is on the sheet is the same as in the log. */
export function PutRight({ view, work }: { view: WorkView; work: string }) {
  const entries = (view.piece.dossier.log ?? []).filter((entry) => entry.work === work);
  if (entries.length === 0) return null;
  const [minutes, ml] = [total(entries, (entry) => entry.minutes), total(entries, (entry) => entry.ml)];
  return (
    <Sheet label={LOG_LIST_WORDS.putTheLogRight} look="quiet" describes={OPERATION_FACTS[entries[0]!.op].label}>
      {(close) => <TapForm view={view} entries={entries} minutes={minutes} ml={ml} onDone={close} />}
    </Sheet>
  );
}

interface TapFormProps {
  view: WorkView;
  entries: LogEntry[];
  minutes: number | undefined;
  ml: number | undefined;
  onDone: () => void;
}

function TapForm({ view, entries, minutes, ml, onDone }: TapFormProps) {
  const { timeZone } = view;
  const volume = useMeasures().gauge('volume_ml');
  const [first] = entries as [LogEntry, ...LogEntry[]];
  const local = (at: string): string => {
    const parts = new Intl.DateTimeFormat('sv-SE', { timeZone, dateStyle: 'short', timeStyle: 'short' });
    return parts.format(new Date(at)).replace(' ', 'T');
  };
  const [texts, setTexts] = useState({
    at: first.at ? local(first.at) : '',
    minutes: minutes === undefined ? '' : String(Math.round(minutes)),
    ml: volume.write(ml),
    thinned: first.thinned_pct === undefined ? '' : String(first.thinned_pct),
    note: first.note ?? '',
  });
  const set = (name: keyof typeof texts) => (text: string) => setTexts({ ...texts, [name]: text });
  const at = texts.at === '' ? NaN : minuteAt(texts.at.slice(0, 10), texts.at.slice(11, 16), timeZone);
  const errors = {
    at: Number.isNaN(at) ? LOG_LIST_WORDS.sayWhenItWas : undefined,
    minutes:
      texts.minutes !== '' && readNumber(texts.minutes) === undefined ? LOG_LIST_WORDS.minutesAsANumber : undefined,
    ml: texts.ml !== '' && volume.read(texts.ml) === undefined ? LOG_LIST_WORDS.aNumberIn(volume.unit) : undefined,
    thinned:
      texts.thinned !== '' && (readNumber(texts.thinned) ?? 101) > 100 ? LOG_LIST_WORDS.aNumberFrom0To100 : undefined,
  };
  const right = Object.values(errors).every((error) => error === undefined);
  const save = (): void => {
    const share = (value: number | undefined, of: number | undefined, whole: number | undefined): number | undefined =>
      value === undefined
        ? undefined
        : whole
          ? Math.round(((value * (of ?? 0)) / whole) * 10) / 10
          : Math.round((value / entries.length) * 10) / 10;
    // The minute is only changed where it was typed anew.
    const when = first.at && texts.at === local(first.at) ? first.at : instantOf(at);
    const put = entries.flatMap((entry) =>
      correctWork([entry], {
        at: when,
        ...(texts.minutes === '' ? {} : { minutes: share(readNumber(texts.minutes), entry.minutes, minutes)! }),
        ...(texts.ml === '' ? {} : { ml: share(volume.read(texts.ml, ml), entry.ml, ml)! }),
        ...(texts.thinned === '' ? {} : { thinned_pct: readNumber(texts.thinned)! }),
        ...(texts.note === '' ? {} : { note: texts.note }),
      }),
    );
    view.putRight(first.work!, put);
    onDone();
  };
  return (
    <Column gap="$m">
      <MomentField
        label={LOG_LIST_WORDS.when}
        kind="datetime-local"
        value={texts.at}
        onChange={set('at')}
        error={errors.at}
      />
      <Field
        label={LOG_LIST_WORDS.took}
        unit={LOG_LIST_WORDS.minUnit}
        numeric
        step={5}
        value={texts.minutes}
        onChange={set('minutes')}
        error={errors.minutes}
      />
      <Field
        label={LOG_LIST_WORDS.used}
        unit={volume.unit}
        numeric
        value={texts.ml}
        onChange={set('ml')}
        error={errors.ml}
      />
      <Field
        label={LOG_LIST_WORDS.thinnedBy}
        unit={LOG_LIST_WORDS.ofThePaint}
        numeric
        value={texts.thinned}
        onChange={set('thinned')}
        error={errors.thinned}
      />
      <Field label={LOG_LIST_WORDS.note} value={texts.note} onChange={set('note')} />
      <Row gap="$s" flexWrap="wrap">
        <Button look="main" disabled={!right} onPress={save}>
          {LOG_LIST_WORDS.keepItSo}
        </Button>
        <Button onPress={() => view.takeBack(first.work!)}>{LOG_LIST_WORDS.takeItBack}</Button>
      </Row>
    </Column>
  );
}
