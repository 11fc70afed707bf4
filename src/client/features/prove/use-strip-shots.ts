import { useState } from 'react';
import type { Rect } from '@/core/photo';
import { joinShots } from '@/core/proof';
import { useOpenedPicture, type OpenedPicture, type PictureReader, type StripsReport } from '@/client/features/picture';

type Boxes = Readonly<Record<string, Rect>>;

/** Photographs of the same strips, one after another: what is marked on the one that is open, and what all of them say. */
export interface StripShots {
  shot: OpenedPicture | null;
  boxes: Boxes;
  busy: string | null;
  problem: string | null;
  /** How many were measured. */
  count: number;
  results: ({ code: string } & ReturnType<typeof joinShots>)[];
  pick: () => Promise<void>;
  mark: (code: string, rect: Rect) => void;
  measure: () => Promise<void>;
}

export function useStripShots(strips: readonly string[]): StripShots {
  const [boxes, setBoxes] = useState<Readonly<Record<string, Rect>>>({});
  const [reports, setReports] = useState<StripsReport[]>([]);
  const { shot, busy, problem, pick, measure } = useOpenedPicture((width, height) =>
    // The camera is seldom held just as before, but what was marked is a good start.
    setBoxes((before) => (Object.keys(before).length > 0 ? before : guessBoxes(width, height, strips))),
  );
  const readAll = async (reader: PictureReader): Promise<string | null> => {
    const answer = await reader.readStrips({
      white: boxes.white!,
      reference: boxes.reference!,
      strips: strips.map((code) => ({ code, rect: boxes[code]! })),
    });
    if (answer.kind === 'refused') return answer.message;
    const fault = answer.report.strips.find(({ usable }) => !usable);
    if (fault) return fault.why;
    setReports([...reports, answer.report]);
    return null;
  };
  const results = strips.map((code) => ({
    code,
    ...joinShots(reports.flatMap((report) => report.strips.filter((strip) => strip.code === code))),
  }));
  return {
    shot,
    boxes,
    busy,
    problem,
    count: reports.length,
    results,
    pick,
    mark: (code, rect) => setBoxes({ ...boxes, [code]: rect }),
    measure: () => measure(readAll),
  };
}

/** Paper above, the reference at the left, the strips beside it in the order of their codes. */
function guessBoxes(width: number, height: number, strips: readonly string[]): Record<string, Rect> {
  const columns = strips.length + 1;
  const place = (k: number): Rect => ({
    x: Math.round(width * (0.08 + (0.84 / columns) * k + 0.02)),
    y: Math.round(height * 0.4),
    width: Math.round(width * (0.84 / columns - 0.04)),
    height: Math.round(height * 0.44),
  });
  const white = { x: width * 0.12, y: height * 0.1, width: width * 0.76, height: height * 0.14 };
  const rounded = {
    x: Math.round(white.x),
    y: Math.round(white.y),
    width: Math.round(white.width),
    height: Math.round(white.height),
  };
  return { white: rounded, reference: place(0), ...Object.fromEntries(strips.map((code, k) => [code, place(k + 1)])) };
}
