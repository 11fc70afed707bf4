import { useState } from 'react';
import { Button, Column, Row, Small, Subheading, Toggle } from '@/client/ui';
import type { PieceChange, Zone } from '@/core/dossier';
import { DEFECT_FACTS, DEFECTS } from '@/core/knowledge';

/** What is wrong with the zone: every defect is a tap, and counts as evidence and as work. */
export function DefectPicker({ zone, change }: { zone: Zone; change: (change: PieceChange) => void }) {
  const [open, setOpen] = useState(false);
  const seen = zone.defects ?? [];
  const toggle = (code: (typeof DEFECTS)[number]): void => {
    const on = seen.some((defect) => defect.code === code);
    const defects = on ? seen.filter((defect) => defect.code !== code) : [...seen, { code }];
    change({ type: 'defects_set', zoneId: zone.id, defects });
  };
  return (
    <Column gap="$s">
      <Button onPress={() => setOpen(!open)}>
        {open ? 'Close the list of damage' : `Damage and stains${seen.length > 0 ? ` (${seen.length})` : ''}`}
      </Button>
      {open ? (
        <Column gap="$s">
          <Subheading>What is wrong with it?</Subheading>
          <Small>Tap all you see. Each is evidence, and each becomes work in the plan.</Small>
          <Row flexWrap="wrap" gap="$s">
            {DEFECTS.map((code) => (
              <Toggle
                key={code}
                label={DEFECT_FACTS[code].label}
                on={seen.some((defect) => defect.code === code)}
                onPress={() => toggle(code)}
              />
            ))}
          </Row>
        </Column>
      ) : null}
    </Column>
  );
}
