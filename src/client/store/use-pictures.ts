import { useCallback, useEffect, useMemo, useState } from 'react';
import { useDispatch, useSelector } from 'react-redux';
import { findPicture, keepPicture } from './kept-pictures';
import { changeMade, changeUnkept, type PendingChange } from './outbox';
import type { AppDispatch, RootState } from './store';
import { makeId } from './use-piece';

/** Lays a picture of a zone down and sends it as soon as the server is there; tells its id, under which it can be named. */
export function useTakePicture(pieceId: string): (picture: Blob, zoneId: string, photoId?: string) => Promise<string> {
  const dispatch = useDispatch<AppDispatch>();
  return useCallback(
    async (picture, zoneId, photoId = makeId()) => {
      const kept = await keepPicture(photoId, picture);
      const id = makeId();
      dispatch(changeMade({ id, pieceId, change: { type: 'picture_taken', photoId, zoneId } }));
      if (!kept) dispatch(changeUnkept({ id }));
      return photoId;
    },
    [dispatch, pieceId],
  );
}

/** Ids of pictures of a zone that wait to be sent, oldest first. */
export function useWaitingPictures(pieceId: string, zoneId: string): string[] {
  const pending = useSelector((state: RootState) => state.outbox.pending);
  return useMemo(
    () =>
      pending.flatMap((own: PendingChange) =>
        own.pieceId === pieceId && own.change.type === 'picture_taken' && own.change.zoneId === zoneId
          ? [own.change.photoId]
          : [],
      ),
    [pending, pieceId, zoneId],
  );
}

/** Where a picture that waits can be shown from; nothing until it was fetched. */
export function usePictureUrl(photoId: string): string | null {
  const [url, setUrl] = useState<string | null>(null);
  useEffect(() => {
    let made: string | null = null;
    let left = false;
    void findPicture(photoId).then((picture) => {
      if (!picture || left) return;
      made = URL.createObjectURL(picture);
      setUrl(made);
    });
    return () => {
      left = true;
      if (made) URL.revokeObjectURL(made);
    };
  }, [photoId]);
  return url;
}
