import { Choices, Sheet } from '@/client/ui';
import { ROLES, type RoleCode } from '@/core/knowledge';
import { ADD_ZONE_WORDS, ROLE_LABELS } from '@/words';

export function AddZone({ onAdd }: { onAdd: (role: RoleCode) => void }) {
  return (
    <Sheet label={ADD_ZONE_WORDS.addAZone}>
      {(close) => (
        <Choices
          label={ADD_ZONE_WORDS.whatIsTheNewZone}
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
