import { useMemo, useState } from 'react';
import { timeNow } from '@/client/store';
import { Button, Choices, Column, Field, MomentField, Row, SelectField, Strong, Toggle } from '@/client/ui';
import { nameZone } from '@/core/dossier';
import { isWholeCoat, labelProduct, listClassesFor, type ProductClass } from '@/core/knowledge';
import { readNumber } from '@/core/shared';
import { listParts, templateOf } from '@/core/templates';
import type { Task } from '@/core/work';
import { STEP_OTHERWISE_WORDS } from '@/words';
import { momentOf, suggest, type When } from './moments';
import type { Step } from './use-step';
import type { Told, WorkView } from './use-work';

interface OtherwiseProps {
  view: WorkView;
  step: Step;
  onLog: (task: Task, told: Told) => void;
}

const COATS = ['1', '2', '3'] as const;

/** The other ways to log a step: at another time, with something else, on some zones or parts, in more coats, or not at all. */
export function Otherwise({ view, step, onLog }: OtherwiseProps) {
  const { piece, timeZone } = view;
  const { task, tin } = step;
  const { dossier } = piece;
  const [texts, setTexts] = useState({ minutes: '', thinned: '', note: '' });
  const [when, setWhen] = useState<When>('now');
  const [moment, setMoment] = useState('');
  const [code, setCode] = useState('');
  const [coats, setCoats] = useState<(typeof COATS)[number]>('1');
  const [zones, setZones] = useState<readonly string[]>(task.openZones);
  const [parts, setParts] = useState<readonly string[]>([]);
  const [only] = zones.length === 1 ? zones : [undefined];
  const all = useMemo(
    () => (only ? listParts(templateOf(dossier.piece).shapes, dossier.zones ?? [], only) : []),
    [only, dossier.piece, dossier.zones],
  );
  const set = (name: keyof typeof texts) => (text: string) => setTexts({ ...texts, [name]: text });
  const wrong = (text: string, most: number): string | undefined =>
    text !== '' && (readNumber(text) === undefined || readNumber(text)! > most)
      ? STEP_OTHERWISE_WORDS.aNumberFrom0To(most)
      : undefined;
  const coated = isWholeCoat(task.op);
  const others = coated ? listClassesFor(task.op) : [];
  const at = when === 'now' ? undefined : momentOf(moment, timeZone);
  const late = at !== undefined && at > timeNow();
  const pickWhen = (picked: When): void => {
    setWhen(picked);
    setMoment(picked === 'now' ? '' : suggest(picked, timeZone));
  };
  const right =
    wrong(texts.minutes, 600) === undefined &&
    wrong(texts.thinned, 100) === undefined &&
    (when === 'now' || (at !== undefined && !late)) &&
    zones.length > 0;
  const told: Told = {
    ...(tin && code === '' ? { tin } : {}),
    ...(code === '' ? {} : tinOrClass(code, view)),
    ...(at === undefined ? {} : { at }),
    ...(readNumber(texts.minutes) === undefined ? {} : { minutes: readNumber(texts.minutes)! }),
    ...(readNumber(texts.thinned) === undefined ? {} : { thinnedPct: readNumber(texts.thinned)! }),
    ...(texts.note ? { note: texts.note } : {}),
    ...(zones.length === task.openZones.length ? {} : { zones }),
    ...(parts.length > 0 && parts.length < all.length ? { zones, parts } : {}),
    ...(coats === '1' ? {} : { coats: Number(coats) }),
  };
  const flip = (list: readonly string[], own: string): string[] =>
    list.includes(own) ? list.filter((other) => other !== own) : [...list, own];
  return (
    <Column gap="$m">
      <Column gap="$xs">
        <Strong>{STEP_OTHERWISE_WORDS.when}</Strong>
        <Choices label={STEP_OTHERWISE_WORDS.when} options={WHENS} value={when} onPick={pickWhen} />
        {when === 'now' ? null : (
          <MomentField
            label={STEP_OTHERWISE_WORDS.when}
            kind="datetime-local"
            value={moment}
            onChange={setMoment}
            error={late ? STEP_OTHERWISE_WORDS.notInTheFuture : undefined}
          />
        )}
      </Column>
      {coated ? (
        <SelectField
          label={STEP_OTHERWISE_WORDS.withWhat}
          value={code}
          options={[
            {
              code: '',
              label: STEP_OTHERWISE_WORDS.asPlanned(tin?.name ?? labelProduct(task.class as ProductClass)),
            },
            ...view.tins
              .filter((own) => others.includes(own.class as ProductClass) && own.id !== tin?.id)
              .map(({ id, name, class: own }) => ({
                code: `tin:${id}`,
                label: name ?? labelProduct(own as ProductClass),
              })),
            ...others.filter((own) => own !== task.class).map((own) => ({ code: own, label: labelProduct(own) })),
          ]}
          onPick={setCode}
        />
      ) : null}
      {coated ? (
        <Column gap="$xs">
          <Strong>{STEP_OTHERWISE_WORDS.coats}</Strong>
          <Choices
            label={STEP_OTHERWISE_WORDS.coats}
            options={COATS.map((own) => ({ code: own, label: own }))}
            value={coats}
            onPick={setCoats}
          />
        </Column>
      ) : null}
      {task.openZones.length > 1 ? (
        <Column gap="$xs" role="group" aria-label={STEP_OTHERWISE_WORDS.where}>
          <Strong>{STEP_OTHERWISE_WORDS.where}</Strong>
          <Row gap="$s" flexWrap="wrap">
            {task.openZones.map((zone) => (
              <Toggle
                key={zone}
                label={nameZone(dossier, zone)}
                on={zones.includes(zone)}
                onPress={() => {
                  setZones(flip(zones, zone));
                  setParts([]);
                }}
              />
            ))}
          </Row>
        </Column>
      ) : null}
      {only && all.length > 1 ? (
        <Column gap="$xs" role="group" aria-label={STEP_OTHERWISE_WORDS.parts(nameZone(dossier, only))}>
          <Strong>{STEP_OTHERWISE_WORDS.parts(nameZone(dossier, only))}</Strong>
          <Row gap="$s" flexWrap="wrap">
            {all.map((part, i) => (
              <Toggle
                key={part}
                label={STEP_OTHERWISE_WORDS.part(i + 1)}
                on={parts.includes(part)}
                onPress={() => setParts(flip(parts, part))}
              />
            ))}
          </Row>
        </Column>
      ) : null}
      <Field
        label={STEP_OTHERWISE_WORDS.took}
        unit={STEP_OTHERWISE_WORDS.min}
        numeric
        step={5}
        most={600}
        value={texts.minutes}
        onChange={set('minutes')}
        error={wrong(texts.minutes, 600)}
      />
      {task.ml > 0 ? (
        <Field
          label={STEP_OTHERWISE_WORDS.thinnedBy}
          unit={STEP_OTHERWISE_WORDS.ofThePaint}
          numeric
          value={texts.thinned}
          onChange={set('thinned')}
          error={wrong(texts.thinned, 100)}
        />
      ) : null}
      <Field label={STEP_OTHERWISE_WORDS.note} value={texts.note} onChange={set('note')} />
      <Row gap="$s" flexWrap="wrap">
        <Button disabled={!right} onPress={() => onLog(task, told)}>
          {STEP_OTHERWISE_WORDS.doneWithThis}
        </Button>
        <Button disabled={!right} onPress={() => onLog(task, { ...told, skipped: true })}>
          {STEP_OTHERWISE_WORDS.leftOutOnPurpose}
        </Button>
      </Row>
    </Column>
  );
}

const WHENS = [
  { code: 'now', label: STEP_OTHERWISE_WORDS.now },
  { code: 'earlier', label: STEP_OTHERWISE_WORDS.earlierToday },
  { code: 'yesterday', label: STEP_OTHERWISE_WORDS.yesterdayEvening },
  { code: 'moment', label: STEP_OTHERWISE_WORDS.atAMoment },
] as const satisfies readonly { code: When; label: string }[];

/** What was picked instead: one of the owner's tins, or a class. */
function tinOrClass(code: string, { tins }: WorkView): Pick<Told, 'tin' | 'class'> {
  const tin = tins.find(({ id }) => `tin:${id}` === code);
  return tin ? { tin, class: tin.class } : { class: code };
}
