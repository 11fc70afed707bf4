import { Body, Column, DefectGlyph, Disclosure, Row, Small, Strong } from '@/client/ui';
import { DEFECT_FACTS } from '@/core/knowledge';
import type { ZonePlan } from '@/core/systems';
import { lowerFirst } from '@/core/shared';
import { sayFault } from '@/words';

const STATES = { repaired: '', by_layers: '', declined: 'Nothing is done: ', left: '' } as const;

/** Each fault of a zone with what this system does about it, and what leaving it would mean. */
export function FaultList({ zone, faults }: { zone: string; faults: ZonePlan['faults'] }) {
  if (faults.length === 0) return null;
  const count = faults.length === 1 ? 'one fault' : `${faults.length} faults`;
  return (
    <Disclosure label={`${zone}: ${count}, and what is done`}>
      {() => (
        <Column role="list" gap="$m">
          {faults.map((fault, i) => {
            const { code, state } = fault;
            const { text, left } = sayFault(fault);
            return (
              <Row key={`${code}${i}`} role="listitem" gap="$m" alignItems="center">
                <DefectGlyph code={code} />
                <Column flex={1}>
                  <Strong>{DEFECT_FACTS[code].label}</Strong>
                  <Body>{`${STATES[state]}${state === 'declined' ? lowerFirst(text) : text}`}</Body>
                  {state === 'declined' ? null : (
                    <Small>{`${state === 'left' ? 'Which means' : 'Left'}: ${lowerFirst(left)}`}</Small>
                  )}
                </Column>
              </Row>
            );
          })}
        </Column>
      )}
    </Disclosure>
  );
}
