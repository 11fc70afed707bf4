import type { PictureAnswer, PictureRequest } from '@/client/workers/picture.worker';
import type { LatticeOptions, StripsOptions } from '@/core/photo';

type AnswerOf<K extends PictureAnswer['kind']> = Extract<PictureAnswer, { kind: K }>;
export type LatticeReport = AnswerOf<'lattice'>;
export type StripsReport = AnswerOf<'strips'>['report'];
type Refused = AnswerOf<'refused'>;

export interface PictureReader {
  open: (picture: Blob) => Promise<AnswerOf<'opened'> | Refused>;
  readLattice: (options: LatticeOptions) => Promise<LatticeReport | Refused>;
  readStrips: (options: StripsOptions) => Promise<AnswerOf<'strips'> | Refused>;
  /** Ends the work, done or not. */
  close: () => void;
}

/** A reader of one photograph after another, off the interface's thread; it answers in the order it is asked. */
export function makePictureReader(): PictureReader {
  const worker = new Worker(new URL('../../workers/picture.worker', import.meta.url));
  const waiting: ((answer: PictureAnswer) => void)[] = [];
  const refuse = (): PictureAnswer => ({
    kind: 'refused',
    message: 'The picture could not be read. Take another one.',
  });
  worker.onmessage = ({ data }: MessageEvent<PictureAnswer>) => waiting.shift()?.(data);
  worker.onerror = () => waiting.shift()?.(refuse());
  const ask = (request: PictureRequest): Promise<PictureAnswer> =>
    new Promise((resolve) => {
      waiting.push(resolve);
      worker.postMessage(request);
    });
  return {
    open: (picture) => ask({ kind: 'open', picture }) as Promise<AnswerOf<'opened'> | Refused>,
    readLattice: (options) => ask({ kind: 'lattice', options }) as Promise<LatticeReport | Refused>,
    readStrips: (options) => ask({ kind: 'strips', options }) as Promise<AnswerOf<'strips'> | Refused>,
    close: () => worker.terminate(),
  };
}
