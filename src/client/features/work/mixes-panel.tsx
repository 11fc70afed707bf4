import { useState } from 'react';
import type { PieceParts } from '@/client/features/piece-frame';
import { makeId, useMeasures } from '@/client/store';
import { Button, Card, Choices, Column, Disclosure, Field, Row, Sheet, Small, Strong } from '@/client/ui';
import { colourOfPiece, mixSchema, type Mix } from '@/core/dossier';
import { mixForJob, portionMix } from '@/core/work';
import { recipeOf } from '@/core/mix';
import { MixCard } from './mix-card';
import { MixFinder } from './mix-finder';
import { RecipeBook } from './recipe-book';
import type { WorkView } from './use-work';
import { readNumber } from '@/core/shared';
import { MIXES_PANEL_WORDS } from '@/words';

const KINDS = [
  { code: 'thinned', label: MIXES_PANEL_WORDS.thinned },
  { code: 'two_part', label: MIXES_PANEL_WORDS.twoPart },
  { code: 'colour', label: MIXES_PANEL_WORDS.colour },
] as const;
const NAMES: Record<Mix['kind'], readonly [string, string]> = {
  thinned: [MIXES_PANEL_WORDS.paint, MIXES_PANEL_WORDS.thinner],
  two_part: [MIXES_PANEL_WORDS.base, MIXES_PANEL_WORDS.hardener],
  colour: [MIXES_PANEL_WORDS.white, MIXES_PANEL_WORDS.black],
};
const rowsOf = (kind: Mix['kind']): { name: string; parts: string }[] =>
  NAMES[kind].map((name, i) => ({ name, parts: i === 0 ? '4' : '1' }));

/** What is mixed for this piece: how much of each, and until when it is good. */
export function MixesPanel({ dossier, change, view }: PieceParts & { view: WorkView }) {
  const mixes = dossier.mixes ?? [];
  const toCome = view.piece.tasks.reduce(
    (sum, { op, state, ml }) => sum + (op === 'paint' && state === 'open' ? ml : 0),
    0,
  );
  return (
    <Disclosure
      label={
        mixes.length > 0 ? MIXES_PANEL_WORDS.mixesCounted(mixes.length) : MIXES_PANEL_WORDS.mixesThinningTwoPartColours
      }
    >
      {() => (
        <Column gap="$m" role="region" aria-label={MIXES_PANEL_WORDS.mixes}>
          {mixes.map((mix) => (
            <MixCard
              key={mix.id}
              mix={mix}
              view={view}
              onSet={(next) => change({ type: 'mix_set', mix: next })}
              onRemove={() => change({ type: 'mix_removed', mixId: mix.id })}
            />
          ))}
          <Sheet label={MIXES_PANEL_WORDS.mixAColourFromTins}>
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
          <RecipeBook
            known={mixes.map(recipeOf)}
            wantedMl={mixForJob(toCome)}
            onMake={(mix) => change({ type: 'mix_set', mix })}
          />
          <MixForm wantedMl={mixForJob(toCome)} onMade={(mix) => change({ type: 'mix_set', mix })} />
        </Column>
      )}
    </Disclosure>
  );
}

const MOST_PARTS = 6;
const START_ML = 250;

function MixForm({ wantedMl, onMade }: { wantedMl: number; onMade: (mix: Mix) => void }) {
  const [kind, setKind] = useState<Mix['kind']>('thinned');
  const [name, setName] = useState('');
  const [rows, setRows] = useState(() => rowsOf('thinned'));
  const { sayVolume, gauge } = useMeasures();
  const millilitres = gauge('volume_ml');
  const [volume, setVolume] = useState(() => millilitres.write(START_ML));
  const [potLife, setPotLife] = useState('4');
  const [code, setCode] = useState('');
  const pick = (next: Mix['kind']): void => {
    setKind(next);
    setRows(rowsOf(next));
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
      <Strong>{MIXES_PANEL_WORDS.aNewMix}</Strong>
      <Choices label={MIXES_PANEL_WORDS.whatKindOfMix} options={KINDS} value={kind} onPick={pick} />
      <Field
        label={MIXES_PANEL_WORDS.name}
        value={name}
        onChange={setName}
        placeholder={KINDS.find((own) => own.code === kind)!.label}
      />
      {rows.map((row, i) => (
        <Row key={i} gap="$s">
          <Field
            label={MIXES_PANEL_WORDS.part(i + 1)}
            value={row.name}
            onChange={(text) => setRows(rows.map((own, k) => (k === i ? { ...own, name: text } : own)))}
          />
          <Field
            label={MIXES_PANEL_WORDS.partsOf(row.name, i + 1)}
            numeric
            value={row.parts}
            onChange={(text) => setRows(rows.map((own, k) => (k === i ? { ...own, parts: text } : own)))}
            error={readNumber(row.parts) ? undefined : MIXES_PANEL_WORDS.aNumberAboveNothing}
          />
        </Row>
      ))}
      {kind === 'colour' && rows.length < MOST_PARTS ? (
        <Button
          onPress={() => setRows([...rows, { name: MIXES_PANEL_WORDS.colourNumber(rows.length + 1), parts: '1' }])}
        >
          {MIXES_PANEL_WORDS.oneMoreColour}
        </Button>
      ) : null}
      <Field
        label={MIXES_PANEL_WORDS.volume}
        unit={millilitres.unit}
        numeric
        value={volume}
        onChange={setVolume}
        error={millilitres.read(volume) ? undefined : MIXES_PANEL_WORDS.aNumberIn(millilitres.unit)}
      />
      {kind === 'two_part' ? (
        <Field
          label={MIXES_PANEL_WORDS.potLifeByItsLabel}
          unit={MIXES_PANEL_WORDS.h}
          numeric
          value={potLife}
          onChange={setPotLife}
        />
      ) : null}
      {kind === 'colour' ? (
        <Field label={MIXES_PANEL_WORDS.matchCodeIfAShopMixed} value={code} onChange={setCode} />
      ) : null}
      {amounts.length > 0 ? (
        <Small>{amounts.map((part) => `${part.name} ${sayVolume(part.ml)}`).join(' + ')}</Small>
      ) : null}
      <Small>{MIXES_PANEL_WORDS.mixEnoughForAllCoatsAnd}</Small>
      {wantedMl > 0 && volume !== millilitres.write(wantedMl) ? (
        <Button onPress={() => setVolume(String(wantedMl))}>
          {MIXES_PANEL_WORDS.forThePaintToCome(sayVolume(wantedMl))}
        </Button>
      ) : null}
      <Button disabled={!parsed.success} onPress={() => parsed.success && onMade({ ...parsed.data, id: makeId() })}>
        {MIXES_PANEL_WORDS.keepThisMix}
      </Button>
    </Card>
  );
}
