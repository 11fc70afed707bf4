import { fail, succeed, type Result } from '@/core/shared';
import { makeHelperProcess } from './helper-process';

export interface DrawnPicture {
  data: Uint8Array;
  width: number;
  height: number;
}

/** What the process that decodes is asked (`decode-picture`). */
export type DecoderQuestion =
  | { draw: Uint8Array }
  | { unpack: Uint8Array }
  /** Files of two pictures, to be drawn beside each other. */
  | { beside: readonly [string, string] };

export interface PictureDecoder {
  /** Draws a picture anew; one at a time, the others wait their turn. */
  draw: (bytes: Uint8Array) => Promise<Result<DrawnPicture>>;
  /** Whether a picture can be unpacked whole. */
  unpacks: (bytes: Uint8Array) => Promise<boolean>;
  /** Two kept pictures as one PNG; null where one of the files is lost. Ended when whoever asked has gone. */
  drawBeside: (before: string, after: string, signal?: AbortSignal) => Promise<Uint8Array | null>;
  close: () => void;
}

/** A large photograph takes about one second on two cores. */
const MOST_MS = 10_000;
/** Pictures lie outside of it; what the program itself takes is a tenth of this. */
const HEAP_MB = 128;

/** Decodes in a process of its own (`program` is the built `decode-picture`), which is ended where it takes too much. */
export function makePictureDecoder(program: () => string, mostMs = MOST_MS): PictureDecoder {
  const helper = makeHelperProcess(program, HEAP_MB);
  const ask = <T>(question: DecoderQuestion, signal?: AbortSignal) => helper.ask<T>(question, { mostMs, signal });
  return {
    draw: async (bytes) => {
      const drawn = await ask<DrawnPicture | null>({ draw: bytes });
      if (!drawn.ok) return fail('picture_overladen');
      return drawn.value ? succeed(drawn.value) : fail('not_a_picture', '', { allowed: STILLS });
    },
    unpacks: async (bytes) => {
      const unpacked = await ask<boolean>({ unpack: bytes });
      return unpacked.ok && unpacked.value;
    },
    drawBeside: async (before, after, signal) => {
      const drawn = await ask<Uint8Array | null>({ beside: [before, after] }, signal);
      return drawn.ok ? drawn.value : null;
    },
    close: helper.close,
  };
}

/** Stills that are taken. */
export const STILLS = ['JPEG', 'PNG', 'WebP'];
