import { Choices, Sheet } from '@/client/ui';
import { ROLES, type RoleCode } from '@/core/knowledge';

export const ROLE_LABELS: Readonly<Record<RoleCode, string>> = {
  top: 'Top',
  front: 'Front',
  side: 'Side',
  edge: 'Edge',
  leg: 'Legs',
  frame: 'Frame',
  door: 'Door',
  drawer_front: 'Drawer front',
  drawer_side: 'Drawer side',
  moulding: 'Moulding',
  back: 'Back',
  inside: 'Inside',
  shelf: 'Shelf',
  hardware: 'Hardware',
};

export function AddZone({ onAdd }: { onAdd: (role: RoleCode) => void }) {
  return (
    <Sheet label="Add a zone">
      {(close) => (
        <Choices
          label="What is the new zone?"
          options={ROLES.map((code) => ({ code, label: ROLE_LABELS[code] }))}
          onPick={(role) => {
            onAdd(role);
            close();
          }}
        />
      )}
    </Sheet>
  );
}
