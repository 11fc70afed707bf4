import { openLine } from '@/client/workers/line';
import type { LatticeReport, PictureApi, Refused, StripsReport as Strips } from '@/client/workers/picture.worker';
import type { ColourOptions, DrawDownOptions, LatticeOptions, StripsOptions } from '@/core/photo';
import { PICTURE_READER_WORDS } from '@/words';

export type { LatticeReport };
export type StripsReport = Strips['report'];

type Answer<Ask extends (...asked: never[]) => Promise<unknown>> = Awaited<ReturnType<Ask>>;

export interface PictureReader {
  open: (picture: Blob) => ReturnType<PictureApi['open']>;
  readLattice: (options: LatticeOptions) => Promise<LatticeReport | Refused>;
  readStrips: (options: StripsOptions) => Promise<Strips | Refused>;
  readColour: (options: ColourOptions) => Promise<Answer<PictureApi['readColour']>>;
  readDrawDown: (options: DrawDownOptions) => Promise<Answer<PictureApi['readDrawDown']>>;
  /** Keeps the open picture for what takes two. */
  setAside: () => Promise<void>;
  readShine: () => Promise<Answer<PictureApi['readShine']>>;
  readRepeat: () => Promise<Answer<PictureApi['readRepeat']>>;
  readGrain: () => Promise<Answer<PictureApi['readGrain']>>;
  /** Ends the work, done or not. */
  close: () => void;
}

const REFUSED: Refused = { kind: 'refused', message: PICTURE_READER_WORDS.thePictureCouldNotBeRead };

/** A reader of one photograph after another, off the interface's thread; it answers in the order it is asked. */
export function makePictureReader(): PictureReader {
  const line = openLine<PictureApi>(() => new Worker(new URL('../../workers/picture.worker', import.meta.url)));
  return {
    open: async (picture) => {
      const reply = await line.ask('open', (api) => api.open(picture));
      return reply.ok ? reply.answer : REFUSED;
    },
    readLattice: async (options) => {
      const reply = await line.ask('read', (api) => api.readLattice(options));
      return reply.ok ? reply.answer : REFUSED;
    },
    readStrips: async (options) => {
      const reply = await line.ask('read', (api) => api.readStrips(options));
      return reply.ok ? reply.answer : REFUSED;
    },
    readColour: async (options) => {
      const reply = await line.ask('read', (api) => api.readColour(options));
      return reply.ok ? reply.answer : REFUSED;
    },
    readDrawDown: async (options) => {
      const reply = await line.ask('read', (api) => api.readDrawDown(options));
      return reply.ok ? reply.answer : REFUSED;
    },
    setAside: async () => void (await line.ask('setAside', (api) => api.setAside())),
    readShine: async () => {
      const reply = await line.ask('read', (api) => api.readShine());
      return reply.ok ? reply.answer : REFUSED;
    },
    readRepeat: async () => {
      const reply = await line.ask('read', (api) => api.readRepeat());
      return reply.ok ? reply.answer : REFUSED;
    },
    readGrain: async () => {
      const reply = await line.ask('read', (api) => api.readGrain());
      return reply.ok ? reply.answer : REFUSED;
    },
    close: line.close,
  };
}
