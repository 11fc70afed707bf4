import { Choices, Sheet } from '@/client/ui';
import { ROLES, type RoleCode } from '@/core/knowledge';
import { ROLE_LABELS } from '@/words';

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
