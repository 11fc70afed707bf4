import { useState } from 'react';
import { makeSmall } from '@/client/features/photos';
import { makeId, useTakePicture } from '@/client/store';
import type { Test } from '@/core/dossier';

/**
 * Logs one test of a draft, with the picture it was read from. The draft has one id until it is logged, so that a second
 * tap is the same test; a picture that cannot be kept holds the test up and is said.
 */
export function useTestLog(pieceId: string, zoneId: string, onLog: (test: Test & { id: string }) => void) {
  const take = useTakePicture(pieceId);
  const [ids, setIds] = useState(makeIds);
  const [busy, setBusy] = useState(false);
  const [trouble, setTrouble] = useState<string | null>(null);

  /** True once the test is logged. */
  const log = async (test: Omit<Test, 'id'>, picture: Blob | null): Promise<boolean> => {
    if (busy) return false;
    setTrouble(null);
    if (picture) {
      setBusy(true);
      const small = await makeSmall(picture);
      if (small.ok) await take(small.picture, zoneId, ids.photo);
      else setTrouble(small.message);
      setBusy(false);
      if (!small.ok) return false;
    }
    onLog({ ...(test as Test), id: ids.test, ...(picture ? { photo: ids.photo } : {}) });
    setIds(makeIds());
    return true;
  };
  return { busy, trouble, log, forget: () => setTrouble(null) };
}

const makeIds = (): { test: string; photo: string } => ({ test: makeId(), photo: makeId() });
