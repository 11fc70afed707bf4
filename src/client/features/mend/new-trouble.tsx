import { router } from 'expo-router';
import { useMemo, useState } from 'react';
import type { PieceParts } from '@/client/features/piece-frame';
import { useRouteParam } from '@/client/features/piece-frame';
import { makeId, timeNow } from '@/client/store';
import { Choices, Column, Heading, Notice, PieceDrawing, Small, Subheading, useIsWide } from '@/client/ui';
import { lookOf, zoneName, type Look, type Zone } from '@/core/dossier';
import { findSymptom, SYMPTOM_GROUPS, SYMPTOMS, type SymptomCode, type SymptomGroup } from '@/core/knowledge';
import { assignShapes, templateOf } from '@/core/templates';
import { NEW_TROUBLE_WORDS, nameSymptom, saySymptom, SYMPTOM_GROUP_WORDS } from '@/words';
import { SymptomGlyph } from './symptom-glyph';

/** What goes wrong with wood that shows comes first there, and nowhere else. */
const listGroups = (look: Look): readonly SymptomGroup[] => {
  const painted = SYMPTOM_GROUPS.filter((group) => group !== 'clear_finish');
  return look === 'opaque' ? painted : ['clear_finish', ...painted];
};

/** Something is wrong: on which face, and what it looks like. */
export function NewTrouble({ dossier, change, zones }: PieceParts & { zones: readonly Zone[] }) {
  const wide = useIsWide();
  const asked = useRouteParam('zone');
  const [picked, setPicked] = useState<string | null>(null);
  const zone = zones.find(({ id }) => id === (picked ?? asked)) ?? zones[0];
  const shapes = useMemo(() => assignShapes(templateOf(dossier.piece).shapes, dossier.zones ?? []), [dossier]);
  if (!zone)
    return (
      <Notice tone="wait" title={NEW_TROUBLE_WORDS.noFaceThatWasPainted}>
        {NEW_TROUBLE_WORDS.everyZoneIsLeftAsIt}
      </Notice>
    );
  const start = (symptom: SymptomCode): void => {
    const id = makeId();
    change({ type: 'trouble_set', trouble: { id, zone: zone.id, symptom, seen_at: timeNow() } });
    router.setParams({ trouble: id });
  };
  return (
    <Column gap="$l" render="section" aria-label={NEW_TROUBLE_WORDS.somethingIsWrong}>
      <Column gap="$xs">
        <Heading>{NEW_TROUBLE_WORDS.somethingIsWrong}</Heading>
        <Small>{NEW_TROUBLE_WORDS.onWhichFaceAndWhatDoes}</Small>
      </Column>
      <Column gap="$s" alignItems={wide ? 'flex-start' : 'center'}>
        <PieceDrawing
          shapes={shapes}
          width={330}
          height={110}
          current={zone.id}
          onPick={(id) => zones.some((own) => own.id === id) && setPicked(id)}
        />
      </Column>
      {zones.length > 1 ? (
        <Choices
          label={NEW_TROUBLE_WORDS.face}
          options={zones.map((own) => ({ code: own.id, label: zoneName(own) }))}
          value={zone.id}
          onPick={setPicked}
        />
      ) : null}
      {listGroups(lookOf(dossier, zone)).map((group) => (
        <Column key={group} gap="$s">
          <Subheading>{SYMPTOM_GROUP_WORDS[group]}</Subheading>
          <Choices
            label={SYMPTOM_GROUP_WORDS[group]}
            tileWidth={wide ? 170 : 150}
            options={SYMPTOMS.filter((code) => findSymptom(code).group === group).map((code) => ({
              code,
              label: nameSymptom(code),
              hint: saySymptom(code),
              drawing: <SymptomGlyph symptom={code} />,
            }))}
            onPick={start}
          />
        </Column>
      ))}
    </Column>
  );
}
