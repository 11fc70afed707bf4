import { useState } from 'react';
import type { PieceParts } from '@/client/features/piece-frame';
import { sayUntil } from '@/client/features/shop-plan';
import { makeId, useMeasures, timeNow } from '@/client/store';
import {
  Body,
  Button,
  Card,
  Choices,
  Column,
  Disclosure,
  Field,
  Row,
  Sheet,
  Small,
  StateMark,
  Strong,
  Swatch,
} from '@/client/ui';
import { colourOfPiece, mixSchema, type Mix } from '@/core/dossier';
import { computePotLifeMin, mixForJob, portionMix, readThinning, spoilsAt } from '@/core/work';
import { MixFinder } from './mix-finder';
import type { WorkView } from './use-work';
import { readNumber } from '@/core/shared';

const KINDS = [
  { code: 'thinned', label: 'Thinned' },
  { code: 'two_part', label: 'Two-part' },
  { code: 'colour', label: 'Colour' },
] as const;
const NAMES: Record<Mix['kind'], readonly [string, string]> = {
  thinned: ['Paint', 'Thinner'],
  two_part: ['Base', 'Hardener'],
  colour: ['White', 'Black'],
};

/** What is mixed for this piece: how much of each, and until when it is good. */
export function MixesPanel({ dossier, change, view }: PieceParts & { view: WorkView }) {
  const mixes = dossier.mixes ?? [];
  const toCome = view.piece.tasks.reduce(
    (sum, { op, state, ml }) => sum + (op === 'paint' && state === 'open' ? ml : 0),
    0,
  );
  return (
    <Disclosure label={mixes.length > 0 ? `Mixes: ${mixes.length}` : 'Mixes: thinning, two-part, colours'}>
      {() => (
        <Column gap="$m" role="region" aria-label="Mixes">
          {mixes.map((mix) => (
            <MixCard
              key={mix.id}
              mix={mix}
              view={view}
              onSet={(next) => change({ type: 'mix_set', mix: next })}
              onRemove={() => change({ type: 'mix_removed', mixId: mix.id })}
            />
          ))}
          <Sheet label="Mix a colour from tins">
            {(close) => (
              <MixFinder
                tins={view.tins}
                target={colourOfPiece(dossier)}
                wantedMl={mixForJob(toCome)}
                onKeep={(mix) => {
                  change({ type: 'mix_set', mix });
                  close();
                }}
              />
            )}
          </Sheet>
          <MixForm wantedMl={mixForJob(toCome)} onMade={(mix) => change({ type: 'mix_set', mix })} />
        </Column>
      )}
    </Disclosure>
  );
}

interface MixCardProps {
  mix: Mix;
  view: WorkView;
  onSet: (mix: Mix) => void;
  onRemove: () => void;
}

function MixCard({ mix, view, onSet, onRemove }: MixCardProps) {
  const { now, times, piece } = view;
  const { sayVolume, gauge } = useMeasures();
  const [text, setText] = useState(gauge('volume_ml').write(mix.volume_ml));
  const volume = gauge('volume_ml').read(text, mix.volume_ml);
  const climate = piece.dossier.climate?.temperature_c ?? 21;
  const ends =
    mix.mixed_at && mix.pot_life_h ? spoilsAt(mix.mixed_at, computePotLifeMin(mix.pot_life_h, climate)) : null;
  const thinning =
    mix.kind === 'thinned' && mix.parts.length === 2 ? readThinning(mix.parts[0]!.parts, mix.parts[1]!.parts) : null;
  return (
    <Card padding="$m" gap="$s">
      <Row gap="$s" alignItems="center">
        {mix.colour ? <Swatch colour={mix.colour} /> : null}
        <Strong flexShrink={1}>{mix.name}</Strong>
      </Row>
      {portionMix(mix.parts, volume && volume > 0 ? volume : mix.volume_ml).map(({ name, ml, share }) => (
        <Row key={name} justifyContent="space-between" gap="$s">
          <Body>{name}</Body>
          <Strong fontVariant={['tabular-nums']}>{`${sayVolume(ml)} · ${Math.round(share * 100)} %`}</Strong>
        </Row>
      ))}
      {thinning ? (
        <Small>{`${Math.round(thinning.ofPaint * 100)} % of the paint, which is ${Math.round(thinning.ofMix * 100)} % of the mix`}</Small>
      ) : null}
      {mix.match_code ? <Small>{`Matched as ${mix.match_code}`}</Small> : null}
      {ends ? (
        ends > now ? (
          <StateMark tone="wait">{`Good until ${times.clock(ends)}: ${sayUntil(ends, now)}`}</StateMark>
        ) : (
          <StateMark tone="stop">{`Past use since ${times.moment(ends, now)}: it sets in the pot`}</StateMark>
        )
      ) : null}
      <Field
        label="For another volume"
        unit={gauge('volume_ml').unit}
        numeric
        value={text}
        onChange={setText}
        error={volume ? undefined : `A number, in ${gauge('volume_ml').unit}.`}
      />
      <Row gap="$s" flexWrap="wrap">
        {volume && volume !== mix.volume_ml ? (
          <Button onPress={() => onSet({ ...mix, volume_ml: volume })}>Keep this volume</Button>
        ) : null}
        {mix.kind === 'two_part' ? (
          <Button onPress={() => onSet({ ...mix, mixed_at: timeNow(), pot_life_h: mix.pot_life_h ?? 4 })}>
            Mixed just now
          </Button>
        ) : null}
        <Button onPress={onRemove} label={`Remove ${mix.name}`}>
          Remove
        </Button>
      </Row>
    </Card>
  );
}

