import type { RoleCode } from '@/core/knowledge';

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
