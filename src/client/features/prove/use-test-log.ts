import { useState } from 'react';
import { useDispatch } from 'react-redux';
import { sendPhoto } from '@/client/features/photos';
import { makeId, rememberPiece, type AppDispatch } from '@/client/store';
import type { Test } from '@/core/dossier';

/** What stands in the way of logging; the picture and the answers are kept until it is settled. */
export interface LogTrouble {
  message: string;
  /** The server may take the picture later. */
  retry: boolean;
}

/**
 * Logs one test of a draft, with the picture it was read from. The draft has one id until it is logged, so that a second
 * tap, or a second try, is the same test; a picture that cannot be sent holds the test up and is said.
 */
export function useTestLog(pieceId: string, zoneId: string, onLog: (test: Test & { id: string }) => void) {
  const dispatch = useDispatch<AppDispatch>();
  const [ids, setIds] = useState(makeIds);
  const [busy, setBusy] = useState(false);
  const [trouble, setTrouble] = useState<LogTrouble | null>(null);

  /** True once the test is logged. */
  const log = async (test: Omit<Test, 'id'>, picture: Blob | null): Promise<boolean> => {
    if (busy) return false;
    setTrouble(null);
    if (picture) {
      setBusy(true);
      const sent = await sendPhoto(picture, pieceId, ids.photo, zoneId);
      setBusy(false);
      if (!sent.ok) {
        setTrouble({ message: sent.message, retry: sent.retry });
        return false;
      }
      await rememberPiece(dispatch, pieceId, sent.dossier);
    }
    onLog({ ...(test as Test), id: ids.test, ...(picture ? { photo: ids.photo } : {}) });
    setIds(makeIds());
    return true;
  };
  return { busy, trouble, log, forget: () => setTrouble(null) };
}

const makeIds = (): { test: string; photo: string } => ({ test: makeId(), photo: makeId() });