const MOST_PARTS = 6;
const START_ML = 250;

function MixForm({ wantedMl, onMade }: { wantedMl: number; onMade: (mix: Mix) => void }) {
  const [kind, setKind] = useState<Mix['kind']>('thinned');
  const [name, setName] = useState('');
  const [rows, setRows] = useState([
    { name: 'Paint', parts: '4' },
    { name: 'Thinner', parts: '1' },
  ]);
  const { sayVolume, gauge } = useMeasures();
  const millilitres = gauge('volume_ml');
  const [volume, setVolume] = useState(() => millilitres.write(START_ML));
  const [potLife, setPotLife] = useState('4');
  const [code, setCode] = useState('');
  const pick = (next: Mix['kind']): void => {
    setKind(next);
    setRows(NAMES[next].map((own, i) => ({ name: own, parts: i === 0 ? '4' : '1' })));
  };
  const mix = {
    id: 'new',
    kind,
    name: name || KINDS.find((own) => own.code === kind)!.label,
    parts: rows.map((row) => ({ name: row.name, parts: readNumber(row.parts) })),
    volume_ml: millilitres.read(volume),
    ...(kind === 'two_part' && readNumber(potLife) ? { pot_life_h: readNumber(potLife) } : {}),
    ...(kind === 'colour' && code ? { match_code: code } : {}),
  };
  const parsed = mixSchema.safeParse(mix);
  const amounts = parsed.success ? portionMix(parsed.data.parts, parsed.data.volume_ml) : [];
  return (
    <Card padding="$m" gap="$m">
      <Strong>A new mix</Strong>
      <Choices label="What kind of mix?" options={KINDS} value={kind} onPick={pick} />
      <Field label="Name" value={name} onChange={setName} placeholder={KINDS.find((own) => own.code === kind)!.label} />
      {rows.map((row, i) => (
        <Row key={i} gap="$s">
          <Field
            label={`Part ${i + 1}`}
            value={row.name}
            onChange={(text) => setRows(rows.map((own, k) => (k === i ? { ...own, name: text } : own)))}
          />
          <Field
            label={`Parts of ${row.name || `part ${i + 1}`}`}
            numeric
            value={row.parts}
            onChange={(text) => setRows(rows.map((own, k) => (k === i ? { ...own, parts: text } : own)))}
            error={readNumber(row.parts) ? undefined : 'A number above nothing.'}
          />
        </Row>
      ))}
      {kind === 'colour' && rows.length < MOST_PARTS ? (
        <Button onPress={() => setRows([...rows, { name: `Colour ${rows.length + 1}`, parts: '1' }])}>
          One more colour
        </Button>
      ) : null}
      <Field
        label="Volume"
        unit={millilitres.unit}
        numeric
        value={volume}
        onChange={setVolume}
        error={millilitres.read(volume) ? undefined : `A number, in ${millilitres.unit}.`}
      />
      {kind === 'two_part' ? (
        <Field label="Pot life by its label" unit="h" numeric value={potLife} onChange={setPotLife} />
      ) : null}
      {kind === 'colour' ? <Field label="Match code, if a shop mixed it" value={code} onChange={setCode} /> : null}
      {amounts.length > 0 ? (
        <Small>{amounts.map((part) => `${part.name} ${sayVolume(part.ml)}`).join(' + ')}</Small>
      ) : null}
      <Small>Mix enough for all coats and a tenth more: a colour that runs out is never met again.</Small>
      {wantedMl > 0 && volume !== millilitres.write(wantedMl) ? (
        <Button onPress={() => setVolume(String(wantedMl))}>{`For the paint to come: ${sayVolume(wantedMl)}`}</Button>
      ) : null}
      <Button disabled={!parsed.success} onPress={() => parsed.success && onMade({ ...parsed.data, id: makeId() })}>
        Keep this mix
      </Button>
    </Card>
  );
}
