import { Body, Column, DefectGlyph, Disclosure, Row, Small, Strong } from '@/client/ui';
import { DEFECT_FACTS } from '@/core/knowledge';
import type { ZonePlan } from '@/core/systems';
import { lowerFirst } from '@/core/shared';
import { FAULT_LIST_WORDS, sayFault } from '@/words';

const STATES = { repaired: '', by_layers: '', declined: FAULT_LIST_WORDS.nothingIsDone, left: '' } as const;

/** Each fault of a zone with what this system does about it, and what leaving it would mean. */
export function FaultList({ zone, faults }: { zone: string; faults: ZonePlan['faults'] }) {
  if (faults.length === 0) return null;
  const count = faults.length === 1 ? FAULT_LIST_WORDS.oneFault : FAULT_LIST_WORDS.faults(faults.length);
  return (
    <Disclosure label={FAULT_LIST_WORDS.andWhatIsDone(zone, count)}>
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
                    <Small>{`${state === 'left' ? FAULT_LIST_WORDS.whichMeans : FAULT_LIST_WORDS.left}: ${lowerFirst(left)}`}</Small>
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
