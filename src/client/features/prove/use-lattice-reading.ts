import { launchImageLibraryAsync } from 'expo-image-picker';
import { useEffect, useRef, useState } from 'react';
import type { Confirmed, Point, Quad } from '@/core/photo';
import { makePictureReader, type LatticeReport, type PictureReader } from '@/client/features/picture';
import { USE_LATTICE_READING_WORDS } from '@/words';

interface Opened {
  picture: Blob;
  url: string;
  width: number;
  height: number;
}

/** A photograph of a lattice on its way: opened, its corners, what was read, and what the owner confirmed. */
export interface LatticeReading {
  cuts: 6 | 11;
  /** What is being done, in words; none where nothing is. */
  busy: string | null;
  problem: string | null;
  opened: Opened | null;
  corners: Quad | null;
  report: LatticeReport | null;
  confirmed: Confirmed;
  pick: () => Promise<void>;
  stop: () => void;
  changeCuts: (cuts: 6 | 11) => void;
  moveCorners: (corners: Quad) => void;
  readWithin: (corners: Quad) => void;
  confirm: (confirmed: Confirmed) => void;
}

export function useLatticeReading(asked: 6 | 11, coat: string | undefined): LatticeReading {
  const reader = useRef<PictureReader | null>(null);
  const [cuts, setCuts] = useState(asked);
  const [busy, setBusy] = useState<string | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const [opened, setOpened] = useState<Opened | null>(null);
  const [corners, setCorners] = useState<Quad | null>(null);
  const [report, setReport] = useState<LatticeReport | null>(null);
  const [confirmed, setConfirmed] = useState<Confirmed>(new Map());

  const stop = (): void => {
    reader.current?.close();
    reader.current = null;
    setBusy(null);
  };
  useEffect(() => () => reader.current?.close(), []);

  const measure = async (own: PictureReader, by: 6 | 11, quad?: Quad): Promise<void> => {
    setBusy(quad ? USE_LATTICE_READING_WORDS.readingTheSquares : USE_LATTICE_READING_WORDS.lookingForTheCuts);
    const answer = await own.readLattice({ cuts: by, ...(coat ? { coat } : {}), ...(quad ? { corners: quad } : {}) });
    if (reader.current !== own) return;
    setBusy(null);
    if (answer.kind === 'refused') return setProblem(answer.message);
    setReport(answer);
    setConfirmed(new Map());
    const found = answer.report.corners.map(([x, y]): Point => ({ x: x!, y: y! }));
    if (!quad && found.length === 4) setCorners(found as unknown as Quad);
  };

  const pick = async (): Promise<void> => {
    const picked = await launchImageLibraryAsync({ mediaTypes: ['images'], quality: 1 });
    const asset = picked.assets?.[0];
    if (!asset) return;
    stop();
    const own = makePictureReader();
    reader.current = own;
    setProblem(null);
    setReport(null);
    setOpened(null);
    setBusy(USE_LATTICE_READING_WORDS.openingThePicture);
    const picture = asset.file ?? (await (await fetch(asset.uri)).blob());
    const answer = await own.open(picture);
    if (reader.current !== own) return;
    if (answer.kind === 'refused') {
      setBusy(null);
      return setProblem(answer.message);
    }
    const { width, height } = answer;
    setOpened({ picture, url: URL.createObjectURL(picture), width, height });
    setCorners(middleSquare(width, height));
    await measure(own, cuts);
  };

  const changeCuts = (by: 6 | 11): void => {
    setCuts(by);
    if (reader.current && opened) void measure(reader.current, by);
  };
  return {
    cuts,
    busy,
    problem,
    opened,
    corners,
    report,
    confirmed,
    pick,
    stop,
    changeCuts,
    moveCorners: setCorners,
    readWithin: (quad) => void (reader.current && measure(reader.current, cuts, quad)),
    // While the squares are read anew, what is shown is out of date.
    confirm: (next) => (busy ? undefined : setConfirmed(next)),
  };
}

/** Where corners start when none are found: a square in the middle of the picture. */
function middleSquare(width: number, height: number): Quad {
  const half = Math.min(width, height) / 4;
  const [x, y] = [width / 2, height / 2];
  return [
    { x: x - half, y: y - half },
    { x: x + half, y: y - half },
    { x: x + half, y: y + half },
    { x: x - half, y: y + half },
  ];
}
