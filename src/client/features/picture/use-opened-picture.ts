import { launchImageLibraryAsync } from 'expo-image-picker';
import { useEffect, useRef, useState } from 'react';
import { makePictureReader, type PictureReader } from './picture-reader';
import { USE_OPENED_PICTURE_WORDS } from '@/words';

export interface OpenedPicture {
  url: string;
  width: number;
  height: number;
}

/** A photograph that is picked or taken and opened for reading; it is not kept. `onOpened`: once its size is known. */
export function useOpenedPicture(onOpened: (width: number, height: number) => void) {
  const reader = useRef<PictureReader | null>(null);
  const [shot, setShot] = useState<OpenedPicture | null>(null);
  const [busy, setBusy] = useState<string | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  useEffect(() => () => reader.current?.close(), []);

  /** `second`: of the same place as the one that is open, which is kept for what takes two. */
  const pick = async (second = false): Promise<void> => {
    const picked = await launchImageLibraryAsync({ mediaTypes: ['images'], quality: 1 });
    const asset = picked.assets?.[0];
    if (!asset) return;
    const before = second ? reader.current : null;
    if (!before) reader.current?.close();
    const own = before ?? makePictureReader();
    reader.current = own;
    setProblem(null);
    setBusy(USE_OPENED_PICTURE_WORDS.openingThePicture);
    const picture = asset.file ?? (await (await fetch(asset.uri)).blob());
    if (before) await before.setAside();
    const answer = await own.open(picture);
    if (reader.current !== own) return;
    setBusy(null);
    if (answer.kind === 'refused') return setProblem(answer.message);
    const { width, height } = answer;
    setShot({ url: URL.createObjectURL(picture), width, height });
    onOpened(width, height);
  };
  /** Reads it; what is wrong is told and the picture stays open, or it is put away. */
  const measure = async (read: (reader: PictureReader) => Promise<string | null>): Promise<void> => {
    if (!reader.current) return;
    setBusy(USE_OPENED_PICTURE_WORDS.measuring);
    const told = await read(reader.current);
    setBusy(null);
    setProblem(told);
    if (told === null) setShot(null);
  };
  return { shot, busy, problem, pick, measure };
}
