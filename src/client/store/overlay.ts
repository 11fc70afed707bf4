import { applyChange, applyShelfChange, isShelfChange, type Dossier, type ShelfItem } from '@/core/dossier';
import { applyWorkshopChange, isWorkshopChange, type Workshop } from '@/core/workshop';
import type { PendingChange } from './outbox';

/* What the owner sees: what the server holds with the changes that are still on their way. */

type Pending = readonly PendingChange[];

export function overlay(stored: Dossier | undefined, pending: Pending, pieceId: string): Dossier | undefined {
  return pending
    .filter((entry) => entry.pieceId === pieceId)
    .reduce<Dossier | undefined>(
      (dossier, { change }) =>
        isShelfChange(change) || isWorkshopChange(change) || change.type === 'picture_taken'
          ? dossier
          : applyChange(dossier, change),
      stored,
    );
}

export const overlayShelf = (stored: readonly ShelfItem[], pending: Pending): readonly ShelfItem[] =>
  pending.reduce((tins, { change }) => (isShelfChange(change) ? applyShelfChange(tins, change) : tins), stored);

export const overlayWorkshop = (stored: Workshop, pending: Pending): Workshop =>
  pending.reduce((shop, { change }) => (isWorkshopChange(change) ? applyWorkshopChange(shop, change) : shop), stored);
