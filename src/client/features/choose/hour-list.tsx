import { Column, Disclosure, Row, Small } from '@/client/ui';
import { useMeasures } from '@/client/store';
import { OPERATION_FACTS } from '@/core/knowledge';
import { explainHours, type CoatingSystem } from '@/core/systems';
import type { Dossier } from '@/core/dossier';
import { HOUR_LIST_WORDS as WORDS } from '@/words';
import { sayHours } from './words';

/** What the hours of a system are made of: faces, edges, parts and sittings. */
export function HourList({ system, dossier }: { system: CoatingSystem; dossier: Dossier }) {
  const { sayArea, sayMetres } = useMeasures();
  return (
    <Disclosure label={WORDS.whatTheyAreMadeOf(sayHours(system.handsOnMin))}>
      {() => {
        const { parts, sittings, once } = explainHours(system, dossier.goal?.application);
        const lines = [
          ...parts.map(({ op, minutes, areaM2, edgeM, parts: lifted }) => ({
            what: OPERATION_FACTS[op].label,
            of: [
              areaM2 > 0 ? sayArea(areaM2) : '',
              edgeM > 0 ? WORDS.ofEdge(sayMetres(edgeM)) : '',
              lifted > 0 ? WORDS.partsTurned(lifted) : '',
            ]
              .filter(Boolean)
              .join(', '),
            minutes,
          })),
          ...(sittings.count > 0
            ? [{ what: WORDS.gettingOut, of: WORDS.times(sittings.count), minutes: sittings.minutes }]
            : []),
          ...(once > 0 ? [{ what: WORDS.gettingReady, of: '', minutes: once }] : []),
        ];
        return (
          <Column gap="$s">
            <Column gap="$s" role="list">
              {lines.map(({ what, of, minutes }) => (
                <Row key={what} role="listitem" gap="$m" alignItems="flex-start">
                  <Small flex={1} color="$ink">
                    {of ? `${what}: ${of}` : what}
                  </Small>
                  <Small>{sayHours(minutes)}</Small>
                </Row>
              ))}
            </Column>
            <Small>{WORDS.basis}</Small>
          </Column>
        );
      }}
    </Disclosure>
  );
}
